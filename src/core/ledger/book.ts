import { inPlain, type FullItem, withDefaults } from "../kinds";
import { medianOf } from "../median";
import type {
  Carry,
  Entry,
  ItemId,
  Log,
  Mark,
  Ruling,
  SchoolName,
  Settings,
  Trigger,
  Trip,
  TripId,
} from "../model";
import { rulesOf, type Rules } from "../rules";
import { daysBetween, inOrder } from "./days";
import { groupBy } from "./group";

/** A trip with what the sums need of it, worked out once. */
export interface Outing {
  readonly trip: Trip;
  /** Its place among the outings of the book, oldest first. */
  readonly n: number;
  readonly days: number;
  readonly nights: number;
  /** Metres walked, all legs. */
  readonly metres: number;
  /** What the trip called for: its conditions at some or strong, and what every night out brings. */
  readonly calls: ReadonlySet<Trigger>;
}

/** One item on one outing. */
export interface Carried {
  readonly outing: Outing;
  readonly carry: Carry;
  readonly mark: Mark | null;
  /** Part of the trip, 0 to 1 by distance, that it was in the pack. */
  readonly part: number;
}

/** The log opened for reading: trips oldest first, each item with its own outings and entries. */
export interface Book {
  readonly today: string;
  readonly settings: Settings;
  /** The numbers it is judged by: the trade's, the school's, the owner's own. */
  readonly rules: Rules;
  readonly items: readonly FullItem[];
  readonly outings: readonly Outing[];
  readonly next: NextOuting;
  readonly carriedOf: (id: ItemId) => readonly Carried[];
  readonly entriesOf: (id: ItemId) => readonly Entry[];
  readonly rulingsOf: (id: ItemId) => readonly Ruling[];
  /** Rulings on adding what bears this name. */
  readonly rulingsToAdd: (what: string) => readonly Ruling[];
  /** Outings that it was left at home on, and missed by its name. */
  readonly missedOf: (id: ItemId) => readonly Outing[];
  readonly item: (id: ItemId) => FullItem | undefined;
}

/** How far and how long the next trip is: the one planned, else like the ones lately. */
export interface NextOuting {
  readonly name: string | null;
  /** Last day of the one planned; null where none is. */
  readonly ends: string | null;
  readonly metres: number;
  readonly nights: number;
  readonly days: number;
}

const byDate = (a: Trip, b: Trip) =>
  inOrder(a.starts, b.starts) || inOrder(a.ends, b.ends) || inOrder(a.id, b.id);

/**
 * Opens a log for judging.
 *
 * @param today ISO date; trips that start later, or are marked planned, are not counted as walked
 * @param school to judge by; left out, the owner's
 */
export function openBook(log: Log, today: string, school?: SchoolName): Book {
  const rules = rulesOf(log.settings, school);
  const items = log.items.map((item) => withDefaults(item, rules.kindOf(item)));
  const byId = new Map(items.map((item) => [item.id, item]));
  const trips = [...log.trips].sort(byDate);
  const outings = trips.filter((trip) => !trip.planned).map((trip, n) => outingOf(trip, n));
  const carried = groupBy(
    outings.flatMap((outing) =>
      outing.trip.carries.map((carry): Carried => ({
        outing,
        carry,
        mark: carry.mark,
        part: partCarried(outing, carry),
      })),
    ),
    (one) => one.carry.item,
  );
  const entries = groupBy(
    [...log.entries].sort((a, b) => inOrder(a.on, b.on) || inOrder(a.id, b.id)),
    (entry) => entry.item,
  );
  const rulings = groupBy(
    [...log.rulings].sort((a, b) => inOrder(a.on, b.on) || inOrder(a.id, b.id)),
    ({ item }) => item,
  );
  const toAdd = groupBy(rulings.get(null) ?? [], ({ what }) => inPlain(what ?? ""));
  const named = new Map(items.map((item) => [inPlain(item.name), item.id]));
  const missed = groupBy(
    outings.flatMap((outing) =>
      outing.trip.missed.flatMap(({ what }) => {
        const id = named.get(inPlain(what));
        return id && outing.trip.carries.every((carry) => carry.item !== id) ? [{ id, outing }] : [];
      }),
    ),
    ({ id }) => id,
  );
  return {
    today,
    settings: log.settings,
    rules,
    items,
    outings,
    next: nextOuting(trips, outings, today),
    carriedOf: (id) => carried.get(id) ?? [],
    entriesOf: (id) => entries.get(id) ?? [],
    rulingsOf: (id) => rulings.get(id) ?? [],
    rulingsToAdd: (what) => toAdd.get(inPlain(what)) ?? [],
    missedOf: (id) => missed.get(id)?.map(({ outing }) => outing) ?? [],
    item: (id) => byId.get(id),
  };
}

