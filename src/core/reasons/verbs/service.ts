import { lastOf } from "../../sums/there";
import { daysBetween } from "../../sums/days";
import { ownServiceCounts, shareAfter } from "../../ledger/service-counts";
import { tripsOf } from "../../ledger/history";
import type { WearStep } from "../../ledger/totals";
import { chooseByLife } from "../../decide/choose";
import { isCritical, type Case } from "../../decide/case";
import { isTooLight } from "../../decide/law";
import type { EntryWhat, Symptom } from "../../model";
import { CONDITION, STORED_DAYS, type ServiceRule } from "../../trade/kind";
import { cureOf, triedBefore } from "../cures";
import { findingOf, type Finding, type Rule } from "../finding";
import { canComeBack } from "./replace";

/** Reasons that remind of a look that is due anyway: they stand behind what is said of the thing itself. */
const ROUTINE_REASONS: readonly Finding["reason"][] = ["each season", "after a patch", "too old"];
export const isRoutine = (finding: Finding): boolean =>
  ROUTINE_REASONS.includes(finding.reason) ||
  (finding.reason === "due by count" && finding.urgency === "when convenient");

/** The last trip it was used on, as long as nothing was done about it since. */
function lastAiling({ marked, book, item }: Case) {
  const last = marked.findLast(({ mark }) => mark.use !== "unused");
  if (!last || last !== marked.findLast(({ mark }) => mark.use !== "unused")) return null;
  const seenTo = book
    .entriesOf(item.id)
    .some(
      ({ what, on }) =>
        on >= last.outing.trip.ends && ["service", "wash", "repair", "restock"].includes(what),
    );
  return seenTo ? null : last;
}

function flatOrEmpty(one: Case): Finding | null {
  const last = lastAiling(one);
  if (
    last?.mark.cause !== "flat or empty" ||
    (last.mark.troubles.length === 0 && last.mark.complaints.length === 0)
  )
    return null;
  const failed = last.mark.troubles.includes("failed");
  return findingOf({
    verb: "service",
    reason: "flat or empty",
    facts: {},
    urgency: failed && isCritical(one) ? "now" : "before next trip",
    sureness: failed ? "sure" : "likely",
    trips: tripsOf([last]),
  });
}

/** A leak, a clog, lost loft, a loose lock: service, then proof, before anything is mended or bought. */
export function comesBack(one: Case): Finding | null {
  const { history, kind, readings } = one;
  // What only wants filling is not serviced for it as well.
  if (flatOrEmpty(one)) return null;
  const trouble = history.open;
  const rule =
    trouble && !triedBefore(one, trouble) && !(trouble.condition !== null && trouble.condition <= 1)
      ? cureOf(one, trouble)
      : null;
  if (rule)
    return findingOf({
      verb: "service",
      reason: "comes back by service",
      facts: { trouble, symptom: trouble!.symptoms[0] ?? null, what: rule.what },
      urgency: trouble!.failed && isCritical(one) ? "now" : "before next trip",
      sureness: "likely",
      trips: trouble!.outing ? [trouble!.outing.trip.id] : [],
    });
  const low = readings.find(
    ({ rule: each, points }) => canComeBack(each.what) && lastOf(points).y <= each.limit,
  );
  const last = lastAiling(one);
  // Seen on it is enough, whether or not it annoyed.
  const seen =
    last && last.mark.troubles.length === 0 && last.mark.symptoms.some((each) => WASHED_OUT.includes(each));
  const annoyed = seen || last?.mark.troubles.includes("nuisance") ? last!.mark : null;
  const told = annoyed && { ...annoyed, failed: false };
  const silted = annoyed?.symptoms.length === 0 && annoyed.cause === "weather" && kind.freezes;
  const cure =
    (told && cureOf(one, told)) ||
    ((low || silted) &&
      kind.services.find(({ cures }) =>
        cures?.some((each) => each === "clogged or slow" || each === "lost loft"),
      )) ||
    null;
  if (!cure) return null;
  return findingOf({
    verb: "service",
    reason: "comes back by service",
    facts: { trouble: null, symptom: told?.symptoms[0] ?? "clogged or slow", what: cure.what },
    urgency: "before next trip",
    sureness: low ? "sure" : "likely",
    trips: last ? tripsOf([last]) : [],
  });
}

