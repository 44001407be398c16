import { lastOf } from "../../sums/there";
import { CALLER_ODDS, callerOf } from "../../belief/caller";
import { chancesIn } from "../../belief/use";
import { chanceQuantile, surenessBelow } from "../../belief/use-chance";
import type { Marked } from "../../ledger/book";
import { tripsOf } from "../../ledger/history";
import { isCritical, lastOuting, usedInstead, type Case } from "../../decide/case";
import { essentialJobs, isSpared, isSurplus, isTooLight, mayStayHome } from "../../decide/law";
import { DOUBLED_JOBS, RANK } from "../../trade/jobs";
import { isForeseen, isUnavoidable } from "../../trade/triggers";
import type { Sureness } from "../../model";
import { findingOf, type Finding, type Rule } from "../finding";
import { lastTelling, said, speaks, surenessOf, urgencyBy } from "../sureness";

/**
 * Whether want of use alone may lead to "drop". Cover and what is dangerous to lack never may; of the
 * essential jobs, only one more than the school's backups of a job that may be doubled, and then only the one
 * least used and heaviest.
 */
function mayGoForWantOfUse(one: Case): boolean {
  const { item, kind } = one;
  if (item.cover || kind.cover || item.consequence === "danger") return false;
  // What is used up, or worn in turn, is slimmed: there is too much of it, or one too many.
  if (item.load === "hobby" || item.load === "consumable" || kind.contents || kind.inTurn || isTooLight(one))
    return false;
  return !isSpared(one) || essentialJobs(one).every((job) => DOUBLED_JOBS.has(job) && isSurplus(one, job));
}

function leave(one: Case, marks: readonly Marked[], sureness: Sureness) {
  return {
    verb: "drop" as const,
    urgency: urgencyBy(sureness),
    sureness,
    trips: tripsOf(marks),
    saves: one.item.weight?.g ?? 0,
  };
}

/** Is it a thing for a season or a place, idle for want of that? Then it is brought when that is expected. */
export const isOutOfSeason = ({ item, told }: Case) =>
  told("no call for it").marks.length > 0 && hasSeason(item);

/** Something that can be seen coming calls for it, and not simply every trip. */
export const hasSeason = ({ triggers }: Case["item"]) =>
  triggers.some(isForeseen) && !triggers.includes("always");

/** Named at the look back as one that could have stayed: as good as a refusal. */
function couldHaveStayed(one: Case): Finding | null {
  const told = one.told("could have stayed");
  const { item, kind, use, totals, marked } = one;
  if (!speaks(told, one) || kind.contents || item.pieces > 1 || isOutOfSeason(one)) return null;
  // What the walk itself rests on is not left on one telling; a doubled essential may be.
  if (isCritical(one) && essentialJobs(one).length === 0) return null;
  const idle = told.marks.filter(({ mark }) => mark.use !== "used");
  // Used after all, it may go only where it is alone in speaking for itself.
  if (idle.length === 0 && use.taken > told.chances) return null;
  const facts = { ...said(told, one), used: totals.used.trips, trips: marked.length };
  return findingOf({
    ...leave(one, told.marks, surenessOf(told.chances, use.taken)),
    reason: "could have stayed",
    facts,
  });
}

/** Sent home on the way, and not for having been used. */
function sentHomeUnused(one: Case): Finding | null {
  const told = one.told("sent away");
  const last = one.marked.at(-1);
  if (
    !last ||
    told.marks.at(-1) !== last ||
    last.mark.use === "used" ||
    isOutOfSeason(one) ||
    one.kind.contents
  )
    return null;
  return findingOf({
    ...leave(one, [last], surenessOf(told.chances, one.use.taken)),
    reason: "sent home unused",
    facts: said(told, one),
  });
}

function tooMuch(one: Case): Finding | null {
  const told = one.told("too much of it");
  const { item, kind, use } = one;
  if (
    !speaks(told, one) ||
    kind.contents ||
    item.pieces > 1 ||
    told.marks.some(({ mark }) => mark.use !== "unused")
  )
    return null;
  // Where it is more than a nuisance to lack, another must have done the job.
  if (isCritical(one) || (RANK[item.consequence] > 0 && !usedInstead(one, lastOuting(one)!))) return null;
  return findingOf({
    ...leave(one, told.marks, surenessOf(told.chances, use.taken)),
    reason: "too much, and only one",
    facts: said(told, one),
  });
}

/** A warm layer that was never out in hard cold: that another did on mild nights says nothing of those. */
export const isMildLayer = ({ item, marked }: Case) =>
  item.kind === "insulated jacket" &&
  marked.every(
    ({ outing }) => outing.trip.conditions.cold !== "strong" && outing.trip.conditions.freezing !== "strong",
  );

/** Another thing did its job: so the owner said; or it was used each time while this one, called for, was not. */
function anotherDidIt(one: Case): Finding | null {
  const told = one.told("another did the job");
  const { use, item } = one;
  if (!speaks(told, one) || one.marked.at(-1)?.mark.why === "forgot it" || mayBeCalled(one)) return null;
  if (isMildLayer(one)) return null;
  if (item.rules.contents && item.load === "consumable") return null;
  const outing = lastOuting(one)!;
  const facts = { ...said(told, one), by: usedInstead(one, outing) };
  return findingOf({
    ...leave(one, told.marks, surenessOf(told.chances, use.taken)),
    reason: "another did the job",
    facts,
  });
}

