import type { FullItem } from "../kinds";
import type { Marked } from "../ledger/book";
import type { ItemId, Job, TripId, Use } from "../model";
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
export function rivalsOf(
  item: FullItem,
  mates: ReadonlyMap<Job, readonly FullItem[]>,
  marksOf: (id: ItemId) => readonly Marked[],
): Rival[] {
  const doing = item.jobs.flatMap((job) =>
    (mates.get(job) ?? []).filter((other) => other.id !== item.id).map((other) => ({ job, other })),
  );
  if (doing.length === 0) return [];
  const own: (Use | undefined)[] = [];
  for (const { outing, mark } of marksOf(item.id)) own[outing.n] = mark.use;
  const last = own.length - 1;
  return doing.flatMap(({ job, other }) => {
    const marks = marksOf(other.id);
    if (last < 0 || stateOf(other, marks) !== "active") return [];
    let [usedTrips, together, lastBoth] = [0, 0, -1];
    const insteadOn: TripId[] = [];
    for (const {
      outing: { n, trip },
      mark: { use },
    } of marks) {
      if (use !== "unused") usedTrips += 1;
      if (own[n] === undefined) continue;
      together += 1;
      lastBoth = n;
      if (use === "used" && own[n] === "unused") insteadOn.push(trip.id);
    }
    // One left at home by now, or replaced, no longer does the job.
    return together < 2 || lastBoth !== last ? [] : [{ item: other, job, together, usedTrips, insteadOn }];
  });
}
