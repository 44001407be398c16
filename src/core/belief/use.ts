import type { Marked } from "../ledger/book";
import { saysNothing, wasCalled } from "../ledger/called";
import type { Outing } from "../ledger/outing";
import type { TripId, Use } from "../model";
import type { FullItem } from "../trade/full-item";
import { RANK } from "../trade/jobs";
import type { UseChance } from "./use-chance";

/** `hardly` counts a quarter of a use. Common practice, no source. */
const USE_WEIGHT: Readonly<Record<Use, number>> = { used: 1, hardly: 0.25, unused: 0 };

/** Chances split by whether the trip called for the item, with the trips they come from. */
export interface UseEvidence {
  /** Faded, pooled and with the kind's prior: what is believed of the next chance. */
  readonly called: UseChance;
  readonly uncalled: UseChance;
  /** As they were counted, nothing faded or supposed: unused chances, called for and not. */
  readonly refused: number;
  readonly idle: number;
  /** Used chances as they were counted, called for and not. */
  readonly taken: number;
  readonly calledTrips: readonly TripId[];
  readonly calledUsed: readonly TripId[];
  readonly calledUnused: readonly TripId[];
  readonly uncalledTrips: readonly TripId[];
  readonly uncalledUsed: readonly TripId[];
  /** Left at home, or sent away, and missed: as good as used when called for. */
  readonly missed: readonly TripId[];
}

const MOST_CHANCES = 5;

/**
 * Chances that so many days out gave, 1 to 5: one, and one more for each full week, drawn as the straight
 * line through the middles of those steps, so that a day more is never worth a chance more.
 */
export const chancesIn = (days: number) => Math.min(MOST_CHANCES, 1 + Math.max(0, days - 3.5) / 7);

/** Chances that a trip gave an item; halved if it was cut short. Only the part that it was carried for counts. */
export function chancesOn(outing: Outing, part = 1): number {
  const chances = chancesIn(outing.days * part);
  return outing.trip.cut ? chances / 2 : chances;
}

/**
 * The weeks of one trip are alike: this much of what one of them says, the others say again. Common practice,
 * no source.
 */
const LIKENESS = 0.15;
/** What the chances of one trip are worth, were each a trip of its own: the design effect of a cluster sample. */
const countFor = (chances: number) => (chances <= 1 ? chances : chances / (1 + (chances - 1) * LIKENESS));

/**
 * The last trips count in full, and older ones half for each so many more, whatever the later ones say: a
 * thing used ten times and then unused on twenty trips is let go of, and one used on every fifth trip is
 * believed to be. Common practice, no source.
 */
const FRESH_TRIPS = 6;
const HALVED_BY = 12;
/** What something counts after so many trips, 0 to 1. */
export const fadeAfter = (trips: number) => 0.5 ** (Math.max(0, trips - FRESH_TRIPS + 1) / HALVED_BY);

/** What owners do with other things of the job, as uses and misses of its own, at most one chance in all. */
export interface Pool {
  readonly uses: number;
  readonly misses: number;
}
const NOBODY: Pool = { uses: 0, misses: 0 };

/**
 * @param all the outings that the item was marked on, oldest first
 * @param missed those that it was left at home on, or sent away on, and missed
 * @param like what the owner's other things for the same job say, at most one chance
 */
export function evidenceOfUse(
  all: readonly Marked[],
  item: FullItem,
  missed: readonly Outing[],
  like: Pool = NOBODY,
): UseEvidence {
  const called = new Tally(priorUses(item) + like.uses, like.misses);
  const uncalled = new Tally(0, 0);
  let [refused, idle] = [0, 0];
  // Every trip that says something of it, marked or missed, ages those before it.
  const told = [...all.filter((one) => !saysNothing(one)).map(({ outing }) => outing), ...missed].map(
    ({ n }) => n,
  );
  const fadeOn = ({ n }: Outing) => fadeAfter(told.filter((later) => later > n).length);
  for (const one of all) {
    // Forgotten, or its time never came: that says nothing either way.
    if (saysNothing(one)) continue;
    const fade = fadeOn(one.outing);
    const chances = chancesOn(one.outing, one.part);
    const beside = chancesBeside(one, chances);
    const was = wasCalled(one, item);
    (was ? called : uncalled).add(one, chances - beside, fade);
    uncalled.misses += beside * fade;
    idle += beside;
    if (one.mark.use === "unused") {
      if (was) refused += chances;
      else idle += chances;
    }
  }
  for (const outing of missed) called.uses += countFor(chancesOn(outing)) * fadeOn(outing);
  const wanted = missed.reduce((sum, outing) => sum + chancesOn(outing), 0);
  return {
    called: { uses: called.uses, misses: called.misses },
    uncalled: { uses: uncalled.uses, misses: uncalled.misses },
    refused,
    idle,
    taken: called.taken + uncalled.taken + wanted,
    calledTrips: called.trips,
    calledUsed: called.used,
    calledUnused: called.unused,
    uncalledTrips: uncalled.trips,
    uncalledUsed: uncalled.used,
    missed: missed.map(({ trip }) => trip.id),
  };
}

/**
 * What a kind is believed to be before anything is known: what is worn or needed is used, of a comfort nobody
 * can say.
 */
const priorUses = ({ load, consequence, cover }: FullItem) =>
  !cover && (load === "worn" || RANK[consequence] >= RANK["trip-ending"]) ? 1 : 0;

/** Chances and trips of one sort, added up as they come. */
class Tally {
  taken = 0;
  readonly trips: TripId[] = [];
  readonly used: TripId[] = [];
  readonly unused: TripId[] = [];

  constructor(
    public uses: number,
    public misses: number,
  ) {}

  add({ outing: { trip }, mark: { use } }: Marked, chances: number, fade: number): void {
    const worth = countFor(chances) * fade;
    this.uses += worth * USE_WEIGHT[use];
    this.misses += worth * (1 - USE_WEIGHT[use]);
    this.taken += chances * USE_WEIGHT[use];
    this.trips.push(trip.id);
    (use === "unused" ? this.unused : this.used).push(trip.id);
  }
}

/** What all things for a job say of one of them: the others' uses and misses, shrunk to one chance at most. */
export function poolFor(all: Pool, own: Pool): Pool {
  const [uses, misses] = [Math.max(0, all.uses - own.uses), Math.max(0, all.misses - own.misses)];
  const sum = uses + misses;
  return sum <= 1 ? { uses, misses } : { uses: uses / sum, misses: misses / sum };
}

/** On a long trip with a thing known to be used on a few days: the chances of the weeks that it was not wanted in. */
function chancesBeside({ mark }: Marked, chances: number): number {
  return mark.use === "unused" || mark.days === null ? 0 : Math.max(0, chances - chancesIn(mark.days));
}
