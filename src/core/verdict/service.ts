import { daysBetween } from "../ledger/days";
import type { ServiceRule } from "../kinds";
import type { EntryWhat } from "../model";
import { count } from "../units/speak";
import { isCritical, type Case } from "./case";
import { canComeBack } from "./replace";
import { cureFor, serviceFirst } from "./service-first";
import type { Finding } from "./verdict";
import { onTrips, sayReading, sayTrouble, sayWear } from "./words";

/** Used on this many nights since the last look, a thing is due its yearly service. */
const NIGHTS_BEFORE_A_LOOK = 5;

/** A service is due by count, date or season, after store or a patch; or what it needs is filling, charging or cleaning rather than mending. */
export function service(one: Case): Finding | null {
  if (one.state !== "active") return null;
  const due = one.kind.services.map(
    (rule) =>
      dueByCount(one, rule) ??
      spent(one, rule) ??
      dueAfterMending(one, rule) ??
      dueBySeason(one, rule) ??
      dueAfterStore(one, rule),
  );
  return needsFilling(one) ?? bringsBack(one) ?? clogged(one) ?? due.find((found) => found !== null) ?? null;
}

function needsFilling(one: Case): Finding | null {
  const trouble = one.history.open;
  if (trouble?.mark?.cause !== "flat or empty") return null;
  return {
    verb: "service",
    urgency: isCritical(one) ? "now" : "before next trip",
    sureness: "sure",
    says: `${sayTrouble(trouble)}: flat or empty, not broken. Charge or fill it, and see that it holds.`,
    rule: "It failed flat or empty, and nothing has been done about it.",
    evidence: [{ text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] }],
  };
}

/** A leak, a clog or lost loft: service, then proof, before anything is bought. */
function bringsBack(one: Case): Finding | null {
  const found = serviceFirst(one);
  if (!found) return null;
  const {
    trouble,
    rule: { what, cures },
  } = found;
  return {
    verb: "service",
    urgency: trouble.failed && isCritical(one) ? "now" : "before next trip",
    sureness: "likely",
    says: `${sayTrouble(trouble)}. ${what.charAt(0).toUpperCase()}${what.slice(1)} first; if that does not bring it back, replace it.`,
    rule: `${cures === "lost loft" ? "Lost loft" : `A ${cures}`} gets service first, then proof; come back after a service, it is mended or replaced.`,
    evidence: [{ text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] }],
    ...(isCritical(one)
      ? { caution: "Once seen to it is unproven: try it near home before you rely on it." }
      : {}),
  };
}

/** Slow, or letting the wet in, again and again, or measured so: leaks and clogs get service first, then proof. */
export function clogged(one: Case): Finding | null {
  const { item, kind, marked, readings } = one;
  const since = lastOf(one, ["service", "wash"]) ?? "";
  const low = readings.find(({ rule, points }) => canComeBack(rule.what) && points.at(-1)!.y <= rule.limit);
  const water = item.jobs.includes("treat water");
  const annoyed = marked.filter(
    ({ outing, mark }) =>
      mark.trouble === "nuisance" && outing.trip.ends > since && (water || cureFor(kind, mark.note)),
  );
  if (!low && annoyed.length < 2) return null;
  const trips = annoyed.map(({ outing }) => outing.trip.id);
  const what = cureFor(kind, annoyed.at(-1)?.mark.note ?? "")?.what ?? kind.services[0]?.what ?? "clean it";
  const told = water ? "Slow" : `${annoyed.at(-1)?.mark.note.replace(/\.$/, "")},`;
  return {
    verb: "service",
    urgency: "before next trip",
    sureness: low ? "sure" : "likely",
    says: low
      ? `Its ${low.rule.what} was ${sayReading(low.rule, low.points.at(-1)!.y)} on ${low.last}, at or below ${sayReading(low.rule, low.rule.limit)}. First ${what}, then measure again.`
      : `${told.charAt(0).toUpperCase()}${told.slice(1)} ${onTrips(trips, one)}${since ? ` since it was ${water ? "cleaned" : "seen to"} on ${since}` : ""}. First ${what}; if that does not bring it back, replace it.`,
    rule: "What a service may bring back is serviced before it is replaced.",
    evidence: [
      {
        text: low ? `${low.rule.what}: ${low.points.map(({ y }) => y).join(", ")}` : "marked as a nuisance",
        trips,
      },
    ],
  };
}

function dueByCount(one: Case, { what, every }: ServiceRule): Finding | null {
  if (every === undefined) return null;
  const { item, book, totals } = one;
  const last = lastOf(one, ["service", "wash", "repair"]);
  const since = totals.wearByTrip.filter(({ carried }) => last === null || carried.outing.trip.ends > last);
  const wear = since.reduce((sum, trip) => sum + trip.wear, 0);
  if (wear < every) return null;
  const say = (value: number) => sayWear(value, item.wears, book.settings.units);
  return {
    verb: "service",
    urgency: "before next trip",
    sureness: "likely",
    says: `${say(wear)} since ${last ? `its last service on ${last}` : "it was new"}; due at ${say(every)}: ${what}.`,
    rule: `Due every ${say(every)} of wear: ${say(wear)} so far.`,
    evidence: [
      {
        text: `${say(wear)} since the last service`,
        trips: since.map(({ carried }) => carried.outing.trip.id),
      },
    ],
  };
}

