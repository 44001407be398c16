import type { Job } from "../model";
import type { FullItem } from "../trade/full-item";
import { JOB_RULES, RANK } from "../trade/jobs";
import type { Marked } from "./book";
import { offeredOn } from "./outing";

/** Did the way offer what does its job: a bed, a tap, a socket? */
const wayDid = ({ outing, legs }: Marked, jobs: readonly Job[]) =>
  jobs.length > 0 &&
  jobs.every((job) => {
    const offer = JOB_RULES[job]?.doneBy;
    return offer !== undefined && (offeredOn(outing.trip, legs, offer) ?? "none") !== "none";
  });

/** Forgotten, or cut short before its time came: that says nothing either way. */
export const saysNothing = ({ mark: { use, why } }: Marked) =>
  use === "unused" && (why === "trip cut short" || why === "forgot it");

/**
 * The owner was there: of the weather, "no call for it" stands over what was recorded; so do a trip cut short
 * and a thing forgotten.
 */
export function wasCalled(one: Marked, item: FullItem): boolean {
  const { mark, calls } = one;
  if (mark.use === "unused") {
    if (saysNothing(one) || wayDid(one, item.jobs)) return false;
    if (mark.why === "no call for it")
      return item.triggers.includes("always") && !item.rules.seasonal && RANK[item.consequence] === 0;
  }
  return item.triggers.some((trigger) => calls.has(trigger));
}
