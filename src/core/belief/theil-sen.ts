import { medianOf } from "../ledger/median";

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface RobustLine {
  readonly slope: number;
  readonly intercept: number;
}

/**
 * The line through points by Theil and Sen: its slope is the median of the slopes of all pairs, its intercept the median of
 * y − slope·x. Up to a quarter of the points may be quite wrong without moving it far. Null where no two points differ in x.
 *
 * @example theilSen([{ x: 0, y: 1 }, { x: 1, y: 3 }, { x: 2, y: 5 }]) // { slope: 2, intercept: 1 }
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
  return { slope, intercept: medianOf(points.map(({ x, y }) => y - slope * x)) };
}
