import type { FullItem } from "../kinds";
import type { Marked, Outing } from "../ledger/book";
import type { TripId, Trigger, Use } from "../model";
import type { UseChance } from "./use-chance";

/** `hardly` counts a quarter of a use. Common practice, no source. */
const USE_WEIGHT: Readonly<Record<Use, number>> = { used: 1, hardly: 0.25, unused: 0 };

/** Chances split by whether the trip called for the item, with the trips they come from. */
export interface UseEvidence {
  readonly called: UseChance;
  readonly uncalled: UseChance;
  readonly calledTrips: readonly TripId[];
  readonly calledUsed: readonly TripId[];
  readonly calledUnused: readonly TripId[];
  readonly uncalledTrips: readonly TripId[];
  readonly uncalledUsed: readonly TripId[];
  /** Left at home, and missed: as good as used when called for. */
  readonly missed: readonly TripId[];
}

/**
 * Chances that a trip gave an item to be used, 0.5 to 5: one, and one more for each full week out, at most five;
 * halved if the trip was cut short. Only the part that it was carried for counts.
 */
function chancesOn(outing: Outing, part = 1): number {
  const chances = Math.min(5, 1 + Math.floor((outing.days * part) / 7));
  return outing.trip.cut ? chances / 2 : chances;
}

/** Did the trip call for the item: was one of its triggers there, or is it always wanted? */
export const callsFor = (outing: Outing, triggers: readonly Trigger[]) =>
  triggers.some((trigger) => outing.calls.has(trigger));

/**
 * @param all the outings that the item was marked on, oldest first
 * @param missed those that it was left at home on and missed
 */
export function evidenceOfUse(
  all: readonly Marked[],
  item: FullItem,
  missed: readonly Outing[],
): UseEvidence {
  const called = new Tally();
  const uncalled = new Tally();
  for (const one of all) {
    const beside = chancesBeside(one);
    (wasCalled(one, item) ? called : uncalled).add(one, chancesOn(one.outing, one.part) - beside);
    uncalled.misses += beside;
  }
  for (const outing of missed) called.uses += chancesOn(outing);
  return {
    called: { uses: called.uses, misses: called.misses },
    uncalled: { uses: uncalled.uses, misses: uncalled.misses },
    calledTrips: called.trips,
    calledUsed: called.used,
    calledUnused: called.unused,
    uncalledTrips: uncalled.trips,
    uncalledUsed: uncalled.used,
    missed: missed.map(({ trip }) => trip.id),
  };
}

/** Chances and trips of one sort, added up as they come. */
class Tally {
  uses = 0;
  misses = 0;
  readonly trips: TripId[] = [];
  readonly used: TripId[] = [];
  readonly unused: TripId[] = [];

  add({ outing: { trip }, mark: { use } }: Marked, chances: number): void {
    this.uses += chances * USE_WEIGHT[use];
    this.misses += chances * (1 - USE_WEIGHT[use]);
    this.trips.push(trip.id);
    (use === "unused" ? this.unused : this.used).push(trip.id);
  }
}

/** What every night out, or every trip, brings by itself: "no call for it" is no excuse there. */
export const UNAVOIDABLE: readonly Trigger[] = ["always", "darkness", "camp time"];

/** The owner was there: of the weather, "no call for it" stands over what was recorded. */
export function wasCalled({ outing, mark }: Marked, item: FullItem): boolean {
  if (mark.use === "unused" && mark.why === "trip cut short") return false;
  const excused = mark.use === "unused" && mark.why === "no call for it";
  return callsFor(
    outing,
    excused ? item.triggers.filter((trigger) => UNAVOIDABLE.includes(trigger)) : item.triggers,
  );
}

/** On a long trip with a thing known to be used on a few days: the chances of the weeks that it was not wanted in. */
function chancesBeside({ outing, part, mark }: Marked): number {
  if (mark.use === "unused" || mark.days === null) return 0;
  const chances = chancesOn(outing, part);
  return Math.max(0, chances - Math.max(1, Math.ceil(mark.days / 7)));
}
