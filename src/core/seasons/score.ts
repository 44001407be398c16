import { openBook } from "../ledger/book";
import { gaveOut } from "../ledger/followed";
import type { Advised, Foretold, ItemId, Log, Trip } from "../model";
import { groupBy } from "../sums/group";
import { cameOf, foretoldOf, type Told } from "./foretold";
import { truthsOf, type Truth } from "./truth";
import { leavesForGood } from "../advice/advise";
import { planFor } from "../plan/plan";
import type { FullItem } from "../trade/full-item";
import { inPlain } from "../trade/words/names";
import { VERBS } from "../trade/verbs";
import { keysOf } from "../sums/keys";

interface Counts {
  /** Flagged as not to go out as it is, taken all the same: how many, and of these how many failed or were damaged. */
  flagged: number;
  flaggedFailed: number;
  /** Not flagged, and failed. */
  unflagged: number;
  unflaggedFailed: number;
  /** Told to leave and taken all the same: how many, and of these how many were used. */
  leftTaken: number;
  leftUsed: number;
  /** Told to leave and left: how many, and of these how many were missed. */
  left: number;
  leftMissed: number;
}

const NOTHING: Counts = {
  flagged: 0,
  flaggedFailed: 0,
  unflagged: 0,
  unflaggedFailed: 0,
  leftTaken: 0,
  leftUsed: 0,
  left: 0,
  leftMissed: 0,
};

/** How what was said before each trip came out on it. */
export interface Score extends Counts {
  /** Trips that it is reckoned over, and for how many of them what was said then is kept. */
  readonly trips: number;
  readonly asSaid: number;
  /** By sort: the chances that were told, and what came. */
  readonly truths: readonly Truth[];
}

/** The trips that the score looks back on: each is judged anew as it was on its first day. */
const LOOKED_BACK = 12;

/** The log as it was on the morning of a trip: what came later unsaid, and the trip itself only planned. */
function asOf(log: Log, trip: Trip): Log {
  const day = trip.starts;
  return {
    ...log,
    items: log.items
      .filter(({ acquired, state }) => state !== "wished" && (acquired === null || acquired <= day))
      .map((item) =>
        item.state !== "active" && (item.since ?? "") >= day
          ? { ...item, state: "active", since: null }
          : item,
      ),
    trips: [
      ...log.trips.filter(({ id, ends, planned }) => id !== trip.id && !planned && ends < day),
      {
        ...trip,
        planned: true,
        carries: trip.carries.map((carry) => ({ ...carry, mark: null })),
        missed: [],
        felt: [],
        lines: [],
      },
    ],
    entries: log.entries.filter(({ on }) => on < day),
    rulings: log.rulings.filter(({ on }) => on < day),
  };
}

/** What was said on the morning of one trip, against what happened on it. */
export interface LookBack {
  /** It is what was said then; false: nobody kept it, and it is judged anew. */
  readonly isAsSaid: boolean;
  readonly told: readonly Told[];
  readonly counts: Counts;
}

/** What was said of one thing before a trip. */
interface Spoken {
  readonly item: ItemId;
  readonly name: string;
  /** Not to go out as it is. */
  readonly isFlagged: boolean;
  /** To be left at home for good. */
  readonly isLeft: boolean;
  /** It might have been packed. */
  readonly isThere: boolean;
  readonly givesOut: number | null;
}

/** The last trips, to be looked back on one by one: not the first, before which nothing was known. */
export const lookedBackOn = ({ trips }: Pick<Log, "trips">, today: string): Trip[] =>
  trips
    .filter(
      ({ planned, starts, carries }) =>
        !planned && starts <= today && carries.some(({ mark }) => mark !== null),
    )
    .toSorted((a, b) => (a.starts < b.starts ? -1 : 1))
    .slice(1)
    .slice(-LOOKED_BACK);

/** What was said before a trip and is kept with it, by thing. */
function keptOf(log: Log, said: readonly Advised[]): Spoken[] {
  const names = new Map(log.items.map(({ id, name }) => [id, name]));
  return [...groupBy(said, ({ item }) => item)].map(([item, all]) => ({
    item,
    name: names.get(item) ?? "",
    isFlagged: all.some(({ verb, urgency }) => VERBS[verb].warns && urgency !== "watch"),
    isLeft: all.some(({ leave }) => leave),
    isThere: true,
    givesOut: all[0]?.givesOut ?? null,
  }));
}

/** What the engine of today would have said and foreseen on the morning of a trip. */
function judgedAnew(log: Log, trip: Trip): { readonly spoken: Spoken[]; readonly foretold: Foretold } {
  const before = asOf(log, trip);
  const plan = planFor(
    openBook(before, trip.starts),
    before.trips.find(({ id }) => id === trip.id)!,
  );
  const spoken = plan.kit.things.map((advice) => {
    const { case: one, asks } = advice;
    return {
      item: one.item.id,
      name: one.item.name,
      isFlagged: asks.some(({ verb, urgency }) => VERBS[verb].warns && urgency !== "watch"),
      isLeft: leavesForGood(advice),
      isThere: one.standing === "active",
      givesOut: one.left && one.left.nextTrip > 0 ? one.left.givesOut : null,
    };
  });
  // Where nobody foresaw the coldest night, the one that came stands for it.
  const lows = trip.felt.flatMap(({ low, roof }) => (low !== null && !roof ? [low] : []));
  const low = trip.foreseen.low ?? (lows.length > 0 ? Math.min(...lows) : null);
  return { spoken, foretold: foretoldOf(plan, trip, low) };
}

/**
 * What was said before a trip, as it is kept or, for older trips, judged as it was on that morning, set against
 * what happened.
 */
export function lookBack(log: Log, trip: Trip, itemOf: (id: ItemId) => FullItem | undefined): LookBack {
  const counts = { ...NOTHING };
  const marks = new Map(trip.carries.flatMap(({ item, mark }) => (mark ? [[item, mark] as const] : [])));
  const missed = new Set(trip.missed.map(({ what }) => inPlain(what)));
  const { advised } = trip;
  const anew = advised?.foretold ? null : judgedAnew(log, trip);
  const spoken = advised ? keptOf(log, advised.said) : anew!.spoken;
  const foretold = advised?.foretold ?? anew!.foretold;
  for (const { item, name, isFlagged, isLeft, isThere } of spoken) {
    const mark = marks.get(item);
    if (mark) {
      const went = Number(mark.troubles.some((trouble) => trouble !== "nuisance") || gaveOut(mark));
      counts[isFlagged ? "flagged" : "unflagged"] += 1;
      counts[isFlagged ? "flaggedFailed" : "unflaggedFailed"] += went;
      if (isLeft) {
        counts.leftTaken += 1;
        counts.leftUsed += Number(mark.use === "used");
      }
    } else if (isLeft && isThere) {
      counts.left += 1;
      counts.leftMissed += Number(missed.has(inPlain(name)));
    }
  }
  const givesOut = new Map(
    spoken.flatMap(({ item, givesOut: chance }) => (chance === null ? [] : [[item, chance] as const])),
  );
  return { isAsSaid: advised !== null, told: cameOf(trip, foretold, givesOut, itemOf), counts };
}

/** The engine's own score, over the trips that were looked back on. */
export function scoreOf(looks: readonly LookBack[]): Score {
  const sum = { ...NOTHING };
  for (const { counts } of looks) for (const each of keysOf(NOTHING)) sum[each] += counts[each];
  const asSaid = looks.filter(({ isAsSaid }) => isAsSaid).length;
  return { trips: looks.length, asSaid, truths: truthsOf(looks.flatMap(({ told }) => told)), ...sum };
}
