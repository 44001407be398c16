import { known } from "../../sums/there";
import { meanChance } from "../../belief/use-chance";
import { tripsOf } from "../../ledger/history";
import { lastOuting, othersDoing, type Case } from "../../decide/case";
import { isSpared, isTooLight } from "../../decide/law";
import { RANK } from "../../trade/jobs";
import type { Sureness } from "../../model";
import { tripsBorne } from "../borne";
import { findingOf, type Finding } from "../finding";
import { isPraised } from "./drop";
import { livedWith } from "./repair";
import { isLongWithout } from "./swap";
import { said } from "../sureness";

/** Cover that stayed shut did its job; and so did what its owner calls cover. */
export function keepAsCover(one: Case): Finding | null {
  const { item, totals, kind, marked } = one;
  const calledCover = marked.at(-1)?.mark.why === "cover";
  if (!(item.cover || calledCover)) return null;
  if (isPraised(one)) return null;
  const use = { used: totals.used.trips, trips: marked.length };
  const leader = leaderOf(one);
  const base = {
    verb: "keep as cover" as const,
    urgency: "watch" as const,
    sureness: "sure" as const,
    trips: tripsOf(marked.filter(({ mark }) => mark.use !== "unused")),
  };
  return leader && use.used === 0
    ? findingOf({ ...base, reason: "backup to another", facts: { ...use, leader } })
    : findingOf({ ...base, reason: "cover", facts: { ...use, contents: kind.contents } });
}

/** What does its job first, where it is the backup. */
function leaderOf(one: Case) {
  const outing = lastOuting(one);
  const [job] = one.item.jobs;
  if (!outing || !job) return null;
  return (
    othersDoing(one, job, outing).find(
      (other) => !other.cover && known(one.survey.totals, other.id).used.trips > 0,
    ) ?? null
  );
}

/** Marks from which a record is more than a beginning. */
const A_RECORD = 3;

/** It goes along; the reason that says most of why. */
export function keep(one: Case): Finding {
  const { item, use, totals, marked, standing, worth } = one;
  const counts = { used: totals.used.trips, trips: marked.length };
  // Kept, though it may well not last the walk ahead, is kept with a doubt.
  const doubtful = one.left !== null && one.left.givesOut > one.book.rules.tooLikely[item.consequence];
  const byRecord: Sureness = marked.length >= A_RECORD ? "sure" : "likely";
  const sureness: Sureness = doubtful || marked.length === 0 ? "perhaps" : byRecord;
  const base = {
    verb: "keep" as const,
    urgency: "watch" as const,
    sureness,
    trips: tripsOf(marked.filter(({ mark }) => mark.use !== "unused")),
  };
  const last = marked.at(-1);
  if (standing === "at home") return findingOf({ ...base, reason: "at home", facts: {} });
  if (!last) return findingOf({ ...base, reason: "no marks yet", facts: {} });
  const made = one.told("made the trip");
  if (made.marks.at(-1) === last)
    return findingOf({ ...base, reason: "made the trip", facts: said(made, one) });
  if (one.told("weather").marks.at(-1) === last)
    return findingOf({
      ...base,
      reason: "weather, not the thing",
      facts: { symptom: last.mark.symptoms[0] ?? null },
    });
  const trouble = one.history.open;
  if (trouble && (livedWith(one) || trouble.outing === last.outing || trouble.entry))
    return findingOf({ ...base, reason: "lives with it", facts: { trouble } });
  const complaint = one.told("complaint");
  if (complaint.marks.length > 0) {
    const complaints = complaint.marks.flatMap(({ mark }) => mark.complaints);
    const trips = tripsBorne(one);
    if (trips !== null && !isLongWithout(complaint, one))
      return findingOf({ ...base, reason: "lived with", facts: { complaints, trips } });
    return findingOf({
      ...base,
      reason: "said once among many",
      facts: { complaints, times: complaint.marks.length, of: counts.used },
    });
  }
  if (last.mark.why === "forgot it")
    return findingOf({ ...base, reason: "forgotten, not refused", facts: {} });
  if (last.mark.why === "trip cut short") return findingOf({ ...base, reason: "cut short", facts: {} });
  if (item.load === "hobby" && counts.used < counts.trips)
    return findingOf({ ...base, reason: "for joy", facts: counts });
  if (counts.used === 0 && use.calledTrips.length === 0)
    return findingOf({ ...base, reason: "no call yet", facts: { trips: counts.trips } });
  if (isTooLight(one) && counts.used < counts.trips / 2)
    return findingOf({ ...base, reason: "too light to argue", facts: counts });
  if (isSpared(one) && meanChance(use.called) < 0.5)
    return findingOf({ ...base, reason: "needed when wanted", facts: counts });
  if (counts.used === 0) return findingOf({ ...base, reason: "too early to say", facts: counts });
  const days = marked.some(({ mark }) => mark.days !== null) ? Math.round(totals.used.days) : null;
  return findingOf({
    ...base,
    reason: "earns its place",
    facts: {
      ...counts,
      days,
      out: Math.round(totals.carried.days),
      called: use.calledTrips.length,
      worth: RANK[item.consequence] === RANK.danger ? null : worth,
    },
  });
}
