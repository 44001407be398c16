import type { Consequence } from "../model";
import { daysBetween } from "../ledger/days";
import { count, percent } from "../units/speak";
import { isCritical, RANK, type Case } from "./case";
import type { Finding, Urgency } from "./verdict";
import { onTrips, sayLeft, sayTrouble, sayWear } from "./words";

/** Chance of giving out before the next trip ends that is too much, by what its failing costs. Common practice, no source. */
export const TOO_LIKELY: Readonly<Record<Consequence, number>> = { danger: 0.1, "trip-ending": 0.1, discomfort: 0.2, nuisance: 0.4 };

/** Gone, past its date, frozen, beyond mending, or too likely to give out on the way. The most certain reason is given. */
export function replace(one: Case): Finding | null {
  if (one.state !== "active") return buyAgain(one);
  return frozen(one) ?? outOfDate(one) ?? beyondMending(one) ?? missingPieces(one) ?? wornThrough(one);
}

const urgencyOf = (one: Case): Urgency => (isCritical(one) ? "now" : RANK[one.item.consequence] === 1 ? "before next trip" : "when convenient");

function frozen(one: Case): Finding | null {
  if (!one.kind.freezes) return null;
  const suspects = one.marked.filter(({ outing, mark }) =>
    mark.froze === true || (mark.froze === null && mark.use !== "unused" && outing.calls.has("freezing")));
  const last = suspects.at(-1);
  if (!last) return null;
  const known = suspects.some(({ mark }) => mark.froze === true);
  const hard = last.outing.trip.conditions.freezing === "strong";
  return {
    verb: "replace", urgency: "now", sureness: known ? "sure" : hard ? "likely" : "perhaps",
    says: known ? `It froze wet on ${last.outing.trip.name}. ${one.successor ? `Throw it out: the ${one.successor.name.toLowerCase()} does its job now.` : "Replace it."}` : `It was used on ${last.outing.trip.name}, where it froze, and nobody noted that it was kept warm. Replace it, unless it was.`,
    evidence: [{ text: known ? "marked as frozen wet" : `${count(suspects.length, "trip")} with frost and no word that it was kept warm`, trips: suspects.map(({ outing }) => outing.trip.id) }],
    flips: known ? "Nothing: frost damage can't be seen or tested at home." : `Mark it “kept from freezing” on ${last.outing.trip.name}.`,
    caution: "A filter that may have frozen wet can't be tested at home. Do not trust it with your water.",
  };
}

function outOfDate(one: Case): Finding | null {
  const { item, book } = one;
  if (!item.expires) return null;
  const days = daysBetween(book.today, item.expires);
  if (days > 0) return null;
  return {
    verb: "replace", urgency: urgencyOf(one), sureness: "sure",
    says: `Its date, ${item.expires}, is ${days === 0 ? "today" : `${count(-days, "day")} past`}. Replace it.`,
    evidence: [{ text: `date on the label ${item.expires}`, trips: [] }],
    flips: "A later date on the label.",
    ...(item.kind === "medicines" ? { caution: "Nettle Tally watches dates only; for doses ask a pharmacist or doctor." } : {}),
  };
}

function beyondMending(one: Case): Finding | null {
  const { item, kind, history, book } = one;
  const trouble = history.open;
  if (!trouble) return null;
  const cause = trouble.mark?.cause ?? null;
  const repairsBefore = history.repairs.filter((repair) => repair.on < trouble.on);
  const spent = one.totals.spent;
  const gone = trouble.mark?.condition === 0 || (trouble.failed && cause === "worn") || trouble.mark?.call === "replace";
  const unmendable = trouble.failed && !kind.mends && cause !== "flat or empty";
  const again = repairsBefore.length >= 2;
  const dear = item.price !== null && spent > item.price / 2;
  if (!gone && !unmendable && !again && !dear && !(trouble.failed && cause === "defect")) return null;
  const covered = item.warranty !== null && item.warranty >= trouble.on;
  const reason = again ? ` It was mended ${repairsBefore.length === 2 ? "twice" : count(repairsBefore.length, "time")} before.`
    : dear ? ` Mending it has cost ${book.settings.currency}${spent} of its price of ${book.settings.currency}${item.price}.`
    : gone ? " It is worn out." : unmendable ? " It can't be mended." : " A fault of its making, not of wear.";
  return {
    verb: "replace", urgency: one.successor ? "when convenient" : urgencyOf(one), sureness: gone || again || unmendable ? "sure" : "likely",
    says: `${sayTrouble(trouble)}.${reason} ${covered ? `Claim on the warranty${one.successor ? `; the ${one.successor.name.toLowerCase()} does its job meanwhile.` : ", or replace it."}` : one.successor ? `Throw it out: the ${one.successor.name.toLowerCase()} does its job now.` : cause === "defect" ? "Exchange it, or choose another design." : "Replace it."}`,
    evidence: [
      { text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] },
      ...repairsBefore.map((repair) => ({ text: `mended ${repair.on}${repair.tripName ? ` on ${repair.tripName}` : ""}`, trips: [] })),
      ...(covered ? [{ text: `warranty until ${item.warranty}`, trips: [] }] : []),
    ],
    flips: "A repair that holds: log it, and it must then be proved.",
  };
}

