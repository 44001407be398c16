import { asSoFar } from "./so-far";
import { known } from "../sums/there";
import type {
  Carry,
  Entry,
  ItemId,
  LegId,
  Log,
  Mark,
  Ruling,
  SchoolName,
  Settings,
  Strength,
  Trigger,
  Trip,
  TripHead,
  TripId,
} from "../model";
import { withDefaults, type FullItem } from "../trade/full-item";
import { inPlain } from "../trade/words/names";
import { rulesOf, type Rules } from "../trade/rules";
import { joinedAt, sharesCarried } from "./carriage";
import { inOrder } from "../sums/days";
import { groupBy, partition } from "../sums/group";
import { nextOuting, type NextOuting } from "./next-outing";
import { callsOf, outingOf, strengthOn, type Outing } from "./outing";

/** One item on one outing. */
export interface Carried {
  readonly outing: Outing;
  readonly carry: Carry;
  readonly mark: Mark | null;
  /** What it was carried of each leg, 0 to 1; null: all of it. */
  readonly shares: ReadonlyMap<LegId, number> | null;
  /** The legs that it was along on, wholly or in part; null: all of them. */
  readonly legs: readonly LegId[] | null;
  /** Part of the trip's days and nights, 0 to 1, that it was in the pack. */
  readonly part: number;
  /** Metres that it was carried. */
  readonly metres: number;
  /** Metres' worth of its weight that were on its owner's own back: a companion may have borne a part. */
  readonly borne: number;
  /** What that part of the way called for. */
  readonly calls: ReadonlySet<Trigger>;
}

export type Marked = Carried & { readonly mark: Mark };

/** The log opened for reading: trips oldest first, each item with its own outings and entries. */
export interface Book {
  readonly today: string;
  readonly settings: Settings;
  /** The numbers it is judged by: the trade's, the school's, the owner's own. */
  readonly rules: Rules;
  readonly items: readonly FullItem[];
  /** What is wished for, and not owned: nothing of the advice reads it. */
  readonly wishes: readonly FullItem[];
  readonly outings: readonly Outing[];
  /** The trip of an outing, with all that was carried on it. */
  readonly tripOf: (outing: Pick<Outing, "trip">) => Trip;
  readonly next: NextOuting;
  readonly carriedOf: (id: ItemId) => readonly Carried[];
  readonly entriesOf: (id: ItemId) => readonly Entry[];
  readonly rulingsOf: (id: ItemId) => readonly Ruling[];
  /** Rulings on adding what bears this name. */
  readonly rulingsToAdd: (what: string) => readonly Ruling[];
  /** Outings that it was left at home on, or sent away on, and missed by its name. */
  readonly missedOf: (id: ItemId) => readonly Outing[];
  readonly item: (id: ItemId) => FullItem | undefined;
}

const byDate = (a: TripHead, b: TripHead) =>
  inOrder(a.starts, b.starts) || inOrder(a.ends, b.ends) || inOrder(a.id, b.id);
const byDay = <T extends { readonly on: string; readonly id: string }>(a: T, b: T) =>
  inOrder(a.on, b.on) || inOrder(a.id, b.id);

/**
 * Opens a log for judging.
 *
 * @param today ISO date; trips that start later, or are marked planned, are not counted as walked
 * @param school to judge by; left out, the owner's
 */
