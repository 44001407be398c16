import { nth } from "./there";
/** The middle of some numbers, or the mean of the middle two; 0 of none. */
export function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length === 0 ? 0 : (nth(sorted, Math.ceil(middle) - 1) + nth(sorted, Math.floor(middle))) / 2;
}
