import Link from "next/link";
import type { Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import { plannedSupplies } from "@/core/plan/supplies";
import { sayAmount } from "@/core/say/supplies";
import { count, sayMass, type Units } from "@/core/units/speak";
import type { BankAhead, SuppliesAhead } from "@/core/weighin/supplies-ahead";
import { Section } from "@/ui/page/section";

interface HowMuchProps {
  readonly plan: Plan;
  readonly trip: Trip | null;
  readonly units: Units;
}

/** Fuel, food, power and water by the owner's own rates, enough nine times in ten. */
export function HowMuch({ plan, trip, units }: HowMuchProps) {
  const { next } = plan;
  const { ahead, shopDays } = plannedSupplies(plan, trip);
  const asked = new URLSearchParams({ nights: String(Math.round(next.nights)) });
  return (
    <Section title="How much" at="how-much">
      <p className="hint">Enough on nine trips in ten, by your own use where your trips tell it.</p>
      <dl className="grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1">
        {ahead.gas && (
          <>
            <dt className="text-muted">gas</dt>
            <dd>
              {sayAmount(ahead.gas.grams, "g", units)}
              {ahead.gas.cans &&
                `: ${ahead.gas.cans.map(({ name, left }) => `${name}, ${sayMass(left, units)} in it`).join("; ")}`}
            </dd>
          </>
        )}
        {ahead.spirit !== null && (
          <>
            <dt className="text-muted">spirit</dt>
            <dd>{sayAmount(ahead.spirit, "L", units)}</dd>
          </>
        )}
        <dt className="text-muted">food</dt>
        <dd>
          {sayAmount(ahead.foodGrams, "g", units)}
          {shopDays < next.days && `, from shop to shop (${count(shopDays, "day")})`}
        </dd>
        <dt className="text-muted">power</dt>
        <dd>
          {sayAmount(ahead.powerWh, "Wh", units)}
          {ahead.banks[0] && sayBank(ahead.banks[0], units)}
        </dd>
        <dt className="text-muted">water</dt>
        <dd>{sayWater(ahead.water, units)}</dd>
      </dl>
      <p className="no-print mt-1">
        <Link prefetch={false} href={`/trips/supplies?${asked}`} className="link">
          Where these come from
        </Link>
      </p>
    </Section>
  );
}

function sayWater({ need, capacity, lacks }: SuppliesAhead["water"], units: Units) {
  if (need === 0) return "say how long the longest dry stretch is, and it is sized";
  const litres = (value: number) => sayAmount(value, "L", units);
  return (
    <>
      {litres(need)} for the longest dry stretch
      {lacks > 0 && (
        <span className="font-semibold text-sting">
          : {litres(lacks)} more than the {litres(capacity)} that this list can carry
        </span>
      )}
    </>
  );
}

/** What the bank holds of the power that the days take. */
const sayBank = ({ bank, holds, is }: BankAhead, units: Units): string =>
  ({
    less: `: more than ${bank.name} holds (${sayAmount(holds, "Wh", units)})`,
    enough: `: ${bank.name} holds enough`,
    "more than twice": `: ${bank.name} holds more than twice that`,
  })[is];