/** What a wash or an airing brings back, whether or not it annoyed. */
const WASHED_OUT: readonly Symptom[] = ["smell", "dirty", "mould", "lost loft"];

/**
 * It annoys, and the owner says that it is wear: what its kind is seen to is done first. What the weather
 * wetted is dried.
 */
function wornButServiceable(one: Case): Finding | null {
  const last = lastAiling(one);
  if (
    comesBack(one) ||
    !last?.mark.troubles.includes("nuisance") ||
    last.mark.complaints.length > 0 ||
    last.mark.cause === null
  )
    return null;
  const curing = one.kind.services.filter(({ cures }) => cures !== undefined);
  const lofty = curing.find(({ cures }) => cures!.includes("lost loft"));
  const base = {
    verb: "service" as const,
    urgency: "before next trip" as const,
    sureness: "perhaps" as const,
    trips: tripsOf([last]),
  };
  if (last.mark.cause === "weather" && lofty)
    return findingOf({ ...base, reason: "wet through", facts: { what: lofty.what } });
  if (last.mark.cause !== "worn") return null;
  const rule = curing[0] ?? one.kind.services[0];
  if (!rule) return null;
  return findingOf({
    ...base,
    reason: "worn but serviceable",
    facts: { what: rule.what, condition: last.mark.condition },
  });
}

/** Looked at between trips, graded middling or worse, or with something seen on it, and nothing done about it since. */
function foundWanting(one: Case): Finding | null {
  const { item, book, kind } = one;
  const last = book.entriesOf(item.id).at(-1);
  if (last?.what !== "check" || last.on < (one.marked.at(-1)?.outing.trip.ends ?? "")) return null;
  const seen = last.symptoms[0] ?? null;
  const condition = last.condition ?? 5;
  if (condition > 3 && seen === null) return null;
  if (kind.mends !== "all" && seen === null) return null;
  const cure = kind.services.find(({ cures }) => seen && cures?.includes(seen)) ?? kind.services[0];
  return findingOf({
    verb: "service",
    reason: "found wanting",
    facts: { condition, on: last.on, what: cure?.what ?? null },
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
  });
}

/** A light frost that nobody noted: asked, and looked at; not replaced on a guess. */
function frostNobodyNoted({ frost, book }: Case): Finding | null {
  if (!frost || frost.how === "froze" || frost.hard || !frost.outing) return null;
  // Used on and on since, it is no longer worth asking.
  if (book.outings.length - frost.outing.n > FROST_FORGOTTEN) return null;
  return findingOf({
    verb: "service",
    reason: "frost nobody noted",
    facts: frost,
    urgency: "before next trip",
    sureness: "perhaps",
    trips: [frost.outing.trip.id],
    caution: "frozen filter",
  });
}

/** Trips after which a light frost that nobody noted is no longer asked about. */
const FROST_FORGOTTEN = 3;

function unknownContents({ item, kind, history }: Case): Finding | null {
  if (item.past !== "unknown" || !kind.contents || !item.cover || history.lastSeenTo) return null;
  return findingOf({
    verb: "service",
    reason: "unknown contents",
    facts: {},
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
  });
}

/** A call for help goes out in its owner's name. */
function onLoan({ item, book }: Case): Finding | null {
  // Back, and seen to, it is nobody's loan any more.
  const last = book
    .entriesOf(item.id)
    .findLast(({ what }) => what === "loan" || what === "service" || what === "check");
  if (last?.what !== "loan" || !item.jobs.includes("call for help")) return null;
  return findingOf({
    verb: "service",
    reason: "on loan",
    facts: { on: last.on },
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
    caution: "beacon",
  });
}

