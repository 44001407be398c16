import { daysBetween } from "../ledger/days";
import type { ServiceRule } from "../kinds";
import { isCritical, type Case } from "./case";
import type { Finding } from "./verdict";
import { sayTrouble, sayWear } from "./words";

/** Used on this many nights since the last look, a thing is due its yearly service. */
const NIGHTS_BEFORE_A_LOOK = 5;

/** A service is due by count or season; or what it needs is filling, charging or cleaning rather than mending. */
export function service(one: Case): Finding | null {
  if (one.state !== "active") return null;
  return needsFilling(one) ?? one.kind.services.map((rule) => dueByCount(one, rule) ?? dueBySeason(one, rule)).find((found) => found !== null) ?? null;
}

function needsFilling(one: Case): Finding | null {
  const trouble = one.history.open;
  if (trouble?.mark?.cause !== "flat or empty") return null;
  return {
    verb: "service", urgency: isCritical(one) ? "now" : "before next trip", sureness: "sure",
    says: `${sayTrouble(trouble)}: flat or empty, not broken. Charge or fill it, and see that it holds.`,
    evidence: [{ text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] }],
    flips: "Log the service.",
  };
}

function dueByCount(one: Case, { what, every }: ServiceRule): Finding | null {
  if (every === undefined) return null;
  const { item, book, history, totals } = one;
  const since = totals.wearByTrip.filter(({ carried }) => history.lastService === null || carried.outing.trip.ends > history.lastService);
  const wear = since.reduce((sum, trip) => sum + trip.wear, 0);
  if (wear < every) return null;
  const say = (value: number) => sayWear(value, item.wears, book.settings.units);
  return {
    verb: "service", urgency: "before next trip", sureness: "likely",
    says: `${say(wear)} since ${history.lastService ? `its last service on ${history.lastService}` : "it was new"}; due at ${say(every)}: ${what}.`,
    evidence: [{ text: `${say(wear)} since the last service`, trips: since.map(({ carried }) => carried.outing.trip.id) }],
    flips: "Log the service.",
  };
}

function dueBySeason(one: Case, { what, seasonal }: ServiceRule): Finding | null {
  if (!seasonal) return null;
  const { book, history, marked, totals } = one;
  const first = marked[0]?.outing.trip.starts;
  const from = history.lastService ?? first;
  if (!from || daysBetween(from, book.today) < 365) return null;
  const since = marked.filter(({ outing }) => outing.trip.ends >= from);
  const nights = since.reduce((sum, { outing }) => sum + outing.nights, 0);
  if (nights < NIGHTS_BEFORE_A_LOOK || totals.carried.trips === 0) return null;
  return {
    verb: "service", urgency: "when convenient", sureness: "likely",
    says: `${nights} nights out since ${history.lastService ? `it was last seen to on ${history.lastService}` : `its first trip on ${first}`}: ${what}.`,
    evidence: [{ text: `${nights} nights carried since then`, trips: since.map(({ outing }) => outing.trip.id) }],
    flips: "Log the service or a check.",
    ...(one.item.kind === "beacon" ? { caution: "Beacons fail too: leave a plan with someone." } : {}),
  };
}
