import { known } from "../sums/there";
import { tellingsOf, toldOf, type Telling, type Told, type Tellings } from "../belief/telling";
import { evidenceOfUse, poolFor, type Pool, type UseEvidence } from "../belief/use";
import { meanChance } from "../belief/use-chance";
import { beliefsOf, leftIn, readingsOf, type Beliefs, type Left, type Readings } from "../belief/life";
import { marked, type Book, type Marked } from "../ledger/book";
import { groupBy } from "../sums/group";
import {
  departureOf,
  frostDoubtOf,
  historyOf,
  type Departure,
  type FrostDoubt,
  type History,
  type State,
} from "../ledger/history";
import type { Outing } from "../ledger/outing";
import { ledger, type Totals } from "../ledger/totals";
import type { ItemId, Job } from "../model";
import type { FullItem } from "../trade/full-item";
import { ESSENTIAL_JOBS, RANK, SINGLE_JOBS } from "../trade/jobs";
import type { Kind } from "../trade/kind";
import type { School } from "../trade/schools";
import { linesFor, tasteOf, type Taste } from "../belief/taste";
import { costOfWear, type WearCost } from "./cost";
import { worthToWeight } from "./worth";

/** Where a thing is: in use, owned but never taken along, or gone. */
type Standing = "active" | "at home" | "gone";

/** All that is known of one item, gathered once, for every rule to read. */
export interface Case {
  readonly item: FullItem;
  readonly kind: Kind;
  readonly standing: Standing;
  readonly state: State;
  /** How it left; null while it is here. */
  readonly departure: Departure | null;
  readonly book: Book;
  /** The school's lines, as its owner's taste has moved them. */
  readonly school: School;
  readonly taste: Taste;
  readonly totals: Totals;
  /** Null where nothing wears, and of what is no longer in use. */
  readonly left: Left | null;
  /** What a unit of its kind's wear costs, and a failure of it. */
  readonly wearCost: WearCost | null;
  readonly readings: readonly Readings[];
  readonly use: UseEvidence;
  readonly marked: readonly Marked[];
  readonly told: (telling: Telling) => Told;
  readonly history: History;
  readonly frost: FrostDoubt | null;
  /** Chance, 0 to 1, that it is used on a trip like those it went on, called for or not. */
  readonly tripChance: number;
  /** Worth ÷ weight; null where weight does not decide. */
  readonly worth: number | null;
  readonly survey: Survey;
}

/** Who went along on one outing to do a job, and who of them was used. */
interface Doing {
  /** Those still here; what was used first, then the lightest. */
  readonly along: readonly FullItem[];
  readonly used: ReadonlySet<FullItem>;
}

/** How each item left; null while it is here. */
type Departures = ReadonlyMap<ItemId, Departure | null>;

/** What a case leans on beyond its own item, worked out once for the whole book. */
export interface Survey {
  readonly book: Book;
  readonly totals: ReadonlyMap<ItemId, Totals>;
  readonly marks: ReadonlyMap<ItemId, readonly Marked[]>;
  readonly departures: Departures;
  readonly beliefs: Beliefs;
  readonly byKind: ReadonlyMap<string, readonly FullItem[]>;
  readonly byJob: ReadonlyMap<Job, readonly FullItem[]>;
  readonly bySlot: ReadonlyMap<string, readonly FullItem[]>;
  /** By job, then by the place of the outing. */
  readonly doing: ReadonlyMap<Job, readonly (Doing | undefined)[]>;
  readonly pools: ReadonlyMap<Job, Pool>;
  readonly wearCosts: ReadonlyMap<string, WearCost>;
  readonly taste: Taste;
  /** What can't do without an item. */
  readonly neededBy: ReadonlyMap<ItemId, readonly FullItem[]>;
}

export const isCritical = ({ item }: Pick<Case, "item">) => RANK[item.consequence] >= RANK["trip-ending"];

/** Chance that another thing fails on a trip, where it is the one used. Common practice, no source. */
const CHANCE_RIVAL_FAILS = 0.1;

export function survey(book: Book): Survey {
  const totals = ledger(book);
  const marks = new Map(book.items.map((item) => [item.id, marked(book.carriedOf(item.id))]));
  const departures = new Map(book.items.map((item) => [item.id, departureOf(item, known(marks, item.id))]));
  const byJob = new Map(
    [
      ...groupBy(
        book.items.flatMap((item) => item.jobs.map((job) => ({ job, item }))),
        ({ job }) => job,
      ),
    ].map(([job, pairs]) => [job, pairs.map(({ item }) => item)]),
  );
  const beliefs = beliefsOf(book, totals);
  return {
    book,
    totals,
    marks,
    departures,
    beliefs,
    byKind: groupBy(book.items, (item) => item.kind),
    byJob,
    bySlot: groupBy(
      book.items.filter((item) => item.slot !== null),
      (item) => item.slot!,
    ),
    doing: new Map([...byJob].map(([job, items]) => [job, doingOf(items, marks, departures)])),
    pools: new Map([...byJob].map(([job, items]) => [job, poolOf(items, totals)])),
    wearCosts: wearCostsOf(book.items, beliefs),
    taste: tasteIn({ book, marks, departures }),
    neededBy: new Map(
      [
        ...groupBy(
          book.items.flatMap((item) => item.needs.map((need) => ({ need, item }))),
          ({ need }) => need,
        ),
      ].map(([need, pairs]) => [need, pairs.map(({ item }) => item)]),
    ),
  };
}