export function openBook(log: Log, today: string, school?: SchoolName): Book {
  const rules = rulesOf(log.settings, school);
  const [wishes, items] = partition(
    log.items.map((item) => withDefaults(item, rules.kindOf(item))),
    ({ state }) => state === "wished",
  );
  const byId = new Map(items.map((item) => [item.id, item]));
  const trips = [...log.trips].sort(byDate);
  const outings = trips
    .filter((trip) => !trip.planned && trip.starts <= today)
    .map((trip, n) => outingOf(asSoFar(trip, today), n));
  const whole = new Map(trips.map((trip) => [trip.id, trip]));
  const tripOf: Book["tripOf"] = ({ trip }) => known(whole, trip.id);
  const carried = groupBy(
    outings.flatMap((outing) => carriedOfTrip(outing, tripOf(outing).carries)),
    (one) => one.carry.item,
  );
  const entries = groupBy(
    [...log.entries].sort(byDay).filter(({ on }) => on <= today),
    (entry) => entry.item,
  );
  const rulings = groupBy([...log.rulings].sort(byDay), ({ item }) => item);
  const toAdd = groupBy(rulings.get(null) ?? [], ({ what }) => inPlain(what ?? ""));
  const missed = missedByItem(items, outings, tripOf);
  return {
    today,
    settings: log.settings,
    rules,
    items,
    wishes,
    outings,
    tripOf,
    next: nextOuting(trips, outings, today),
    carriedOf: (id) => carried.get(id) ?? [],
    entriesOf: (id) => entries.get(id) ?? [],
    rulingsOf: (id) => rulings.get(id) ?? [],
    rulingsToAdd: (what) => toAdd.get(inPlain(what)) ?? [],
    missedOf: (id) => missed.get(id) ?? [],
    item: (id) => byId.get(id),
  };
}

/** Part of its weight, 0 to 1, that a thing's owner carried on a leg: all of it, but for what was shared there. */
export const partOn = ({ shared }: Pick<Carry, "shared">, leg: LegId): number =>
  shared === null || (shared.legs !== null && !shared.legs.includes(leg)) ? 1 : shared.part;

/** The same of a whole trip's list: what was shared on a part of the way only was set out with. */
export const partOf = ({ shared }: Pick<Carry, "shared">): number =>
  shared === null || shared.legs !== null ? 1 : shared.part;

/** All that was carried on a trip, each thing up to where it left and from where it joined. */
export function carriedOfTrip(outing: Outing, carries: readonly Carry[]): Carried[] {
  const joined = joinedAt(outing.trip, carries);
  return carries.map((carry) => carriedOn(outing, carry, joined.get(carry.item) ?? null));
}

/**
 * @param joined where on the way it took another's place, in metres; null: it was there from the start, or
 * nobody said
 */
export function carriedOn(outing: Outing, carry: Carry, joined: number | null = null): Carried {
  const { mark } = carry;
  const shares = sharesCarried(outing.trip, carry, joined);
  if (shares === null)
    return {
      outing,
      carry,
      mark,
      shares,
      legs: null,
      part: 1,
      metres: outing.metres,
      borne: outing.trip.legs.reduce((sum, { id, distance }) => sum + distance.m * partOn(carry, id), 0),
      calls: outing.calls,
    };
  const legs = [...shares.keys()];
  const there = outing.trip.legs.filter(({ id }) => shares.has(id));
  return {
    outing,
    carry,
    mark,
    shares,
    legs,
    part: there.reduce((sum, { id }) => sum + known(outing.shares, id) * known(shares, id), 0),
    metres: there.reduce((sum, { id, distance }) => sum + distance.m * known(shares, id), 0),
    borne: there.reduce(
      (sum, { id, distance }) => sum + distance.m * known(shares, id) * partOn(carry, id),
      0,
    ),
    calls: callsOf(outing.trip, outing.nights, legs),
  };
}

/** How strong something was where the item was carried; undefined where nobody said. */
export const strengthFor = (
  { outing, legs }: Pick<Carried, "outing" | "legs">,
  trigger: Trigger,
): Strength | undefined =>
  legs === null ? outing.strengths[trigger] : strengthOn(outing.trip, legs, trigger);

