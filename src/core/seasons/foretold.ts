import { isAlong } from "../plan/columns";
import { gaveOut } from "../ledger/followed";
import { tellsOfBed } from "../ledger/nights";
import { outingOf } from "../ledger/outing";
import type { Foretold, ItemId, Trip } from "../model";
import type { Plan } from "../plan/plan";
import { plannedSupplies } from "../plan/supplies";
import type { FullItem } from "../trade/full-item";
import { isShoe } from "../trade/words/troubles";
import { sleepOf, warmestWith } from "../weighin/sleep";
import { ENOUGH, supplyUses } from "../weighin/supplies";

/** What chances are told of. */
export const FORETOLD = ["used", "gives out", "shoes", "cold night", "gas"] as const;
export type ForetoldSort = (typeof FORETOLD)[number];

/** A chance that was told before a walk, and whether it came. */
export interface Told {
  readonly sort: ForetoldSort;
  /** 0 to 1. */
  readonly chance: number;
  readonly came: boolean;
  /** The first day of the walk. */
  readonly on: string;
}

/** Chances are kept to a thousandth. */
const rounded = (chance: number) => Math.round(chance * 1000) / 1000;

/**
 * What is foreseen of a trip by its plan: how likely each thing is used, a night too cold for the bed that goes, what
 * it takes of gas.
 *
 * @param low the coldest night expected, °C; null where nobody says
 */
export function foretoldOf(plan: Plan, trip: Trip, low: number | null): Foretold {
  const { book } = plan.kit;
  const along = plan.lines.filter(({ column }) => isAlong(column));
  const way = warmestWith(new Set(along.map(({ item }) => item.id)), sleepOf(book));
  const most = plannedSupplies(plan, trip).ahead.gas;
  const likely = plannedSupplies(plan, trip, 0.5).ahead.gas;
  return {
    used: Object.fromEntries(plan.lines.map(({ item, chance }) => [item.id, rounded(chance)])),
    cold:
      way && low !== null && plan.next.nights > 0 ? { low, chance: rounded(way.comfort.coldAt(low)) } : null,
    gas: most && likely ? { likely: Math.round(likely.grams), most: Math.round(most.grams) } : null,
  };
}

/** Nights out of a walk that tell of the bed. */
export const sleptOut = ({ felt }: Pick<Trip, "felt">) =>
  felt.filter((night) => night.felt !== null && tellsOfBed(night));

/** Grams of gas that a walk took; undefined where nobody told. */
export const gasBurnt = (trip: Trip): number | undefined =>
  supplyUses({ outings: [outingOf(trip)] }).find(
    ({ rule, taken }) =>
      rule.sort === "fuel" && rule.unit === "g" && rule.over === "night" && taken.length > 0,
  )?.taken[0]?.used;

/** What was foreseen of a walk, against what came; only what its debrief tells of. */
export function cameOf(
  trip: Trip,
  { used, cold, gas }: Foretold,
  givesOut: ReadonlyMap<ItemId, number>,
  itemOf: (id: ItemId) => FullItem | undefined,
): Told[] {
  const on = trip.starts;
  const marks = trip.carries.flatMap(({ item, mark }) => (mark ? [{ item, mark }] : []));
  const of = (sort: ForetoldSort, chance: number | undefined, came: boolean): Told[] =>
    chance === undefined ? [] : [{ sort, chance, came, on }];
  const slept = sleptOut(trip);
  const burnt = gasBurnt(trip);
  return [
    ...marks.flatMap(({ item: id, mark }) => {
      const item = itemOf(id);
      return [
        ...of("used", used[id], mark.use !== "unused"),
        ...of(item && isShoe(item) ? "shoes" : "gives out", givesOut.get(id), gaveOut(mark)),
      ];
    }),
    ...(slept.length > 0
      ? of(
          "cold night",
          cold?.chance,
          slept.some(({ felt }) => felt === "cold"),
        )
      : []),
    ...(gas && burnt !== undefined
      ? [...of("gas", 0.5, burnt <= gas.likely), ...of("gas", ENOUGH, burnt <= gas.most)]
      : []),
  ];
}
