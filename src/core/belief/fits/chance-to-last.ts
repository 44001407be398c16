/** What is believed about a kind's life, in one wear unit (metres, nights, litres …). */
export interface LifeBelief {
  readonly k: number; // Weibull shape, > 0; above 1, the old fail sooner
  readonly a: number; // evidence, in lives, > 0
  readonly b: number; // wear unit to the power k, > 0; this item's own wear included
}

/**
 * Chance, 0 to 1, that an item worn to `worn` lasts `further` more, both in the belief's wear unit.
 * Weibull life with a Gamma(a, b) prior on its rate, averaged over that prior.
 *
 * @throws RangeError if either is negative or NaN
 * @example chanceToLast({ k: 1, a: 1, b: 100 }, { worn: 0, further: 100 }) // 0.5
 */
export function chanceToLast(
  { k, a, b }: LifeBelief,
  { worn, further }: { worn: number; further: number },
): number {
  if (!(worn >= 0 && further >= 0))
    throw new RangeError(`chanceToLast: worn (${worn}) and further (${further}) must be 0 or more`);
  const added = (worn + further) ** k - worn ** k;
  return (b / (b + added)) ** a;
}

/**
 * Further wear that is reached with probability `q`: the inverse of {@link chanceToLast}.
 *
 * @param q 0 < q < 1; 0.5 gives the median, 0.9 and 0.1 the ends of the 80 % interval
 * @throws RangeError outside those limits
 */
export function wearLeft({ k, a, b }: LifeBelief, worn: number, q: number): number {
  if (!(worn >= 0 && q > 0 && q < 1))
    throw new RangeError(`wearLeft: worn (${worn}) must be 0 or more and q (${q}) between 0 and 1`);
  return (worn ** k + b * (q ** (-1 / a) - 1)) ** (1 / k) - worn;
}
