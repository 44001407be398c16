import { meanChance } from "../../belief/use-chance";
import type { Departure } from "../../ledger/history";
import { successorOf, usedInstead, type Case } from "../../decide/case";
import { isSpared } from "../../decide/law";
import { SINGLE_JOBS } from "../../trade/jobs";
import { findingOf, type Finding } from "../finding";
import { urgencyOf } from "../sureness";

/** The story of a thing that has left, told as done; and whether to buy it again. */
export function gone(one: Case): Finding | null {
  const { departure, item } = one;
  if (!departure) return null;
  const by = departure.for ? (one.book.item(departure.for) ?? null) : successorOf(one);
  const trips = departure.outing ? [departure.outing.trip.id] : [];
  const done = { urgency: "watch" as const, sureness: "sure" as const, trips, done: true };
  // A borrowed thing was never to stay, whatever was said of it or took its place.
  if (departure.how === "given back")
    return findingOf({ ...done, verb: "keep", reason: "gone when done with", facts: { departure } });
  const because = whyUnloved(one, departure);
  if (departure.how === "swapped" || (because === "disliked" && by && departure.how !== "lost"))
    return findingOf({ ...done, verb: "swap", reason: "gone for another", facts: { departure, by } });
  if (because)
    return findingOf({ ...done, verb: "drop", reason: "gone unloved", facts: { departure, because } });
  if (item.load === "hobby")
    return findingOf({ ...done, verb: "keep", reason: "gone when done with", facts: { departure } });
  if (!isMissed(departure) && !by)
    return findingOf({ ...done, verb: "drop", reason: "gone when done with", facts: { departure } });
  if (by || one.marked.length === 0)
    return findingOf({ ...done, verb: "replace", reason: "gone and done", facts: { departure, by } });
  return findingOf({
    verb: "replace",
    reason: "buy again",
    facts: { departure },
    urgency: urgencyOf(one),
    sureness: "likely",
    trips,
  });
}

/** Left against its owner's will, or used up: not let go of. */
const isMissed = ({ how, mark }: Departure) =>
  how === "lost" ||
  how === "worn out" ||
  how === "thrown out" ||
  (mark?.troubles.includes("failed") ?? false);

function whyUnloved(one: Case, { how, outing, mark }: Departure): "unused" | "disliked" | "doubled" | null {
  const wornOut = how === "worn out" || how === "thrown out";
  if (one.told("complaint").marks.some((each) => each.outing === outing) && !wornOut) return "disliked";
  if (mark?.call === "leave" || mark?.call === "try something else") return "disliked";
  if (one.marked.length === 0) return null;
  // Of what is dangerous to lack, little use is no reason not to have it again.
  const againstWill = wornOut || how === "lost";
  const spared = againstWill && isSpared(one);
  const wanted = meanChance(one.use.called) >= 0.5 && one.totals.used.trips > 0 && mark?.use !== "unused";
  if (!spared && (!wanted || (mark?.use === "hardly" && !wornOut))) return "unused";
  const [job] = one.item.jobs;
  return how === "lost" && outing && job && SINGLE_JOBS.has(job) && usedInstead(one, outing)
    ? "doubled"
    : null;
}
