import { daysAfter } from "../sums/days";
import { carriedOn, withEntry, type Book, type Carried } from "../ledger/book";
import { nextLike, type NextOuting } from "../ledger/next-outing";
import { outingOf, type Outing } from "../ledger/outing";
import { Mark, Trip, Entry, ItemId, type EntryWhat, type Trigger, type Use, type Verb } from "../model";
import { resurvey, survey, type Survey } from "../decide/case";
import type { FullItem } from "../trade/full-item";
import { JOB_RULES } from "../trade/jobs";
import { isUnavoidable } from "../trade/triggers";
import { adviseItem, type Advice, type Verdict } from "./advise";
import type { Reason } from "../reasons/finding";
import { VERBS, stays } from "../trade/verbs";

/** What might be done or might come, as data; its words are in `say/flip.ts`. */
export type Supposition =
  | { readonly kind: "logged"; readonly what: EntryWhat }
  | { readonly kind: "kept from frost" }
  | { readonly kind: "later date" }
  | { readonly kind: "graded"; readonly condition: number }
  | {
      readonly kind: "trips";
      readonly n: number;
      readonly use: Use;
      readonly calls: readonly Trigger[];
      readonly without: boolean;
    }
  | { readonly kind: "failure" }
  | { readonly kind: "next trip"; readonly factor: number }
  | { readonly kind: "another on the shelf" };

/** The nearest thing that would change a verdict, found by asking the engine; and what it would say then. */
export interface Flip {
  readonly supposed: Supposition;
  readonly then: Verb;
}

/** A future, or another past, in which the item is judged again. `n`: how many trips or steps away it is. */
interface Supposed {
  readonly what: Supposition;
  readonly n: number;
  readonly book: () => Book;
  /** Others than the item itself whose place in the book it changes. */
  readonly others?: boolean;
}

/** Trips ahead that are tried; where one tells, those skipped before it are tried too. */
const AHEAD = [1, 2, 3, 4, 6, 8, 12, 20] as const;
const MANY = 90;

/**
 * What would change this verdict: each supposition is put to the engine, the nearest first, until one takes
 * the verdict's verb away or another takes the lead from it. Null where nothing within twenty trips does.
 */
export function nearestFlip(
  { case: { item, survey: surveyed }, verdicts }: Advice,
  verdict: Verdict,
): Flip | null {
  // What has gone is told as done.
  if (verdict.done) return null;
  const leads = verdict === verdicts[0];
  const leadThen = ({ book, others }: Supposed): Verb | null => {
    const supposed = book();
    const after = others ? survey(supposed) : resurvey(surveyed, supposed, item.id);
    const again = adviseItem(item.id, after).verdicts;
    const changed = leads ? again[0].verb !== verdict.verb : again.every(({ verb }) => verb !== verdict.verb);
    return changed ? again[0].verb : null;
  };
  const ahead = futureTrips(item, surveyed);
  for (const each of suppositions(item, verdict, surveyed, ahead).sort((a, b) => a.n - b.n)) {
    const then = leadThen(each);
    if (!then) continue;
    return nearer(each, then, ahead, leadThen);
  }
  return null;
}

/** Where some trips ahead tell, and fewer were skipped, fewer are tried, one at a time. */
function nearer(
  found: Supposed,
  then: Verb,
  ahead: FutureTrips,
  leadThen: (supposed: Supposed) => Verb | null,
): Flip {
  const { what } = found;
  if (what.kind === "trips" && what.n > 1 && !AHEAD.some((tried) => tried === what.n - 1)) {
    const fewer = ahead({ ...what, n: what.n - 1 });
    const verb = leadThen(fewer);
    if (verb) return nearer(fewer, verb, ahead, leadThen);
  }
  return { supposed: what, then };
}

function suppositions(
  item: FullItem,
  { verb, reason }: Verdict,
  surveyed: Survey,
  ahead: FutureTrips,
): Supposed[] {
  const { book } = surveyed;
  const calling = item.triggers.filter((trigger) => !isUnavoidable(trigger));
  const needs = item.jobs.flatMap((job) => JOB_RULES[job]?.provedBy ?? []);
  const calls = [...new Set([...calling, ...needs])];
  const idle = calling.length > 0 && calling.length === item.triggers.length;
  return [
    ...logged(item, verb, reason, book),
    ...graded(item, verb, book),
    ...unfrozen(item, book),
    ...(item.expires === null
      ? []
      : [
          {
            n: 1,
            what: { kind: "later date" as const },
            book: () => withItem(book, item.id, { expires: "9999-12-31" }),
          },
        ]),
    ...(verb === "replace" ? nextTrips(book, [0.5, 0.25], 1) : []),
    ...AHEAD.flatMap((n) =>
      (["used", "unused"] as const).flatMap((use) => [
        ahead({ kind: "trips", n, use, calls, without: false }),
        ...(idle ? [ahead({ kind: "trips", n, use, calls: calling, without: true })] : []),
      ]),
    ),
    // Trouble always changes a keep, so it is told only where nothing gentler does.
    ...(stays(verb)
      ? [
          { n: MANY, what: { kind: "failure" as const }, book: () => ahead.failing(calls) },
          ...nextTrips(book, [2, 4], 10),
        ]
      : []),
    ...(verb === "replace" || verb === "drop" ? [anotherOnTheShelf(item, book)] : []),
  ];
}

interface FutureTrips {
  (what: Extract<Supposition, { kind: "trips" }>): Supposed;
  readonly failing: (calls: readonly Trigger[]) => Book;
}

const ALWAYS_THERE: readonly Trigger[] = ["darkness", "camp time"];

