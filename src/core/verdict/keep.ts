import { meanChance } from "../evidence/use-chance";
import { count, percent } from "../units/speak";
import { isCritical, type Case } from "./case";
import { isTooLight, mayBeDropped } from "./drop";
import { ESSENTIAL_JOBS } from "./jobs";
import type { Finding } from "./verdict";
import { aThing } from "./words";

/** Cover that stayed shut did its job. */
export function keepAsCover(one: Case): Finding | null {
  const { item, use, totals, marked } = one;
  const seldom = meanChance({ uses: use.called.uses + use.uncalled.uses, misses: use.called.misses + use.uncalled.misses }) < 0.5;
  const essential = item.jobs.some((job) => ESSENTIAL_JOBS.includes(job)) || isCritical(one);
  if (one.state !== "active" || !(item.cover || (essential && seldom && marked.length > 0 && !mayBeDropped(one)))) return null;
  const idle = totals.carried.trips - totals.used.trips;
  const leader = item.cover ? undefined : one.rivals.find((rival) => rival.usedTrips > totals.used.trips);
  const slimmer = one.kind.contents && idle >= 3 ? " Look whether it can be smaller; never without." : "";
  return {
    verb: "keep as cover", urgency: "watch", sureness: "sure",
    says: marked.length === 0
      ? "Cover: it goes along and, with luck, stays shut."
      : totals.used.trips === 0
        ? leader ? `Backup to the ${aThing(leader.item)}, and not needed on ${count(totals.carried.trips, "trip")}. It may stay as that.` : `Never needed on ${count(totals.carried.trips, "trip")}, and that is the point of it. It stays.${slimmer}`
        : `Needed on ${totals.used.trips} of ${count(totals.carried.trips, "trip")}. It stays.${slimmer}`,
    evidence: [{ text: `${totals.used.trips} of ${totals.carried.trips} trips`, trips: use.calledUsed }],
    rule: "Cover, and what is dangerous to lack, is not judged by use.",
  };
}

/** Earns its carry; how much, in figures. */
export function keep(one: Case): Finding {
  const { item, use, totals, marked, worth } = one;
  const light = isTooLight(one) && totals.used.trips < totals.carried.trips / 2;
  const uses = `Used on ${totals.used.trips} of ${count(totals.carried.trips, "trip")}`;
  const scarce = worth !== null && worth < one.school.worthNeeded && use.called.misses > use.called.uses && marked.length > 2;
  const says = one.state !== "active" ? `No longer in use: ${one.state}.`
    : marked.length === 0 ? "No marks yet. Take it, and see."
    : light && use.calledUsed.length > 1 && use.calledUnused.length === 0 ? `Used on all ${use.calledUsed.length} trips that called for it, and too light to argue about on the others.`
    : light ? `${uses}, and too light to argue about.`
    : item.load === "hobby" && totals.used.trips < totals.carried.trips ? `${uses}. Carried for joy, so judged by you alone.`
    : use.called.misses > 0 && use.calledUsed.length === 0 ? `Not used in ${count(marked.length, "trip")} yet; too early to say.`
    : scarce ? `${uses}, and worth about ${worth.toFixed(1)} of its weight. On the edge: it may stay, but watch it.`
    : `${uses}${use.calledTrips.length > 2 ? `, ${percent(meanChance(use.called))} likely to be wanted when called for` : ""}. Keep it.`;
  return {
    verb: "keep", urgency: "watch", sureness: marked.length > 2 ? "sure" : "perhaps", says,
    evidence: [
      { text: uses.toLowerCase(), trips: use.calledUsed },
      ...(worth === null ? [] : [{ text: `worth ${worth.toFixed(1)} × its weight on a trip like yours`, trips: [] }]),
    ],
    rule: one.state !== "active" ? "It has left the pack." : "No other rule speaks.",
  };
}
