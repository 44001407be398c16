import { daysBetween } from "../ledger/days";
import { CONDITION } from "../kinds";
import { count, percent } from "../units/speak";
import { wornOutOf } from "../wear/life-belief";
import { isCritical, type Case } from "./case";
import { RANK } from "./jobs";
import { serviceFirst } from "./service-first";
import type { Finding, Urgency } from "./verdict";
import { aThing, onTrips, sayCost, sayLeft, sayReading, sayTrouble, sayWear } from "./words";

/** Gone, past its date, frozen, beyond mending, past a limit, or too likely to give out on the way. The most certain reason is given. */
export function replace(one: Case): Finding | null {
  if (one.state !== "active") return buyAgain(one);
  return (
    frozen(one) ??
    outOfDate(one) ??
    beyondMending(one) ??
    pastItsLimit(one) ??
    missingPieces(one) ??
    unknownFilter(one) ??
    wornThrough(one) ??
    tooOld(one)
  );
}

const urgencyOf = (one: Case): Urgency =>
  isCritical(one) ? "now" : RANK[one.item.consequence] === 1 ? "before next trip" : "when convenient";

function frozen(one: Case): Finding | null {
  if (!one.kind.freezes) return null;
  const suspects = one.marked.filter(
    ({ outing, mark }) =>
      mark.froze === true || (mark.froze === null && mark.use !== "unused" && outing.calls.has("freezing")),
  );
  const last = suspects.at(-1);
  if (!last) return null;
  const known = suspects.some(({ mark }) => mark.froze === true);
  const hard = last.outing.trip.conditions.freezing === "strong";
  return {
    verb: "replace",
    urgency: "now",
    sureness: known ? "sure" : hard ? "likely" : "perhaps",
    says: known
      ? `It froze wet on ${last.outing.trip.name}. ${one.successor ? `Throw it out: the ${aThing(one.successor)} does its job now.` : "Replace it."}`
      : `It was used on ${last.outing.trip.name}, where it froze, and nobody noted that it was kept warm. Replace it, unless it was.`,
    evidence: [
      {
        text: known
          ? "marked as frozen wet"
          : `${count(suspects.length, "trip")} with frost and no word that it was kept warm`,
        trips: suspects.map(({ outing }) => outing.trip.id),
      },
    ],
    rule: known
      ? "A filter that froze wet is replaced: frost damage can't be seen or tested at home."
      : "A filter used on a trip with frost is replaced unless somebody says that it was kept from freezing.",
    caution: "A filter that may have frozen wet can't be tested at home. Do not trust it with your water.",
  };
}

/** Days before the date on a label from which a new one is asked for, where no trip is planned. Common practice, no source. */
const DATE_NEAR_DAYS = 30;

function outOfDate(one: Case): Finding | null {
  const {
    item,
    book: { today, next },
  } = one;
  if (!item.expires) return null;
  const days = daysBetween(today, item.expires);
  const until = next.ends ?? today;
  const onTheWay = days > 0 && item.expires <= until;
  if (days > (next.ends ? 0 : DATE_NEAR_DAYS) && !onTheWay) return null;
  const when = onTheWay
    ? `falls before ${next.name} ends, on ${until}`
    : days > 0
      ? `is ${count(days, "day")} off`
      : days === 0
        ? "is today"
        : `is ${count(-days, "day")} past`;
  return {
    verb: "replace",
    urgency: days <= 0 ? urgencyOf(one) : "before next trip",
    sureness: "sure",
    says: `Its date, ${item.expires}, ${when}. Replace it.`,
    evidence: [{ text: `date on the label ${item.expires}`, trips: [] }],
    rule:
      days <= 0
        ? "The date on its label is past."
        : `The date on its label comes before the planned trip ends, or within ${DATE_NEAR_DAYS} days where none is planned.`,
    ...(item.kind === "medicines"
      ? { caution: "Nettle Tally watches dates only; for doses ask a pharmacist or doctor." }
      : {}),
  };
}

/** Repairs that came to more than this share of its price, this one among them, are worse than a new one. Common practice, no source. */
const DEAR_SHARE = 0.5;

