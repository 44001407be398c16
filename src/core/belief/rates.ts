import jstat from "jstat";

/** What one trip used of something, and over how much: 118 g over 4 nights. */
export interface Used {
  readonly used: number;
  readonly over: number;
}

/** How much of something an owner uses on a trip, for each night, day, kilometre or litre. */
export interface Rate {
  /** Trips that it is read from. */
  readonly trips: number;
  readonly median: number;
  /** Four trips in five lie between these. */
  readonly low: number;
  readonly high: number;
  /** What is enough on a share `margin`, 0 to 1, of trips. */
  readonly enoughFor: (margin: number) => number;
}

/**
 * What is believed of the logarithm of a rate before a trip was counted: the rule of thumb is worth half a
 * trip, and an owner's trips differ by some 40 %. Common practice, no source.
 */
const PRIOR = { worth: 0.5, shape: 2, spread: 0.3 } as const;

/**
 * An owner's rate, from what each trip used and the rule of thumb that it is shrunk to while trips are few:
 * the logarithms of the rates are normal, with a normal-gamma prior, so that the next trip's is Student's t
 * (Bernardo and Smith, Bayesian Theory, 1994, appendix A; from memory). A trip that used none says nothing:
 * it was not wanted there.
 *
 * @param typical the rule of thumb, in the same unit, > 0
 * @throws RangeError where `typical` is not above 0
 * @example rateOf([], 26).median // 26
 */
export function rateOf(uses: readonly Used[], typical: number): Rate {
  if (!(typical > 0)) throw new RangeError(`rateOf: the rule of thumb (${typical}) must be above 0`);
  const logs = uses
    .filter(({ used, over }) => used > 0 && over > 0)
    .map(({ used, over }) => Math.log(used / over));
  const n = logs.length;
  const mean = n ? logs.reduce((sum, log) => sum + log, 0) / n : 0;
  const apart = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0);
  const prior = Math.log(typical);
  const worth = PRIOR.worth + n;
  const centre = (PRIOR.worth * prior + n * mean) / worth;
  const shape = PRIOR.shape + n / 2;
  const scatter =
    PRIOR.shape * PRIOR.spread ** 2 + apart / 2 + (PRIOR.worth * n * (mean - prior) ** 2) / (2 * worth);
  const scale = Math.sqrt((scatter * (worth + 1)) / (shape * worth));
  const enoughFor = (margin: number) => Math.exp(centre + scale * jstat.studentt.inv(margin, 2 * shape));
  return { trips: n, median: Math.exp(centre), low: enoughFor(0.1), high: enoughFor(0.9), enoughFor };
}
