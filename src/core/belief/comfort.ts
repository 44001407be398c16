import { nth } from "../sums/there";
import type { Felt } from "../model";
import type { Ratings } from "../model";

/** A night that was told: how low the air went, and how it felt. */
export interface TriedNight {
  readonly low: number;
  readonly felt: Felt;
  /** Doubt about the low as it counts here, °C: it was slept in something a little other. */
  readonly doubt?: number;
}

/** Down to what air temperature an owner sleeps well in a bed, °C: a median and an 80 % interval. */
export interface Comfort {
  readonly median: number;
  readonly low: number;
  readonly high: number;
  readonly nights: number;
  /** What to rely on: the median, and while nights are few the warm end of the interval, never the cold one. */
  readonly relyOn: number;
  /**
   * Chance, never 0 nor 1, of a cold night at this low; and of one that is cool or colder. Both fall as it
   * gets warmer.
   */
  readonly coldAt: (low: number) => number;
  readonly coolAt: (low: number) => number;
}

/** What is believed of something before a night told of it, °C, and how far owners differ. */
export interface Worth {
  readonly mean: number;
  readonly spread: number;
}

/**
 * Owners sleep this much above the label, °C, and differ by so much; their beds differ from that again.
 * Common practice, no source.
 */
const ABOVE_LABEL: Worth = { mean: 3, spread: 3 };
const BEDS_DIFFER = Math.sqrt(4 ** 2 - ABOVE_LABEL.spread ** 2);
/** Where nothing is on the label: a usual three-season bed, and much doubt. */
const UNLABELLED = { mean: 4, spread: 9 };
/**
 * Comfort stands so much above the other results of the test, °C. ISO 23537-1 defines all three (comfort: a
 * standard woman lying relaxed is not cold; limit: a standard man curled up is in balance; extreme: a
 * standard woman gets through six hours without harm, at a risk of hypothermia); the differences are common
 * practice, no source. A maker's own number is taken as it is.
 */
const BELOW_COMFORT = { comfort: 0, plain: 0, limit: 5, extreme: 20 } as const;
/** A maker's own number was made by no test that is known. */
const PLAIN_SPREAD = 5;
/** Nights differ: fed, dry and rested, or not. Common practice, no source. */
const NIGHT_SPREAD = 1.5;
/** Fewer nights than this, and the warm end of the interval is what may be relied on. */
const FEW_NIGHTS = 4;

/**
 * A night is cold from so far below the comfort temperature on, °C; between the two it is cool. Common
 * practice, no source.
 */
const COLD_FROM = -2;
/**
 * How far a low lies above the comfort temperature, °C, where each feeling is told. A bed can be opened:
 * right, warm or hot, a night says only that it was not too cold at that, and nothing of how much colder it
 * might have been.
 */
const BAND: Readonly<Record<Felt, { readonly from: number; readonly to: number }>> = {
  cold: { from: -Infinity, to: COLD_FROM },
  cool: { from: COLD_FROM, to: 0 },
  right: { from: 0, to: Infinity },
  warm: { from: 0, to: Infinity },
  hot: { from: 0, to: Infinity },
};
/** What may be told of a night: cold, cool, or not too cold. */
const SORTS = 3;

/** Steps of the grids that a belief is held on, °C. */
const STEP = 0.5;
const GRID = Array.from({ length: 121 }, (_, n) => n * STEP - 35);

