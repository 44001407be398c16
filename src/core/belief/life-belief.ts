import type { LifeRule } from "../trade/kind";
import { chanceToLast, wearLeft, type LifeBelief } from "./fits/chance-to-last";

/** One life as far as it is known: worn out at `wear`, or still going (or lost, sold …) at it: censored. */
export interface Life {
  readonly wear: number;
  /** How sure that is, 0 to 1: a failure with no cause told is most likely wear. */
  readonly wornOut: number;
}

/** How many of them are over, as far as can be told. */
export const wornOutOf = (lives: readonly Life[]) => lives.reduce((sum, life) => sum + life.wornOut, 0);

/** A belief held with some weight, 0 to 1, about an item that was worn to `before` when its log began. */
interface WeightedBelief extends LifeBelief {
  readonly weight: number;
  readonly before: number;
}

/** What is believed of a kind's life: beliefs of one shape whose weights add up to 1. */
export type LifeBlend = readonly [WeightedBelief, ...WeightedBelief[]];

/**
 * How far an owner's lives may stray from the rule of thumb, in logarithms: most owners are near it, a few
 * far off, which is Student's t with two degrees of freedom and this scale. Long tails learn quickly from
 * lives that are half or twice the rule, and yet one tired pair that is still going does not argue the rule
 * away, as a broad normal spread would let it. Common practice, no source; the simulated walkers of
 * `measure/walkers` try it.
 */
const OWNER_SCALE = 0.2;
const OWNERS = [-1, -0.75, -0.5, -0.25, 0, 0.25, 0.5, 0.75, 1].map((log) => ({
  factor: Math.exp(log),
  weight: (1 + (log / OWNER_SCALE) ** 2 / 2) ** -1.5,
}));

/**
 * What an owner's own lives make of the rule of thumb.
 *
 * Weibull with known shape k. For an owner whose lives are `factor` times the rule's, a Gamma(a, b) prior on
 * λ = θ^−k, where θ = factor·median / (ln 2)^(1/k) and b = a·θ^k; a life worn out at T adds (1, T^k), a
 * censored one (0, T^k). A single such prior learns too slowly from an owner whose things last half or twice
 * as long, so it is averaged over a spread of owners: each stays conjugate, and its weight is what it made of
 * the lives, b^a / (b + ΣT^k)^(a + deaths).
 */
export function believe({ median, k, a }: LifeRule, lives: readonly Life[]): LifeBlend {
  const deaths = wornOutOf(lives);
  const exposure = lives.reduce((sum, life) => sum + life.wear ** k, 0);
  return weighed(
    OWNERS.map(({ factor, weight }) => {
      const prior = (a * (factor * median) ** k) / Math.LN2;
      const b = prior + exposure;
      return {
        k,
        a: a + deaths,
        b,
        before: 0,
        logWeight: Math.log(weight) + a * Math.log(prior) - (a + deaths) * Math.log(b),
      };
    }),
  );
}

/** Shares of a typical life that may be gone in a thing of unknown past. */
const PASTS = [0.05, 0.25, 0.5, 0.75, 1.1] as const;

/**
 * The belief about one thing of unknown past, worn to `worn` since: anything up to a whole life may be gone,
 * if it lasted that.
 */
export function believeOfUnknownPast(blend: LifeBlend, median: number, worn: number): LifeBlend {
  return weighed(
    blend.flatMap((part) =>
      PASTS.map((share) => {
        const before = share * median;
        return {
          ...part,
          before,
          logWeight:
            Math.log(part.weight) + Math.log(chanceToLast(part, { worn: 0, further: before + worn })),
        };
      }),
    ),
  );
}

function weighed(parts: readonly (LifeBelief & { before: number; logWeight: number })[]): LifeBlend {
  const top = Math.max(...parts.map((part) => part.logWeight));
  const total = parts.reduce((sum, part) => sum + Math.exp(part.logWeight - top), 0);
  return parts.map(({ logWeight, ...part }) => ({ ...part, weight: Math.exp(logWeight - top) / total })) as [
    WeightedBelief,
    ...WeightedBelief[],
  ];
}

/** Chance, 0 to 1, that an item worn to `worn` since its log began lasts `further` more. */
export function blendLasts(blend: LifeBlend, worn: number, further: number): number {
  return blend.reduce(
    (sum, part) => sum + part.weight * chanceToLast(part, { worn: part.before + worn, further }),
    0,
  );
}

/** Wear, expected, that it had when its log began; 0 where its past is known. */
export const wornBefore = (blend: LifeBlend) =>
  blend.reduce((sum, part) => sum + part.weight * part.before, 0);

/** Further wear that is reached with probability `q`: {@link blendLasts} solved for `further`. */
export function blendLeft(blend: LifeBlend, worn: number, q: number): number {
  const each = blend.map((part) => wearLeft(part, part.before + worn, q));
  // The blend's answer lies among those of its parts.
  return falsePosition(
    (further) => Math.log(blendLasts(blend, worn, further) / q),
    Math.min(...each),
    Math.max(...each),
  );
}

/**
 * {@link blendLasts} and {@link blendLeft} of a kind, for its items whose past is known. What a chance asks
 * for is a growth of wear^k, the same for all of them: it is found once for the kind, and each item's answer
 * is then in closed form.
 */
export function kindLasting(
  blend: LifeBlend,
): (worn: number) => { chance: (further: number) => number; left: (q: number) => number } {
  const [{ k }] = blend;
  const chanceOf = (growth: number) =>
    blend.reduce((sum, { weight, a, b }) => sum + weight * (b / (b + growth)) ** a, 0);
  const known = new Map<number, number>();
  const growthOf = (q: number) => {
    const found = known.get(q);
    if (found !== undefined) return found;
    const each = blend.map(({ a, b }) => b * (q ** (-1 / a) - 1));
    const growth = falsePosition(
      (asked) => Math.log(chanceOf(asked) / q),
      Math.min(...each),
      Math.max(...each),
    );
    known.set(q, growth);
    return growth;
  };
  return (worn) => {
    const sofar = worn ** k;
    return {
      chance: (further) => chanceOf((worn + further) ** k - sofar),
      left: (q) => (sofar + growthOf(q)) ** (1 / k) - worn,
    };
  };
}

/**
 * Where a falling function of something above 0 is 0, between `from` (where it is 0 or more) and `to`: false
 * position by the Illinois rule, in logarithms.
 */
function falsePosition(fall: (x: number) => number, from: number, to: number): number {
  let [low, high] = [Math.log(from), Math.log(to)];
  let [atLow, atHigh] = [fall(from), fall(to)];
  let side = 0;
  for (let step = 0; step < 60 && high - low > 1e-10 && atLow !== atHigh; step++) {
    const next = high - (atHigh * (high - low)) / (atHigh - atLow);
    const atNext = fall(Math.exp(next));
    if (Math.abs(atNext) < 1e-10) return Math.exp(next);
    const above = Math.sign(atNext);
    // An end that stays put twice is made to count half, or it would stay for good.
    if (above > 0) [low, atLow, atHigh] = [next, atNext, side === above ? atHigh / 2 : atHigh];
    else [high, atHigh, atLow] = [next, atNext, side === above ? atLow / 2 : atLow];
    side = above;
  }
  return Math.exp((low + high) / 2);
}
