import { lastOf } from "../../sums/there";
import { tripsOf } from "../../ledger/history";
import type { Incident } from "../../ledger/history";
import { daysBetween } from "../../sums/days";
import { chooseByLife } from "../../decide/choose";
import { isCritical, successorOf, type Case } from "../../decide/case";
import { CONDITION } from "../../trade/kind";
import { cureOf, triedBefore } from "../cures";
import { findingOf, type Finding, type Rule } from "../finding";
import { urgencyOf } from "../sureness";

function froze({ frost }: Case): Finding | null {
  if (!frost || (frost.how !== "froze" && !frost.hard)) return null;
  return findingOf({
    verb: "replace",
    reason: "froze",
    facts: frost,
    urgency: frost.how === "froze" ? "now" : "before next trip",
    sureness: frost.how === "froze" ? "sure" : "perhaps",
    trips: frost.outing ? [frost.outing.trip.id] : [],
    caution: "frozen filter",
  });
}

/**
 * Days before the date on a label from which a new one is asked for, where no trip is planned. Common
 * practice, no source.
 */
const DATE_NEAR_DAYS = 30;

function pastItsDate(one: Case): Finding | null {
  const { item, book } = one;
  if (!item.expires) return null;
  const daysLeft = daysBetween(book.today, item.expires);
  const onTrip = daysLeft > 0 && book.next.ends !== null && item.expires <= book.next.ends;
  if (daysLeft > (book.next.ends ? 0 : DATE_NEAR_DAYS) && !onTrip) return null;
  const soonOrPast = daysLeft > 0 ? "soon" : "past";
  return findingOf({
    verb: "replace",
    reason: "past its date",
    facts: {
      expires: item.expires,
      daysLeft,
      falls: onTrip ? "on the trip" : soonOrPast,
    },
    urgency: daysLeft <= 0 ? urgencyOf(one) : "before next trip",
    sureness: "sure",
    trips: [],
    ...(item.kind === "medicines" && { caution: "medicines" as const }),
  });
}

/**
 * Repairs that came to more than this share of its price, this one among them, are worse than a new one.
 * Common practice, no source.
 */
const DEAR_SHARE = 0.5;
/** Graded so low, or lower, a thing is gone. */
const GONE = 1;

/** What is broken now, and not for want of a charge. */
const brokenOf = ({ history: { open } }: Case) => (open?.cause === "flat or empty" ? null : open);

const givenUp = (one: Case, trouble: Incident) => ({
  verb: "replace" as const,
  urgency: successorOf(one) ? ("when convenient" as const) : urgencyOf(one),
  trips: trouble.outing ? [trouble.outing.trip.id] : [],
  ...(trouble.symptoms.includes("leaks gas") && { caution: "gas leak" as const }),
});

function usedUp(one: Case): Finding | null {
  const trouble = one.history.open;
  return trouble?.cause === "flat or empty" && isUsedUp(one, trouble)
    ? findingOf({ ...givenUp(one, trouble), reason: "used up", facts: { trouble }, sureness: "sure" })
    : null;
}

function spoiltByMould(one: Case): Finding | null {
  const trouble = brokenOf(one);
  const symptom = one.kind.spoiltByMould && trouble?.symptoms.find((each) => each === "mould");
  return trouble && symptom
    ? findingOf({
        ...givenUp(one, trouble),
        reason: "spoilt by mould",
        facts: { symptom },
        sureness: "likely",
      })
    : null;
}

const repairsBefore = ({ history }: Case, trouble: Incident) =>
  history.repairs.filter(({ on }) => on < trouble.on);

/** The same fault after two repairs; a mishap is not the same fault come back. */
function faultCameBack(one: Case): Finding | null {
  const trouble = brokenOf(one);
  const repairs = trouble ? repairsBefore(one, trouble).length : 0;
  return trouble && repairs >= 2 && trouble.cause !== "misuse"
    ? findingOf({
        ...givenUp(one, trouble),
        reason: "fault came back",
        facts: { trouble, repairs },
        sureness: "sure",
      })
    : null;
}

function tooDearToMend(one: Case): Finding | null {
  const { item, totals } = one;
  const trouble = brokenOf(one);
  if (!trouble || item.price === null) return null;
  const paid = repairsBefore(one, trouble).filter(({ cost }) => cost > 0);
  // What this repair would cost is taken from those before it.
  const spent = totals.spent + paid.reduce((sum, { cost }) => sum + cost, 0) / Math.max(1, paid.length);
  return paid.length > 0 && spent > item.price * DEAR_SHARE
    ? findingOf({
        ...givenUp(one, trouble),
        reason: "too dear to mend",
        facts: { trouble, spent, price: item.price },
        sureness: "likely",
      })
    : null;
}

