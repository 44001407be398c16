import jstat from "jstat";

/** What one trip used of something, and over how much: 118 g over 4 nights. */
export interface Used {
  readonly used: number;
  readonly over: number;
}

/** How much of something an owner uses on a trip, for each night, day, kilometre or litre. */
export interface Rate {
  /** Trips that it is read from, and over how much they were together. */
  readonly trips: number;
  readonly over: number;
  readonly median: number;
  /** What a usual trip takes lies between these four times in five. */
  readonly low: number;
  readonly high: number;
  /** What is enough on a share `margin`, 0 to 1, of usual trips. */
  readonly enoughFor: (margin: number) => number;
}

/**
 * What is believed of the logarithm of a rate before a trip was counted. Owners lie about the rule of thumb by
 * `owners` (a standard deviation, of logarithms); an owner's trips differ by `trips`, and by what happens on the
 * way by `way` on a usual trip, which evens out on a longer one. `shape` is how much the spread itself is
 * believed, in pairs of trips. Common practice, no source; that they cover is tested on simulated owners.
 */
const PRIOR = { owners: 0.55, trips: 0.13, way: 0.16, shape: 1 } as const;

/** Nights, days, litres of a usual trip, where nothing else is told. */
const USUAL = 4;

/**
 * An owner's rate, from what each trip used and the rule of thumb that it is shrunk to while trips tell
 * little. A trip weighs by what it covers: a walk of 150 nights says nearly all there is to know of its
 * owner's rate, a night says little. The logarithms of the rates are normal about the owner's, each with its
 * own weight, their spread with an inverse-gamma prior, so that a usual trip's is Student's t (Bernardo and
 * Smith, Bayesian Theory, 1994, appendix A; from memory). The rule of thumb bears on the owner's rate alone,
 * not on how their trips differ. A trip that used none says nothing: it was not wanted there.
 *
 * @param typical the rule of thumb, in the same unit, > 0
 * @param usual how much a usual trip is over: its nights, days, kilometres, litres
 * @throws RangeError where `typical` is not above 0
 * @example rateOf([], 26).median // 26
 */
export function rateOf(uses: readonly Used[], typical: number, usual = USUAL): Rate {
  if (!(typical > 0)) throw new RangeError(`rateOf: the rule of thumb (${typical}) must be above 0`);
  const told = uses
    .filter(({ used, over }) => used > 0 && over > 0)
    .map(({ used, over }) => ({ log: Math.log(used / over), weight: 1 / spreadOver(over, usual), over }));
  const all = sum(told.map(({ weight }) => weight));
  const mean = all > 0 ? sum(told.map(({ log, weight }) => weight * log)) / all : 0;
  const apart = sum(told.map(({ log, weight }) => weight * (log - mean) ** 2));
  const shape = PRIOR.shape + Math.max(0, told.length - 1) / 2;
  // How much wider or narrower than is usual this owner's trips lie apart: a factor of the variance.
  const width = (PRIOR.shape + apart / 2) / shape;
  const [known, believed] = [all / width, 1 / PRIOR.owners ** 2];
  const centre = (believed * Math.log(typical) + known * mean) / (believed + known);
  const scale = Math.sqrt(1 / (believed + known) + width * spreadOver(usual, usual));
  const enoughFor = (margin: number) => Math.exp(centre + scale * jstat.studentt.inv(margin, 2 * shape));
  return {
    trips: told.length,
    over: sum(told.map(({ over }) => over)),
    median: Math.exp(centre),
    low: enoughFor(0.1),
    high: enoughFor(0.9),
    enoughFor,
  };
}

/** The variance of a trip's logarithm about its owner's, over so much. */
const spreadOver = (over: number, usual: number) => PRIOR.trips ** 2 + (PRIOR.way ** 2 * usual) / over;

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
