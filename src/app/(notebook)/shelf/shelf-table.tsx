import Link from "next/link";
import type { Advice } from "@/core/advice/advise";
import { sayMass, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { RetireButton } from "./retire-button";

interface ShelfTableProps {
  readonly things: readonly Advice[];
  readonly units: Units;
}

/** Everything on the shelf, a row a thing. */
export function ShelfTable({ things, units }: ShelfTableProps) {
  return (
    <table className="w-full border-collapse text-[0.95rem]">
      <thead>
        <tr className="border-b-2 border-ink text-left text-sm text-muted">
          <th className="py-1 font-normal">thing</th>
          <th className="pr-4 text-right font-normal">weight</th>
          <th className="hidden font-normal sm:table-cell">kind</th>
          <th className="hidden font-normal sm:table-cell">rides</th>
          <th className="hidden text-right font-normal md:table-cell">trips</th>
          <th>
            <span className="sr-only">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {things.map((advice) => (
          <ShelfRow key={advice.case.item.id} advice={advice} units={units} />
        ))}
      </tbody>
    </table>
  );
}

function ShelfRow({ advice, units }: { advice: Advice; units: Units }) {
  const { item, state, totals } = advice.case;
  return (
    <tr className="border-b border-rule hover:bg-leaf-soft">
      <td className="py-1 pr-3">
        <Link prefetch={false} href={itemPath(item.id)} className="font-semibold hover:underline">
          {item.name}
        </Link>
        {state !== "active" && <i className="ml-2 text-sm text-muted">{state}</i>}
        {item.owner && <i className="ml-2 text-sm text-muted">{item.owner}&rsquo;s</i>}
        {item.lentTo && <i className="ml-2 text-sm text-stem">{item.lentTo} has it</i>}
      </td>
      <td
        className="num whitespace-nowrap pr-4 text-right"
        title={item.weight ? `typed as ${item.weight.typed}` : undefined}
      >
        {advice.grams === null ? "–" : sayMass(advice.grams, units)}
        {item.weights.at(-1)?.how === "claimed" && (
          <span className="text-muted" title="as claimed, not weighed">
            ?
          </span>
        )}
      </td>
      <td className="hidden text-muted sm:table-cell">{item.kind}</td>
      <td className="hidden text-muted sm:table-cell">{STOW_NAMES[item.stow].toLowerCase()}</td>
      <td className="num hidden text-right text-muted md:table-cell">{totals.carried.trips}</td>
      <td className="whitespace-nowrap text-right">
        <Link prefetch={false} href={`${itemPath(item.id)}/edit`} className="btn btn-plain !min-h-8">
          Edit<span className="sr-only"> {item.name}</span>
        </Link>
        <RetireButton id={item.id} name={item.name} state={item.state} className="btn btn-plain !min-h-8" />
      </td>
    </tr>
  );
}