/** What the whole book tells of its owner's taste. */
export const tasteIn = ({ book, marks, departures }: Pick<Survey, "book" | "marks" | "departures">): Taste =>
  tasteOf(book, marks, (id) => departures.get(id)?.how ?? null);

function doingOf(
  items: readonly FullItem[],
  marks: Survey["marks"],
  departures: Departures,
): (Doing | undefined)[] {
  const done: ({ along: FullItem[]; used: Set<FullItem> } | undefined)[] = [];
  for (const item of items) {
    for (const { outing, mark } of marks.get(item.id) ?? []) {
      const here = (done[outing.n] ??= { along: [], used: new Set() });
      if (departures.get(item.id) === null) here.along.push(item);
      if (mark.use === "used") here.used.add(item);
    }
  }
  const grams = ({ weight }: FullItem) => weight?.g ?? Infinity;
  for (const here of done)
    here?.along.sort((a, b) => Number(here.used.has(b)) - Number(here.used.has(a)) || grams(a) - grams(b));
  return done;
}

/** What all things of a job came to, in trips. */
function poolOf(items: readonly FullItem[], totals: ReadonlyMap<ItemId, Totals>): Pool {
  return items.reduce(
    (sum, item) => {
      const own = ownPool(known(totals, item.id));
      return { uses: sum.uses + own.uses, misses: sum.misses + own.misses };
    },
    { uses: 0, misses: 0 },
  );
}

const ownPool = ({ used, carried }: Totals): Pool => ({
  uses: used.trips,
  misses: carried.trips - used.trips,
});

const costKey = (item: FullItem) => `${item.kind}\n${item.worthNew}\n${item.consequence}`;

function wearCostsOf(items: readonly FullItem[], beliefs: Beliefs): Map<string, WearCost> {
  const costs = new Map<string, WearCost>();
  for (const item of items) {
    const believed = beliefs.get(item.kind);
    if (!believed || costs.has(costKey(item))) continue;
    costs.set(costKey(item), costOfWear(believed.lasting(0), item));
  }
  return costs;
}

/**
 * The survey of a book in which one item's history differs: its own, what its kind's lives say, and who went
 * along with it. Its owner's taste stays as it was: one thing's history hardly tells of that.
 */
export function resurvey(before: Survey, book: Book, changed: ItemId): Survey {
  const item = book.item(changed);
  if (!item) return { ...before, book };
  const again = item.rules.life || item.rules.inTurn ? known(before.byKind, item.kind) : [item];
  const totals = new Map([...before.totals, ...ledger(book, again)]);
  const marks = new Map([...before.marks, [changed, marked(book.carriedOf(changed))]]);
  const departures = new Map([...before.departures, [changed, departureOf(item, known(marks, changed))]]);
  const beliefs = new Map([...before.beliefs, ...beliefsOf(book, totals, again)]);
  const anew = <V>(old: ReadonlyMap<Job, V>, make: (items: readonly FullItem[]) => V) =>
    new Map([...old, ...item.jobs.map((job) => [job, make(known(before.byJob, job))] as const)]);
  return {
    ...before,
    book,
    totals,
    marks,
    departures,
    beliefs,
    doing: anew(before.doing, (items) => doingOf(items, marks, departures)),
    pools: anew(before.pools, (items) => poolOf(items, totals)),
    wearCosts: new Map([...before.wearCosts, ...wearCostsOf(again, beliefs)]),
  };
}

/**
 * Whose verdicts may turn on an item: its own, those of its kind (they share a life, and follow each other),
 * of what fills its slot, of the things that do its jobs, and of what it can't do without.
 */
export function touchedBy({ book, byKind, byJob, bySlot }: Survey, id: ItemId): readonly FullItem[] {
  const item = book.item(id);
  if (!item) return [];
  const mates = item.jobs.filter((job) => job !== "other").flatMap((job) => byJob.get(job) ?? []);
  const slot = item.slot === null ? [] : known(bySlot, item.slot);
  const needs = item.needs.flatMap((need) => book.item(need) ?? []);
  return [...new Set([item, ...known(byKind, item.kind), ...slot, ...mates, ...needs])];
}

