import { chanceQuantile, surenessBelow } from "../evidence/use-chance";
import { UNAVOIDABLE } from "../evidence/chances";
import type { Marked } from "../ledger/book";
import type { TripId } from "../model";
import { count, percent, sayDeadWeight, sayDistance } from "../units/speak";
import type { Case } from "./case";
import { DOUBLED_JOBS, ESSENTIAL_JOBS } from "./jobs";
import type { Rival } from "./rivals";
import { backupsFor } from "./schools";
import type { Finding } from "./verdict";
import { aThing, onTrips } from "./words";

/** How sure we must be, 0 to 1, that it is seldom wanted, before saying so. */
const CONFIDENCE = 0.8;

/** Leave it: not wanted when called for, done by another thing, or disliked and left unused. Never cover, never danger. */
export function drop(one: Case): Finding | null {
  if (!mayBeDropped(one)) return null;
  return disliked(one) ?? anotherDoesIt(one) ?? seldomWanted(one) ?? seldomOverMonths(one);
}

/**
 * Whether any history at all may lead to "drop". Cover and what is dangerous to lack never may; of the essential jobs,
 * only one more than the school's backups of a job that may be doubled, and then only the one least used and heaviest.
 */
export function mayBeDropped(one: Case): boolean {
  const { item, kind } = one;
  if (one.state !== "active" || item.cover || kind.cover || item.consequence === "danger") return false;
  // What is used up, or worn in turn, is slimmed: there is too much of it, or one too many.
  if (item.load === "hobby" || item.load === "consumable" || kind.contents || kind.inTurn) return false;
  if (isTooLight(one)) return false;
  return item.jobs.every(
    (job) => !ESSENTIAL_JOBS.includes(job) || (DOUBLED_JOBS.includes(job) && isSurplus(one, job)),
  );
}

/** Weighs next to nothing: disuse is not worth an argument. */
export const isTooLight = ({ item, school }: Pick<Case, "item" | "school">) =>
  item.weight !== null && item.weight.g < school.tooLight;

/** One too many for the job, and the one to leave: every rival is used more, or as much and is lighter. */
function isSurplus(one: Case, job: Rival["job"]): boolean {
  const rivals = one.rivals.filter((rival) => rival.job === job && rival.usedTrips > 0);
  const better = rivals.filter(
    (rival) =>
      rival.usedTrips > one.totals.used.trips ||
      (rival.usedTrips === one.totals.used.trips &&
        (rival.item.weight?.g ?? 0) < (one.item.weight?.g ?? Infinity)),
  );
  return better.length > backupsFor(one.school, job);
}

function disliked(one: Case): Finding | null {
  const refused = one.marked.filter(
    ({ mark }) => mark.use === "unused" && (mark.why === "awkward" || mark.why === "uncomfortable"),
  );
  const uses = one.marked.filter(({ mark }) => mark.use === "used").length;
  if (refused.length < 2 || refused.length <= uses) return null;
  const trips = refused.map(({ outing }) => outing.trip.id);
  return leave(one, trips, {
    says: `Left unused ${onTrips(trips, one)} because it was ${refused.at(-1)!.mark.why}. Leave it.`,
    rule: `Left at home when refused as awkward or uncomfortable on two trips and more often than used: refused ${refused.length}, used ${uses}.`,
    sureness: "sure",
  });
}

/** Another thing did its job: so the owner said, or it was used each time while this one, called for, was not. */
function anotherDoesIt(one: Case): Finding | null {
  const { use, marked, rivals } = one;
  const rival = rivals.reduce<Rival | null>(
    (most, each) => (each.insteadOn.length > (most?.insteadOn.length ?? 0) ? each : most),
    null,
  );
  const said = new Set(
    marked
      .filter(({ mark }) => mark.use === "unused" && mark.why === "another did the job")
      .map(({ outing }) => outing.trip.id),
  );
  const seen = rival ? rival.insteadOn.filter((trip) => use.calledUnused.includes(trip)) : [];
  const trips = marked
    .map(({ outing }) => outing.trip.id)
    .filter((trip) => said.has(trip) || seen.includes(trip));
  const uses = marked.filter(({ mark }) => mark.use === "used").length;
  // What was only seen, not said, takes a trip more, and the school's line.
  const enough = said.size >= 2 || (trips.length >= 3 && isSeldom(one));
  if (!enough || trips.length <= uses) return null;
  const by = rival ? `the ${aThing(rival.item)}` : "another thing";
  return leave(one, trips, {
    says: `${onTrips(trips, one).replace(/^on/, "On")} ${by} did its job. Leave it.`,
    rule: `Left at home when another thing did its job on two trips (three, where only the marks say so), more often than it was used itself: ${trips.length} against ${uses}.`,
    sureness: trips.length >= 3 ? "sure" : "likely",
  });
}