/** Wanted and not there: left at home, or sent away on the same trip. */
function missedByItem(
  items: readonly FullItem[],
  outings: readonly Outing[],
  tripOf: Book["tripOf"],
): ReadonlyMap<ItemId, Outing[]> {
  const named = new Map(items.map((item) => [inPlain(item.name), item.id]));
  const missed = new Map<ItemId, Outing[]>();
  for (const outing of outings) {
    for (const { what } of outing.trip.missed) {
      const id = named.get(inPlain(what));
      const carry = id && tripOf(outing).carries.find(({ item }) => item === id);
      if (id && (!carry || carry.mark?.exit || carry.legs !== null))
        missed.set(id, [...(missed.get(id) ?? []), outing]);
    }
  }
  return missed;
}

/** The same book after what was carried of some things was read again, on trips that are otherwise as they were. */
export function withCarries(before: Book, trips: readonly Trip[], changed: ReadonlySet<ItemId>): Book {
  const whole = new Map(trips.map((trip) => [trip.id, trip]));
  const tripOf: Book["tripOf"] = ({ trip }) => known(whole, trip.id);
  const anew = groupBy(
    before.outings.flatMap((outing) =>
      carriedOfTrip(outing, tripOf(outing).carries).filter(({ carry }) => changed.has(carry.item)),
    ),
    (one) => one.carry.item,
  );
  const carried = new Map(
    before.items.map(({ id }) => [id, changed.has(id) ? (anew.get(id) ?? []) : before.carriedOf(id)]),
  );
  const missed = missedByItem(before.items, before.outings, tripOf);
  return {
    ...before,
    tripOf,
    next: nextOuting([...trips].sort(byDate), before.outings, before.today),
    carriedOf: (id) => carried.get(id) ?? [],
    missedOf: (id) => missed.get(id) ?? [],
  };
}

/** The same book, judged by another school. */
export const withSchool = (book: Book, school: SchoolName): Book => ({
  ...book,
  rules: { ...book.rules, school: rulesOf(book.settings, school).school },
});

/**
 * The same book with one mark made, changed or (null) taken back, without touching the log. Unknown trips and
 * items change nothing.
 */
export function withMark(
  book: Book,
  { trip, item, mark }: { readonly trip: TripId; readonly item: ItemId; readonly mark: Mark | null },
): Book {
  const outing = book.outings.find((each) => each.trip.id === trip);
  if (!outing || !book.item(item)) return book;
  const before = book.carriedOf(item);
  const here = before.find((one) => one.outing === outing);
  const { legs = null, shared = null } = here?.carry ?? {};
  const joined = joinedAt(outing.trip, book.tripOf(outing).carries).get(item) ?? null;
  const changed = carriedOn(outing, { item, legs, shared, mark }, joined);
  const after = here
    ? before.map((one) => (one === here ? changed : one))
    : [...before, changed].sort((a, b) => a.outing.n - b.outing.n);
  return { ...book, carriedOf: (id) => (id === item ? after : book.carriedOf(id)) };
}

/** The same book with one thing more done about an item. */
export const withEntry = (book: Book, entry: Entry): Book => ({
  ...book,
  entriesOf: (id) => (id === entry.item ? [...book.entriesOf(id), entry] : book.entriesOf(id)),
});

/** The same book, so many days of a trip having had a weather. */
export function withCounted(book: Book, id: TripId, trigger: Trigger, days: number): Book {
  const before = book.outings.find(({ trip }) => trip.id === id);
  if (!before) return book;
  const counted = { ...before.trip.counted, [trigger]: days };
  const after = outingOf({ ...before.trip, counted }, before.n);
  const joined = joinedAt(after.trip, book.tripOf(before).carries);
  return {
    ...book,
    outings: book.outings.map((outing) => (outing === before ? after : outing)),
    carriedOf: (item) =>
      book
        .carriedOf(item)
        .map((one) => (one.outing === before ? carriedOn(after, one.carry, joined.get(item) ?? null) : one)),
  };
}

/** Outings that an item has been marked on, oldest first. */
export const marked = (carried: readonly Carried[]): Marked[] =>
  carried.filter((one): one is Marked => one.mark !== null);
