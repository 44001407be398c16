import Link from "next/link";
import type { Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import { sayAmount } from "@/core/say/supplies";
import type { FullItem } from "@/core/trade/full-item";
import { count, sayMass, type Units } from "@/core/units/speak";
import { cansFor, cansOf, ENOUGH, supplyUses } from "@/core/weighin/supplies";
import { Section } from "@/ui/page/section";

interface HowMuchProps {
  readonly plan: Plan;
  readonly trip: Trip | null;
  readonly units: Units;
}

/** Fuel, food, power and water by the owner's own rates, enough nine times in ten. */
export function HowMuch({ plan: { kit, next }, trip, units }: HowMuchProps) {
  const { book } = kit;
  const uses = supplyUses(book);
  /** Enough of a sort for a length, by the rate that is told in `unit` over `over`. */
  const enough = (sort: string, over: string, unit: string, length: number) => {
    const use = uses.find(({ rule }) => rule.sort === sort && rule.over === over && rule.unit === unit);
    return (use?.rate.enoughFor(ENOUGH) ?? 0) * length;
  };
  const gas = enough("fuel", "night", "g", next.nights);
  const cans = cansFor(gas, cansOf(book.items));
  const stretch = Math.min(next.days, trip?.foreseen.resupply ?? next.days);
  const food = enough("food", "day", "g", stretch);
  const power = enough("power", "day", "Wh", next.days);
  const dry = (trip?.foreseen.dry?.m ?? 0) / 1000;
  const asked = new URLSearchParams({ nights: String(Math.round(next.nights)) });
  return (
    <Section title="How much">
      <p className="hint">Enough on nine trips in ten, by your own use where your trips tell it.</p>
      <dl className="grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1">
        {next.nights > 0 && (
          <>
            <dt className="text-muted">gas</dt>
            <dd>
              {sayAmount(gas, "g", units)}
              {cans &&
                `: ${cans.map(({ name, left }) => `${name}, ${sayMass(left, units)} in it`).join("; ")}`}
            </dd>
          </>
        )}
        <dt className="text-muted">food</dt>
        <dd>
          {sayAmount(food, "g", units)}
          {stretch < next.days && `, from shop to shop (${count(stretch, "day")})`}
        </dd>
        <dt className="text-muted">power</dt>
        <dd>
          {sayAmount(power, "Wh", units)}
          {sayBank(book.items, power, units)}
        </dd>
        <dt className="text-muted">water</dt>
        <dd>
          {dry > 0
            ? `${sayAmount(enough("water", "km", "L", dry), "L", units)} for the longest dry stretch`
            : "say how long the longest dry stretch is, and it is sized"}
        </dd>
      </dl>
      <p className="no-print mt-1">
        <Link prefetch={false} href={`/trips/supplies?${asked}`} className="link">
          Where these come from
        </Link>
      </p>
    </Section>
  );
}

/** What the bank holds of the power, in Wh, that the days take. */
function sayBank(items: readonly FullItem[], power: number, units: Units): string {
  const bank = items.find(
    ({ kind, state, ratings }) => kind === "power bank" && state === "active" && ratings.wattHours,
  );
  const holds = bank?.ratings.wattHours;
  if (!bank || !holds) return "";
  if (holds < power) return `: more than ${bank.name} holds (${sayAmount(holds, "Wh", units)})`;
  return holds > 2 * power ? `: ${bank.name} holds more than twice that` : `: ${bank.name} holds enough`;
}