function seldomWanted(one: Case): Finding | null {
  const { use, school, totals, book } = one;
  if ((use.calledTrips.length < 2 && use.called.misses < 3) || !isSeldom(one)) return null;
  const high = chanceQuantile(use.called, CONFIDENCE);
  const uses = use.calledUsed.length;
  const times = uses === 0 ? "never used" : `used on ${uses} of them`;
  return leave(one, use.calledUnused, {
    says: `Carried ${sayDistance(totals.carried.metres, book.settings.units)}, called for on ${count(use.calledTrips.length, "trip")}, ${times}. Leave it.`,
    rule: `Left at home when it is four to one that it is used on fewer than ${percent(school.dropLine)} of the chances that call for it (the ${school.name} school): it is four to one below ${percent(high)}.`,
    sureness: high < school.dropLine * 0.7 ? "sure" : "likely",
  });
}

/** On the trail for this long, in days, "seldom" is strong; and seldom is one day of so many, or fewer. Common practice, no source. */
const MONTHS_OUT = 56;
const SELDOM_DAYS = 30;

/** Once or twice in months, though what calls for it was there all along: over a weekend that is nothing, over months it is. */
function seldomOverMonths(one: Case): Finding | null {
  const { item, marked } = one;
  const long = marked.filter(
    ({ outing, part }) =>
      outing.days * part >= MONTHS_OUT &&
      item.triggers.some(
        (trigger) => UNAVOIDABLE.includes(trigger) || outing.trip.conditions[trigger] === "strong",
      ),
  );
  // "Hardly" is once or twice, where the days are not told.
  const usedDays = ({ mark: { use, days }, outing }: Marked) =>
    use === "unused" ? 0 : (days ?? (use === "hardly" ? 2 : outing.days));
  const out = long.reduce((sum, { outing, part }) => sum + outing.days * part, 0);
  const used = long.reduce((sum, carried) => sum + usedDays(carried), 0);
  if (long.length === 0 || long.at(-1) !== marked.at(-1) || used * SELDOM_DAYS > out) return null;
  const trips = long.map(({ outing }) => outing.trip.id);
  return leave(one, trips, {
    says: `Used on ${count(used, "day")} of ${Math.round(out)} out ${onTrips(trips, one)}. Leave it.`,
    rule: `Left at home when used on one day in ${SELDOM_DAYS} or fewer over ${MONTHS_OUT / 7} weeks or more, though what calls for it was there all along.`,
    sureness: "likely",
  });
}

/** Under the school's line: the 80th percentile of P(use | called) lies below it. */
const isSeldom = ({ use, school }: Case) => surenessBelow(use.called, school.dropLine) > CONFIDENCE;

function leave(
  one: Case,
  trips: readonly TripId[],
  told: Pick<Finding, "says" | "rule" | "sureness">,
): Finding {
  const { totals, item, book, use } = one;
  const dead = totals.deadGramMetres;
  return {
    verb: "drop",
    urgency: "before next trip",
    ...told,
    saves: item.weight?.g ?? 0,
    evidence: [
      { text: `unused ${onTrips(trips, one)}`, trips },
      ...(use.calledUsed.length
        ? [{ text: `used ${onTrips(use.calledUsed, one)}`, trips: use.calledUsed }]
        : []),
      ...(use.missed.length
        ? [{ text: `left at home and missed ${onTrips(use.missed, one)}`, trips: use.missed }]
        : []),
      ...(dead > 0
        ? [{ text: `${sayDeadWeight(dead, book.settings.units)} carried for nothing`, trips: [] }]
        : []),
    ],
  };
}
