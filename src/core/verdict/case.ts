import { useEvidence, type UseEvidence } from "../evidence/chances";
import { meanChance } from "../evidence/use-chance";
import { worthToWeight } from "../evidence/worth";
import { kindOf, type FullItem, type Kind } from "../kinds";
import { marked, type Book, type Marked } from "../ledger/book";
import { groupBy } from "../ledger/group";
import { ledger, type Totals } from "../ledger/totals";
import type { Consequence, Entry, ItemId, ItemState, Job, Mark, SchoolName, TripId } from "../model";
import { leftIn, livesByKind, type Left } from "../wear/wear-left";
import { SCHOOLS, type School } from "./schools";

/** All that is known of one item, gathered once, for every rule to read. */
export interface Case {
  readonly item: FullItem;
  readonly kind: Kind;
  readonly state: ItemState;
  readonly book: Book;
  readonly school: School;
  readonly totals: Totals;
  readonly left: Left | null;
  readonly use: UseEvidence;
  readonly marked: readonly Marked[];
  readonly history: History;
  readonly rivals: readonly Rival[];
  /** Worth ÷ weight; null where weight does not decide. */
  readonly worth: number | null;
  /** Of the same kind, come to the shelf later, in use, and sound as far as the log tells. */
  readonly successor: FullItem | null;
}

/** Another item that went along to do the same job. */
export interface Rival {
  readonly item: FullItem;
  readonly job: Job;
  readonly usedTrips: number;
  /** Trips that both went on, and of these those on which only the rival was used. */
  readonly together: number;
  readonly insteadOn: readonly TripId[];
}

export interface Trouble {
  readonly on: string;
  readonly trip: TripId | null;
  readonly tripName: string;
  readonly mark: Mark | null;
  readonly entry: Entry | null;
  readonly failed: boolean;
}

/** Troubles and repairs in the order they happened. */
interface History {
  readonly troubles: readonly Trouble[];
  /** The last damage or failure that nothing has been done about since. */
  readonly open: Trouble | null;
  readonly repairs: readonly { readonly on: string; readonly tripName: string | null; readonly cost: number }[];
  readonly lastRepair: string | null;
  readonly lastService: string | null;
  readonly piecesOut: number;
}

export const RANK: Readonly<Record<Consequence, number>> = { nuisance: 0, discomfort: 1, "trip-ending": 2, danger: 3 };
export const isCritical = ({ item }: Pick<Case, "item">) => RANK[item.consequence] >= RANK["trip-ending"];

/** Jobs that one backup may double; beyond that a doubled job is trimmed (domain, section 5). */
export const DOUBLED_JOBS: readonly Job[] = ["treat water", "light", "fire", "find the way", "call for help", "stay warm", "stay dry"];
/** Nothing that does one of these is dropped for want of use: the commonly taught ten essential systems. */
export const ESSENTIAL_JOBS: readonly Job[] = [
  ...DOUBLED_JOBS, "shelter", "sleep warm", "first aid", "food", "sun protection", "traction", "mend",
];
/** Jobs of which one item is enough: two that went along are compared. */
const RIVAL_JOBS: readonly Job[] = [...DOUBLED_JOBS, "head warm", "hands warm", "pad", "pillow", "sit", "camp shoes"];

/** Chance that another thing fails on a trip, where it is the one used. Common practice, no source. */
const CHANCE_RIVAL_FAILS = 0.1;

/** The cases of every item, from one reading of the book. */
export function openCases(book: Book, school: SchoolName = book.settings.school): readonly Case[] {
  const totals = ledger(book);
  const lives = livesByKind(book, totals);
  const marks = new Map(book.items.map((item) => [item.id, marked(book.carriedOf(item.id))]));
  const rivals = findRivals(book, marks);
  return book.items.map((item) => {
    const kind = kindOf(item);
    const use = useEvidence(item, book);
    const own = totals.get(item.id)!;
    const its = rivals(item);
    return {
      item, kind, book, use, school: SCHOOLS[school], totals: own, rivals: its,
      state: stateOf(item, marks.get(item.id)!),
      left: leftIn(item, own, book, lives),
      marked: marks.get(item.id)!,
      history: historyOf(item, book, marks.get(item.id)!),
      successor: successorOf(item, book, marks),
      worth: item.load === "hobby" || item.cover ? null : worthToWeight({
        consequence: item.consequence, grams: item.weight?.g ?? null,
        chance: tripChance(use), backedUp: its.some((rival) => rival.insteadOn.length > rival.together / 2) ? CHANCE_RIVAL_FAILS : null,
      }),
    };
  });
}

/** Chance, 0 to 1, that it is used on a trip like those it went on, called for or not. */
function tripChance({ called, uncalled, calledTrips, uncalledTrips }: UseEvidence): number {
  const trips = calledTrips.length + uncalledTrips.length;
  if (trips === 0) return 0.5;
  return (calledTrips.length * meanChance(called) + uncalledTrips.length * meanChance(uncalled)) / trips;
}

