import { medianOf } from "../../sums/median";
import type { ReadingRule } from "../../trade/kind";
import { theilSen, type Point } from "./theil-sen";

/** How readings fall with wear. */
export interface ReadingTrend {
  readonly rule: ReadingRule;
  /** Wear and value of each reading, the earliest first. */
  readonly points: readonly Point[];
  /** Change for each unit of wear; below 0 where it falls. */
  readonly slope: number;
  /** The value that the line gives at a wear, and its standard error there. */
  readonly at: (wear: number) => number;
  readonly errorAt: (wear: number) => number;
}

/** Readings below which no trend is drawn. */
const READINGS_FOR_A_TREND = 3;

/**
 * The robust line (Theil–Sen) through an item's readings. Its level's error comes from the median absolute
 * residual, its slope's from Sen's interval, neither taken as smaller than what the measure itself repeats to
 * allows. Null for fewer than three readings, or all at one wear.
 *
 * @param asNew the value of a new one, at no wear, where both are known: it holds the line's near end
 */
export function readingTrend(
  rule: ReadingRule,
  points: readonly Point[],
  asNew: number | null = null,
): ReadingTrend | null {
  const held = asNew === null ? points : [{ x: 0, y: asNew }, ...points];
  const line = points.length < READINGS_FOR_A_TREND ? null : theilSen(held);
  if (!line) return null;
  const { slope, intercept, slopeError } = line;
  const n = held.length;
  const at = (wear: number) => intercept + slope * wear;
  const scatter = 1.4826 * medianOf(held.map(({ x, y }) => Math.abs(y - at(x)))) * Math.sqrt(n / (n - 2));
  const error = Math.max(scatter, rule.error);
  const mean = held.reduce((sum, { x }) => sum + x, 0) / n;
  const spread = held.reduce((sum, { x }) => sum + (x - mean) ** 2, 0);
  const tilt = Math.max(slopeError, rule.error / Math.sqrt(spread));
  return {
    rule,
    points,
    slope,
    at,
    errorAt: (wear) => Math.hypot(error / Math.sqrt(n), tilt * (wear - mean)),
  };
}

/**
 * How well a life that ends at some wear agrees with the trend, as a likelihood: how near the line comes to
 * the limit there, for its error there.
 */
export function agreement({ rule, at, errorAt }: ReadingTrend, wear: number): number {
  const error = errorAt(wear);
  return Math.exp(-0.5 * ((at(wear) - rule.limit) / error) ** 2) / error;
}
