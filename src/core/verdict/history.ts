import type { Marked, Book } from "../ledger/book";
import { inOrder } from "../ledger/days";
import type { FullItem } from "../kinds";
import type { Entry, ItemState, Mark, TripId } from "../model";

export interface Trouble {
  readonly on: string;
  readonly trip: TripId | null;
  readonly tripName: string;
  readonly mark: Mark | null;
  readonly entry: Entry | null;
  readonly failed: boolean;
}

/** Troubles and repairs in the order they happened. */
export interface History {
  readonly troubles: readonly Trouble[];
  /** The last damage or failure that nothing has been done about since. */
  readonly open: Trouble | null;
  readonly repairs: readonly {
    readonly on: string;
    readonly tripName: string | null;
    readonly cost: number;
  }[];
  /** Day of the last repair, or of the service that answered the last trouble. */
  readonly lastRepair: string | null;
  readonly lastService: string | null;
  readonly piecesOut: number;
}

const EXITS = {
  lost: "lost",
  "given away": "given away",
  "worn out": "worn out",
  "thrown out": "thrown out",
} as const;

/** A mark that says it is gone counts even where the shelf still lists it as active; part of a set may go, and the set stay. */
export function stateOf(item: FullItem, marks: readonly Marked[]): ItemState {
  if (item.state !== "active") return item.state;
  const last = marks.at(-1)?.mark;
  const exit = last?.trouble && last.trouble in EXITS ? EXITS[last.trouble as keyof typeof EXITS] : null;
  return exit && (last!.pieces === null || last!.pieces >= item.pieces) ? exit : "active";
}

/** One of a set or a pair broke: the count is short, the rest is sound. */
const isOfPieces = (mark: Mark, item: FullItem) =>
  mark.pieces !== null && mark.pieces > 0 && mark.pieces < item.pieces;

const UNEVENTFUL: History = {
  troubles: [],
  open: null,
  repairs: [],
  lastRepair: null,
  lastService: null,
  piecesOut: 0,
};
const isEvent = ({ mark: { trouble, condition, fix, pieces } }: Marked) =>
  trouble !== null || condition === 0 || fix !== null || pieces !== null;

export function historyOf(item: FullItem, book: Book, marks: readonly Marked[]): History {
  const entries = book.entriesOf(item.id);
  // Most things have had none, and many trips to look through.
  if (entries.length === 0 && !marks.some(isEvent)) return UNEVENTFUL;
  const fromMarks = marks
    .filter(
      ({ mark }) =>
        (mark.trouble === "damaged" || mark.trouble === "failed" || mark.condition === 0) &&
        !isOfPieces(mark, item),
    )
    .map(({ outing, mark }): Trouble => ({
      on: outing.trip.ends,
      trip: outing.trip.id,
      tripName: outing.trip.name,
      mark,
      entry: null,
      failed: mark.trouble !== "damaged",
    }));
  const fromEntries = entries
    .filter((entry) => entry.what === "damage")
    .map((entry): Trouble => ({
      on: entry.on,
      trip: null,
      tripName: entry.note || "between trips",
      mark: null,
      entry,
      failed: false,
    }));
  const troubles = [...fromMarks, ...fromEntries].sort((a, b) => inOrder(a.on, b.on));
  const mended = entries.filter((entry) => entry.what === "repair");
  const repairs = [
    ...mended.map((entry) => ({ on: entry.on, tripName: null, cost: entry.cost ?? 0 })),
    ...marks
      .filter(({ mark }) => mark.fix === "patched")
      .map(({ outing }) => ({ on: outing.trip.ends, tripName: outing.trip.name, cost: 0 })),
  ].sort((a, b) => inOrder(a.on, b.on));
  const lastMend =
    entries.findLast((entry) => entry.what === "repair" || entry.what === "service")?.on ?? null;
  const last = troubles.at(-1) ?? null;
  // A patch on the trail that held on a later trip is as good as a repair.
  const heldSince =
    last?.mark?.fix === "patched" &&
    marks.some(({ outing, mark }) => outing.trip.starts > last.on && mark.use === "used");
  const open = last && !heldSince && (lastMend === null || lastMend < last.on) ? last : null;
  return {
    troubles,
    open,
    repairs,
    lastRepair: lastOfDays(repairs.at(-1)?.on, last && answerTo(last, entries)?.on),
    lastService:
      entries.findLast((entry) => ["service", "wash", "restock", "check", "repair"].includes(entry.what))
        ?.on ?? null,
    piecesOut: marks.reduce(
      (sum, { outing, mark }) =>
        sum + (mark.pieces && !madeGoodSince(entries, outing.trip.ends) ? mark.pieces : 0),
      0,
    ),
  };
}

/** The repair or service that a trouble was answered with; what was flat or empty and was filled is as good as it was. */
const answerTo = ({ on, mark }: Trouble, entries: readonly Entry[]) =>
  mark?.cause === "flat or empty"
    ? undefined
    : entries.find((entry) => (entry.what === "repair" || entry.what === "service") && entry.on >= on);

const lastOfDays = (...days: readonly (string | null | undefined)[]) =>
  days
    .filter((day) => day != null)
    .sort()
    .at(-1) ?? null;

const madeGoodSince = (entries: readonly Entry[], on: string) =>
  entries.some((entry) => entry.on >= on && ["restock", "repair", "service"].includes(entry.what));
