import { medianOf } from "../../sums/median";

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface RobustLine {
  readonly slope: number;
  readonly intercept: number;
  /** Standard error of the slope; 0 where all pairs have one slope. */
  readonly slopeError: number;
}

/**
 * The line through points by Theil and Sen: its slope is the median of the slopes of all pairs, its intercept
 * the median of y − slope·x. Up to a quarter of the points may be quite wrong without moving it far. Null
 * where no two points differ in x.
 *
 * The slope's error is its own: half the width that Kendall's S, one standard deviation either way, leaves
 * among the sorted slopes. P. K. Sen, J. Am. Stat. Assoc. 63:1379, 1968.
 *
 * @example theilSen([{ x: 0, y: 1 }, { x: 1, y: 3 }, { x: 2, y: 5 }]) // { slope: 2, intercept: 1,
 * slopeError: 0 }
 */
export function theilSen(points: readonly Point[]): RobustLine | null {
  const slopes = points.flatMap((from, n) =>
    points
      .slice(n + 1)
      .filter((to) => to.x !== from.x)
      .map((to) => (to.y - from.y) / (to.x - from.x)),
  );
  if (slopes.length === 0) return null;
  const slope = medianOf(slopes);
  return {
    slope,
    intercept: medianOf(points.map(({ x, y }) => y - slope * x)),
    slopeError: slopeErrorOf(slopes, points.length),
  };
}

function slopeErrorOf(slopes: readonly number[], n: number): number {
  const sorted = slopes.toSorted((a, b) => a - b);
  const deviation = Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const last = sorted.length - 1;
  const at = (rank: number) => sorted[Math.min(last, Math.max(0, Math.round(rank)))]!;
  return (at((last + deviation) / 2) - at((last - deviation) / 2)) / 2;
}
