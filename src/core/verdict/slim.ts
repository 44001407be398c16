import { count } from "../units/speak";
import type { Job } from "../model";
import type { Case } from "./case";
import type { Finding } from "./verdict";
import { onTrips } from "./words";

/** It earns its place, but there is too much of it; or a safety job is done three times over. */
export function slim(one: Case): Finding | null {
  if (one.state !== "active") return null;
  return tooMuch(one) ?? thirdOfAJob(one);
}

function tooMuch(one: Case): Finding | null {
  const said = one.marked.filter(({ mark }) => mark.why === "too much of it").map(({ outing }) => outing.trip.id);
  if (said.length < 2) return null;
  return {
    verb: "slim", urgency: "before next trip", sureness: said.length > 2 ? "sure" : "likely",
    says: `Too much of it ${onTrips(said, one)}. Take less; it keeps its place.`,
    evidence: [{ text: "marked “too much of it”", trips: said }],
    flips: "A trip on which all of it is wanted.",
  };
}

/** Jobs whose tools are alike enough that a third is one too many. A beacon, a whistle and a phone are not. */
const TRIPLED_JOBS: readonly Job[] = ["treat water", "light", "fire"];

/** Cover and dangerous things are never dropped, but a critical job done by more than its backups can be trimmed. */
function thirdOfAJob(one: Case): Finding | null {
  const { item, totals, school } = one;
  if (!item.cover && item.consequence !== "danger") return null;
  for (const job of item.jobs.filter((each) => TRIPLED_JOBS.includes(each))) {
    const ahead = one.rivals.filter((rival) => rival.job === job && (rival.usedTrips > totals.used.trips || (rival.usedTrips === totals.used.trips && (rival.item.weight?.g ?? 0) < (item.weight?.g ?? 0))));
    if (ahead.length <= Math.max(1, school.backups(job))) continue;
    return {
      verb: "slim", urgency: "when convenient", sureness: "perhaps",
      says: `${count(ahead.length + 1, "thing")} in the pack to ${job}; this one is used least. One and a backup are enough: this is the one to leave, if any.`,
      evidence: [{ text: `also for this: ${ahead.map((rival) => rival.item.name).join(", ")}`, trips: [] }],
      flips: "A trip on which one of the others fails and this is used.",
      caution: "Keep two ways, of different sorts, for anything you can't do without.",
    };
  }
  return null;
}
