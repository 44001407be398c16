import type { Cause, Entry, ExitHow, ItemId, ItemState, Mark, Symptom, TripId } from "../model";
import type { FullItem } from "../trade/full-item";
import type { Book, Marked } from "./book";
import { inOrder } from "../sums/days";
import type { Outing } from "./outing";

/** Damage or a failure, on a trip or between trips. */
export interface Incident {
  readonly on: string;
  readonly outing: Outing | null;
  readonly mark: Mark | null;
  readonly entry: Entry | null;
  readonly failed: boolean;
  readonly symptoms: readonly Symptom[];
  readonly cause: Cause | null;
  readonly condition: number | null;
}

interface Mend {
  readonly on: string;
  readonly outing: Outing | null;
  readonly cost: number;
}

/** How a thing left the shelf. */
export interface Departure {
  readonly how: Exclude<ItemState, "active" | "wished"> | ExitHow;
  readonly on: string | null;
  readonly outing: Outing | null;
  readonly mark: Mark | null;
  readonly for: ItemId | null;
}

/** Troubles and repairs in the order they happened. */
export interface History {
  readonly troubles: readonly Incident[];
  /** The last damage or failure that nothing has been done about since. */
  readonly open: Incident | null;
  readonly repairs: readonly Mend[];
  /** Day of the last repair, alteration, or service that answered the last trouble. */
  readonly lastMended: string | null;
  readonly lastSeenTo: string | null;
  readonly piecesOut: number;
}

const EXITS: Readonly<Partial<Record<ExitHow, ItemState | "swapped">>> = {
  lost: "lost",
  "given away": "given away",
  "worn out": "worn out",
  "thrown out": "thrown out",
  swapped: "swapped",
};

/** On the shelf, or how it left. */
export type State = "active" | Departure["how"];

/**
 * How it left the shelf; null where it is still there. A mark that says it is gone counts even where the
 * shelf lists it as active; part of a set may go, and the set stay.
 */
export function departureOf(item: FullItem, marks: readonly Marked[]): Departure | null {
  const last = marks.at(-1);
  const exit = last?.mark.exit;
  const left = exit && EXITS[exit.how] && (last.mark.pieces === null || last.mark.pieces >= item.pieces);
  if (item.state === "wished") return null;
  if (left)
    return {
      how: item.state === "active" ? exit.how : item.state,
      on: last.outing.trip.ends,
      outing: last.outing,
      mark: last.mark,
      for: exit.for,
    };
  if (item.state === "active") return null;
  return {
    how: item.state,
    on: item.since,
    // Retired at home, long after: no trip was the end of it.
    outing: last && (item.since === null || item.since <= last.outing.trip.ends) ? last.outing : null,
    mark: last?.mark ?? null,
    for: null,
  };
}

/** One of a set or a pair broke: the count is short, the rest is sound. */
const isOfPieces = (mark: Mark, item: FullItem) =>
  mark.pieces !== null && mark.pieces > 0 && mark.pieces < item.pieces;

const UNEVENTFUL: History = {
  troubles: [],
  open: null,
  repairs: [],
  lastMended: null,
  lastSeenTo: null,
  piecesOut: 0,
};
const isEvent = ({ mark: { troubles, condition, fix, pieces } }: Marked) =>
  troubles.length > 0 || condition === 0 || fix !== null || pieces !== null;

/** What was done about a thing, as opposed to looked at or worn. */
const MENDS: readonly Entry["what"][] = ["repair", "service", "wash", "restock"];

export function historyOf(item: FullItem, book: Book, marks: readonly Marked[]): History {
  const entries = book.entriesOf(item.id);
  // Most things have had none, and many trips to look through.
  if (entries.length === 0 && item.altered === null && !marks.some(isEvent)) return UNEVENTFUL;
  const troubles = [
    ...marks
      .filter(
        ({ mark }) =>
          (mark.troubles.some((trouble) => trouble !== "nuisance") || mark.condition === 0) &&
          !isOfPieces(mark, item),
      )
      .map(({ outing, mark }): Incident => ({
        on: outing.trip.ends,
        outing,
        mark,
        entry: null,
        failed: mark.troubles.includes("failed") || mark.condition === 0,
        symptoms: mark.symptoms,
        cause: mark.cause,
        condition: mark.condition,
      })),
    ...entries
      .filter(({ what }) => what === "damage")
      .map((entry): Incident => ({
        on: entry.on,
        outing: null,
        mark: null,
        entry,
        failed: false,
        symptoms: entry.symptoms,
        cause: null,
        condition: entry.condition,
      })),
  ].sort((a, b) => inOrder(a.on, b.on));
  const repairs = [
    ...entries
      .filter(({ what }) => what === "repair")
      .map(({ on, cost }): Mend => ({ on, outing: null, cost: cost ?? 0 })),
    ...marks
      .filter(({ mark }) => mark.fix === "patched")
      .map(({ outing }): Mend => ({ on: outing.trip.ends, outing, cost: 0 })),
  ].sort((a, b) => inOrder(a.on, b.on));
  const last = troubles.at(-1) ?? null;
  return {
    troubles,
    repairs,
    open: last && isOpen(last, entries, marks) ? last : null,
    lastMended: latest(repairs.at(-1)?.on, last && answerTo(last, entries)?.on, item.altered?.on),
    lastSeenTo: entries.findLast(({ what }) => MENDS.includes(what) || what === "check")?.on ?? null,
    piecesOut: marks.reduce(
      (sum, { outing, mark }) =>
        sum +
        (mark.pieces && (!mark.exit || mark.pieces < item.pieces) && !isMadeGood(outing, marks, entries)
          ? mark.pieces
          : 0),
      0,
    ),
  };
}