/** Contents or a charge of which so little is left are filled before the next trip. Common practice, no source. */
const NEARLY_EMPTY = 0.25;
/** Of cover, whose hour is when it is needed, so much. Common practice, no source. */
const COVER_WANTS = 0.65;

function nearlyEmpty(one: Case): Finding | null {
  const last = lastAiling(one);
  const least = one.item.cover ? COVER_WANTS : NEARLY_EMPTY;
  if (last?.mark.left == null || last.mark.left > least || one.item.load === "consumable") return null;
  return findingOf({
    verb: "service",
    reason: "nearly empty",
    facts: { left: last.mark.left },
    urgency: "before next trip",
    sureness: "sure",
    trips: tripsOf([last]),
  });
}

/** @param shows services whose need shows in use: their count only reminds */
function dueByCount(one: Case, shows: boolean): Finding | null {
  const { item, kind } = one;
  const { since, last } = wearSinceService(one);
  const rule = kind.services.find(
    ({ every, shows: showing }) => every !== undefined && since >= every && Boolean(showing) === shows,
  );
  if (!rule || isTooLight(one)) return null;
  return findingOf({
    verb: "service",
    reason: "due by count",
    facts: { what: rule.what, since, every: rule.every!, unit: item.wears, last },
    urgency: shows ? "when convenient" : "before next trip",
    sureness: "likely",
    trips: [],
  });
}

/** Wear in its own unit since it was last serviced, washed or mended. */
export function wearSinceService(one: Case): { readonly since: number; readonly last: string | null } {
  const { totals } = one;
  const last = lastEntry(one, ["service", "wash", "repair"]);
  const after = ({ on, carried }: WearStep) =>
    carried ? shareAfter(carried, last) : Number(last === null || on > last);
  const since =
    (last === null ? totals.opening : 0) +
    totals.steps.reduce((sum, step) => sum + step.wear * after(step), 0);
  return { since, last };
}

/** What its owner wants done on it, by their own count. */
function ownServiceDue({ item, book }: Case): Finding | null {
  const due = ownServiceCounts(item, book).find(({ since, every }) => since >= every);
  if (!due) return null;
  return findingOf({
    verb: "service",
    reason: "own service",
    facts: due,
    urgency: "before next trip",
    sureness: "sure",
    trips: [],
  });
}

/** A treatment that holds for some days or washes, whichever is over first. */
function treatmentSpent(one: Case): Finding | null {
  const rule = one.kind.services.find(({ days, washes }) => days !== undefined || washes !== undefined);
  if (!rule) return null;
  const { item, book, marked } = one;
  const from = lastEntry(one, ["service", "restock"]) ?? item.acquired ?? marked[0]?.outing.trip.starts;
  if (!from) return null;
  const gone = daysBetween(from, book.today);
  const washed = book.entriesOf(item.id).filter(({ what, on }) => what === "wash" && on >= from).length;
  const byDays = rule.days !== undefined && gone >= rule.days;
  const byWashes = rule.washes !== undefined && washed >= rule.washes;
  if (!byDays && !byWashes) return null;
  return findingOf({
    verb: "service",
    reason: "treatment spent",
    facts: { what: rule.what, days: byDays ? gone : null, washes: byDays ? null : washed, from },
    urgency: "before next trip",
    sureness: "sure",
    trips: [],
    caution: "treatment",
  });
}

/** Where only the rule of thumb worries, the thing is looked over: a grade or a measure settles it. */
function lookItOver(one: Case): Finding | null {
  if (chooseByLife(one)?.best !== "look") return null;
  const left = one.left!;
  return findingOf({
    verb: "service",
    reason: "look it over",
    facts: { worn: left.worn, givesOut: left.givesOut, unit: one.item.wears },
    urgency: "before next trip",
    sureness: "perhaps",
    trips: [],
  });
}

/** A look so lately, in days, is the look before the season. */
const LATELY_DAYS = 60;