function beyondMending(one: Case): Finding | null {
  const { item, kind, history, book, totals } = one;
  const trouble = history.open;
  if (!trouble) return null;
  const cause = trouble.mark?.cause ?? null;
  const before = history.repairs.filter((repair) => repair.on < trouble.on);
  const paid = before.filter((repair) => repair.cost > 0);
  // What this repair would cost is taken from those before it.
  const spent =
    totals.spent + (paid.length ? paid.reduce((sum, repair) => sum + repair.cost, 0) / paid.length : 0);
  const gone =
    trouble.mark?.condition === 0 || (trouble.failed && cause === "worn") || trouble.mark?.call === "replace";
  const unmendable = trouble.failed && !kind.mends && cause !== "flat or empty";
  // A mishap is not the same fault come back.
  const again = before.length >= 2 && cause !== "misuse" && cause !== "flat or empty";
  const dear = item.price !== null && paid.length > 0 && spent > item.price * DEAR_SHARE;
  const defect = trouble.failed && cause === "defect";
  if (!again && !dear && serviceFirst(one)) return null;
  if (!gone && !unmendable && !again && !dear && !defect) return null;
  const covered = item.warranty !== null && item.warranty >= trouble.on;
  const [reason, rule] = again
    ? [
        `It was mended ${before.length === 2 ? "twice" : count(before.length, "time")} before.`,
        "The fault came back after two repairs.",
      ]
    : dear
      ? [
          `Mending it again would make about ${book.settings.currency}${Math.round(spent)}, of its price of ${book.settings.currency}${item.price}.`,
          `Repairs so far and this one come to over ${percent(DEAR_SHARE)} of its price.`,
        ]
      : gone
        ? ["It is worn out.", "It is gone, by its condition, its cause or your call."]
        : unmendable
          ? ["It can't be mended.", "It failed, and nothing of this kind can be mended."]
          : [
              "A fault of its making, not of wear.",
              "A defect is exchanged, claimed or designed around; it says little about how long its kind lasts.",
            ];
  return {
    verb: "replace",
    urgency: one.successor ? "when convenient" : urgencyOf(one),
    sureness: gone || again || unmendable ? "sure" : "likely",
    rule,
    says: `${sayTrouble(trouble)}. ${reason} ${covered ? `Claim on the warranty${one.successor ? `; the ${aThing(one.successor)} does its job meanwhile.` : ", or replace it."}` : one.successor ? `Throw it out: the ${aThing(one.successor)} does its job now.` : cause === "defect" ? "Exchange it, or choose another design." : "Replace it."}`,
    evidence: [
      { text: sayTrouble(trouble), trips: trouble.trip ? [trouble.trip] : [] },
      ...before.map((repair) => ({
        text: `mended ${repair.on}${repair.tripName ? ` on ${repair.tripName}` : ""}${repair.cost ? `, ${book.settings.currency}${repair.cost}` : ""}`,
        trips: [],
      })),
      ...(covered ? [{ text: `warranty until ${item.warranty}`, trips: [] }] : []),
    ],
  };
}

/** A reading at or past the value at which it is done. Flow that a service may bring back is serviced first. */
function pastItsLimit(one: Case): Finding | null {
  for (const { rule, points, last } of one.readings) {
    const value = points.at(-1)!.y;
    if (value > rule.limit || (canComeBack(rule.what) && !servicedBefore(one, last))) continue;
    const name = rule.what === CONDITION.what ? "Its condition" : `Its ${rule.what}`;
    return {
      verb: "replace",
      urgency: urgencyOf(one),
      sureness: points.length > 1 ? "sure" : "likely",
      says: `${name} was ${sayReading(rule, value)} on ${last}; ${sayReading(rule, rule.limit)} is where it is done. Replace it.`,
      rule: `A reading at or below its limit: ${sayReading(rule, value)} against ${sayReading(rule, rule.limit)}.`,
      evidence: [
        {
          text: `${rule.what}, in order: ${points.map(({ y }) => String(y)).join(", ")} (${rule.unit})`,
          trips: [],
        },
      ],
    };
  }
  return null;
}

/** Readings that a good service may lift again: leaks and clogs get service first. */
export const canComeBack = (what: string) => what === "flow" || what === "loft";
/** Was it serviced at some time before this reading, and is still so low? */
const servicedBefore = ({ item, book }: Case, day: string) =>
  book
    .entriesOf(item.id)
    .some((entry) => (entry.what === "service" || entry.what === "wash") && entry.on <= day);

function missingPieces(one: Case): Finding | null {
  const { item, history, marked } = one;
  if (history.piecesOut === 0 || item.pieces < 2) return null;
  const few = history.piecesOut / item.pieces < 0.2;
  const on = marked.filter(({ mark }) => mark.pieces).map(({ outing }) => outing.trip.id);
  return {
    verb: "replace",
    urgency: few ? "when convenient" : urgencyOf(one),
    sureness: "sure",
    says: `${history.piecesOut} of ${item.pieces} gone ${onTrips(on, one)}. Replace what is missing, not the set.`,
    evidence: [{ text: `${history.piecesOut} of ${item.pieces} pieces lost or broken`, trips: on }],
    rule: `A set short of pieces is made whole, not thrown out: ${history.piecesOut} of ${item.pieces} are gone.`,
  };
}

/** Of a thing that frost ruins unseen, an unknown past is enough. */
function unknownFilter(one: Case): Finding | null {
  const { item, kind, marked } = one;
  if (!kind.freezes || item.past !== "unknown" || item.opening !== null) return null;
  return {
    verb: "replace",
    urgency: "before next trip",
    sureness: "perhaps",
    says: "Of unknown past, and it may have frozen wet: that can't be tested at home. Replace it before you rely on it alone.",
    rule: "A filter of unknown past is not trusted.",
    evidence: [
      { text: "came to you used, its past unknown", trips: marked.map(({ outing }) => outing.trip.id) },
    ],
    caution: "A filter that may have frozen wet can't be tested at home. Do not trust it with your water.",
  };
}

