import { addDays, formatISO, parseISO } from "date-fns";
import type { FullItem } from "../kinds";
import type { Book, Carried, NextOuting, Outing } from "../ledger/book";
import {
  Mark,
  type Entry,
  type EntryWhat,
  type ItemId,
  type Trigger,
  type TripId,
  type Use,
  type Verb,
} from "../model";
import { count, listWords } from "../units/speak";
import { openCase, resurvey, survey, type Survey } from "./case";
import { PROVED_BY } from "./jobs";
import { judgeCase, type Judgement, type Verdict } from "./judge";
import { sayTrigger } from "./words";

/** The nearest thing that would change a verdict, found by asking the engine; and what it would say then. */
export interface Flip {
  readonly what: string;
  readonly then: Verb;
}

/** A future, or another past, in which the item is judged again. `n`: how many trips or steps away it is. */
interface Supposed {
  readonly what: string;
  readonly n: number;
  readonly book: () => Book;
  /** Others than the item itself whose place in the book it changes. */
  readonly others?: boolean;
  /** The same a step nearer, where it was skipped. */
  readonly nearer?: () => Supposed;
}

/** Trips ahead that are tried; where one tells, those skipped before it are tried too. */
const AHEAD = [1, 2, 3, 4, 6, 8, 12, 20] as const;

/**
 * What would change this verdict: each supposition is put to the engine, the nearest first, until one takes the verdict's verb
 * away or another takes the lead from it. Null where nothing within twenty trips does.
 */
export function nearestFlip(
  { case: { item }, verdicts }: Judgement,
  verdict: Verdict,
  surveyed: Survey,
): Flip | null {
  const leads = verdict === verdicts[0];
  const leadThen = ({ book, others }: Supposed): Verb | null => {
    const supposed = book();
    const again = judgeCase(
      openCase(supposed.item(item.id)!, others ? survey(supposed) : resurvey(surveyed, supposed, item.id)),
    );
    const [lead] = again.verdicts;
    return (leads ? lead.verb !== verdict.verb : again.verdicts.every(({ verb }) => verb !== verdict.verb))
      ? lead.verb
      : null;
  };
  for (const each of suppositions(item, verdict, surveyed).sort((a, b) => a.n - b.n)) {
    let [nearest, then] = [each, leadThen(each)];
    if (!then) continue;
    for (let nearer = nearest.nearer?.(); nearer; nearer = nearer.nearer?.()) {
      const verb = leadThen(nearer);
      if (!verb) break;
      [nearest, then] = [nearer, verb];
    }
    return { what: nearest.what, then };
  }
  return null;
}

/** The flip as a sentence; where there is none, the rule is what stands in the way. */
export const sayFlip = (flip: Flip | null) =>
  flip ? `${flip.what}: then “${flip.then}”.` : "Nothing that twenty more trips could bring.";

function suppositions(item: FullItem, { verb }: Verdict, surveyed: Survey): Supposed[] {
  const { book } = surveyed;
  const ahead = futureTrips(item, verb, surveyed);
  const keeps = verb === "keep" || verb === "keep as cover";
  return [
    ...logged(item, verb, book),
    ...unfrozen(item, book),
    ...(item.expires === null
      ? []
      : [
          {
            n: 1,
            what: "A later date on its label",
            book: () => withItem(book, item.id, { expires: "9999-12-31" }),
          },
        ]),
    ...(verb === "replace"
      ? nextTrips(
          book,
          [0.5, 0.25],
          "A next trip of half the length",
          "A next trip of a quarter of the length",
        )
      : []),
    ...AHEAD.flatMap((n) => [
      trips(n, "Used", ahead.called, "used"),
      trips(n, "Unused", ahead.called, "unused"),
      ...(ahead.idle ? [trips(n, "Used", ahead.idle, "used"), trips(n, "Unused", ahead.idle, "unused")] : []),
    ]),
    // Trouble always changes a keep, so it is told only where nothing gentler does.
    ...(keeps
      ? [
          {
            n: 90,
            what: "Damage or failure on the next trip",
            book: () => ahead.called.with(1, { use: "used", trouble: "failed" }),
          },
        ]
      : []),
    ...(keeps
      ? nextTrips(
          book,
          [2, 4],
          "A next trip of twice the length",
          "A next trip of four times the length",
        ).map((each) => ({ ...each, n: 10 }))
      : []),
    ...(verb === "replace" || verb === "drop" ? [anotherOnTheShelf(item, book)] : []),
  ];
}

const trips = (n: number, word: string, ahead: Ahead, use: Use): Supposed => ({
  n,
  what: `${word} on ${more(n)}${ahead.words}`,
  book: () => ahead.with(n, { use }),
  ...(n > 1 && !AHEAD.some((tried) => tried === n - 1)
    ? { nearer: () => trips(n - 1, word, ahead, use) }
    : {}),
});

const more = (n: number) => (n === 1 ? "one more trip" : count(n, "more trip"));

/** More trips of one sort, added to the book. */
interface Ahead {
  /** What sort, as the end of "one more trip". */
  readonly words: string;
  readonly with: (n: number, said: Partial<Mark>) => Book;
}

