import { rateOf, type Rate } from "../belief/rates";
import type { Book } from "../ledger/book";
import type { Outing } from "../ledger/outing";
import type { ItemId, Supply, SupplySort } from "../model";
import type { FullItem } from "../trade/full-item";
import {
  LEAST_GAS_PER_LITRE,
  sortOf,
  SUPPLY_RULES,
  USUAL_OVER,
  type RateOver,
  type SupplyRule,
} from "../trade/supplies";
import { inBaseUnit } from "../units/quantity";

/** What one trip took of a supply, in the unit of sums. */
export interface Taken {
  readonly outing: Outing;
  readonly out: number;
  readonly back: number;
  /** Of what came home, that which was meant as a reserve. */
  readonly reserve: number;
  readonly used: number;
  /** What it is reckoned by on that trip: its nights, days, kilometres, litres boiled; null where nobody told. */
  readonly over: number | null;
}

/** An owner's own use of a sort of supply, and the trips that tell of it. */
export interface SupplyUse {
  readonly rule: SupplyRule;
  readonly rate: Rate;
  /** Oldest first. */
  readonly taken: readonly Taken[];
}

/** How sure a trip is to have enough, where nothing else is chosen: nine times in ten. */
export const ENOUGH = 0.9;

const METRES_PER_KM = 1000;

function lengthOf(outing: Outing, over: RateOver): number | null {
  if (over === "night") return outing.nights;
  if (over === "day") return outing.days;
  if (over === "km") return outing.metres / METRES_PER_KM;
  return outing.trip.boiled;
}

/** What the owner uses of each sort of supply that the rules know; those never told of too, by their rule alone. */
export function supplyUses({ outings }: Pick<Book, "outings">): SupplyUse[] {
  return SUPPLY_RULES.map((rule) => {
    const taken = outings.flatMap((outing) => takenOn(outing, rule) ?? []);
    return {
      rule,
      taken,
      rate: rateOf(
        taken.flatMap(({ used, over }) => (over ? [{ used, over }] : [])),
        rule.typical,
        USUAL_OVER[rule.over],
      ),
    };
  });
}

/** All of a sort that went on one trip, in one unit; null where nothing was told of it. */
function takenOn(outing: Outing, { sort, unit, over }: SupplyRule): Taken | null {
  const told = outing.trip.supplies.filter(
    (supply) => sortOf(supply) === sort && inBaseUnit(1, supply.unit).unit === unit,
  );
  if (told.length === 0) return null;
  const sum = (of: (supply: Supply) => number) =>
    told.reduce((all, supply) => all + inBaseUnit(of(supply), supply.unit).value, 0);
  const out = sum((supply) => supply.out);
  const back = sum((supply) => supply.back);
  const reserve = sum((supply) => Math.min(supply.back, supply.reserve));
  return { outing, out, back, reserve, used: out - back, over: lengthOf(outing, over) };
}

/** Less gas than physics allows was told of for the water boiled: a reading is wrong. */
export const isBelowPhysics = ({ rule, taken }: SupplyUse): Taken[] =>
  rule.sort === "fuel" && rule.unit === "g" && rule.over === "L boiled"
    ? taken.filter(({ used, over }) => over !== null && over > 0 && used / over < LEAST_GAS_PER_LITRE)
    : [];

/** Supplies of a sort: every way that it is reckoned, the one with the most trips first. */
export const usesOf = (uses: readonly SupplyUse[], sort: SupplySort): SupplyUse[] =>
  uses.filter(({ rule }) => rule.sort === sort).toSorted((a, b) => b.rate.trips - a.rate.trips);

/** A canister on the shelf, by its weight. */
export interface Can {
  readonly item: ItemId;
  readonly name: string;
  /** Grams, gross. */
  readonly gross: number;
  /** Grams of gas in it now. */
  readonly left: number;
  /** It was heavier before. */
  readonly partUsed: boolean;
  /** The day that it was weighed; null: nobody told. */
  readonly weighed: string | null;
}

/** Scales differ by so much, in grams, before a canister counts as used from. Common practice, no source. */
const SAME_WEIGHT = 3;

/** Canisters in use whose empty weight is told; those lighter than it are named by {@link lighterThanEmpty}. */
export function cansOf(items: readonly FullItem[]): Can[] {
  return items.flatMap(({ id, name, kind, state, weight, weights, ratings: { empty } }) => {
    if (kind !== "fuel" || state !== "active" || !weight || !empty) return [];
    const heaviest = Math.max(...weights.map((each) => each.weight.g));
    return [
      {
        item: id,
        name,
        gross: weight.g,
        left: Math.max(0, weight.g - empty.g),
        partUsed: heaviest - weight.g > SAME_WEIGHT,
        weighed: weights.at(-1)?.on ?? null,
      },
    ];
  });
}

/** What a canister was out for since it was weighed: nights and litres boiled; all nothing where it stayed at home. */
export function sinceWeighed(
  { item, weighed }: Can,
  { carriedOf }: Pick<Book, "carriedOf">,
): { readonly nights: number; readonly boiled: number } {
  const since = carriedOf(item).filter(
    ({ mark, outing }) => mark?.use !== "unused" && outing.trip.ends > (weighed ?? ""),
  );
  return {
    nights: since.reduce((sum, { outing }) => sum + outing.nights, 0),
    boiled: since.reduce((sum, { outing }) => sum + (outing.trip.boiled ?? 0), 0),
  };
}

/** More canisters than are tried in every combination. */
const MOST_CANS = 14;

/**
 * Which canisters to take for so many grams of gas: those that need the fewest full ones opened, and of these
 * the lightest to carry. Null where all of them together hold too little.
 */
export function cansFor(grams: number, cans: readonly Can[]): Can[] | null {
  const tried = cans.filter(({ left }) => left > 0).slice(0, MOST_CANS);
  let best: { chosen: Can[]; fresh: number; gross: number } | null = null;
  for (let set = 1; set < 2 ** tried.length; set++) {
    const chosen = tried.filter((_, n) => set & (1 << n));
    if (chosen.reduce((sum, { left }) => sum + left, 0) < grams) continue;
    const fresh = chosen.filter(({ partUsed }) => !partUsed).length;
    const gross = chosen.reduce((sum, can) => sum + can.gross, 0);
    if (!best || fresh < best.fresh || (fresh === best.fresh && gross < best.gross))
      best = { chosen, fresh, gross };
  }
  return best?.chosen ?? null;
}
