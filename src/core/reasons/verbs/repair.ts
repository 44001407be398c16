import { REPAIR_TROUBLE } from "../../decide/cost";
import { isCritical, type Case } from "../../decide/case";
import { cureOf, triedBefore } from "../cures";
import { worksAgain } from "./replace";
import { findingOf, type Finding } from "../finding";
import { urgencyOf } from "../sureness";

/** Chance that damage left alone grows until the thing is lost to it. Common practice, no source. */
const GROWS = 0.3;
/** Graded so well, damage is only watched. */
const STILL_WELL = 4;

/** Open damage, or a failure that can be mended and is worth it. Judged by the job lost, not by the damage seen. */
export function repair(one: Case): Finding | null {
  const { history, kind, item } = one;
  const trouble = history.open;
  if (!trouble || trouble.cause === "flat or empty" || kind.mends === "nothing") return null;
  if (cureOf(one, trouble) && !triedBefore(one, trouble)) return null;
  const well = !trouble.failed && trouble.condition !== null && trouble.condition >= STILL_WELL;
  const worthIt = isCritical(one) || trouble.failed || item.worthNew * GROWS > REPAIR_TROUBLE;
  // Thin cloth holds until it is through, and nothing is mended on it before.
  const thin =
    !trouble.failed && trouble.symptoms.length > 0 && trouble.symptoms.every((each) => each === "worn thin");
  if (thin && (trouble.condition ?? 3) >= 3) return null;
  if (well || !worthIt || livedWith(one) || worksAgain(one, trouble)) return null;
  const mishap = trouble.cause === "misuse" || trouble.cause === "weather";
  return findingOf({
    verb: "repair",
    reason: "open trouble",
    facts: { trouble, mishap, patched: trouble.mark?.fix === "patched" },
    // Now is for what must not go out: what failed and is not mended.
    urgency: trouble.failed && trouble.mark?.fix !== "patched" ? urgencyOf(one) : "before next trip",
    sureness: trouble.condition === null && !trouble.failed ? "likely" : "sure",
    trips: trouble.outing ? [trouble.outing.trip.id] : [],
  });
}

/** Uses without trouble after which damage that nobody graded low is a thing lived with. Common practice, no source. */
const LIVED_WITH = 2;

export function livedWith({ history, marked }: Case): boolean {
  const trouble = history.open;
  if (!trouble || trouble.failed || (trouble.condition !== null && trouble.condition < 3)) return false;
  const since = marked.filter(
    ({ outing, mark }) =>
      outing.trip.starts > trouble.on && mark.use === "used" && mark.troubles.length === 0,
  );
  return since.length >= LIVED_WITH;
}