/** Trips like the next, with the item and whatever went along to do its job last time: one that calls for it, and one that does not. */
function futureTrips(item: FullItem, verb: Verb, { book, marks, mates }: Survey) {
  const last = marks.get(item.id)?.at(-1)?.outing;
  const length: NextOuting =
    book.next.days > 0 ? book.next : { name: null, ends: null, days: 3, nights: 2, metres: 40_000 };
  const along = new Map(
    item.jobs
      .flatMap((job) => mates.get(job) ?? [])
      .flatMap(({ id }) => {
        const there = marks.get(id)?.find(({ outing }) => outing === last);
        return there ? [[id, there.mark.use] as const] : [];
      }),
  );
  const needs = item.jobs.flatMap((job) => PROVED_BY[job] ?? []);
  const calling = item.triggers.filter((trigger) => !ALWAYS_THERE.includes(trigger));
  const sort = (calls: readonly Trigger[], words: string): Ahead => ({
    words,
    with: (n: number, said: Partial<Mark>): Book => {
      const outings = Array.from({ length: n }, (_, at) =>
        supposedOuting(book, length, new Set([...ALWAYS_THERE, ...calls]), at),
      );
      const carry = (id: ItemId, mark: Partial<Mark>): Carried[] =>
        outings.map((outing) => ({
          outing,
          part: 1,
          mark: Mark.parse(mark),
          carry: { item: id, legs: null, mark: Mark.parse(mark) },
        }));
      return {
        ...book,
        carriedOf: (id) => {
          const use = id === item.id ? undefined : along.get(id);
          return id === item.id
            ? [...book.carriedOf(id), ...carry(id, said)]
            : use
              ? [...book.carriedOf(id), ...carry(id, { use })]
              : book.carriedOf(id);
        },
      };
    },
  });
  const told = verb === "prove" && needs.length ? needs : item.triggers.includes("always") ? [] : calling;
  return {
    called: sort(
      [...calling, ...needs],
      told.length ? ` with ${listWords(told.slice(0, 3).map(sayTrigger), "or")}` : "",
    ),
    idle:
      calling.length === item.triggers.length
        ? sort([], ` without ${listWords(calling.slice(0, 3).map(sayTrigger), "or")}`)
        : null,
  };
}

const ALWAYS_THERE: readonly Trigger[] = ["always", "darkness", "camp time"];

function supposedOuting(
  { today, outings }: Book,
  { days, nights, metres }: NextOuting,
  calls: ReadonlySet<Trigger>,
  at: number,
): Outing {
  // Only their order counts: the length is given above.
  const day = formatISO(addDays(parseISO(today), at + 1), { representation: "date" });
  const conditions = Object.fromEntries([...calls].map((trigger) => [trigger, "some" as const]));
  return {
    n: outings.length + at,
    days,
    nights,
    metres,
    calls,
    trip: {
      id: `supposed-${at}` as TripId,
      name: "a trip like your last",
      starts: day,
      ends: day,
      nights,
      planned: false,
      cut: false,
      conditions,
      legs: [
        { name: "", distance: { typed: `${metres / 1000} km`, m: metres }, ascent: null, terrain: "mixed" },
      ],
      felt: [],
      supplies: [],
      missed: [],
      made: [],
      stay: [],
      note: "",
      carries: [],
    },
  };
}

/** What may be logged against a verdict, the likeliest first. */
const REMEDIES: Partial<Record<Verb, readonly EntryWhat[]>> = {
  replace: ["restock", "repair", "service"],
  repair: ["repair"],
  service: ["service", "restock", "wash"],
  prove: ["check"],
};
const LOGGED: Partial<Record<EntryWhat, string>> = {
  repair: "A repair, logged",
  service: "The service, logged",
  restock: "What is missing put back, and logged",
  wash: "A wash, logged",
  check: "A check, logged",
};

/** Something done about it, logged today. */
function logged(item: FullItem, verb: Verb, book: Book): Supposed[] {
  return (REMEDIES[verb] ?? [])
    .filter((what) => what !== "restock" || item.pieces > 1 || item.rules.contents)
    .map((what, n) => {
      const entry: Entry = {
        id: "supposed",
        item: item.id,
        on: book.today,
        what,
        distance: null,
        nights: 0,
        cost: null,
        condition: null,
        reading: null,
        note: "",
      };
      return {
        n: n / 10,
        what: LOGGED[what]!,
        book: () => ({
          ...book,
          entriesOf: (id) => (id === item.id ? [...book.entriesOf(id), entry] : book.entriesOf(id)),
        }),
      };
    });
}

/** A filter that nobody said was kept from freezing, said to have been. */
function unfrozen(item: FullItem, book: Book): Supposed[] {
  if (!item.rules.freezes || !book.carriedOf(item.id).some(({ mark }) => mark?.froze === null)) return [];
  const kept = book
    .carriedOf(item.id)
    .map((one): Carried =>
      one.mark && one.mark.froze === null ? { ...one, mark: { ...one.mark, froze: false } } : one,
    );
  return [
    {
      n: 0,
      what: "“Kept from freezing” on its marks",
      book: () => ({ ...book, carriedOf: (id) => (id === item.id ? kept : book.carriedOf(id)) }),
    },
  ];
}

function nextTrips(book: Book, factors: readonly number[], ...words: readonly string[]): Supposed[] {
  return factors.map((factor, at) => ({
    n: at + 1,
    what: words[at]!,
    book: () => ({
      ...book,
      next: {
        ...book.next,
        metres: book.next.metres * factor,
        nights: book.next.nights * factor,
        days: book.next.days * factor,
      },
    }),
  }));
}

function withItem(book: Book, id: ItemId, differs: Partial<FullItem>): Book {
  const items = book.items.map((item) => (item.id === id ? { ...item, ...differs } : item));
  return { ...book, items, item: (asked) => items.find((item) => item.id === asked) };
}

function anotherOnTheShelf(item: FullItem, book: Book): Supposed {
  const twin: FullItem = { ...item, id: "supposed" as ItemId, name: "another", state: "active" };
  const items = [...book.items, twin];
  return {
    n: 9,
    what: `Another ${item.kind === "other" ? "one" : item.kind} on the shelf`,
    others: true,
    book: () => ({ ...book, items, item: (id) => items.find((each) => each.id === id) }),
  };
}