/** Trips like the next, with the item and whatever went along to do its job last time. */
function futureTrips(item: FullItem, { book, marks, byJob }: Survey): FutureTrips {
  const last = marks.get(item.id)?.at(-1)?.outing;
  const length = book.next.days > 0 ? book.next : nextLike({ days: 3, nights: 2, metres: 40_000 });
  const along = new Map(
    item.jobs
      .filter((job) => job !== "other")
      .flatMap((job) => byJob.get(job) ?? [])
      .flatMap(({ id }) => {
        const there = marks.get(id)?.find(({ outing }) => outing === last);
        return there ? [[id, there.mark.use] as const] : [];
      }),
  );
  const bookWith = (n: number, calls: readonly Trigger[], said: Partial<Mark>): Book => {
    const outings = Array.from({ length: n }, (_, at) =>
      supposedOuting(book, length, [...ALWAYS_THERE, ...calls], at),
    );
    const carry = (id: ItemId, mark: Partial<Mark>): Carried[] =>
      outings.map((outing) =>
        carriedOn(outing, { item: id, legs: null, shared: null, mark: Mark.parse(mark) }),
      );
    return {
      ...book,
      carriedOf: (id) => {
        const use = along.get(id);
        if (id === item.id) return [...book.carriedOf(id), ...carry(id, said)];
        return use ? [...book.carriedOf(id), ...carry(id, { use })] : book.carriedOf(id);
      },
    };
  };
  return Object.assign(
    (what: Extract<Supposition, { kind: "trips" }>): Supposed => ({
      n: what.n,
      what,
      book: () => bookWith(what.n, what.without ? [] : what.calls, { use: what.use }),
    }),
    {
      failing: (calls: readonly Trigger[]) =>
        bookWith(1, calls, { use: "used" as const, troubles: ["failed" as const] }),
    },
  );
}

function supposedOuting(
  { today, outings }: Book,
  { days, nights, metres }: NextOuting,
  calls: readonly Trigger[],
  at: number,
): Outing {
  // Only their order counts: the length is given.
  const day = daysAfter(today, at + 1);
  const trip = Trip.parse({
    id: `supposed-${at}`,
    name: "a trip like your last",
    starts: day,
    ends: day,
    conditions: Object.fromEntries(calls.map((trigger) => [trigger, "some"])),
    legs: [{ id: "leg-1", distance: metres / 1000 }],
  });
  return { ...outingOf({ ...trip, nights }, outings.length + at), days, nights };
}

/** What was found not worth another mending, or past it. */
const NOT_MENDED: ReadonlySet<Reason> = new Set<Reason>([
  "fault came back",
  "too dear to mend",
  "beyond mending",
  "wear to be seen",
  "can't be relied on",
  "spoilt by mould",
]);

/** Something done about it, logged today. */
function logged(item: FullItem, verb: Verb, reason: Reason, book: Book): Supposed[] {
  return VERBS[verb].remedies
    .filter((what) => !NOT_MENDED.has(reason) || (what !== "repair" && what !== "service"))
    .filter((what) => what !== "restock" || item.pieces > 1 || item.rules.contents)
    .map((what, n) => ({
      n: n / 10,
      what: { kind: "logged", what },
      book: () => supposedEntry(book, item, { what }),
    }));
}

/** A grade given today, sound or not. */
function graded(item: FullItem, verb: Verb, book: Book): Supposed[] {
  if (!item.rules.life || (verb !== "service" && verb !== "replace")) return [];
  return [4].map((condition) => ({
    n: 0.5,
    what: { kind: "graded", condition },
    book: () => supposedEntry(book, item, { what: "check", condition }),
  }));
}

const supposedEntry = (book: Book, item: FullItem, said: Partial<Entry>) =>
  withEntry(book, Entry.parse({ id: "supposed", item: item.id, on: book.today, what: "check", ...said }));

/** A filter that nobody said was kept from freezing, said to have been. */
function unfrozen(item: FullItem, book: Book): Supposed[] {
  if (
    !item.rules.freezes ||
    !book.carriedOf(item.id).some(({ mark }) => mark && mark.frost !== "kept" && mark.frost !== "froze")
  )
    return [];
  return [{ n: 0, what: { kind: "kept from frost" }, book: () => keptFromFrost(book, item) }];
}

function keptFromFrost(book: Book, item: FullItem): Book {
  const kept = book
    .carriedOf(item.id)
    .map((one): Carried =>
      one.mark && one.mark.frost !== "froze" ? { ...one, mark: { ...one.mark, frost: "kept" } } : one,
    );
  return { ...book, carriedOf: (id) => (id === item.id ? kept : book.carriedOf(id)) };
}

const nextTrips = (book: Book, factors: readonly number[], n: number): Supposed[] =>
  factors.map((factor, at) => ({
    n: n + at,
    what: { kind: "next trip", factor },
    book: () => {
      const { metres, nights, days } = book.next;
      return {
        ...book,
        next: {
          ...book.next,
          ...nextLike({ metres: metres * factor, nights: nights * factor, days: days * factor }),
        },
      };
    },
  }));

function withItem(book: Book, id: ItemId, differs: Partial<FullItem>): Book {
  const items = book.items.map((item) => (item.id === id ? { ...item, ...differs } : item));
  return { ...book, items, item: (asked) => items.find((item) => item.id === asked) };
}

function anotherOnTheShelf(item: FullItem, book: Book): Supposed {
  const twin: FullItem = {
    ...item,
    id: ItemId.parse("supposed"),
    name: "another",
    state: "active",
    acquired: book.today,
  };
  const items = [...book.items, twin];
  return {
    n: 9,
    what: { kind: "another on the shelf" },
    others: true,
    book: () => ({ ...book, items, item: (id) => items.find((each) => each.id === id) }),
  };
}
