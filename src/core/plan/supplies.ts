import type { Trip } from "../model";
import { ENOUGH, supplyUses } from "../weighin/supplies";
import { suppliesAhead, type SuppliesAhead } from "../weighin/supplies-ahead";
import type { Plan } from "./plan";

/** Supplies of a planned trip, for what its list takes along, enough nine times in ten. */
interface PlannedSupplies {
  readonly ahead: SuppliesAhead;
  readonly shopDays: number;
  /** Grams of food and of the water of the dry stretch, which go on top of the list's own. */
  readonly foodGrams: number;
  readonly waterGrams: number;
}

const GRAMS_PER_LITRE = 1000;

export function plannedSupplies({ kit: { book }, next, lines }: Plan, trip: Trip | null): PlannedSupplies {
  const list = lines
    .filter(({ column }) => column === "take" || column === "not ready")
    .map(({ item }) => item);
  const shopDays = Math.min(next.days, trip?.foreseen.resupply ?? next.days);
  const dryKm = (trip?.foreseen.dry?.m ?? 0) / 1000;
  const ahead = suppliesAhead(
    supplyUses(book),
    list,
    { nights: next.nights, days: next.days, shopDays, dryKm },
    ENOUGH,
  );
  return { ahead, shopDays, foodGrams: ahead.foodGrams, waterGrams: ahead.water.need * GRAMS_PER_LITRE };
}
