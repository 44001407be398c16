import { chanceQuantile, surenessBelow } from "../evidence/use-chance";
import type { TripId } from "../model";
import { count, percent, sayDeadWeight, sayDistance } from "../units/speak";
import { DOUBLED_JOBS, ESSENTIAL_JOBS, type Case, type Rival } from "./case";
import { TOO_LIGHT_TO_ARGUE } from "./schools";
import type { Finding } from "./verdict";
import { onTrips } from "./words";

/** How sure we must be, 0 to 1, that it is seldom wanted, before saying so. */
const CONFIDENCE = 0.8;

/** Leave it: not wanted when called for, done by another thing, or disliked and left unused. Never cover, never danger. */
export function drop(one: Case): Finding | null {
  if (!mayBeDropped(one)) return null;
  return disliked(one) ?? seldomWanted(one) ?? anotherDoesIt(one);
}

/**
 * Whether any history at all may lead to "drop". Cover and what is dangerous to lack never may; of the essential jobs,
 * only one more than the school's backups of a job that may be doubled, and then only the one least used and heaviest.
 */
export function mayBeDropped(one: Case): boolean {
  const { item, kind } = one;
  if (one.state !== "active" || item.cover || kind.cover || item.consequence === "danger") return false;
  if (item.load === "hobby" || item.load === "consumable" || kind.contents) return false;
  if (item.weight !== null && item.weight.g < TOO_LIGHT_TO_ARGUE) return false;
  return item.jobs.every((job) => !ESSENTIAL_JOBS.includes(job) || (DOUBLED_JOBS.includes(job) && isSurplus(one, job)));
}

/** One too many for the job, and the one to leave: every rival is used more, or as much and is lighter. */
function isSurplus(one: Case, job: Rival["job"]): boolean {
  const rivals = one.rivals.filter((rival) => rival.job === job && rival.usedTrips > 0);
  const better = rivals.filter((rival) => rival.usedTrips > one.totals.used.trips || (rival.usedTrips === one.totals.used.trips && (rival.item.weight?.g ?? 0) < (one.item.weight?.g ?? Infinity)));
  return better.length > one.school.backups(job);
}

function disliked(one: Case): Finding | null {
  const refused = one.marked.filter(({ mark }) => mark.use === "unused" && (mark.why === "awkward" || mark.why === "uncomfortable"));
  const uses = one.marked.filter(({ mark }) => mark.use === "used").length;
  if (refused.length < 2 || refused.length <= uses) return null;
  const trips = refused.map(({ outing }) => outing.trip.id);
  return leave(one, trips, {
    says: `Left unused ${onTrips(trips, one)} because it was ${refused.at(-1)!.mark.why}. Leave it.`,
    flips: `${count(refused.length - uses, "trip")} on which you use it all the same.`,
    sureness: "sure",
  });
}

function anotherDoesIt(one: Case): Finding | null {
  const said = one.marked.filter(({ mark }) => mark.use === "unused" && mark.why === "another did the job").map(({ outing }) => outing.trip.id);
  const uses = one.marked.filter(({ mark }) => mark.use === "used").length;
  if (said.length < 2 || said.length <= uses) return null;
  const rival = [...one.rivals].sort((a, b) => b.insteadOn.length - a.insteadOn.length)[0];
  const by = rival ? `the ${rival.item.name.toLowerCase()}` : "another thing";
  return leave(one, said, {
    says: `${onTrips(said, one).replace(/^on/, "On")} ${by} did its job. Leave it.`,
    flips: `A trip on which ${by} isn't enough and this is used.`,
    sureness: said.length >= 3 ? "sure" : "likely",
  });
}

function seldomWanted(one: Case): Finding | null {
  const { use, school, totals, book } = one;
  if (use.calledTrips.length < 2 && use.called.misses < 3) return null;
  if (surenessBelow(use.called, school.dropLine) <= CONFIDENCE) return null;
  const high = chanceQuantile(use.called, CONFIDENCE);
  const uses = use.calledUsed.length;
  const times = uses === 0 ? "never used" : `used on ${uses} of them`;
  const rival = one.rivals.find((each) => each.insteadOn.length > 0);
  return leave(one, use.calledUnused, {
    says: `Carried ${sayDistance(totals.carried.metres, book.settings.units)}, called for on ${count(use.calledTrips.length, "trip")}, ${times}.${rival ? ` On ${rival.insteadOn.length} of them the ${rival.item.name.toLowerCase()} did its job.` : ""} Leave it.`,
    flips: `Used on ${count(usesToClear(one), "more such trip")}.`,
    sureness: high < school.dropLine * 0.7 ? "sure" : "likely",
  }, `at most ${percent(high)} likely to be used when called for (80\u00a0% sure); the ${school.name} line is ${percent(school.dropLine)}`);
}

/** How many more called-for trips in the pack unused would bring it to "drop"; null where nothing could. Asked of the rule itself. */
export function missesToDrop(one: Case): number | null {
  if (!mayBeDropped(one)) return null;
  const { uses, misses } = one.use.called;
  return leastThat((more) => surenessBelow({ uses, misses: misses + more }, one.school.dropLine) > CONFIDENCE);
}

/** How many more one-chance trips on which it is used would lift it over the line: asked of the rule itself. */
function usesToClear({ use: { called: { uses, misses } }, school }: Case): number {
  return leastThat((more) => surenessBelow({ uses: uses + more, misses }, school.dropLine) <= CONFIDENCE) ?? MANY;
}

const MANY = 64;

/** The least whole number from 1 to {@link MANY} for which a test, once true, stays true; null if it never is. */
function leastThat(test: (n: number) => boolean): number | null {
  if (!test(MANY)) return null;
  let [low, high] = [1, MANY];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (test(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

function leave(one: Case, trips: readonly TripId[], told: Pick<Finding, "says" | "flips" | "sureness">, figure?: string): Finding {
  const dead = one.totals.deadGramMetres;
  return {
    verb: "drop", urgency: "before next trip", ...told,
    evidence: [
      { text: `unused ${onTrips(trips, one)}`, trips },
      ...(figure ? [{ text: figure, trips: one.use.calledTrips }] : []),
      ...(dead > 0 ? [{ text: `${sayDeadWeight(dead, one.book.settings.units)} carried for nothing`, trips: [] }] : []),
    ],
  };
}