function missingPieces(one: Case): Finding | null {
  const { item, history, marked } = one;
  if (history.piecesOut === 0 || item.pieces < 2) return null;
  const few = history.piecesOut / item.pieces < 0.2;
  const on = marked.filter(({ mark }) => mark.pieces).map(({ outing }) => outing.trip.id);
  return {
    verb: "replace", urgency: few ? "when convenient" : urgencyOf(one), sureness: "sure",
    says: `${history.piecesOut} of ${item.pieces} gone ${onTrips(on, one)}. Replace what is missing, not the set.`,
    evidence: [{ text: `${history.piecesOut} of ${item.pieces} pieces lost or broken`, trips: on }],
    flips: "Log a restock, and the count is whole again.",
  };
}

/** The life model: is it too likely to give out before the next trip ends? */
function wornThrough(one: Case): Finding | null {
  const { item, left, book, totals } = one;
  if (!left || totals.used.trips === 0 || left.nextTrip === 0) return null;
  const limit = TOO_LIKELY[item.consequence];
  // A kind nobody would call unsafe when new is not condemned for the length of one trip alone.
  if (left.givesOut <= limit || left.worn < left.median * 0.5) return null;
  const say = (wear: number) => sayWear(wear, item.wears, book.settings.units);
  const next = book.next.name ?? "a trip like your last";
  const good = one.marked.at(-1)?.mark.condition;
  return {
    verb: "replace", urgency: left.givesOut > 2 * limit && isCritical(one) ? "now" : "before next trip",
    sureness: left.givesOut > 2 * limit ? "likely" : "perhaps",
    says: `${say(left.worn)} on it, ${sayLeft(one)}. ${percent(left.givesOut)} likely to give out on ${next} (${say(left.nextTrip)}). Replace it before then.`,
    evidence: [
      { text: `${say(left.worn)} of wear`, trips: one.marked.filter(({ mark }) => mark.use !== "unused").map(({ outing }) => outing.trip.id) },
      { text: `${percent(left.givesOut)} chance of giving out on the next ${say(left.nextTrip)}; the line is ${percent(limit)} for something ${item.consequence === "danger" ? "dangerous" : item.consequence} to lose`, trips: [] },
      { text: left.lives.wornOut ? `${left.lives.wornOut} of your own worn out, beside the rule of thumb` : "from the rule of thumb: none of yours has worn out yet", trips: [] },
    ],
    flips: good && good >= 4 ? `Your last look gave it ${good} of 5: overrule if it still looks like that.` : `A shorter trip, or a good look at it: overrule if it is sound.`,
  };
}

/** A thing done without for longer than this, in days, is not missed. */
const BOUGHT_AGAIN_WITHIN_DAYS = 730;

/** Gone from the shelf, liked, and nothing fills its place. */
function buyAgain(one: Case): Finding | null {
  const { item, state, book, marked, totals } = one;
  if (state !== "lost" && state !== "worn out" && state !== "thrown out") return null;
  const last = marked.at(-1);
  const filled = book.items.some((other) => other.id !== item.id && other.state === "active" && (item.slot ? other.slot === item.slot : other.kind === item.kind));
  const unloved = last?.mark.call === "leave" || last?.mark.call === "try something else" || last?.mark.why === "awkward";
  if (filled || unloved || totals.used.trips < 2 || RANK[item.consequence] === 0) return null;
  const gone = item.since ?? last?.outing.trip.ends ?? book.today;
  if (daysBetween(gone, book.today) > BOUGHT_AGAIN_WITHIN_DAYS) return null;
  const how = state === "lost" ? "Lost" : state === "worn out" ? "Worn out" : "Thrown out";
  return {
    verb: "replace", urgency: isCritical(one) ? "now" : "before next trip", sureness: "likely",
    says: `${how}${last ? ` on ${last.outing.trip.name}` : ""}, used on ${count(totals.used.trips, "trip")}, and nothing on the shelf fills its place. ${state === "lost" ? "Buy the same again." : "Replace it."}`,
    evidence: [{ text: `used on ${totals.used.trips} of ${totals.carried.trips} trips`, trips: marked.filter(({ mark }) => mark.use !== "unused").map(({ outing }) => outing.trip.id) }],
    flips: `Put another ${item.kind} on the shelf.`,
  };
}
