import jstat from "jstat";
import { nth } from "../sums/there";
import { openBook } from "../ledger/book";
import { gaveOut } from "../ledger/followed";
import type { Advised, ItemId, Log, Trip } from "../model";
import { groupBy } from "../sums/group";
import { leavesForGood } from "../advice/advise";
import { kitOf } from "../advice/kit";
import { inPlain } from "../trade/words/names";
import { VERBS } from "../trade/verbs";

/** A chance that was said, and whether it happened. */
interface Said {
  readonly chance: number;
  readonly happened: boolean;
}

/** Chances said between two bounds: how high on average, how many, and how often it happened. */
interface Bin {
  readonly from: number;
  readonly to: number;
  readonly said: number;
  readonly times: number;
  readonly happened: number;
}

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
  /** That a thing gives out on the trip, by the chance said. */
  readonly givesOut: readonly Bin[];
}

/** The trips that the score looks back on: each is judged anew as it was on its first day. */
const LOOKED_BACK = 12;
const BOUNDS = [0, 0.02, 0.1, 0.3, 1] as const;

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
  readonly said: readonly Said[];
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

/** What the engine of today would have said on the morning of a trip. */
const judgedAnew = (log: Log, trip: Trip): Spoken[] =>
  kitOf(openBook(asOf(log, trip), trip.starts)).things.map((advice) => {
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

/**
 * What was said before a trip, as it is kept or, for older trips, judged as it was on that morning, set against
 * what happened.
 */
export function lookBack(log: Log, trip: Trip): LookBack {
  const said: Said[] = [];
  const counts = { ...NOTHING };
  const marks = new Map(trip.carries.flatMap(({ item, mark }) => (mark ? [[item, mark] as const] : [])));
  const missed = new Set(trip.missed.map(({ what }) => inPlain(what)));
  const spoken = trip.advised ? keptOf(log, trip.advised.said) : judgedAnew(log, trip);
  for (const { item, name, isFlagged, isLeft, isThere, givesOut } of spoken) {
    const mark = marks.get(item);
    if (mark) {
      if (givesOut !== null) said.push({ chance: givesOut, happened: gaveOut(mark) });
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
  return { isAsSaid: trip.advised !== null, said, counts };
}

/** The engine's own score, over the trips that were looked back on. */
export function scoreOf(looks: readonly LookBack[]): Score {
  const sum = { ...NOTHING };
  for (const { counts } of looks)
    for (const each of Object.keys(NOTHING) as (keyof Counts)[]) sum[each] += counts[each];
  const asSaid = looks.filter(({ isAsSaid }) => isAsSaid).length;
  return { trips: looks.length, asSaid, givesOut: binned(looks.flatMap(({ said }) => said)), ...sum };
}

function binned(said: readonly Said[]): Bin[] {
  return BOUNDS.slice(1).flatMap((to, n): Bin[] => {
    const from = nth(BOUNDS, n);
    const these = said.filter(({ chance }) => chance >= from && (chance < to || to === 1));
    if (these.length === 0) return [];
    return [
      {
        from,
        to,
        times: these.length,
        said: these.reduce((sum, { chance }) => sum + chance, 0) / these.length,
        happened: these.filter(({ happened }) => happened).length,
      },
    ];
  });
}

/**
 * Where a share lies four times in five, having happened so often: the 80 % interval of a beta posterior on
 * Jeffreys' prior (Brown, Cai and DasGupta, Statistical Science 16:101, 2001; from memory).
 *
 * @example shareBetween(0, 0) // wide open
 */
export const shareBetween = (happened: number, of: number): readonly [low: number, high: number] => {
  const [a, b] = [happened + 0.5, of - happened + 0.5];
  return [happened === 0 ? 0 : jstat.beta.inv(0.1, a, b), happened === of ? 1 : jstat.beta.inv(0.9, a, b)];
};