/** Refused as awkward or uncomfortable, though called for. */
function disliked(one: Case): Finding | null {
  const told = one.told("disliked");
  const { use, item, marked } = one;
  if (!speaks(told, one) || told.chances < use.taken || item.rules.contents || mayBeCalled(one)) return null;
  // Taken up again since, it is not refused any more.
  if (marked.at(-1)?.mark.use === "used") return null;
  const why = lastOf(told.marks).mark.why!;
  return findingOf({
    ...leave(one, told.marks, surenessOf(told.chances, use.taken)),
    reason: "disliked",
    facts: { ...said(told, one), why },
  });
}

/** How sure we must be, 0 to 1, that it is seldom wanted, before saying so. */
const CONFIDENCE = 0.8;

/**
 * Told as more than a leaning where it is nineteen to one that it is wanted less than half the time: a coin's
 * toss is not seldom.
 */
const FIRM = 0.95;
const HALF = 0.5;

/**
 * Under the school's line: the 80th percentile of P(use | called) lies below it, after the chances that the
 * school asks for.
 */
function seldomWanted(one: Case): Finding | null {
  const { use, school, marked } = one;
  if (use.refused < school.dropChances || surenessBelow(use.called, school.dropLine) <= CONFIDENCE)
    return null;
  if (lastTelling(one)?.mark.use === "used") return null;
  const high = chanceQuantile(use.called, CONFIDENCE);
  const idle = marked.filter(({ outing }) => use.calledUnused.includes(outing.trip.id));
  const isFirm = surenessBelow(use.called, HALF) >= FIRM;
  const firm = high < school.dropLine * 0.7 ? "sure" : "likely";
  const sureness = isFirm ? firm : "leaning";
  const uses = use.calledUsed.length;
  return findingOf({
    ...leave(one, idle, sureness),
    reason: "seldom wanted",
    facts: { chances: use.refused, uses, high },
  });
}

/**
 * What only pleases, and stayed unused though its hour came every day: those to whom every gram argues leave
 * it, leaning.
 */
function idleLuxury(one: Case): Finding | null {
  const { item, use, school, marked, told } = one;
  const last = lastTelling(one);
  const isLuxury = RANK[item.consequence] === 0 && item.triggers.some(isUnavoidable);
  if (!isLuxury || school.name !== "lean" || use.taken > 0 || last?.mark.use !== "unused") return null;
  if (last.mark.why !== null || told("made the trip").marks.length > 0 || use.refused < 1) return null;
  return findingOf({
    ...leave(one, marked, "leaning"),
    reason: "seldom wanted",
    facts: { chances: use.refused, uses: 0, high: chanceQuantile(use.called, CONFIDENCE) },
  });
}

/**
 * On the trail for so long, in days, "seldom" is strong: once or twice in weeks is dead weight for the rest.
 * Common practice, no source.
 */
const WEEKS_OUT = 14;
const SELDOM_SHARE = 1 / 8;

function seldomOverWeeks(one: Case): Finding | null {
  const { marked } = one;
  const last = marked.at(-1);
  // By the days, whatever the word: used on one of a hundred and fifty is hardly used.
  const isSeldom = last?.mark.use === "hardly" || (last?.mark.use === "used" && last.mark.days !== null);
  if (!last || !isSeldom || isPraised(one)) return null;
  const out = Math.round(last.outing.days * last.part);
  const days = last.mark.days ?? HARDLY_DAYS;
  if (
    one.use.taken > chancesIn(out) ||
    out < WEEKS_OUT ||
    days > out * SELDOM_SHARE ||
    !wasThereAllAlong(last, one)
  )
    return null;
  const sureness = surenessOf(chancesIn(out) - chancesIn(days), one.use.taken);
  return findingOf({ ...leave(one, [last], sureness), reason: "seldom over weeks", facts: { days, out } });
}

/** Named as one that made the trip: that softens for this trip and the next two. */
export const isPraised = ({ told, marked }: Case) => {
  const praised = told("made the trip").marks.at(-1);
  return praised !== undefined && marked.indexOf(praised) >= marked.length - 1 - PRAISE_LASTS;
};
/** Trips after one that it made, on which it is still spared. Common practice, no source. */
const PRAISE_LASTS = 2;

/** "Hardly" is once or twice, where the days are not told. */
const HARDLY_DAYS = 2;

/** What calls for it came with every night or day, or was strong. */
const wasThereAllAlong = ({ outing }: Marked, { item }: Case) =>
  item.triggers.some((trigger) => isUnavoidable(trigger) || outing.trip.conditions[trigger] === "strong");

/** Before a thing is left, it is enough that some weather may have called for it. */
const mayBeCalled = (one: Case) => callerAmong(one, CALLER_ODDS.reckoned).caller !== null;

/** Sorted by the weather: wanted in some, refused without. */
export function callerAmong(one: Case, odds: number = CALLER_ODDS.told) {
  const wanted = one.marked.filter(({ mark }) => mark.use === "used");
  const unwanted = one.marked.filter(
    ({ mark }) => mark.use === "unused" && mark.why !== "forgot it" && mark.why !== "trip cut short",
  );
  return { wanted, unwanted, caller: callerOf(one.item, wanted, unwanted, { odds }) };
}

const only =
  (may: (one: Case) => boolean) =>
  (rule: Rule): Rule =>
  (one) =>
    may(one) ? rule(one) : null;

/**
 * Leave it: by what the owner said of it, or not wanted when called for. Never the last of what is dangerous
 * to lack.
 */
export const DROP: readonly Rule[] = [
  ...[couldHaveStayed, tooMuch, anotherDidIt, disliked, sentHomeUnused].map(only(mayStayHome)),
  ...[seldomWanted, seldomOverWeeks, idleLuxury].map(only(mayGoForWantOfUse)),
];