function isOpen(last: Incident, entries: readonly Entry[], marks: readonly Marked[]): boolean {
  if (entries.some(({ what, on }) => MENDS.includes(what) && on >= last.on && what !== "wash")) return false;
  const since = marks.filter(({ outing, mark }) => outing.trip.starts > last.on && mark.use === "used");
  const sound = since.filter(({ mark }) => mark.troubles.length === 0);
  if (sound.length === 0 || sound.length < since.length) return true;
  const graded = last.condition ?? last.mark?.condition ?? null;
  // A patch that held on a later trip is as good as a repair; what weather or a flat battery stopped works again.
  const patchHeld = last.mark?.fix === "patched" && (graded === null || graded >= 3);
  const worksAgain = last.cause === "flat or empty" || last.cause === "weather";
  return !patchHeld && !worksAgain;
}

/**
 * The repair or service that a trouble was answered with; what was flat or empty and was filled is as good as
 * it was.
 */
const answerTo = ({ on, cause }: Incident, entries: readonly Entry[]) =>
  cause === "flat or empty"
    ? undefined
    : entries.find((entry) => (entry.what === "repair" || entry.what === "service") && entry.on >= on);

const latest = (...days: readonly (string | null | undefined)[]) =>
  days
    .filter((day) => day != null)
    .sort()
    .at(-1) ?? null;

/** Pieces put back, or not missed: it went on as well without them. */
const isMadeGood = (outing: Outing, marks: readonly Marked[], entries: readonly Entry[]) =>
  entries.some(({ on, what }) => on >= outing.trip.ends && ["restock", "repair", "service"].includes(what)) ||
  marks.some(
    (later) => later.outing.n > outing.n && later.mark.use === "used" && later.mark.troubles.length === 0,
  );

/** The trips that a filter may have frozen wet on, and the days between trips; the plainest telling first. */
export interface FrostDoubt {
  readonly how: "froze" | "unknown" | "unasked";
  readonly hard: boolean;
  readonly outing: Outing | null;
  readonly on: string;
}

/** Frost that what freezing ruins may have met; null where none did, or it was kept from it. */
export function frostDoubtOf(item: FullItem, book: Book, marks: readonly Marked[]): FrostDoubt | null {
  if (!item.rules.freezes) return null;
  const doubts = [
    ...marks.flatMap((one) => frostOnTrip(one) ?? []),
    ...book.entriesOf(item.id).flatMap((entry) => frostBetween(entry) ?? []),
  ];
  const order = ["froze", "unknown", "unasked"];
  return (
    doubts.sort(
      (a, b) =>
        order.indexOf(a.how) - order.indexOf(b.how) || Number(b.hard) - Number(a.hard) || inOrder(b.on, a.on),
    )[0] ?? null
  );
}

function frostOnTrip({ outing, mark, calls, legs }: Marked): FrostDoubt | null {
  if (mark.frost === "kept") return null;
  const hard =
    outing.trip.conditions.freezing === "strong" ||
    outing.trip.legs.some(
      (leg) => leg.conditions.freezing === "strong" && (legs === null || legs.includes(leg.id)),
    );
  const met = { hard, outing, on: outing.trip.ends };
  if (mark.frost === "froze") return { how: "froze", ...met };
  if (mark.use === "unused" || !calls.has("freezing")) return null;
  return { how: mark.frost === "unknown" ? "unknown" : "unasked", ...met };
}

/** Damage in store, to a thing that frost ruins unseen, can't be looked for. */
function frostBetween({ frost, what, on }: Entry): FrostDoubt | null {
  if (frost === "kept") return null;
  if (frost === "froze") return { how: "froze", hard: true, outing: null, on };
  return frost === "unknown" || what === "damage" ? { how: "unknown", hard: true, outing: null, on } : null;
}

/** Trips, as ids, for a finding to name. */
export const tripsOf = (marks: readonly Pick<Marked, "outing">[]): TripId[] =>
  marks.map(({ outing }) => outing.trip.id);