function afterStore(one: Case): Finding | null {
  const { book, history, marked, kind, item } = one;
  const last = marked.at(-1)?.outing.trip.ends;
  // The date on a label needs no look where it is written down.
  const looks =
    item.expires !== null && item.load === "consumable"
      ? []
      : kind.services.filter((rule) => rule.afterStore);
  if (looks.length === 0 || !last) return null;
  const days = daysBetween(last, book.today);
  const out = lastOf(book.outings).trip.ends;
  if (days < STORED_DAYS || daysBetween(out, book.today) < STORED_DAYS) return null;
  if (history.lastSeenTo !== null && daysBetween(history.lastSeenTo, book.today) <= LATELY_DAYS) return null;
  return findingOf({
    verb: "service",
    reason: "after store",
    facts: { whats: looks.map(({ what }) => what), days },
    urgency: "before next trip",
    sureness: "likely",
    trips: [],
    ...(one.item.kind === "beacon" && { caution: "beacon" as const }),
  });
}

function afterPatch(one: Case): Finding | null {
  const { history, marked, kind } = one;
  const rule = kind.services.find(({ afterMending }) => afterMending);
  const mended = history.lastMended;
  if (!rule || mended === null || history.open !== null) return null;
  const looked = lastEntry(one, ["check", "service"]);
  if (looked !== null && looked >= mended) return null;
  if (marked.some(({ outing, mark }) => outing.trip.starts > mended && mark.use === "used")) return null;
  return findingOf({
    verb: "service",
    reason: "after a patch",
    facts: { what: rule.what, on: mended },
    urgency: "when convenient",
    sureness: "likely",
    trips: [],
  });
}

/** Out on so many nights since the last look, a thing is due its yearly service. */
const NIGHTS_BEFORE_A_LOOK = 5;

/**
 * The day it was last seen to: looked at, served or mended, or measured, on the way or at home; a grade alone
 * is none.
 */
const lastSeen = ({ history, readings }: Case): string | null =>
  [history.lastSeenTo, ...readings.flatMap(({ rule, last }) => (rule === CONDITION ? [] : [last]))]
    .filter((day) => day !== null)
    .toSorted()
    .at(-1) ?? null;

function eachSeason(one: Case): Finding | null {
  const { book, marked, item, kind } = one;
  const rule = kind.services.find(({ seasonal }: ServiceRule) => seasonal);
  const first = marked[0]?.outing.trip.starts;
  const seen = lastSeen(one);
  const from = seen ?? first;
  if (
    !rule ||
    !from ||
    daysBetween(from, book.today) < 365 ||
    (item.expires !== null && item.load === "consumable")
  )
    return null;
  const nights = marked
    .filter(({ outing }) => outing.trip.ends >= from)
    .reduce((sum, { outing }) => sum + outing.nights, 0);
  if (nights < NIGHTS_BEFORE_A_LOOK) return null;
  return findingOf({
    verb: "service",
    reason: "each season",
    facts: { what: rule.what, nights: Math.round(nights), last: seen },
    urgency: "when convenient",
    sureness: "likely",
    trips: [],
    ...(item.kind === "beacon" && { caution: "beacon" as const }),
  });
}

/** What a service would bring back, is due, or wants a look before it is relied on. */
export const SERVICE: readonly Rule[] = [
  flatOrEmpty,
  comesBack,
  wornButServiceable,
  foundWanting,
  frostNobodyNoted,
  unknownContents,
  onLoan,
  nearlyEmpty,
  ownServiceDue,
  (one) => dueByCount(one, false),
  treatmentSpent,
  lookItOver,
  afterStore,
  afterPatch,
  (one) => dueByCount(one, true),
  eachSeason,
];

/** The day of its last entry of these sorts. */
const lastEntry = ({ item, book }: Case, sorts: readonly EntryWhat[]) =>
  book.entriesOf(item.id).findLast(({ what }) => sorts.includes(what))?.on ?? null;
