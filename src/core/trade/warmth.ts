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

/** Kinds that are a bed by themselves. */
export const isBed = (kind: string) => kind === "quilt" || kind === "sleeping bag";

/** Slept in or on. */
export const isSleptIn = ({ kind, jobs }: { readonly kind: string; readonly jobs: readonly string[] }) =>
  jobs.includes("pad") || warmthOf(kind) !== null;