function beyondMending(one: Case): Finding | null {
  const trouble = brokenOf(one);
  const why = trouble && whyBeyond(one, trouble);
  return trouble && why
    ? findingOf({
        ...givenUp(one, trouble),
        reason: "beyond mending",
        facts: { trouble, why },
        sureness: why === "defect" ? "likely" : "sure",
      })
    : null;
}

/**
 * Of what is used up and bought again, so little is left that it does not reach for another trip. Common
 * practice, no source.
 */
const NEXT_TO_NOTHING = 0.2;

function nearlyGone(one: Case): Finding | null {
  const { item, marked, book } = one;
  const last = marked.findLast(({ mark }) => mark.left !== null);
  if (
    !last ||
    last.mark.left! > NEXT_TO_NOTHING ||
    !(item.load === "consumable" || item.kind === "medicines")
  )
    return null;
  const filled = book
    .entriesOf(item.id)
    .some(({ what, on }) => (what === "restock" || what === "service") && on >= last.outing.trip.ends);
  if (filled || item.pieces > 1) return null;
  return findingOf({
    verb: "replace",
    reason: "nearly gone",
    facts: { left: last.mark.left! },
    urgency: "before next trip",
    sureness: "sure",
    trips: tripsOf([last]),
  });
}

const isUsedUp = ({ item, kind }: Case, { failed, condition }: Incident) =>
  (item.load === "consumable" || kind.contents) && (failed || condition === 0);

/** Stopped by the cold, and nothing broken: it works again in the warm. */
export const worksAgain = ({ kind }: Pick<Case, "kind">, { cause, condition, symptoms }: Incident) =>
  kind.coldStops &&
  cause === "weather" &&
  (condition === null || condition >= 3) &&
  !symptoms.includes("broken");

function whyBeyond(one: Case, trouble: Incident): "gone" | "worn" | "defect" | "no mending" | null {
  const { kind } = one;
  const { failed, cause, condition } = trouble;
  if (condition !== null && condition <= GONE) return "gone";
  if (cureOf(one, trouble) && !triedBefore(one, trouble)) return null;
  if (!failed || worksAgain(one, trouble)) return null;
  if (cause === "defect" || cause === "poor design") return "defect";
  if (kind.mends === "nothing") return "no mending";
  return cause === "worn" && kind.mends === "damage" ? "worn" : null;
}

/**
 * It annoys by failing now and then, is graded low, and nothing of its sort can be mended: mould in a
 * bladder, a light that goes off.
 */
function unreliable(one: Case): Finding | null {
  const { kind } = one;
  const last = one.marked.at(-1);
  if (!last || !last.mark.troubles.includes("nuisance") || kind.mends !== "nothing") return null;
  const { condition, cause, symptoms } = last.mark;
  const mouldy = kind.spoiltByMould && symptoms.includes("mould");
  if (!mouldy && !(condition !== null && condition <= 2 && (cause === "worn" || cause === "defect")))
    return null;
  const base = {
    verb: "replace" as const,
    urgency: urgencyOf(one),
    trips: tripsOf([last]),
    sureness: "likely" as const,
  };
  return mouldy
    ? findingOf({ ...base, reason: "spoilt by mould", facts: { symptom: "mould" } })
    : findingOf({ ...base, reason: "can't be relied on", facts: { condition } });
}

/** Cloth, soles and foam do not come back: graded 2 or less, or seen to be worn through, and nothing mends that. */
function wornToBeSeen(one: Case): Finding | null {
  const { kind, history, readings } = one;
  if (kind.mends === "all") return null;
  const trouble = history.open;
  const grade = readings.find(({ rule }) => rule.what === CONDITION.what);
  const condition = trouble?.condition ?? grade?.points.at(-1)?.y ?? null;
  const isWear = trouble?.cause === "worn" || (trouble === null && grade !== undefined);
  const seen =
    condition !== null
      ? condition <= 2
      : kind.mends === "nothing" && trouble?.cause === "worn" && trouble.symptoms.length > 0;
  if (!isWear || !seen || isOfPieces(one)) return null;
  return findingOf({
    verb: "replace",
    reason: "wear to be seen",
    facts: { condition, trouble, on: trouble?.on ?? grade!.last },
    urgency: urgencyOf(one),
    sureness: condition !== null && condition < 2 ? "sure" : "likely",
    trips: trouble?.outing ? [trouble.outing.trip.id] : [],
  });
}

