import { known } from "../sums/there";
import type { Job } from "../model";
import type { FullItem } from "../trade/full-item";
import { DOUBLED_JOBS, ESSENTIAL_JOBS, JOB_RULES } from "../trade/jobs";
import { backupsFor } from "../trade/schools";
import { isHere, lastOuting, othersDoing, type Case, type Survey } from "./case";

/** What no sum of costs overrules: the essential systems, cover, and how many of a critical job are enough. */

export const isTooLight = ({ item, school }: Pick<Case, "item" | "school">) =>
  item.weight !== null && item.weight.g < school.tooLight;

export const essentialJobs = ({ item }: Pick<Case, "item">): Job[] =>
  item.jobs.filter((job) => ESSENTIAL_JOBS.has(job));

/**
 * Is want of use alone never a reason to leave it: cover, what is dangerous to lack, what an essential job
 * rests on?
 */
export const isSpared = ({ item, kind }: Pick<Case, "item" | "kind">) =>
  item.cover ||
  kind.cover ||
  item.consequence === "danger" ||
  item.jobs.some((job) => ESSENTIAL_JOBS.has(job));

/** Something in use can't do without it: the poles that hold up a shelter, the bottle that carries the filter. */
const isLeanedOn = (one: Case) => leaningOn(one).length > 0;
export const leaningOn = ({ item, survey }: Case): readonly FullItem[] =>
  (survey.neededBy.get(item.id) ?? []).filter((other) => isHere(survey, other));

/** Much lighter than what did its job, by this much: of two, it is not the one to leave. Common practice, no source. */
const MUCH_LIGHTER = 0.5;

/**
 * May it stay at home, every essential job of it still done by what went along? Never the last of a critical
 * job; of a job that a backup doubles, only what is beyond the school's backups (light and water), or a
 * doubled layer; and not the light one of two that a far heavier one stood in for.
 */
export function mayStayHome(one: Case): boolean {
  const jobs = essentialJobs(one);
  if (isLeanedOn(one)) return false;
  if (jobs.length === 0) return !one.item.cover && one.item.consequence !== "danger";
  const outing = lastOuting(one);
  return outing !== null && jobs.every((job) => isDoneWithout(one, job, othersDoing(one, job, outing)));
}

function isDoneWithout(one: Case, job: Job, others: readonly FullItem[]): boolean {
  const { item, school, survey } = one;
  const trusted = others.filter((other) => !isFailing(other, survey));
  const first = trusted.find((other) => !other.cover) ?? null;
  if (!first || !DOUBLED_JOBS.has(job)) return false;
  if (item.cover && !JOB_RULES[job]?.coverMayGo) return false;
  // By its owner's plain word it may go, as long as another does the job.
  if (one.told("could have stayed").marks.at(-1)?.outing === lastOuting(one)) return true;
  if (item.weight && first.weight && item.weight.g <= first.weight.g * MUCH_LIGHTER) return false;
  const needed = JOB_RULES[job]?.coverMayGo || item.cover ? Math.max(1, backupsFor(school, job)) : 0;
  return trusted.length > needed;
}

/** Failed the last time it went along. */
const isFailing = (other: FullItem, survey: Survey) =>
  !isHere(survey, other) || (known(survey.marks, other.id).at(-1)?.mark.troubles.includes("failed") ?? false);

/**
 * One more than the school's backups of a critical job, and the one to leave: the least used of them, then
 * the heaviest.
 */
export function isSurplus(one: Case, job: Job): boolean {
  const outing = lastOuting(one);
  if (!outing || !DOUBLED_JOBS.has(job)) return false;
  const { totals, marks } = one.survey;
  const used = one.totals.used.trips;
  const better = othersDoing(one, job, outing).filter((other) => {
    const its = known(totals, other.id).used.trips;
    if (its === 0 || (marks.get(other.id)?.length ?? 0) === 0) return false;
    return its > used || (its === used && (other.weight?.g ?? 0) < (one.item.weight?.g ?? Infinity));
  });
  return better.length > backupsFor(one.school, job);
}
