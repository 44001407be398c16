import { evidenceOfUse, type UseEvidence } from "../evidence/chances";
import { meanChance } from "../evidence/use-chance";
import { worthToWeight } from "../evidence/worth";
import type { FullItem, Kind } from "../kinds";
import { marked, type Book, type Marked } from "../ledger/book";
import { groupBy } from "../ledger/group";
import { ledger, type Totals } from "../ledger/totals";
import type { ItemId, ItemState, Job } from "../model";
import { beliefsOf, leftIn, readingsOf, type Beliefs, type Left, type Readings } from "../wear/wear-left";
import { historyOf, stateOf, type History } from "./history";
import { RANK } from "./jobs";
import { jobMates, rivalsOf, type Rival } from "./rivals";
import type { School } from "./schools";

/** All that is known of one item, gathered once, for every rule to read. */
export interface Case {
  readonly item: FullItem;
  readonly kind: Kind;
  readonly state: ItemState;
  readonly book: Book;
  readonly school: School;
  readonly totals: Totals;
  /** Null where nothing wears, and of what is no longer in use. */
  readonly left: Left | null;
  readonly readings: readonly Readings[];
  readonly use: UseEvidence;
  readonly marked: readonly Marked[];
  readonly history: History;
  readonly rivals: readonly Rival[];
  /** Chance, 0 to 1, that it is used on a trip like those it went on, called for or not. */
  readonly tripChance: number;
  /** Worth ÷ weight; null where weight does not decide. */
  readonly worth: number | null;
  /** Others of its kind, and those that do the same first job where one is enough. */
  readonly alike: readonly FullItem[];
  /** Of the same kind, come to the shelf later, in use, and sound as far as the log tells. */
  readonly successor: FullItem | null;
}

/** What a case leans on beyond its own item, worked out once for the whole book. */
export interface Survey {
  readonly book: Book;
  readonly totals: ReadonlyMap<ItemId, Totals>;
  readonly marks: ReadonlyMap<ItemId, readonly Marked[]>;
  readonly beliefs: Beliefs;
  readonly byKind: ReadonlyMap<string, readonly FullItem[]>;
  readonly mates: ReadonlyMap<Job, readonly FullItem[]>;
}

export const isCritical = ({ item }: Pick<Case, "item">) => RANK[item.consequence] >= RANK["trip-ending"];

/** Chance that another thing fails on a trip, where it is the one used. Common practice, no source. */
const CHANCE_RIVAL_FAILS = 0.1;

export function survey(book: Book): Survey {
  const totals = ledger(book);
  return {
    book,
    totals,
    marks: new Map(book.items.map((item) => [item.id, marked(book.carriedOf(item.id))])),
    beliefs: beliefsOf(book, totals),
    byKind: groupBy(book.items, (item) => item.kind),
    mates: jobMates(book.items),
  };
}

/** The survey of a book in which one item's history differs: its own, what its kind's lives say, and who went along with it. */
export function resurvey(before: Survey, book: Book, changed: ItemId): Survey {
  const item = book.item(changed);
  if (!item) return { ...before, book };
  const again = item.rules.life || item.rules.inTurn ? before.byKind.get(item.kind)! : [item];
  const totals = new Map([...before.totals, ...ledger(book, again)]);
  const mates = item.jobs.flatMap((job) => before.mates.get(job) ?? []);
  return {
    ...before,
    book,
    totals,
    marks: new Map([
      ...before.marks,
      ...[item, ...mates].map(({ id }) => [id, marked(book.carriedOf(id))] as const),
    ]),
    beliefs: new Map([...before.beliefs, ...beliefsOf(book, totals, again)]),
  };
}

/** Whose verdicts may turn on an item: its own, its kind's (they share a life), and those of the things that do its job. */
export function touchedBy({ book, byKind, mates }: Survey, id: ItemId): readonly FullItem[] {
  const item = book.item(id);
  if (!item) return [];
  return [
    ...new Set([
      item,
      ...(item.rules.life || item.rules.inTurn ? byKind.get(item.kind)! : []),
      ...item.jobs.flatMap((job) => mates.get(job) ?? []),
    ]),
  ];
}

export function openCase(
  item: FullItem,
  { book, totals: ledgers, marks, beliefs, byKind, mates }: Survey,
): Case {
  const totals = ledgers.get(item.id)!;
  const own = marks.get(item.id)!;
  const use = evidenceOfUse(own, item, book.missedOf(item.id));
  const marksOf = (id: ItemId) => marks.get(id) ?? [];
  const rivals = rivalsOf(item, mates, marksOf);
  const tripChance = chanceOnTrip(use);
  const readings = readingsOf(item, totals, book);
  const state = stateOf(item, own);
  return {
    item,
    book,
    use,
    totals,
    rivals,
    tripChance,
    kind: item.rules,
    school: book.rules.school,
    state,
    readings,
    left: state === "active" ? leftIn(item, totals, readings, book, beliefs) : null,
    marked: own,
    history: historyOf(item, book, own),
    alike: alikeTo(item, byKind, mates),
    successor: successorOf(item, byKind, marksOf),
    worth:
      item.load === "hobby" || item.cover
        ? null
        : worthToWeight({
            consequence: item.consequence,
            grams: item.weight?.g ?? null,
            chance: tripChance,
            backedUp: rivals.some((rival) => rival.insteadOn.length > rival.together / 2)
              ? CHANCE_RIVAL_FAILS
              : null,
          }),
  };
}

function alikeTo(item: FullItem, byKind: Survey["byKind"], mates: Survey["mates"]): FullItem[] {
  const kin = item.kind === "other" ? [] : (byKind.get(item.kind) ?? []);
  const [job] = item.jobs;
  const doing =
    job === undefined
      ? []
      : (mates.get(job) ?? []).filter((other) => other.jobs[0] === job && other.kind !== item.kind);
  return [...kin, ...doing].filter((other) => other.id !== item.id);
}

function chanceOnTrip({ called, uncalled, calledTrips, uncalledTrips }: UseEvidence): number {
  const trips = calledTrips.length + uncalledTrips.length;
  if (trips === 0) return 0.5;
  return (calledTrips.length * meanChance(called) + uncalledTrips.length * meanChance(uncalled)) / trips;
}

function successorOf(
  item: FullItem,
  byKind: Survey["byKind"],
  marksOf: (id: ItemId) => readonly Marked[],
): FullItem | null {
  const last = marksOf(item.id).at(-1)?.outing.trip.ends ?? "";
  return (
    (byKind.get(item.kind) ?? []).find((other) => {
      const its = marksOf(other.id);
      const lately = its.at(-1);
      return (
        other.id !== item.id &&
        lately !== undefined &&
        lately.outing.trip.starts > last &&
        lately.mark.trouble !== "failed" &&
        stateOf(other, its) === "active" &&
        its.some(({ outing, mark }) => outing.trip.starts > last && mark.use === "used")
      );
    }) ?? null
  );
}
