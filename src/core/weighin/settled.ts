import { lastOf, nth } from "../sums/there";
/** One reading of a scale, in grams. */
export type Grams = number;

/** Readings that must agree before one is taken. At ten a second, eight tenths of a second. */
const AGREEING = 8;
/** They agree within this, in grams: three divisions of a kitchen scale. */
const WITHIN = 3;
/** And the second half of them lies no further than this from the first: it does not creep. */
const CREEP = 0.8;

/**
 * What a scale has settled on: the median of its last readings once they agree and do not creep; null while
 * it moves, and where something went below nothing.
 */
export function settledOn(readings: readonly Grams[]): Grams | null {
  const last = readings.slice(-AGREEING);
  if (last.length < AGREEING) return null;
  const sorted = last.toSorted((a, b) => a - b);
  if (lastOf(sorted) - nth(sorted, 0) > WITHIN) return null;
  const mean = (some: readonly Grams[]) => some.reduce((sum, each) => sum + each, 0) / some.length;
  const half = AGREEING / 2;
  if (Math.abs(mean(last.slice(half)) - mean(last.slice(0, half))) > CREEP) return null;
  const settled = Math.round((nth(sorted, half - 1) + nth(sorted, half)) / 2);
  return settled < 0 ? null : settled;
}

/** What a line of a scale says: grams, that it is overloaded, or nothing that can be read. */
export function readingOf(line: string): Grams | "overload" | null {
  const plain = line.trim();
  if (plain === "OL") return "overload";
  const match = /^([+-]?\d+(?:\.\d+)?) ?g$/.exec(plain);
  return match ? Number(match[1]) : null;
}
