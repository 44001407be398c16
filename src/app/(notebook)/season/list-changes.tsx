import Link from "next/link";
import { totalOf, type ListDifference, type Listed } from "@/core/compare/lists";
import { listWords, sayMass, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";

interface ListChangesProps {
  readonly difference: ListDifference;
  readonly units: Units;
}

/** What came out of a list, what went in, and what took the place of what. */
export function ListChanges({
  difference: { grams, out, into, swapped, reweighed },
  units,
}: ListChangesProps) {
  const signed = (by: number) => `${by < 0 ? "−" : "+"}${sayMass(Math.abs(by), units)}`;
  const change = `${sayMass(Math.abs(grams), units)} ${grams < 0 ? "lighter" : "heavier"}.`;
  const swaps = swapped.map(({ from, to, grams: by }) => {
    return `${to.item.name} for ${from.item.name} (${signed(by)})`;
  });
  return (
    <>
      <p>{grams === 0 ? "As heavy as it was." : change}</p>
      <Change name="Came out" list={out} units={units} />
      <Change name="Went in" list={into} units={units} />
      {reweighed.length > 0 && (
        <p>
          <span className="text-muted">On both, of another weight, {signed(sumOf(reweighed))}:</span>{" "}
          {listWords(reweighed.map(({ to, grams: by }) => `${to.item.name} (${signed(by)})`))}
        </p>
      )}
      {swaps.length > 0 && (
        <p>
          <span className="text-muted">One in place of another, {signed(sumOf(swapped))}:</span>{" "}
          {listWords(swaps)}
        </p>
      )}
    </>
  );
}

const sumOf = (changes: ListDifference["swapped"]) => changes.reduce((sum, { grams }) => sum + grams, 0);

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
