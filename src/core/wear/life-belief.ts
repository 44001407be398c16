import type { LifeRule } from "../kinds";
import type { LifeBelief } from "./chance-to-last";

/** One life as far as it is known: worn out at `wear`, or still going (or lost, sold …) at it: censored. */
export interface Life {
  readonly wear: number;
  readonly wornOut: boolean;
}

/**
 * What an owner's own lives make of the rule of thumb.
 *
 * Weibull with known shape k and a Gamma(a, b) prior on λ = θ^−k, where θ = median / (ln 2)^(1/k) and b = a·θ^k.
 * A life worn out at T adds (1, T^k); a censored one adds (0, T^k).
 */
export function believe({ median, k, a }: LifeRule, lives: readonly Life[]): LifeBelief {
  const scale = median / Math.LN2 ** (1 / k);
  return {
    k,
    a: a + lives.filter((life) => life.wornOut).length,
    b: a * scale ** k + lives.reduce((sum, life) => sum + life.wear ** k, 0),
  };
}