const isOfPieces = ({ item, history }: Case) => item.pieces > 1 && history.piecesOut > 0;

/**
 * A reading at or past the value at which it is done. Flow and loft that a service may bring back are
 * serviced first.
 */
function readingAtLimit(one: Case): Finding | null {
  for (const { rule, points, last } of one.readings) {
    const { y: value } = lastOf(points);
    if (value > rule.limit || (canComeBack(rule.what) && !servicedBy(one, last))) continue;
    return findingOf({
      verb: "replace",
      reason: "reading at its limit",
      facts: { rule, value, on: last },
      urgency: urgencyOf(one),
      sureness: points.length > 1 ? "sure" : "likely",
      trips: [],
    });
  }
  return null;
}

/** Readings that a good service may lift again: leaks and clogs get service first. */
export const canComeBack = (what: string) => what === "flow" || what === "loft";
const servicedBy = ({ item, book }: Case, day: string) =>
  book.entriesOf(item.id).some(({ what, on }) => (what === "service" || what === "wash") && on <= day);

/** Fewer gone than this share, and it can wait. Common practice, no source. */
const FEW_PIECES = 0.2;

function shortOfPieces(one: Case): Finding | null {
  const { item, history, marked } = one;
  if (!isOfPieces(one)) return null;
  // What is left was said to be enough.
  const enough = marked.findLast(({ mark }) => mark.enough !== null)?.mark.enough;
  if (enough != null && enough <= item.pieces - history.piecesOut) return null;
  return findingOf({
    verb: "replace",
    reason: "short of pieces",
    facts: { out: history.piecesOut, of: item.pieces },
    urgency: history.piecesOut / item.pieces < FEW_PIECES ? "when convenient" : urgencyOf(one),
    sureness: "sure",
    trips: tripsOf(marked.filter(({ mark }) => mark.pieces)),
  });
}

/** Of a thing that frost ruins unseen, an unknown past is enough. */
function unknownPast({ item, kind, marked }: Case): Finding | null {
  if (!kind.freezes || item.past !== "unknown" || item.opening !== null) return null;
  return findingOf({
    verb: "replace",
    reason: "unknown past",
    facts: {},
    urgency: "before next trip",
    sureness: "likely",
    trips: tripsOf(marked),
    caution: "unknown filter",
  });
}

/** Twice as dear to go on with as to replace: no longer only perhaps. Common practice, no source. */
const CLEAR_MARGIN = 2;

/**
 * Going on would cost more than a new one, and its life is nearly used up, by its readings or by the owner's
 * own earlier lives.
 */
function lifeUsedUp(one: Case): Finding | null {
  const choice = chooseByLife(one);
  if (choice?.best !== "replace") return null;
  const left = one.left!;
  const clear = choice.margin >= CLEAR_MARGIN;
  return findingOf({
    verb: "replace",
    reason: "life used up",
    facts: { worn: left.worn, givesOut: left.givesOut, unit: one.item.wears },
    urgency: clear && isCritical(one) ? "now" : "before next trip",
    sureness: clear || left.trends.length > 0 || left.givesOut >= 0.5 ? "likely" : "perhaps",
    trips: tripsOf(one.marked.filter(({ mark }) => mark.use !== "unused")),
  });
}

/** Plastic, rubber and the like that age whatever they look like. */
function tooOld(one: Case): Finding | null {
  const { item, kind, book, marked, totals } = one;
  const from = item.acquired ?? marked[0]?.outing.trip.starts;
  if (kind.ageDays === null || !from || totals.used.trips === 0) return null;
  const days = daysBetween(from, book.today);
  if (days <= kind.ageDays) return null;
  return findingOf({
    verb: "replace",
    reason: "too old",
    facts: { from, days, limit: kind.ageDays },
    urgency: "when convenient",
    sureness: "perhaps",
    trips: [],
  });
}

/**
 * Frozen, past its date, beyond mending, worn as can be seen, past a limit, or with its life used up; of
 * equal weight the first leads.
 */
export const REPLACE: readonly Rule[] = [
  froze,
  pastItsDate,
  usedUp,
  nearlyGone,
  spoiltByMould,
  faultCameBack,
  tooDearToMend,
  beyondMending,
  unreliable,
  wornToBeSeen,
  readingAtLimit,
  shortOfPieces,
  unknownPast,
  lifeUsedUp,
  tooOld,
];
