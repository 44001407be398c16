import type { FullItem } from "../kinds";
import type { Marked } from "../ledger/book";
import type { ItemId, Job, TripId } from "../model";
import { stateOf } from "./history";
import { RIVAL_JOBS } from "./jobs";

/** Another item that went along to do the same job. */
export interface Rival {
  readonly item: FullItem;
  readonly job: Job;
  readonly usedTrips: number;
  /** Trips that both went on, and of these those on which only the rival was used. */
  readonly together: number;
  readonly insteadOn: readonly TripId[];
}

/** Who does each job of which one item is enough. */
export function jobMates(items: readonly FullItem[]): ReadonlyMap<Job, readonly FullItem[]> {
  return new Map(RIVAL_JOBS.map((job) => [job, items.filter((item) => item.jobs.includes(job))]));
}

/** Who else does its job, active and along on at least two of its trips, the last among them. */
export function rivalsOf(item: FullItem, mates: ReadonlyMap<Job, readonly FullItem[]>, marksOf: (id: ItemId) => readonly Marked[]): Rival[] {
  const doing = item.jobs.flatMap((job) => (mates.get(job) ?? []).filter((other) => other.id !== item.id).map((other) => ({ job, other })));
  if (doing.length === 0) return [];
  const own = new Map(marksOf(item.id).map(({ outing, mark }) => [outing.trip.id, mark.use]));
  const last = [...own.keys()].at(-1);
  return doing.flatMap(({ job, other }) => {
    const marks = marksOf(other.id);
    if (last === undefined || stateOf(other, marks) !== "active") return [];
    const both = marks.filter(({ outing }) => own.has(outing.trip.id));
    // One left at home by now, or replaced, no longer does the job.
    if (both.length < 2 || both.at(-1)!.outing.trip.id !== last) return [];
    return [{
      item: other, job, together: both.length,
      usedTrips: marks.filter(({ mark }) => mark.use !== "unused").length,
      insteadOn: both.filter(({ outing, mark }) => mark.use === "used" && own.get(outing.trip.id) === "unused").map(({ outing }) => outing.trip.id),
    }];
  });
}
