import type { FullItem } from "../trade/full-item";
import { burns } from "../trade/supplies";
import type { SupplySort } from "../model";
import { cansFor, cansOf, type Can, type SupplyUse } from "./supplies";

/** The trip that is sized for: nights, days, the days from shop to shop, and the longest dry stretch in km. */
export interface Stretch {
  readonly nights: number;
  readonly days: number;
  readonly shopDays: number;
  readonly dryKm: number;
}

/** A bank against what the days take. */
export interface BankAhead {
  readonly bank: FullItem;
  /** In Wh, as it is rated. */
  readonly holds: number;
  /** Days that it lasts, as surely as is asked. */
  readonly days: number;
  readonly is: "less" | "enough" | "more than twice";
}

/** What of each supply a trip wants, at a margin; null where nothing on the list asks for it. */
export interface SuppliesAhead {
  readonly gas: { readonly grams: number; readonly cans: readonly Can[] | null } | null;
  /** In litres. */
  readonly spirit: number | null;
  readonly foodGrams: number;
  readonly powerWh: number;
  readonly banks: readonly BankAhead[];
  /** In litres: of the dry stretch, what holds water, and by how much it falls short. */
  readonly water: {
    readonly need: number;
    readonly capacity: number;
    readonly vessels: readonly FullItem[];
    readonly lacks: number;
  };
}

/** What holds water and says how much. */
export const vesselsIn = (list: readonly FullItem[]): FullItem[] =>
  list.filter(({ jobs, ratings: { litres } }) => jobs.includes("carry water") && (litres ?? 0) > 0);

/**
 * What a list wants of fuel, food, power and water for a trip: what every page says of them.
 *
 * @param list what goes along
 * @param margin share, 0 to 1, of trips that it should be enough on
 */
export function suppliesAhead(
  uses: readonly SupplyUse[],
  list: readonly FullItem[],
  { nights, days, shopDays, dryKm }: Stretch,
  margin: number,
): SuppliesAhead {
  const enough = (sort: SupplySort, over: string, unit: string, length: number) => {
    const use = uses.find(({ rule }) => rule.sort === sort && rule.over === over && rule.unit === unit);
    return (use?.rate.enoughFor(margin) ?? 0) * length;
  };
  const fuels = new Set(list.filter(({ kind }) => kind === "stove").map(({ name }) => burns(name)));
  const gas = enough("fuel", "night", "g", nights);
  const powerWh = enough("power", "day", "Wh", days);
  const vessels = vesselsIn(list);
  const capacity = vessels.reduce((sum, { ratings }) => sum + (ratings.litres ?? 0), 0);
  const need = enough("water", "km", "L", dryKm);
  return {
    gas: fuels.has("gas") && nights > 0 ? { grams: gas, cans: cansFor(gas, cansOf(list)) } : null,
    spirit: fuels.has("spirit") && nights > 0 ? enough("fuel", "night", "L", nights) : null,
    foodGrams: enough("food", "day", "g", shopDays),
    powerWh,
    banks: list.flatMap((bank) => {
      const holds = bank.ratings.wattHours;
      if (bank.kind !== "power bank" || !holds) return [];
      const perDay = powerWh / Math.max(1, days);
      const is = holds < powerWh ? "less" : holds > 2 * powerWh ? "more than twice" : "enough";
      return [{ bank, holds, days: perDay > 0 ? holds / perDay : Infinity, is } as const];
    }),
    water: { need, capacity, vessels, lacks: capacity > 0 ? Math.max(0, need - capacity) : 0 },
  };
}
