import type { Lasting } from "../belief/lasting";
import type { Consequence } from "../model";
import type { FullItem } from "../trade/full-item";

/** What a failure on the trail costs beside the thing itself, in euros. Our own figures; common practice, no source. */
export const FAILING_COST: Readonly<Record<Consequence, number>> = {
  nuisance: 10,
  discomfort: 40,
  "trip-ending": 150,
  danger: 250,
};

/** The trouble of sewing, patching or posting a thing off, in euros; and of looking a thing over. Our own figures. */
export const REPAIR_TROUBLE = 8;
export const LOOK_TROUBLE = 1;

/** What wear costs one owner, in euros. */
export interface WearCost {
  /** A unit of wear, by the best age to replace at. */
  readonly perWear: number;
  /** A failure of it. */
  readonly failing: number;
}

const STEPS = 48;

/**
 * The least cost for each unit of wear over a long run of things of one kind, each replaced at the age T or
 * when it fails: min over T of (price + F(T)·failing) ÷ ∫₀ᵀ S(t) dt (age replacement: Barlow and Hunter,
 * Operations Research 8:90, 1960).
 */
export function costOfWear(
  fresh: Lasting,
  { worthNew, consequence }: Pick<FullItem, "worthNew" | "consequence">,
): WearCost {
  const failing = FAILING_COST[consequence];
  const furthest = fresh.left(0.02);
  const step = furthest / STEPS;
  let [sum, least, before] = [0, Infinity, 1];
  for (let n = 1; n <= STEPS; n++) {
    const lasts = fresh.chance(n * step);
    sum += ((before + lasts) / 2) * step;
    least = Math.min(least, (worthNew + (1 - lasts) * failing) / sum);
    before = lasts;
  }
  return { perWear: least, failing };
}
