import { surenessBelow } from "../evidence/use-chance";
import type { Trigger } from "../model";
import { count, listWords, sayDeadWeight } from "../units/speak";
import { isCritical, type Case } from "./case";
import { isTooLight } from "./drop";
import { ESSENTIAL_JOBS } from "./jobs";
import type { Finding } from "./verdict";
import { onTrips, sayTrigger } from "./words";

/** Triggers that can be seen coming before a trip, and the one that tells most first. */
const FORESEEN: readonly Trigger[] = [
  "snow or ice",
  "bugs",
  "ticks",
  "freezing",
  "dry stretch",
  "crossings",
  "cold",
  "heat",
  "sun",
  "rain",
  "wind",
  "town",
  "camp time",
];

/** Chances without a call on which it stayed idle, before a pattern is seen in it. Common practice, no source. */
const IDLE_CHANCES = 2;
/** Left at home without its weather when it is four to one that fewer than this share of such chances use it. Common practice, no source. */
const IDLE_LINE = 0.6;

export function bringOnlyWhen(one: Case): Finding | null {
  if (
    one.state !== "active" ||
    one.item.load === "hobby" ||
    (one.item.cover && !one.item.jobs.includes("traction")) ||
    isTooLight(one)
  )
    return null;
  return seasonal(one) ?? sendOn(one);
}

/** Used when called, not otherwise: a seasonal item, not a dead one. */
function seasonal(one: Case): Finding | null {
  const { item, use, kind } = one;
  if (item.triggers.includes("always")) return null;
  const triggers = FORESEEN.filter((trigger) => item.triggers.includes(trigger));
  if (triggers.length === 0 || triggers.length < item.triggers.length) return null;
  // The weather that makes these matter can't be ruled out from home (only ice can), so another must go along that does the job.
  const essential = item.jobs.filter(
    (job) =>
      (ESSENTIAL_JOBS.includes(job) || job === "head warm" || job === "hands warm") && job !== "traction",
  );
  if (
    !essential.every((job) =>
      one.rivals.some((rival) => rival.job === job && rival.usedTrips > one.totals.used.trips),
    )
  )
    return null;
  if (item.consequence === "danger" && !item.jobs.includes("traction")) return null;
  const idle = use.uncalled.misses;
  if (idle < IDLE_CHANCES || surenessBelow(use.uncalled, IDLE_LINE) <= 0.8) return null;
  const idleTrips = use.uncalledTrips.filter((trip) => !use.uncalledUsed.includes(trip));
  if (idleTrips.length === 0) return null;
  const words = listWords(triggers.map(sayTrigger), "or");
  const when = `Bring it only when you expect ${words}.`;
  const says =
    use.calledTrips.length === 0
      ? `Not asked for yet: no ${words} on ${count(idleTrips.length, "trip")}. ${when}`
      : `Used on ${use.calledUsed.length === use.calledTrips.length ? (use.calledTrips.length === 1 ? "the one trip" : `all ${use.calledTrips.length} trips`) : `${use.calledUsed.length} of ${count(use.calledTrips.length, "trip")}`} with ${words}, idle on ${idleTrips.length} without. ${when}`;
  return {
    verb: "bring only when",
    when: triggers,
    urgency: "watch",
    sureness: use.calledUsed.length > 0 && idle >= 3 ? "sure" : "likely",
    says,
    saves: item.weight?.g ?? 0,
    rule: `A seasonal thing: what calls for it can be seen coming, and without that it stayed idle on ${round(idle)} chances (two are asked for).`,
    evidence: [
      {
        text: `with ${words}: used ${onTrips(use.calledUsed, one)} of ${use.calledTrips.length}`,
        trips: use.calledTrips,
      },
      { text: `without: idle ${onTrips(idleTrips, one)}`, trips: idleTrips },
    ],
    ...(kind.id === "traction"
      ? { caution: "Ask locally about late snow and shaded ice before leaving it." }
      : {}),
  };
}

const round = (chances: number) => Math.round(chances * 10) / 10;

/** A trip of at least so many days is long: things can be sent on, or home. */
const LONG_DAYS = 14;
/** Used on at most this share of a long trip's days, it was dead weight for the rest. */
const SMALL_PART = 1 / 3;

/** Used in a small part of a long walk: dead weight for the rest of it. Not a drop: it is wanted, but not all the way. */
function sendOn(one: Case): Finding | null {
  const { item, marked, book } = one;
  if (isCritical(one) || item.load === "consumable" || item.load === "worn") return null;
  const long = marked.filter(
    ({ outing, part, mark }) =>
      outing.days * part >= LONG_DAYS && mark.use !== "unused" && mark.days !== null,
  );
  const partly = long.filter(({ outing, part, mark }) => mark.days! <= outing.days * part * SMALL_PART);
  const last = partly.at(-1);
  if (!last || partly.length <= long.length / 2) return null;
  const days = Math.round(last.outing.days * last.part);
  const idle = Math.max(0, days - last.mark.days!);
  const dead = (item.weight?.g ?? 0) * last.outing.metres * last.part * (idle / days);
  const trips = partly.map(({ outing }) => outing.trip.id);
  return {
    verb: "bring only when",
    when: FORESEEN.filter((trigger) => item.triggers.includes(trigger)),
    urgency: "watch",
    sureness: partly.length > 1 ? "sure" : "likely",
    says: `Used on ${count(last.mark.days!, "day")} of ${days} on ${last.outing.trip.name}: dead weight for the other ${idle}. On a walk that long, send it on to where it is wanted, or home after.`,
    rule: `On a trip of two weeks or more, used on a third of its days or fewer: ${last.mark.days} of ${days}.`,
    saves: item.weight?.g ?? 0,
    evidence: [
      {
        text: `used in a small part ${onTrips(trips, one)}${dead > 0 ? `, ${sayDeadWeight(dead, book.settings.units)} for nothing` : ""}`,
        trips,
      },
    ],
  };
}
