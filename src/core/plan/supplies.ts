import { isAlong } from "./columns";
import type { Trip } from "../model";
import { ENOUGH, supplyUses } from "../weighin/supplies";
import { suppliesAhead, type SuppliesAhead } from "../weighin/supplies-ahead";
import type { Plan } from "./plan";

/** Supplies of a planned trip, for what its list takes along. */
interface PlannedSupplies {
  readonly ahead: SuppliesAhead;
  readonly shopDays: number;
  /** Grams of food and of the water of the dry stretch, which go on top of the list's own. */
  readonly foodGrams: number;
  readonly waterGrams: number;
}

const GRAMS_PER_LITRE = 1000;

/**
 * From the start of each leg, the days until food is bought again: at the end of the next leg with a shop, or, where no
 * leg is said to have one, every so many days; no longer than the walk goes on.
 */
export function daysToShop({ next }: Pick<Plan, "next">, trip: Trip): number[] {
  const starts: number[] = [];
  let gone = 0;
  for (const { share } of next.stretches) {
    starts.push(gone);
    gone += share * next.days;
  }
  const shops = trip.legs.flatMap(({ offers }, n) =>
    (offers.shops ?? "none") === "none" ? [] : [starts[n + 1] ?? next.days],
  );
  const every = trip.foreseen.resupply ?? next.days;
  return starts.map((day) => {
    const to = shops.length
      ? (shops.find((shop) => shop > day + HALF_A_DAY) ?? next.days) - day
      : every - (day % every);
    return Math.min(to, next.days - day);
  });
}
const HALF_A_DAY = 0.5;

/** @param margin share, 0 to 1, of trips that they should be enough on */
export function plannedSupplies(
  { kit: { book }, next, lines }: Plan,
  trip: Trip | null,
  margin = ENOUGH,
): PlannedSupplies {
  const list = lines.filter(({ column }) => isAlong(column)).map(({ item }) => item);
  const shopDays = trip ? Math.max(0, ...daysToShop({ next }, trip)) || next.days : next.days;
  const dryKm = (trip?.foreseen.dry?.m ?? 0) / 1000;
  const ahead = suppliesAhead(
    supplyUses(book),
    list,
    { nights: next.nights, days: next.days, shopDays, dryKm },
    margin,
  );
  return { ahead, shopDays, foodGrams: ahead.foodGrams, waterGrams: ahead.water.need * GRAMS_PER_LITRE };
}
