import { medianOf } from "../median";
import { theilSen, type Point } from "./theil-sen";

/** A thing that can be measured on a kind, and the value at which it is done. Readings fall with wear. */
export interface ReadingRule {
  readonly what: string;
  readonly unit: string;
  /** At or below this it no longer does its job. */
  readonly limit: number;
  /** How far two readings of the same thing may differ, as a standard deviation. */
  readonly error: number;
}

/** How readings fall with wear, seen from the wear of now. */
export interface ReadingTrend {
  readonly rule: ReadingRule;
  /** Wear and value of each reading, the earliest first. */
  readonly points: readonly Point[];
  /** Value now, by the line; and its standard error. */
  readonly level: number;
  readonly levelError: number;
  /** Change for each unit of wear; below 0 where it falls. And its standard error. */
  readonly slope: number;
  readonly slopeError: number;
}

/** Readings below which no trend is drawn. */
export const READINGS_FOR_A_TREND = 3;

/**
 * The robust line (Theil–Sen) through an item's readings. Its errors come from the median absolute residual, never taken as
 * smaller than what the measure itself repeats to. Null for fewer than three readings, or all at one wear.
 */
export function readingTrend(rule: ReadingRule, points: readonly Point[], worn: number): ReadingTrend | null {
  const line = points.length < READINGS_FOR_A_TREND ? null : theilSen(points);
  if (!line) return null;
  const { slope, intercept } = line;
  const n = points.length;
  const scatter = 1.4826 * medianOf(points.map(({ x, y }) => Math.abs(y - intercept - slope * x))) * Math.sqrt(n / (n - 2));
  const error = Math.max(scatter, rule.error);
  const mean = points.reduce((sum, { x }) => sum + x, 0) / n;
  const spread = points.reduce((sum, { x }) => sum + (x - mean) ** 2, 0);
  return {
    rule, points, slope, slopeError: error / Math.sqrt(spread),
    level: intercept + slope * worn, levelError: error * Math.sqrt(1 / n + (worn - mean) ** 2 / spread),
  };
}

/**
 * How well a life that ends `further` from now agrees with the trend, as a likelihood: the slope that it needs to reach the
 * limit just then, against the slope that was seen.
 */
export function agreement({ rule, level, levelError, slope, slopeError }: ReadingTrend, further: number): number {
  const needed = (rule.limit - level) / further;
  const error = Math.hypot(slopeError, levelError / further);
  return Math.exp(-0.5 * ((needed - slope) / error) ** 2) / error;
}
