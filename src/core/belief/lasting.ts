import { lastOf, nth } from "../sums/there";
import { blendLasts, blendLeft, type LifeBlend } from "./life-belief";
import { agreement, type ReadingTrend } from "./fits/reading-trend";

/** How much longer one item lasts, as far as that can be told. */
export interface Lasting {
  /** Chance, 0 to 1, that it lasts `further` more. */
  readonly chance: (further: number) => number;
  /** Further wear that is reached with probability `q`, 0 < q < 1. */
  readonly left: (q: number) => number;
}

/** By the life model alone, of a thing whose belief is its own: its past is unknown. */
export const lastingAlone = (blend: LifeBlend, worn: number): Lasting => ({
  chance: (further) => blendLasts(blend, worn, further),
  left: (q) => blendLeft(blend, worn, q),
});

/** Steps of further wear in which a joined life is held. */
const STEPS = 100;

/**
 * The life model joined with the trends of readings, by their uncertainties: each stretch of further wear
 * keeps the chance that the life model gives its end there, times how well such an end agrees with the
 * readings (Bayes, on a grid). Two readings of one decay (tread and grade) are not two witnesses: together
 * they weigh as one, by their geometric mean.
 */
export function lastingByReadings(byLife: Lasting, worn: number, trends: readonly ReadingTrend[]): Lasting {
  if (trends.length === 0) return byLife;
  const furthest = byLife.left(0.001);
  const edges = Array.from({ length: STEPS + 1 }, (_, n) => furthest * (n / STEPS) ** 2);
  const lasts = edges.map(byLife.chance);
  const weights = edges
    .slice(1)
    .map(
      (edge, n) =>
        (nth(lasts, n) - nth(lasts, n + 1)) *
        trends.reduce((product, trend) => product * agreement(trend, worn + (nth(edges, n) + edge) / 2), 1) **
          (1 / trends.length),
    );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  // Readings that no life agrees with, to the last digit, can't be joined.
  if (!(total > 0)) return byLife;
  const chances = [1];
  for (const weight of weights) chances.push(Math.max(0, lastOf(chances) - weight / total));
  return {
    chance: (further) => {
      const n = Math.floor(Math.sqrt(Math.min(1, further / furthest)) * STEPS);
      if (n >= STEPS) return 0;
      const part = (further - nth(edges, n)) / (nth(edges, n + 1) - nth(edges, n));
      return nth(chances, n) + part * (nth(chances, n + 1) - nth(chances, n));
    },
    left: (q) => {
      const n = Math.max(
        1,
        chances.findIndex((chance) => chance <= q),
      );
      const part = (nth(chances, n - 1) - q) / (nth(chances, n - 1) - nth(chances, n) || 1);
      return nth(edges, n - 1) + part * (nth(edges, n) - nth(edges, n - 1));
    },
  };
}
