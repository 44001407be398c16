import type { ItemId } from "@/core/model";
import type { Stretch } from "@/core/ledger/stretches";
import { parseNumber, type Parsed } from "@/core/units/quantity";
import { metresIn, sayDistance, type Units } from "@/core/units/speak";

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

/** Part of the way within which a dragged end falls to a leg's end: about three pixels on a phone. */
const CATCH = 0.008;
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

/**
 * Handles as a slider tells them while one is dragged, put where the finger is: it reads the finger over all of its
 * width,
 * of which the bars leave a margin free on either side.
 *
 * @param margin part of its width, 0 to 1, on each side
 */
export function underFinger(
  handles: readonly number[],
  told: readonly number[],
  way: Way,
  margin: number,
): number[] {
  const step = stepOf(way);
  return told.map((metres, n) => {
    if (metres === handles[n]) return metres;
    const there = ((metres / way.whole - margin) / (1 - 2 * margin)) * way.whole;
    const low = told[n - 1] ?? 0;
    const high = told[n + 1] ?? way.whole;
    return Math.min(high, Math.max(low, Math.round(there / step) * step));
  });
}

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

/** "0–60, 260–400": stretches as they are typed, in the owner's unit of distance. */
export const stretchesText = (stretches: readonly Stretch[], units: Units): string =>
  stretches.map(({ from, to }) => [from, to].map((metres) => kmText(metres, units)).join("–")).join(", ");

const kmText = (metres: number, units: Units) => String(Math.round((metres / metresIn(units)) * 10) / 10);

/** Typed stretches in metres; the end of the way may be left open ("260–"). None where nothing is typed. */
export function readStretches(typed: string, { ends, whole }: Way, units: Units): Parsed<Stretch[]> {
  const parts = typed.split(/[,;]/).filter((part) => part.trim() !== "");
  const read = parts.map((part) => {
    const ends_ = part.split(/\s*(?:–|-|\bto\b)\s*/i).map((text) => text.trim());
    const [from, to = ""] = ends_;
    const at = (text: string, blank: number) => {
      const number = text === "" ? blank / metresIn(units) : parseNumber(text);
      return number === null ? NaN : number * metresIn(units);
    };
    return { from: at(from ?? "", 0), to: at(to, whole), parts: ends_.length };
  });
  if (read.some(({ from, to, parts: n }) => n > 2 || !(from >= 0) || !(to >= 0)))
    return { ok: false, why: "Write from where to where, like 0–60, 260–400." };
  // The way's own end is written rounded.
  const end = (metres: number) => (Math.abs(metres - whole) <= metresIn(units) / 20 ? whole : metres);
  const handles = read.flatMap(({ from, to }) => [end(from), end(to)]);
  if (handles.some((metres) => metres > whole))
    return { ok: false, why: `The way is ${sayDistance(whole, units)} long.` };
  if (handles.some((metres, n) => n > 0 && metres < (handles[n - 1] ?? 0)))
    return { ok: false, why: "Each stretch begins where the one before has ended, or later." };
  return { ok: true, value: settled(handles, { ends, whole }, false) };
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
