import Link from "next/link";
import { totalOf, type ListDifference, type Listed } from "@/core/compare/lists";
import { listWords, sayMass, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";

interface ListChangesProps {
  readonly difference: ListDifference;
  readonly units: Units;
}

/** What came out of a list, what went in, and what took the place of what. */
export function ListChanges({ difference: { grams, out, into, swapped }, units }: ListChangesProps) {
  const change = `${sayMass(Math.abs(grams), units)} ${grams < 0 ? "lighter" : "heavier"}.`;
  const swaps = swapped.map(({ from, to, grams: by }) => {
    const saved = `${by < 0 ? "−" : "+"}${sayMass(Math.abs(by), units)}`;
    return `${to.item.name} for ${from.item.name} (${saved})`;
  });
  return (
    <>
      <p>{grams === 0 ? "As heavy as it was." : change}</p>
      <Change name="Came out" list={out} units={units} />
      <Change name="Went in" list={into} units={units} />
      {swaps.length > 0 && (
        <p>
          <span className="text-muted">One in place of another:</span> {listWords(swaps)}
        </p>
      )}
    </>
  );
}

function Change({ name, list, units }: { name: string; list: readonly Listed[]; units: Units }) {
  if (list.length === 0) return null;
  return (
    <p>
      <span className="text-muted">
        {name}, {sayMass(totalOf(list), units)}:
      </span>{" "}
      {list.map(({ item, grams }, n) => (
        <span key={item.id}>
          {n > 0 && ", "}
          <Link prefetch={false} href={itemPath(item.id)} className="hover:underline">
            {item.name}
          </Link>
          {grams !== null && <span className="text-sm text-muted"> {sayMass(grams, units)}</span>}
        </span>
      ))}
    </p>
  );
}
