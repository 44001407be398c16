import { lastOf } from "../sums/there";
/** What a thing slept in adds to a bed's warmth, °C, and how far owners differ. Common practice, no source. */
const WARMS: Readonly<Record<string, { readonly mean: number; readonly spread: number }>> = {
  "bag liner": { mean: 2, spread: 1.5 },
  "emergency blanket": { mean: 2, spread: 1.5 },
  "insulated jacket": { mean: 3, spread: 2 },
  "insulated vest": { mean: 2, spread: 1.5 },
  fleece: { mean: 1.5, spread: 1 },
  "rain shell": { mean: 0.5, spread: 0.5 },
  "sleep clothes": { mean: 1, spread: 1 },
  "base layer": { mean: 0.5, spread: 0.5 },
  socks: { mean: 0.5, spread: 0.5 },
  "warm hat": { mean: 1, spread: 1 },
  gloves: { mean: 0.5, spread: 0.5 },
  // Filled with hot water, at the feet.
  "water bottle": { mean: 2, spread: 1.5 },
  // A second bag or quilt over the first.
  quilt: { mean: 5, spread: 3 },
  "sleeping bag": { mean: 5, spread: 3 },
};

/** What something adds to the bed that it is slept in with; null where it adds nothing that could be told. */
export const warmthOf = (kind: string) => WARMS[kind] ?? null;

/**
 * Each unit of R-value under a sleeper is worth so much, °C; common practice, no source. Units add where pads
 * are stacked.
 */
export const DEGREES_PER_R = 1.5;

/**
 * What the ground asks of the pads together as it gets colder, by the coldest air of the night: R-value, as
 * ASTM F3340-18 measures it. About 1 in summer, 3 to 4 towards freezing, 5 and more on snow: common practice,
 * no source.
 */
const GROUND_ASKS: readonly (readonly [low: number, r: number])[] = [
  [-10, 5],
  [-5, 4],
  [0, 3],
  [5, 2],
  [10, 1],
];
const ON_SNOW = 5;

/** The R-value that the ground asks for at a low, °C, straight between the steps. */
export function rFor(low: number, onSnow = false): number {
  const above = GROUND_ASKS.findIndex(([at]) => at >= low);
  const [, last] = lastOf(GROUND_ASKS);
  const [to, from] = [GROUND_ASKS[above], GROUND_ASKS[above - 1]];
  const bare = !to
    ? last
    : !from
      ? to[1]
      : from[1] + ((low - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);
  return onSnow ? Math.max(ON_SNOW, bare) : bare;
}

/** Kinds that are a bed by themselves. */
export const isBed = (kind: string) => kind === "quilt" || kind === "sleeping bag";

/** Slept in or on. */
export const isSleptIn = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  jobs.includes("pad") || warmthOf(kind) !== null;
