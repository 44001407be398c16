import type { Felt } from "../model";
import type { Ratings } from "../model";

/** A night that was told: how low the air went, and how it felt. */
export interface TriedNight {
  readonly low: number;
  readonly felt: Felt;
}

/** Down to what air temperature an owner sleeps well in a bed, °C: a median and an 80 % interval. */
export interface Comfort {
  readonly median: number;
  readonly low: number;
  readonly high: number;
  /** Chance, 0 to 1, of a cold night at this low. */
  readonly coldAt: (low: number) => number;
}

/** Owners sleep this much above the label, °C, and differ by so much. Common practice, no source. */
const ABOVE_LABEL = 3;
const SPREAD = 4;
/** Where nothing is on the label: a usual three-season bed, and much doubt. */
const UNLABELLED = { mean: 4, spread: 9 };
/** A limit label stands so much below comfort (ISO 23537-1 defines both; the difference is common practice). */
const LIMIT_BELOW_COMFORT = 5;
/** Nights differ: fed, dry and rested, or not. Common practice, no source. */
const NIGHT_SPREAD = 1.5;
/** "Cool" is a little below comfort, "warm" and "hot" well above it, °C. Common practice, no source. */
const FELT_ABOVE: Readonly<Record<Felt, number>> = { cold: -Infinity, cool: -2, right: 0, warm: 6, hot: 11 };

const GRID = Array.from({ length: 101 }, (_, n) => n * 0.5 - 30);

/** Chance that a standard normal lies below `z`: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17. */
export function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** The comfort temperature of a bed, from its label and the nights in it: Bayes on a grid of half degrees. */
export function comfortOf(nights: readonly TriedNight[], label: Ratings["label"]): Comfort {
  const { mean, spread } = label
    ? {
        mean: label.celsius + ABOVE_LABEL + (label.means === "limit" ? LIMIT_BELOW_COMFORT : 0),
        spread: SPREAD,
      }
    : UNLABELLED;
  const weights = GRID.map(
    (comfort) =>
      Math.exp(-0.5 * ((comfort - mean) / spread) ** 2) *
      nights.reduce((product, night) => product * likelihood(night, comfort), 1),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const quantile = (p: number) => {
    let sum = 0;
    return GRID[weights.findIndex((weight) => (sum += weight / total) >= p)] ?? GRID.at(-1)!;
  };
  return {
    median: quantile(0.5),
    low: quantile(0.1),
    high: quantile(0.9),
    coldAt: (low) =>
      weights.reduce(
        (sum, weight, n) => sum + (weight / total) * normalBelow((GRID[n]! - low) / NIGHT_SPREAD),
        0,
      ),
  };
}

/** "Cold at L" puts comfort above L; "right at L" at or below it; "hot at L" well below. */
function likelihood({ low, felt }: TriedNight, comfort: number): number {
  const isBelow = (temperature: number) => normalBelow((temperature - comfort) / NIGHT_SPREAD);
  if (felt === "cold") return 1 - isBelow(low);
  if (felt === "cool") return isBelow(low + 3) * (1 - isBelow(low - 2));
  return isBelow(low - FELT_ABOVE[felt]);
}
