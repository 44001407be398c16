import Link from "next/link";
import type { Advice } from "@/core/advice/advise";
import type { Kit } from "@/core/advice/kit";
import { sayWear } from "@/core/say/wear";
import { count } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";

/** What else holds or held its slot, and what those came to that wore out in it. */
export function Slot({ advice, kit }: { advice: Advice; kit: Kit }) {
  const { item, book } = advice.case;
  if (!item.slot) return null;
  const say = (wear: number) => sayWear(wear, item.wears, book.settings.units);
  const holders = kit.things.filter((each) => each.case.item.slot === item.slot);
  const others = holders.filter((each) => each !== advice);
  if (others.length === 0) return null;
  const lasted = holders
    .filter((each) => each.case.departure?.how === "worn out")
    .map((each) => each.case.totals.wear);
  return (
    <div>
      <h2 className="border-b-2 border-ink pb-1 text-lg">Also in the slot “{item.slot}”</h2>
      {lasted.length > 0 && (
        <p className="hint py-1">
          Worn out in it: {count(lasted.length, "thing")}, after {rangeOf(lasted, say)}.
        </p>
      )}
      <ul>
        {others.map(({ case: its }) => (
          <li key={its.item.id} className="flex justify-between border-b border-rule py-1">
            <Link prefetch={false} href={itemPath(its.item.id)} className="hover:underline">
              {its.item.name}
            </Link>
            <span className="num text-muted">
              {say(its.totals.wear)}, {its.state}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function rangeOf(lasted: readonly number[], say: (wear: number) => string): string {
  const mean = lasted.reduce((sum, wear) => sum + wear, 0) / lasted.length;
  return lasted.length === 1
    ? say(mean)
    : `${say(Math.min(...lasted))} to ${say(Math.max(...lasted))}, ${say(mean)} on average`;
}
