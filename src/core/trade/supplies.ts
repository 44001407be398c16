import type { Supply, SupplySort } from "../model";
import type { BaseAmount } from "../units/quantity";

/** What a sort of supply goes by. */
export type RateOver = "night" | "day" | "km" | "L boiled";

/** A usual trip, in each of these: its own happenings even out on a longer one. Common practice, no source. */
export const USUAL_OVER: Readonly<Record<RateOver, number>> = { night: 4, day: 5, km: 60, "L boiled": 6 };

/** How a sort of supply is used, where an owner's log says nothing yet. */
export interface SupplyRule {
  readonly sort: SupplySort;
  readonly unit: BaseAmount["unit"];
  readonly over: RateOver;
  /** In its unit, for each of `over`. */
  readonly typical: number;
}

/**
 * Rules of thumb; common practice, no source. Gas: a canister of 105 g boils about 8 L, and a camp with a hot
 * drink, a dinner and a breakfast boils about 2 L. Alcohol: 15 ml for 0.4 L. Water: 2 to 3 L are carried for
 * 19 km, and in the cool under 1 L is drunk of them. Power, as a bank is rated: a phone and a camera used
 * much empty 74 Wh in 4 to 5 days, used little 25 Wh.
 */
export const SUPPLY_RULES: readonly SupplyRule[] = [
  { sort: "fuel", unit: "g", over: "L boiled", typical: 13 },
  { sort: "fuel", unit: "g", over: "night", typical: 26 },
  { sort: "fuel", unit: "L", over: "night", typical: 0.075 },
  { sort: "fuel", unit: "L", over: "L boiled", typical: 0.0375 },
  { sort: "food", unit: "g", over: "day", typical: 700 },
  { sort: "breakfasts", unit: "", over: "night", typical: 1 },
  { sort: "dinners", unit: "", over: "night", typical: 1 },
  { sort: "meals", unit: "", over: "night", typical: 1 },
  { sort: "snacks", unit: "g", over: "day", typical: 150 },
  { sort: "snacks", unit: "", over: "day", typical: 4 },
  { sort: "water", unit: "L", over: "km", typical: 0.1 },
  { sort: "power", unit: "Wh", over: "day", typical: 9.5 },
];

/** Words that tell a sort, the narrower first. */
const WORDS: readonly (readonly [RegExp, SupplySort])[] = [
  [/\b(gas|fuel|canisters?|alcohol|spirit|meths|petrol|paraffin|fuel tablets?)\b/i, "fuel"],
  [/\b(snacks?|bars?|nuts|chocolate|trail mix|biscuits?)\b/i, "snacks"],
  [/\bbreakfasts?\b/i, "breakfasts"],
  [/\b(dinners?|suppers?)\b/i, "dinners"],
  [/\b(lunch(?:es)?|meals?)\b/i, "meals"],
  [/\b(water)\b/i, "water"],
  [/\b(power|charge|battery|batteries|bank|watt.?hours?)\b/i, "power"],
  [/\b(food|oats|rice|pasta|couscous|bread|cheese|lentils|potato|porridge|muesli)\b/i, "food"],
];

/** What a supply is sized by: as its owner says, else as its unit and name tell. */
export function sortOf({ sort, what, unit }: Pick<Supply, "sort" | "what" | "unit">): SupplySort {
  if (sort !== null) return sort;
  if (/^k?wh$/i.test(unit.trim())) return "power";
  return WORDS.find(([pattern]) => pattern.test(what))?.[1] ?? "other";
}

/**
 * Water from 10 °C to the boil, in J a litre: 4187 J/(kg·K), mean specific heat of water, × 90 K (CRC
 * Handbook of Chemistry and Physics; from memory).
 */
export const JOULES_TO_BOIL = 4187 * 90;
/**
 * Heat in a gram of butane and propane mixed, in J (lower heating value near 46 MJ/kg; handbook value, from
 * memory).
 */
const JOULES_PER_GRAM_GAS = 46_000;
/** No burner boils a litre from 10 °C on less gas than this, in grams. */
export const LEAST_GAS_PER_LITRE = JOULES_TO_BOIL / JOULES_PER_GRAM_GAS;

/** Room that a kilogram of food takes in a pack, in litres. Common practice, no source. */
export const FOOD_LITRES_PER_KG = 2;

/** Of what a bank is rated at, what reaches a phone. Common practice, no source. */
export const BANK_REACHES = 2 / 3;
/**
 * Water wanted in camp from evening to morning, in litres: dinner, a drink, breakfast, and a bottle to start
 * on. Common practice, no source.
 */
export const CAMP_WATER = 2;

/** What a stove burns, as its name tells; gas where it does not. */
export function burns(name: string): "gas" | "spirit" | "other" {
  if (/\b(spirit|alcohol|meths)\b/i.test(name)) return "spirit";
  return /\b(wood|twig|solid|tablet|petrol|liquid|paraffin|multi-?fuel)\b/i.test(name) ? "other" : "gas";
}
