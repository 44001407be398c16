import type { Load } from "@/core/model";
import { sayDeadWeight, sayMass, type Units } from "@/core/units/speak";
import { Figure } from "@/ui/page/figure";
import type { BoardLine } from "./board-lines";
import { loadOf } from "./board-moves";

interface BoardSumsProps {
  readonly lines: readonly BoardLine[];
  readonly last: Readonly<Record<Load, number>> | null;
  readonly limit: number | null;
  readonly units: Units;
}

/** What the list comes to as it stands, against the last one and what the pack carries well. */
export function BoardSums({ lines, last, limit, units }: BoardSumsProps) {
  const { base, worn, consumable, hobby, onBack, home, dead } = loadOf(lines);
  return (
    <dl className={SUMS} aria-live="polite">
      <Figure name="base weight">
        {sayMass(base, units)}
        {last && <Note>{sayAgainst(base - last.base, units)}</Note>}
      </Figure>
      <Figure name="worn">{sayMass(worn, units)}</Figure>
      <Figure name="used up, hobby">
        {sayMass(consumable, units)}, {sayMass(hobby, units)}
      </Figure>
      <Figure name="on the back, without food and water">
        <span className={limit !== null && onBack > limit ? "text-sting" : ""}>{sayMass(onBack, units)}</span>
        {limit !== null && <Note>carries well up to {sayMass(limit, units)}</Note>}
      </Figure>
      <Figure name="stays at home">{sayMass(home, units)}</Figure>
      <Figure name="likely for nothing">{sayDeadWeight(dead, units)}</Figure>
    </dl>
  );
}

const SUMS = "mb-4 grid grid-cols-2 gap-x-8 gap-y-2 border-y border-rule py-3 sm:grid-cols-3 lg:grid-cols-6";

const Note = ({ children }: { children: React.ReactNode }) => (
  <span className="block font-sans text-sm text-muted">{children}</span>
);

function sayAgainst(grams: number, units: Units): string {
  if (Math.round(grams) === 0) return "as last time";
  return `${sayMass(Math.abs(grams), units)} ${grams < 0 ? "less" : "more"} than last time`;
}