export function openCase(item: FullItem, surveyed: Survey): Case {
  const { book } = surveyed;
  const totals = known(surveyed.totals, item.id);
  const own = known(surveyed.marks, item.id);
  const [job] = item.jobs;
  const like = job && job !== "other" ? surveyed.pools.get(job) : undefined;
  const use = evidenceOfUse(own, item, book.missedOf(item.id), like && poolFor(like, ownPool(totals)));
  const tellings: Tellings = tellingsOf(item, own);
  const readings = readingsOf(item, totals, book);
  const departure = known(surveyed.departures, item.id);
  const tripChance = chanceOnTrip(use);
  return {
    item,
    book,
    use,
    totals,
    tripChance,
    departure,
    state: departure?.how ?? "active",
    readings,
    survey: surveyed,
    kind: item.rules,
    // What the walk rests on is no matter of taste.
    school: isCritical({ item }) ? book.rules.school : linesFor(book.rules.school, surveyed.taste),
    taste: surveyed.taste,
    standing: departure ? "gone" : standingOf(item, book),
    left: departure ? null : leftIn(item, totals, readings, book, surveyed.beliefs),
    wearCost: surveyed.wearCosts.get(costKey(item)) ?? null,
    marked: own,
    told: (telling) => toldOf(tellings, telling),
    history: historyOf(item, book, own),
    frost: frostDoubtOf(item, book, own),
    worth:
      item.load === "hobby" || item.cover
        ? null
        : worthToWeight({
            consequence: item.consequence,
            grams: item.weight?.g ?? null,
            chance: tripChance,
            backedUp: isStoodInFor(own, item, surveyed) ? CHANCE_RIVAL_FAILS : null,
          }),
  };
}

function chanceOnTrip({ called, uncalled, calledTrips, uncalledTrips }: UseEvidence): number {
  const trips = calledTrips.length + uncalledTrips.length;
  if (trips === 0) return 0.5;
  return (calledTrips.length * meanChance(called) + uncalledTrips.length * meanChance(uncalled)) / trips;
}

/** On most of the trips that both went on, another was used in its place. */
function isStoodInFor(own: readonly Marked[], item: FullItem, { doing }: Survey): boolean {
  const [job] = item.jobs;
  const done = job && job !== "other" ? doing.get(job) : undefined;
  if (!done || own.length === 0) return false;
  const instead = own.filter(
    ({ outing, mark }) => mark.use === "unused" && (done[outing.n]?.used.size ?? 0) > 0,
  );
  return instead.length > own.length / 2;
}

/** The outing that a thing was last marked on. */
export const lastOuting = ({ marked: own }: Pick<Case, "marked">): Outing | null =>
  own.at(-1)?.outing ?? null;

/** Others that went along on an outing to do a job of it, still here; the lightest of those that were used first. */
export function othersDoing({ item, survey: { doing } }: Case, job: Job, outing: Outing): FullItem[] {
  const along = job === "other" ? undefined : doing.get(job)?.[outing.n]?.along;
  return along?.filter(({ id }) => id !== item.id) ?? [];
}

/** Is a thing still here: not lost, given away, worn out or retired? */
export const isHere = ({ departures }: Survey, { id }: Pick<FullItem, "id">): boolean =>
  departures.get(id) === null;

/**
 * Another that was used on an outing in the place of this one: of its own kind, or where one thing at a time
 * does the job; the lightest.
 */
export function usedInstead(one: Case, outing: Outing): FullItem | null {
  const [job] = one.item.jobs;
  if (!job) return null;
  const used = one.survey.doing.get(job)?.[outing.n]?.used;
  const others = othersDoing(one, job, outing).filter((other) => used?.has(other));
  const alike = others.find(({ kind }) => kind === one.item.kind);
  return alike ?? (SINGLE_JOBS.has(job) || ESSENTIAL_JOBS.has(job) ? (others[0] ?? null) : null);
}

/** What fills its slot, or does as its kind, since: come to the shelf or carried later, and still here. */
export function successorOf({ item, marked: own, survey }: Case): FullItem | null {
  const { bySlot, byKind, marks } = survey;
  const last = own.at(-1);
  const fills = item.slot ? known(bySlot, item.slot) : (byKind.get(item.kind) ?? []);
  const lastLeg = (one: Marked) =>
    one.outing.trip.legs.findLastIndex(({ id }) => one.carry.legs?.includes(id) ?? true);
  return (
    fills.find((other) => {
      if (other.id === item.id || item.kind === "other" || !isHere(survey, other)) return false;
      const its = known(marks, other.id).at(-1);
      if (!its) return last !== undefined && (other.acquired ?? "") >= last.outing.trip.starts;
      if (!last) return true;
      if (its.mark.troubles.includes("failed")) return false;
      // On the same trip, the one on the later legs came after.
      return its.outing === last.outing ? lastLeg(its) > lastLeg(last) : its.outing.n > last.outing.n;
    }) ?? null
  );
}

/** Of what has not left: it goes along, or has lain at home so far. */
const standingOf = ({ id }: FullItem, book: Book): Case["standing"] =>
  book.carriedOf(id).length > 0 || book.next.items?.has(id) ? "active" : "at home";
