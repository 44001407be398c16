import jstat from "jstat";

/** What is known of a chance after counting: Beta(1 + uses, 1 + misses). */
export interface UseChance {
  readonly uses: number;
  readonly misses: number;
}

/** Mean of the Beta: the chance, 0 to 1, to expect. */
export const meanChance = ({ uses, misses }: UseChance) => (1 + uses) / (2 + uses + misses);

/**
 * The value, 0 to 1, that the chance lies below with probability `p`.
 *
 * @example chanceQuantile({ uses: 2, misses: 5 }, 0.5) // 0.32052, the median of Beta(3, 6)
 */
export function chanceQuantile({ uses, misses }: UseChance, p: number): number {
  // Nothing but misses has a closed form, and is the case asked most.
  return uses === 0 ? 1 - (1 - p) ** (1 / (1 + misses)) : jstat.beta.inv(p, 1 + uses, 1 + misses);
}