/** Chance that a standard normal lies below `z`: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17. */
export function normalBelow(z: number): number {
  if (z === Infinity || z === -Infinity) return z > 0 ? 1 : 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** What a label says of comfort, °C. */
const comfortBy = (label: NonNullable<Ratings["label"]>) => label.celsius + BELOW_COMFORT[label.means];

/** What is believed of a bed's comfort temperature before a night in it. */
function fromLabel(label: Ratings["label"], above: Worth): Worth {
  return label
    ? {
        mean: comfortBy(label) + above.mean,
        spread: Math.hypot(above.spread, label.means === "plain" ? PLAIN_SPREAD : BEDS_DIFFER),
      }
    : UNLABELLED;
}

/** A bed with a label that was slept in often enough to tell of its owner. */
export const teachesOfLabels = (
  label: Ratings["label"],
  comfort: Comfort,
): label is NonNullable<Ratings["label"]> => Boolean(label) && comfort.nights >= FEW_NIGHTS;

/** How far above labels an owner sleeps, °C, learnt from the beds that were slept in often enough. */
export function aboveLabels(
  beds: readonly { readonly label: Ratings["label"]; readonly comfort: Comfort }[],
): Worth {
  const tried = beds.flatMap(({ label, comfort }) =>
    teachesOfLabels(label, comfort)
      ? [
          {
            above: comfort.median - comfortBy(label),
            // An 80 % interval is 2.563 standard deviations of a normal wide.
            weight: 1 / (((comfort.high - comfort.low) / 2.563) ** 2 + BEDS_DIFFER ** 2),
          },
        ]
      : [],
  );
  const before = 1 / ABOVE_LABEL.spread ** 2;
  const weight = tried.reduce((sum, each) => sum + each.weight, before);
  return {
    mean: tried.reduce((sum, each) => sum + each.weight * each.above, before * ABOVE_LABEL.mean) / weight,
    spread: Math.sqrt(1 / weight),
  };
}

/**
 * One night in so many is told of anyhow: ill, hungry, wet, or the thermometer lay elsewhere. Common
 * practice, no source.
 */
const ODD_NIGHTS = 0.05;

/** How likely such a night is, where the bed is comfortable down to `comfort`. */
function likelihood({ low, felt, doubt = 0 }: TriedNight, comfort: number): number {
  const { from, to } = BAND[felt];
  const spread = Math.hypot(NIGHT_SPREAD, doubt);
  const chance = normalBelow((low - comfort - from) / spread) - normalBelow((low - comfort - to) / spread);
  return (1 - ODD_NIGHTS) * chance + ODD_NIGHTS / SORTS;
}

/** Chances on a grid from the logarithms of how likely each step is. */
function posterior(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

/** The value that lies above a share `p` of the chances; within its step they are taken as evenly spread. */
function quantileOf(grid: readonly number[], chances: readonly number[], p: number): number {
  let sum = 0;
  const n = Math.max(
    0,
    chances.findIndex((chance) => (sum += chance) >= p),
  );
  return nth(grid, n) + STEP * (0.5 - (sum - p) / nth(chances, n));
}

/** How likely some nights are, each step being the bed's comfort: the logarithm, but for a constant. */
const nightLogs = (nights: readonly TriedNight[], comforts: readonly number[]): number[] =>
  comforts.map((comfort) => nights.reduce((sum, night) => sum + Math.log(likelihood(night, comfort)), 0));

/**
 * How likely each step of the grid is as a bed's comfort, given its label and nights: the logarithm, but for
 * a constant.
 */
const comfortLogs = (nights: readonly TriedNight[], { mean, spread }: Worth): number[] =>
  nightLogs(nights, GRID).map((log, n) => log - 0.5 * ((nth(GRID, n) - mean) / spread) ** 2);

/**
 * The comfort temperature of a bed, from its label and the nights in it: Bayes on a grid of half degrees,
 * each feeling being a band of how far the low lay above it.
 *
 * @param shift °C that the bed is warmer by than what its label was made for: what else is slept in
 * @param above how far above labels this owner sleeps, °C
 */
export function comfortOf(
  nights: readonly TriedNight[],
  label: Ratings["label"],
  { shift = 0, above = ABOVE_LABEL }: { readonly shift?: number; readonly above?: Worth } = {},
): Comfort {
  const { mean, spread } = fromLabel(label, above);
  const chances = posterior(comfortLogs(nights, { mean: mean - shift, spread }));
  // An odd night may be cold in any bed, and right in any frost.
  const below = (air: number) =>
    ODD_NIGHTS / SORTS +
    (1 - (2 * ODD_NIGHTS) / SORTS) *
      chances.reduce((sum, chance, n) => sum + chance * normalBelow((nth(GRID, n) - air) / NIGHT_SPREAD), 0);
  const at = (p: number) => quantileOf(GRID, chances, p);
  const [median, low, high] = [at(0.5), at(0.1), at(0.9)];
  return {
    median,
    low,
    high,
    nights: nights.length,
    relyOn: nights.length < FEW_NIGHTS ? high : median,
    coldAt: (air) => below(air - COLD_FROM),
    coolAt: below,
  };
}

/** Steps that a thing's worth is tried at, °C; nothing makes a bed colder. */
const WORTHS = Array.from({ length: 25 }, (_, n) => n * STEP);
/** The grid, and as much colder as a thing may be worth: with it on, a bed is as one that goes so far below. */
const BELOW_GRID = [
  ...WORTHS.slice(1)
    .map((worth) => nth(GRID, 0) - worth)
    .toReversed(),
  ...GRID,
];

/**
 * What a liner, a jacket, a second pad was worth in a bed, °C, from nights in the same bed with it and
 * without: Bayes on the grid of the bed's comfort and the thing's worth. Nights all with it, or all without,
 * leave it much as it was believed.
 */
export function worthOf(
  nights: readonly (TriedNight & { readonly withIt: boolean })[],
  label: Ratings["label"],
  before: Worth,
): Worth & { readonly low: number; readonly high: number } {
  const alone = comfortLogs(
    nights.filter(({ withIt }) => !withIt),
    fromLabel(label, ABOVE_LABEL),
  );
  const along = nightLogs(
    nights.filter(({ withIt }) => withIt),
    BELOW_GRID,
  );
  const chances = posterior(
    WORTHS.map((worth, steps) => {
      // By so many steps the thing makes the bed go below its comfort.
      const from = WORTHS.length - 1 - steps;
      const logs = alone.map((log, n) => log + nth(along, n + from));
      const most = Math.max(...logs);
      return (
        -0.5 * ((worth - before.mean) / before.spread) ** 2 +
        most +
        Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0))
      );
    }),
  );
  const mean = chances.reduce((sum, chance, n) => sum + chance * nth(WORTHS, n), 0);
  return {
    mean,
    spread: Math.sqrt(chances.reduce((sum, chance, n) => sum + chance * (nth(WORTHS, n) - mean) ** 2, 0)),
    low: Math.max(0, quantileOf(WORTHS, chances, 0.1)),
    high: quantileOf(WORTHS, chances, 0.9),
  };
}