/** The same book, judged by another school. */
export const withSchool = (book: Book, school: SchoolName): Book => ({
  ...book,
  rules: { ...book.rules, school: rulesOf(book.settings, school).school },
});

/** The same book with one mark made, changed or (null) taken back, without touching the log. Unknown trips and items change nothing. */
export function withMark(
  book: Book,
  { trip, item, mark }: { readonly trip: TripId; readonly item: ItemId; readonly mark: Mark | null },
): Book {
  const outing = book.outings.find((each) => each.trip.id === trip);
  if (!outing || !book.item(item)) return book;
  const before = book.carriedOf(item);
  const here = before.find((one) => one.outing === outing);
  const carry: Carry = { item, legs: here?.carry.legs ?? null, mark };
  const changed: Carried = { outing, carry, mark, part: here?.part ?? 1 };
  const after = here
    ? before.map((one) => (one === here ? changed : one))
    : [...before, changed].sort((a, b) => a.outing.n - b.outing.n);
  return { ...book, carriedOf: (id) => (id === item ? after : book.carriedOf(id)) };
}

export function outingOf(trip: Trip, n = 0): Outing {
  const days = daysBetween(trip.starts, trip.ends) + 1;
  const nights = trip.nights ?? days - 1;
  const metres = trip.legs.reduce((sum, leg) => sum + leg.distance.m, 0);
  return { trip, n, days, nights, metres, calls: callsOf(trip, nights) };
}

function callsOf(trip: Trip, nights: number): Set<Trigger> {
  const calls = new Set<Trigger>(["always"]);
  // A night out is dark and has a camp, unless the owner said otherwise.
  if (nights > 0)
    for (const each of ["darkness", "camp time"] as const)
      if (trip.conditions[each] !== "none") calls.add(each);
  for (const [trigger, strength] of Object.entries(trip.conditions))
    if (strength !== "none") calls.add(trigger as Trigger);
  return calls;
}

function partCarried({ trip, metres }: Outing, { legs }: Carry): number {
  if (legs === null) return 1;
  if (metres === 0) return Math.min(1, legs.length / Math.max(1, trip.legs.length));
  return (
    trip.legs.reduce((sum, leg, index) => (legs.includes(index + 1) ? sum + leg.distance.m : sum), 0) / metres
  );
}

function nextOuting(trips: readonly Trip[], outings: readonly Outing[], today: string): NextOuting {
  const planned = trips.find((trip) => trip.planned && trip.ends >= today);
  if (planned) {
    const { days, nights, metres } = outingOf(planned);
    return { name: planned.name, ends: planned.ends, days, nights, metres };
  }
  const lately = outings.slice(-5);
  return {
    name: null,
    ends: null,
    metres: medianOf(lately.map((outing) => outing.metres)),
    nights: medianOf(lately.map((outing) => outing.nights)),
    days: medianOf(lately.map((outing) => outing.days)),
  };
}

/** Outings that an item has been marked on, oldest first. */
export const marked = (carried: readonly Carried[]): Marked[] =>
  carried.filter((one): one is Marked => one.mark !== null);

export type Marked = Carried & { readonly mark: Mark };