/** A treatment that holds for some days or washes, whichever is over first. */
function spent(one: Case, { what, days, washes }: ServiceRule): Finding | null {
  if (days === undefined && washes === undefined) return null;
  const { item, book, marked } = one;
  const from = lastOf(one, ["service", "restock"]) ?? item.acquired ?? marked[0]?.outing.trip.starts;
  if (!from) return null;
  const gone = daysBetween(from, book.today);
  const washed = book.entriesOf(item.id).filter((entry) => entry.what === "wash" && entry.on >= from).length;
  const byDays = days !== undefined && gone >= days;
  const byWashes = washes !== undefined && washed >= washes;
  if (!byDays && !byWashes) return null;
  return {
    verb: "service",
    urgency: "before next trip",
    sureness: "sure",
    says: `${byDays ? `${count(gone, "day")} since` : `${count(washed, "wash", "washes")} since`} ${from}: it holds for ${count(days ?? 0, "day")} or ${count(washes ?? 0, "wash", "washes")}, whichever comes first. Before it is wanted, ${what}.`,
    rule: `Spent after ${count(days ?? 0, "day")} or ${count(washes ?? 0, "wash", "washes")}: ${count(gone, "day")}, ${count(washed, "wash", "washes")}.`,
    evidence: [{ text: `last treated ${from}`, trips: [] }],
    caution:
      "Permethrin: outdoors, wet product kept from cats and from water, dry before wear, by the label.",
  };
}

function dueAfterMending(one: Case, { what, afterMending }: ServiceRule): Finding | null {
  const { history, marked } = one;
  const mended = history.lastRepair;
  if (!afterMending || mended === null || history.open !== null) return null;
  const looked = lastOf(one, ["check", "service"]);
  if (
    (looked !== null && looked >= mended) ||
    marked.some(({ outing, mark }) => outing.trip.starts > mended && mark.use === "used")
  )
    return null;
  return {
    verb: "service",
    urgency: "before next trip",
    sureness: "likely",
    says: `Mended on ${mended} and not tried since: ${what}.`,
    rule: "Tried after every patch, before it is relied on.",
    evidence: [{ text: `mended ${mended}`, trips: [] }],
  };
}

function dueBySeason(one: Case, { what, seasonal }: ServiceRule): Finding | null {
  if (!seasonal || (one.item.expires !== null && one.item.load === "consumable")) return null;
  const { book, history, marked, totals } = one;
  const first = marked[0]?.outing.trip.starts;
  const from = history.lastService ?? first;
  if (!from || daysBetween(from, book.today) < 365) return null;
  const since = marked.filter(({ outing }) => outing.trip.ends >= from);
  const nights = since.reduce((sum, { outing }) => sum + outing.nights, 0);
  if (nights < NIGHTS_BEFORE_A_LOOK || totals.carried.trips === 0) return null;
  return {
    verb: "service",
    urgency: "when convenient",
    sureness: "likely",
    says: `${nights} nights out since ${history.lastService ? `it was last seen to on ${history.lastService}` : `its first trip on ${first}`}: ${what}.`,
    rule: `Due once a year, where it was out on ${NIGHTS_BEFORE_A_LOOK} nights or more since: ${nights}.`,
    evidence: [
      { text: `${nights} nights carried since then`, trips: since.map(({ outing }) => outing.trip.id) },
    ],
    ...(one.item.kind === "beacon" ? { caution: "Beacons fail too: leave a plan with someone." } : {}),
  };
}

/** What lay in store wants a look before it is relied on. */
function dueAfterStore(one: Case, { what, stored }: ServiceRule): Finding | null {
  const { book, history, marked } = one;
  const last = marked.at(-1)?.outing.trip.ends;
  if (stored === undefined || !last) return null;
  const from = history.lastService !== null && history.lastService > last ? history.lastService : last;
  const days = daysBetween(from, book.today);
  if (days < stored) return null;
  return {
    verb: "service",
    urgency: "when convenient",
    sureness: "likely",
    says: `${count(days, "day")} in store since ${from}: ${what} before you rely on it.`,
    rule: `Looked at after ${count(stored, "day")} in store: ${days}.`,
    evidence: [{ text: `last out or seen to ${from}`, trips: [] }],
  };
}

/** The day of its last entry of these sorts. */
const lastOf = ({ item, book }: Case, sorts: readonly EntryWhat[]) =>
  book.entriesOf(item.id).findLast((entry) => sorts.includes(entry.what))?.on ?? null;
