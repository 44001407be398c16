import type { Book } from "../ledger/book";
import { groupBy } from "../ledger/group";
import type { Job, TripId } from "../model";
import { count, listWords } from "../units/speak";
import { ESSENTIAL_JOBS } from "./jobs";
import type { Finding } from "./verdict";

/** Something missed on the way, or a job that nothing does. It belongs to the list, not to an item. */
export interface Addition extends Finding {
  readonly what: string;
}

export const additions = (book: Book): Addition[] => [...jobsUndone(book), ...missed(book)];

/** Missed once where that was dangerous or ended a trip, or twice otherwise, and nothing of that name bought since. */
function missed(book: Book): Addition[] {
  const times = book.outings.flatMap(({ trip }) => trip.missed.map((one) => ({ ...one, trip })));
  return [...groupBy(times, (one) => one.what.trim().toLowerCase())].flatMap(([name, its]) => {
    const grave = its.some(({ cost }) => cost === "danger" || cost === "trip-ending");
    if (its.length < 2 && !grave) return [];
    const last = its.at(-1)!;
    if (book.items.some((item) => item.state === "active" && item.name.toLowerCase().includes(name) && (item.acquired ?? "") > last.trip.ends)) return [];
    const trips: TripId[] = its.map(({ trip }) => trip.id);
    return [{
      what: last.what, verb: "add", urgency: grave ? "before next trip" : "when convenient", sureness: grave || its.length > 2 ? "sure" : "likely",
      says: `Missed on ${its.length === 1 ? last.trip.name : count(its.length, "trip")}${grave ? ", where it mattered" : ""}. Add it.`,
      evidence: [{ text: `missed on ${its.map(({ trip }) => trip.name).join(", ")}`, trips }],
      rule: "Added when missed twice, or once where that was dangerous or ended the trip.",
    }];
  });
}

/** Things on a shelf below which it is no whole list yet, and says nothing about what is lacking. */
const A_WHOLE_LIST = 20;

const LACKING: Partial<Record<Job, string>> = {
  "treat water": "Something to treat water", light: "A light", fire: "Something to make fire", "find the way": "Map and compass", "call for help": "Something to call for help", "first aid": "A first-aid kit",
  "stay dry": "Rain protection", "stay warm": "A warm layer", shelter: "Shelter", "sun protection": "Sun protection", mend: "Something to mend with",
};

/** Of the essential systems, those that nothing in use does, once there is a whole list and a night was spent out. */
function jobsUndone(book: Book): Addition[] {
  const active = book.items.filter((item) => item.state === "active");
  if (active.length < A_WHOLE_LIST || !book.outings.some(({ nights }) => nights > 0)) return [];
  const done = new Set(active.flatMap((item) => item.jobs));
  return ESSENTIAL_JOBS.flatMap((job): Addition[] => {
    const what = LACKING[job];
    if (!what || done.has(job) || (job === "sun protection" && done.has("head shaded"))) return [];
    return [{
      what, verb: "add", urgency: "before next trip", sureness: "likely",
      says: `Nothing on the shelf is there to ${job === "light" ? "give light" : job === "fire" ? "make fire" : job === "shelter" ? "shelter you" : job === "first aid" ? "treat an injury" : job === "sun protection" ? "keep the sun off" : job}. Add it, or give the thing that does it that job.`,
      evidence: [{ text: `none of ${count(active.length, "thing")} in use has the job “${job}”`, trips: [] }],
      rule: `One of the essential systems: ${listWords(ESSENTIAL_JOBS)}.`,
    }];
  });
}
