import type { Told } from "../belief/telling";
import { isCritical, type Case } from "../decide/case";
import { RANK } from "../trade/jobs";
import type { Sureness, Urgency } from "../model";

/** Chances from which a telling is more than a leaning. Common practice, no source. */
const STEPS: readonly (readonly [chances: number, sureness: Sureness])[] = [
  [4.5, "sure"],
  [2.75, "likely"],
  [1.75, "perhaps"],
];

/**
 * How sure the owner's word makes us: a telling is a leaning, and grows as chances add up; what speaks
 * against it is taken off.
 */
export const surenessOf = (speaking: number, against = 0): Sureness =>
  STEPS.find(([chances]) => speaking - against / 2 >= chances)?.[1] ?? "leaning";

/** A leaning is never urgent. */
export const urgencyBy = (sureness: Sureness): Urgency =>
  sureness === "leaning" ? "watch" : "before next trip";

/** How soon something is to be seen to, by what its failing would cost. */
export function urgencyOf(one: Case): Urgency {
  if (isCritical(one)) return "now";
  return RANK[one.item.consequence] === 1 ? "before next trip" : "when convenient";
}

/** A telling as a fact: how often, and over how many of its chances. */
export const said = ({ marks, chances }: Told, { use }: Case) => ({
  times: marks.length,
  chances,
  of: use.taken + use.refused + use.idle,
});

/** What was told last, leaving out what says nothing of the thing: forgotten, or the trip cut short. */
export const lastTelling = ({ marked }: Case) =>
  marked.findLast(({ mark }) => mark.why !== "forgot it" && mark.why !== "trip cut short") ?? null;

/** Does a telling still speak: it was the last thing told, or weighs as much as the uses beside it? */
export function speaks(told: Told, one: Case): boolean {
  const last = lastTelling(one);
  return told.marks.length > 0 && (told.marks.at(-1) === last || told.chances > one.use.taken);
}
