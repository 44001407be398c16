import type { Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import { daysAfter, daysBetween } from "../sums/days";
import { medianOf } from "../sums/median";
import type { FullItem } from "../trade/full-item";

/** How long a thing goes on at its owner's pace. */
export interface HowLong {
  /** Trips like the owner's last ones. */
  readonly trips: number;
  /** The day that its median life ends at the owner's pace; null where the pace is not known yet. */
  readonly ends: string | null;
  /** The last day to order the next by; null where there is no hurry. */
  readonly orderBy: string | null;
}

/** What the pace is told by: the year before today, and no less than two months of it. */
const YEAR = 365;
const LEAST_DAYS = 60;
/** What is ordered takes so many days to come and to be worn in. Common practice, no source. */
const ORDERED_BEFORE = 21;
/** Further ahead nobody orders. */
const NO_HURRY = 2 * YEAR;
/** Further ahead than this nobody can say: in days, and in trips where no pace is known. */
const FORESEEABLE = 10 * YEAR;
const FORESEEABLE_TRIPS = 40;
/** A usual trip is told by the last so many. */
const LATELY = 5;

/** What does the same for its owner: what holds or held its slot, else what is of its kind. */
const holdersWith = ({ slot, kind }: FullItem, { things }: Kit): Advice[] =>
  things.filter(
    ({ case: { item } }) => item.owner === null && (slot === null ? item.kind === kind : item.slot === slot),
  );

/** Wear a day over the last year, of all that held its slot; null while too little is told. */
function paceOf(item: FullItem, kit: Kit): number | null {
  const { today } = kit.book;
  const steps = holdersWith(item, kit).flatMap(({ case: { totals } }) => totals.steps);
  const first = steps.map(({ on }) => on).sort()[0];
  if (!first) return null;
  const from = [daysAfter(today, -YEAR), first].sort()[1]!;
  const wear = steps
    .filter(({ on }) => on > from || (on === first && from === first))
    .reduce((sum, step) => sum + step.wear, 0);
  const days = daysBetween(from, today);
  return days >= LEAST_DAYS && wear > 0 ? wear / days : null;
}

/**
 * How many trips, and till when, a thing goes on; null where it has no life to count down, or one beyond
 * foreseeing.
 */
export function howLong({ left, case: { item, totals } }: Advice, kit: Kit): HowLong | null {
  if (!left || left.median <= 0) return null;
  const lately = totals.steps.filter(({ carried, wear }) => carried?.mark && wear > 0).slice(-LATELY);
  if (lately.length === 0) return null;
  const pace = paceOf(item, kit);
  const { today } = kit.book;
  const daysTo = (wear: number) => (pace ? Math.floor(wear / pace) : Infinity);
  // By the warm end: nine in ten are still good then.
  const order = daysTo(left.low) - ORDERED_BEFORE;
  const trips = Math.floor(left.median / medianOf(lately.map(({ wear }) => wear)));
  if (pace ? daysTo(left.median) > FORESEEABLE : trips > FORESEEABLE_TRIPS) return null;
  return {
    trips,
    ends: Number.isFinite(daysTo(left.median)) ? daysAfter(today, daysTo(left.median)) : null,
    orderBy: order > NO_HURRY ? null : daysAfter(today, Math.max(0, order)),
  };
}

/** What filled its slot before it, and has left. */
export function predecessorOf({ case: { item, totals } }: Advice, kit: Kit): Advice | null {
  // A spare may be bought long before its turn comes: its first use counts.
  const since = totals.steps[0]?.on ?? item.acquired ?? kit.book.today;
  if (item.owner !== null) return null;
  const before = kit.things.filter(
    ({ case: its }) =>
      its.item.id !== item.id &&
      its.item.owner === null &&
      its.departure !== null &&
      (its.departure.for === item.id ||
        (item.slot !== null && its.item.slot === item.slot && (its.departure.on ?? "") <= since)),
  );
  return (
    before.sort((a, b) => ((a.case.departure?.on ?? "") > (b.case.departure?.on ?? "") ? 1 : -1)).at(-1) ??
    null
  );
}