function successorOf(item: FullItem, book: Book, marks: ReadonlyMap<ItemId, readonly Marked[]>): FullItem | null {
  const last = marks.get(item.id)!.at(-1)?.outing.trip.ends ?? "";
  return book.items.find((other) => {
    const its = marks.get(other.id)!;
    return other.kind === item.kind && other.id !== item.id && stateOf(other, its) === "active" && its.at(-1)?.mark.trouble !== "failed" &&
      its.some(({ outing, mark }) => outing.trip.starts > last && mark.use === "used");
  }) ?? null;
}

const EXITS = { lost: "lost", "given away": "given away", "worn out": "worn out", "thrown out": "thrown out" } as const;

/** A mark that says it is gone counts even where the shelf still lists it as active; part of a set may go, and the set stay. */
export function stateOf(item: FullItem, marks: readonly Marked[]): ItemState {
  if (item.state !== "active") return item.state;
  const last = marks.at(-1)?.mark;
  const exit = last?.trouble && last.trouble in EXITS ? EXITS[last.trouble as keyof typeof EXITS] : null;
  return exit && (last!.pieces === null || last!.pieces >= item.pieces) ? exit : "active";
}

function historyOf(item: FullItem, book: Book, marks: readonly Marked[]): History {
  const entries = book.entriesOf(item.id);
  const fromMarks = marks
    .filter(({ mark }) => mark.trouble === "damaged" || mark.trouble === "failed" || mark.condition === 0)
    .map(({ outing, mark }): Trouble => ({ on: outing.trip.ends, trip: outing.trip.id, tripName: outing.trip.name, mark, entry: null, failed: mark.trouble !== "damaged" }));
  const fromEntries = entries
    .filter((entry) => entry.what === "damage")
    .map((entry): Trouble => ({ on: entry.on, trip: null, tripName: entry.note || "between trips", mark: null, entry, failed: false }));
  const troubles = [...fromMarks, ...fromEntries].sort((a, b) => a.on.localeCompare(b.on));
  const mended = entries.filter((entry) => entry.what === "repair");
  const repairs = [
    ...mended.map((entry) => ({ on: entry.on, tripName: null, cost: entry.cost ?? 0 })),
    ...marks.filter(({ mark }) => mark.fix === "patched").map(({ outing }) => ({ on: outing.trip.ends, tripName: outing.trip.name, cost: 0 })),
  ].sort((a, b) => a.on.localeCompare(b.on));
  const lastMend = entries.filter((entry) => entry.what === "repair" || entry.what === "service").at(-1)?.on ?? null;
  const last = troubles.at(-1) ?? null;
  // A patch on the trail that held on a later trip is as good as a repair.
  const heldSince = last?.mark?.fix === "patched" && marks.some(({ outing, mark }) => outing.trip.starts > last.on && mark.use === "used");
  const open = last && !heldSince && (lastMend === null || lastMend < last.on) ? last : null;
  return {
    troubles, open, repairs,
    lastRepair: repairs.at(-1)?.on ?? null,
    lastService: entries.filter((entry) => ["service", "wash", "restock", "check", "repair"].includes(entry.what)).at(-1)?.on ?? null,
    piecesOut: marks.reduce((sum, { outing, mark }) => sum + (madeGoodSince(entries, outing.trip.ends) ? 0 : (mark.pieces ?? 0)), 0),
  };
}

const madeGoodSince = (entries: readonly Entry[], on: string) => entries.some((entry) => entry.on >= on && ["restock", "repair", "service"].includes(entry.what));

/** Who else does its job, active and along on at least two of its trips. */
function findRivals(book: Book, marks: ReadonlyMap<ItemId, readonly Marked[]>): (item: FullItem) => Rival[] {
  const byJob = groupBy(
    book.items.flatMap((item) => item.jobs.filter((job) => RIVAL_JOBS.includes(job)).map((job) => ({ job, item }))),
    ({ job }) => job,
  );
  const candidates = new Set([...byJob.values()].flatMap((doing) => doing.map(({ item }) => item.id)));
  const useOn = new Map([...candidates].map((id) => [id, new Map(marks.get(id)!.map(({ outing, mark }) => [outing.trip.id, mark.use]))]));
  return (item) => item.jobs.flatMap((job) => (byJob.get(job) ?? []).flatMap(({ item: other }) => {
    if (other.id === item.id || stateOf(other, marks.get(other.id)!) !== "active") return [];
    const own = useOn.get(item.id)!;
    const its = useOn.get(other.id)!;
    const together = [...own.keys()].filter((trip) => its.has(trip));
    // One left at home by now, or replaced, no longer does the job.
    if (together.length < 2 || !its.has([...own.keys()].at(-1)!)) return [];
    return [{
      item: other, job, together: together.length,
      usedTrips: [...its.values()].filter((use) => use !== "unused").length,
      insteadOn: together.filter((trip) => own.get(trip) === "unused" && its.get(trip) === "used"),
    }];
  }));
}
