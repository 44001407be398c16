import type { Consequence } from "../model";

/**
 * Grams an owner would carry to avoid going without; what is dangerous to lack is never judged by weight.
 * Common practice, no source.
 */
const CONSEQUENCE_GRAMS: Readonly<Record<Exclude<Consequence, "danger">, number>> = {
  nuisance: 100,
  discomfort: 400,
  "trip-ending": 3000,
};

/**
 * What a thing is expected to be worth on a trip, in grams its owner would carry for it; where weight does
 * not decide, as if its lack ended the trip.
 */
export const expectedWorth = (consequence: Consequence, chance: number): number =>
  chance * CONSEQUENCE_GRAMS[consequence === "danger" ? "trip-ending" : consequence];

/**
 * Expected worth on a trip ÷ weight: P(use) × consequence in grams ÷ grams carried. Below 1, leave it.
 *
 * @param backedUp another item going along does the same job: only the chance that it fails counts
 * @returns null where weight does not decide: danger, or no weight known
 */
export function worthToWeight({
  consequence,
  grams,
  chance,
  backedUp,
}: {
  consequence: Consequence;
  grams: number | null;
  chance: number;
  backedUp: number | null;
}): number | null {
  if (consequence === "danger" || !grams) return null;
  return (chance * (backedUp ?? 1) * CONSEQUENCE_GRAMS[consequence]) / grams;
}
