import jstat from "jstat";

/** What is known of a chance after counting: Beta(1 + uses, 1 + misses). */
export interface UseChance {
  readonly uses: number;
  readonly misses: number;
}

/** Mean of the Beta: the chance, 0 to 1, to expect. */
export const meanChance = ({ uses, misses }: UseChance) => (1 + uses) / (2 + uses + misses);

/** How sure we are, 0 to 1, that the chance lies below `line`: the Beta's distribution function there. */
export function surenessBelow({ uses, misses }: UseChance, line: number): number {
  return uses === 0 ? 1 - (1 - line) ** (1 + misses) : jstat.beta.cdf(line, 1 + uses, 1 + misses);
}

/**
 * The value, 0 to 1, that the chance lies below with probability `p`.
 *
 * @example chanceQuantile({ uses: 2, misses: 5 }, 0.5) // 0.32052, the median of Beta(3, 6)
 */
export function chanceQuantile({ uses, misses }: UseChance, p: number): number {
  // Nothing but misses has a closed form, and is the case asked most.
  return uses === 0 ? 1 - (1 - p) ** (1 / (1 + misses)) : jstat.beta.inv(p, 1 + uses, 1 + misses);
}
