import { surenessBelow } from "../evidence/use-chance";
import type { Trigger } from "../model";
import { count, listWords } from "../units/speak";
import { ESSENTIAL_JOBS, type Case } from "./case";
import { TOO_LIGHT_TO_ARGUE } from "./schools";
import type { Finding } from "./verdict";
import { onTrips, sayTrigger } from "./words";

/** Triggers that can be seen coming before a trip, and the one that tells most first. */
const FORESEEN: readonly Trigger[] = ["snow or ice", "bugs", "ticks", "freezing", "dry stretch", "crossings", "cold", "heat", "sun", "rain", "wind", "town"];

/** Chances without a call on which it stayed idle, before a pattern is seen in it. Common practice, no source. */
const IDLE_CHANCES = 2;

/** Used when called, not otherwise: a seasonal item, not a dead one. */
export function bringOnlyWhen(one: Case): Finding | null {
  const { item, use, kind } = one;
  if (one.state !== "active" || item.load === "hobby" || item.triggers.includes("always")) return null;
  if (item.weight !== null && item.weight.g < TOO_LIGHT_TO_ARGUE) return null;
  const triggers = FORESEEN.filter((trigger) => item.triggers.includes(trigger));
  if (triggers.length === 0 || triggers.length < item.triggers.length) return null;
  // The weather that makes these matter can't be ruled out from home; only ice can.
  if (item.jobs.some((job) => ESSENTIAL_JOBS.includes(job) || job === "head warm" || job === "hands warm") && !item.jobs.includes("traction")) return null;
  if (item.consequence === "danger" && !item.jobs.includes("traction")) return null;
  const idle = use.uncalled.misses;
  if (idle < IDLE_CHANCES || surenessBelow(use.uncalled, 0.6) <= 0.8) return null;
  const idleTrips = use.uncalledTrips.filter((trip) => !use.uncalledUsed.includes(trip));
  const when = `Bring it only when you expect ${listWords(triggers.map(sayTrigger), "or")}.`;
  const words = listWords(triggers.map(sayTrigger), "or");
  const says = use.calledTrips.length === 0
    ? `Not asked for yet: no ${words} on ${count(idleTrips.length, "trip")}. ${when}`
    : `Used on ${use.calledUsed.length === use.calledTrips.length ? (use.calledTrips.length === 1 ? "the one trip" : `all ${use.calledTrips.length} trips`) : `${use.calledUsed.length} of ${count(use.calledTrips.length, "trip")}`} with ${words}, idle on ${idleTrips.length} without. ${when}`;
  return {
    verb: "bring only when", when: triggers, urgency: "watch", sureness: use.calledUsed.length > 0 && idle >= 3 ? "sure" : "likely", says,
    evidence: [
      { text: `with ${words}: used ${onTrips(use.calledUsed, one)} of ${use.calledTrips.length}`, trips: use.calledTrips },
      { text: `without: idle ${onTrips(idleTrips, one)}`, trips: idleTrips },
    ],
    flips: `A trip without ${words} on which it is used.`,
    ...(kind.id === "traction" ? { caution: "Ask locally about late snow and shaded ice before leaving it." } : {}),
  };
}
