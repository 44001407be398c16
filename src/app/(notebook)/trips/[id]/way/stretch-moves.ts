import type { ItemId } from "@/core/model";
import type { Stretch } from "@/core/ledger/stretches";
import { sayDistance, type Units } from "@/core/units/speak";

/** A leg as the picture has it, in metres from the start of the trip. */
export interface LegSpan {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** A thing and where it was along; `place` where it failed or left, if that is known. */
export interface WayRow {
  readonly item: ItemId;
  readonly name: string;
  readonly slot: string | null;
  readonly stretches: readonly Stretch[];
  readonly place: { readonly metres: number; readonly words: string } | null;
}

/** The way that a row's handles move on: where its legs end, and how long it is, in metres. */
export interface Way {
  readonly ends: readonly number[];
  readonly whole: number;
}

/** Part of the way within which a dragged end falls to a leg's end. */
const CATCH = 0.02;
/** Metres within which a typed or stepped one does. */
const CATCH_M = 50;

export const wayOf = (legs: readonly LegSpan[]): Way => ({
  ends: [0, ...legs.map(({ to }) => to)],
  whole: legs.at(-1)?.to ?? 0,
});

/** One step of an arrow key, in metres. */
export const stepOf = ({ whole }: Way) => (whole > 50_000 ? 1000 : 100);

/** Handles, as a slider has them: from, to, from, to … */
export const handlesOf = (stretches: readonly Stretch[]): number[] =>
  stretches.flatMap(({ from, to }) => [from, to]);

export const stretchesAt = (handles: readonly number[]): Stretch[] =>
  handles.flatMap((from, n) => {
    const to = handles[n + 1];
    return n % 2 === 0 && to !== undefined ? [{ from, to }] : [];
  });

/** What handles let go of come to: each caught by the leg's end beside it, and no stretch of nothing. */
export function settled(handles: readonly number[], { ends, whole }: Way, byPointer: boolean): Stretch[] {
  const reach = byPointer ? CATCH * whole : CATCH_M;
  const caught = handles.map((metres) => ends.find((end) => Math.abs(end - metres) <= reach) ?? metres);
  return stretchesAt(caught).filter(({ from, to }) => to > from);
}

/** A handle moved to the next end of a leg, on or back, without passing its neighbours; null: there is none. */
export function toLegEnd(handles: readonly number[], at: number, on: boolean, way: Way): number[] | null {
  const now = handles[at] ?? 0;
  const end = on ? way.ends.find((each) => each > now) : way.ends.findLast((each) => each < now);
  if (end === undefined) return null;
  const low = handles[at - 1] ?? 0;
  const high = handles[at + 1] ?? way.whole;
  return handles.with(at, Math.min(high, Math.max(low, end)));
}

/** A stretch more, from the end of the last one on; along to its end already: from where the last leg begins. */
export function carriedAgain(handles: readonly number[], { ends, whole }: Way): number[] {
  const from = handles.at(-1) ?? 0;
  const next = from < whole ? (ends.find((end) => end > from) ?? from) : 0;
  return [...handles, next < whole ? next : from, whole];
}

/** Of the way; the handles of a stretch shorter than this would lie on one another. */
const SHORT = 0.16;

/**
 * How far, in percent of itself, a handle of a short stretch stands aside, so that each has room for a finger:
 * to its own side, or both to the side with room. Null: it stands where it is.
 */
export function asideOf(handles: readonly number[], n: number, whole: number): number | null {
  const isTo = n % 2 === 1;
  const from = handles[isTo ? n - 1 : n] ?? 0;
  const to = handles[isTo ? n : n + 1] ?? whole;
  if (to - from >= SHORT * whole) return null;
  if (to >= whole) return isTo ? 0 : -100;
  if (from <= 0) return isTo ? 100 : 0;
  return isTo ? 50 : -50;
}

export const isAllTheWay = (stretches: readonly Stretch[], whole: number): boolean =>
  stretches.length === 1 && stretches[0]?.from === 0 && stretches[0].to === whole;

/** "all the way", "0 to 60 km, 260 to 400 km". */
export function sayStretches(stretches: readonly Stretch[], whole: number, units: Units): string {
  if (stretches.length === 0) return "not carried";
  if (isAllTheWay(stretches, whole)) return "all the way";
  return stretches
    .map(({ from, to }) => `${sayDistance(from, units)} to ${sayDistance(to, units)}`)
    .join(", ");
}