/** Plastic, rubber and the like that age whatever they look like. */
function tooOld(one: Case): Finding | null {
  const { item, kind, book, marked, totals } = one;
  const from = item.acquired ?? marked[0]?.outing.trip.starts;
  if (kind.ageDays === null || !from || totals.used.trips === 0) return null;
  const days = daysBetween(from, book.today);
  if (days <= kind.ageDays) return null;
  const seasons = kind.ageDays === 365 ? "a season" : count(kind.ageDays, "day");
  return {
    verb: "replace",
    urgency: isCritical(one) ? "before next trip" : "when convenient",
    sureness: "perhaps",
    says: `In use since ${from}; one of these is good for about ${seasons}. Look at it closely; a new one is due.`,
    rule: `Older than its kind is trusted for: ${count(days, "day")} against ${count(kind.ageDays, "day")}.`,
    evidence: [{ text: `${item.acquired ? "acquired" : "first carried"} ${from}`, trips: [] }],
  };
}

/** Share of the life still to be expected that must be behind it, before the odds of one trip condemn it. Common practice, no source. */
const SEASONED = 0.5;

/** The life model, joined with the readings: is it too likely to give out before the next trip ends? */
function wornThrough(one: Case): Finding | null {
  const { item, left, book, totals } = one;
  if (!left || totals.used.trips === 0 || left.nextTrip === 0) return null;
  const limit = book.rules.tooLikely[item.consequence];
  // A kind nobody would call unsafe when new is not condemned for the length of one trip alone.
  if (left.givesOut <= limit || left.worn < left.median * SEASONED) return null;
  const say = (wear: number) => sayWear(wear, item.wears, book.settings.units);
  const next = book.next.name ?? "a trip like your last";
  const read = left.trends.map(({ rule }) => rule.what);
  return {
    verb: "replace",
    urgency: left.givesOut > 2 * limit && isCritical(one) ? "now" : "before next trip",
    sureness: left.givesOut > 2 * limit || read.length ? "likely" : "perhaps",
    says: `${say(left.worn)} on it, ${sayLeft(one)}. ${percent(left.givesOut)} likely to give out on ${next} (${say(left.nextTrip)}). Replace it before then.`,
    rule: `Replaced when the chance of giving out before the next trip ends is over ${percent(limit)}, for what is ${sayCost[item.consequence]} to lose: ${percent(left.givesOut)}.`,
    evidence: [
      {
        text: `${say(left.worn)} of wear`,
        trips: one.marked.filter(({ mark }) => mark.use !== "unused").map(({ outing }) => outing.trip.id),
      },
      {
        text: wornOutOf(left.lives)
          ? `${wornOutOf(left.lives)} of your own worn out, beside the rule of thumb`
          : "from the rule of thumb: none of yours has worn out yet",
        trips: [],
      },
      ...(read.length ? [{ text: `joined with its readings of ${read.join(" and ")}`, trips: [] }] : []),
    ],
  };
}

/** A thing done without for longer than this, in days, is not missed. */
const BOUGHT_AGAIN_WITHIN_DAYS = 730;

/** Gone from the shelf, liked, and nothing fills its place. */
function buyAgain(one: Case): Finding | null {
  const { item, state, book, marked, totals } = one;
  if (state !== "lost" && state !== "worn out" && state !== "thrown out") return null;
  const last = marked.at(-1);
  const filled = book.items.some(
    (other) =>
      other.id !== item.id &&
      other.state === "active" &&
      (item.slot ? other.slot === item.slot : other.kind === item.kind),
  );
  const unloved =
    last?.mark.call === "leave" || last?.mark.call === "try something else" || last?.mark.why === "awkward";
  // What is only a nuisance to lack has to have been wanted more often than not.
  const liked =
    totals.used.trips >= 2 && (RANK[item.consequence] > 0 || totals.used.trips > totals.carried.trips / 2);
  if (filled || unloved || !liked) return null;
  const gone = item.since ?? last?.outing.trip.ends ?? book.today;
  if (daysBetween(gone, book.today) > BOUGHT_AGAIN_WITHIN_DAYS) return null;
  const how = state === "lost" ? "Lost" : state === "worn out" ? "Worn out" : "Thrown out";
  return {
    verb: "replace",
    urgency: urgencyOf(one),
    sureness: "likely",
    says: `${how}${last ? ` on ${last.outing.trip.name}` : ""}, used on ${count(totals.used.trips, "trip")}, and nothing on the shelf fills its place. ${state === "lost" ? "Buy the same again." : "Replace it."}`,
    evidence: [
      {
        text: `used on ${totals.used.trips} of ${totals.carried.trips} trips`,
        trips: marked.filter(({ mark }) => mark.use !== "unused").map(({ outing }) => outing.trip.id),
      },
    ],
    rule: "Lost or worn out, used and liked, and nothing of its kind or slot fills its place.",
  };
}
