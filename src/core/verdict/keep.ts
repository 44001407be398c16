import { meanChance } from "../evidence/use-chance";
import { count, percent } from "../units/speak";
import { isCritical, type Case } from "./case";
import { isTooLight, mayBeDropped } from "./drop";
import { ESSENTIAL_JOBS } from "./jobs";
import type { Finding } from "./verdict";
import { aThing, sayCost } from "./words";

/** Cover that stayed shut did its job. What is opened on most trips is no cover: it is used. */
export function keepAsCover(one: Case): Finding | null {
  const { item, use, totals, marked } = one;
  const seldom =
    meanChance({
      uses: use.called.uses + use.uncalled.uses,
      misses: use.called.misses + use.uncalled.misses,
    }) < 0.5;
  const essential = item.jobs.some((job) => ESSENTIAL_JOBS.includes(job)) || isCritical(one);
  const unmarked = marked.length === 0;
  if (
    one.state !== "active" ||
    !(item.cover ? seldom || unmarked : essential && seldom && !unmarked && !mayBeDropped(one))
  )
    return null;
  const idle = totals.carried.trips - totals.used.trips;
  const leader = item.cover ? undefined : one.rivals.find((rival) => rival.usedTrips > totals.used.trips);
  const slimmer = one.kind.contents && idle >= 3 ? " Look whether it can be smaller; never without." : "";
  return {
    verb: "keep as cover",
    urgency: "watch",
    sureness: "sure",
    says: unmarked
      ? "Cover: it goes along and, with luck, stays shut."
      : totals.used.trips === 0
        ? leader
          ? `Backup to the ${aThing(leader.item)}, and not needed on ${count(totals.carried.trips, "trip")}. It may stay as that.`
          : `Never needed on ${count(totals.carried.trips, "trip")}, and that is the point of it. It stays.${slimmer}`
        : item.cover
          ? `Needed on ${totals.used.trips} of ${count(totals.carried.trips, "trip")}. It stays.${slimmer}`
          : `Used on ${sayPart(one)}, but ${sayCost[item.consequence]} to lack when it is wanted. It stays.`,
    evidence: [{ text: `${totals.used.trips} of ${totals.carried.trips} trips`, trips: use.calledUsed }],
    rule: "Cover, and what is dangerous to lack, is not judged by use.",
  };
}

/** The part of its trips that it was used on; in days, where they were told. */
const sayPart = ({ totals: { used, carried }, marked }: Case) =>
  marked.some(({ mark }) => mark.days !== null)
    ? `${Math.round(used.days)} of ${count(Math.round(carried.days), "day")} out`
    : `${used.trips} of ${count(carried.trips, "trip")}`;

/** Earns its carry; by how much, in figures. */
export function keep(one: Case): Finding {
  const { item, use, totals, marked, worth, school } = one;
  const light = isTooLight(one) && totals.used.trips < totals.carried.trips / 2;
  const idle = use.uncalledTrips.length > 0 && use.uncalledUsed.length === 0 && use.calledTrips.length > 0;
  const uses = idle
    ? `Used on ${use.calledUsed.length} of ${count(use.calledTrips.length, "trip")} that called for it`
    : totals.used.trips === 0
      ? `Never used on ${count(totals.carried.trips, "trip")}`
      : `Used on ${totals.used.trips} of ${count(totals.carried.trips, "trip")}`;
  const scarce =
    worth !== null && worth < school.worthNeeded && use.called.misses > use.called.uses && marked.length > 2;
  const says =
    one.state !== "active"
      ? `No longer in use: ${one.state}.`
      : marked.length === 0
        ? "No marks yet. Take it, and see."
        : light && use.calledUsed.length > 1 && use.calledUnused.length === 0
          ? `Used on all ${use.calledUsed.length} trips that called for it, and too light to argue about on the others.`
          : light
            ? `${uses}, and too light to argue about.`
            : item.load === "hobby" && totals.used.trips < totals.carried.trips
              ? `${uses}. Carried for joy, so judged by you alone.`
              : use.called.misses > 0 && use.calledUsed.length === 0
                ? `Not used in ${count(marked.length, "trip")} yet; too early to say.`
                : scarce
                  ? `${uses}, and worth ${sayTimes(worth)} its weight. On the edge: it may stay, but watch it.`
                  : worth === null
                    ? `${uses}${item.consequence === "danger" ? ", and dangerous to be without" : ""}. Keep it.`
                    : worth < school.worthNeeded
                      ? `${uses}. It weighs more than doing without would cost, but weight alone condemns nothing that is used. Keep it.`
                      : `${uses}, and worth ${sayTimes(worth)} its weight. Keep it.`;
  return {
    verb: "keep",
    urgency: "watch",
    sureness: marked.length > 2 ? "sure" : "perhaps",
    says,
    evidence: [
      { text: uses.toLowerCase(), trips: use.calledUsed },
      ...(worth === null
        ? []
        : [{ text: `worth ${sayTimes(worth)} its weight on a trip like yours`, trips: [] }]),
    ],
    rule: one.state !== "active" ? "It has left the pack." : "No other rule speaks.",
  };
}

/** A ratio in words: "3.1 times", "20 times", "40 % of". */
const sayTimes = (ratio: number) =>
  ratio < 1 ? `${percent(ratio)} of` : `${ratio < 9.95 ? ratio.toFixed(1) : Math.round(ratio)} times`;
