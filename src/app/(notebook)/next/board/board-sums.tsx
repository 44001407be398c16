import type { Load } from "@/core/model";
import { sayDeadWeight, sayMass, type Units } from "@/core/units/speak";
import { Figure } from "@/ui/page/figure";
import type { BoardLine } from "./board-lines";
import { loadOf } from "./board-moves";

interface BoardSumsProps {
  readonly lines: readonly BoardLine[];
  readonly last: Readonly<Record<Load, number>> | null;
  readonly limit: number | null;
  readonly supplies: OnTop;
  readonly units: Units;
}

/** Grams that go on top of the list's own: food, and the water of the longest dry stretch. */
export interface OnTop {
  readonly food: number;
  readonly water: number;
}

/** What the list comes to as it stands, against the last one and what the pack carries well. */
export function BoardSums({ lines, last, limit, supplies: { food, water }, units }: BoardSumsProps) {
  const { base, worn, consumable, hobby, onBack, home, dead } = loadOf(lines);
  const full = onBack + food + water;
  const isOver = (grams: number) => limit !== null && grams > limit;
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
        <span className={isOver(onBack) ? "text-sting" : ""}>{sayMass(onBack, units)}</span>
        {limit !== null && <Note>carries well up to {sayMass(limit, units)}</Note>}
      </Figure>
      <Figure
        from="#how-much"
        name={water > 0 ? "at its heaviest, with food and water" : "at the start, with food"}
      >
        <span className={isOver(full) ? "font-bold text-sting" : ""}>{sayMass(full, units)}</span>
        <Note>
          food {sayMass(food, units)}
          {water > 0 && `, water of the dry stretch ${sayMass(water, units)}`}
          {isOver(full) && limit !== null && `: ${sayMass(full - limit, units)} more than it carries well`}
        </Note>
      </Figure>
      <Figure name="stays at home">{sayMass(home, units)}</Figure>
      <Figure name="likely for nothing" from="/trips/loads">
        {sayDeadWeight(dead, units)}
      </Figure>
    </dl>
  );
}

const SUMS =
  "no-print mb-4 grid grid-cols-2 gap-x-8 gap-y-2 border-y border-rule py-3 sm:grid-cols-3 lg:grid-cols-4";

const Note = ({ children }: { children: React.ReactNode }) => (
  <span className="block font-sans text-sm text-muted">{children}</span>
);

function sayAgainst(grams: number, units: Units): string {
  if (Math.round(grams) === 0) return "as last time";
  return `${sayMass(Math.abs(grams), units)} ${grams < 0 ? "less" : "more"} than last time`;
}
