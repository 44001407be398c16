import type { SoFar, TripHead } from "../model";
import { daysBetween } from "../sums/days";

/** How far a walk had come that goes on still; null once it is over, or where it was not unpacked half way. */
export const soFarOf = ({ sofar, ends, planned }: TripHead, today: string): SoFar | null =>
  sofar && !planned && sofar.on < ends && today <= ends ? sofar : null;

/** A walk as far as it has come: what lies ahead of it counts for nothing yet. */
export function asSoFar<T extends TripHead>(trip: T, today: string): T {
  const sofar = soFarOf(trip, today);
  if (!sofar) return trip;
  let left = sofar.distance.m;
  const legs = trip.legs.map((leg) => {
    const m = Math.min(left, leg.distance.m);
    left -= m;
    // A leg's own days are those of all of it: by the way, its part is known.
    return { ...leg, distance: { ...leg.distance, m }, starts: null, ends: null, nights: null };
  });
  return { ...trip, ends: sofar.on, nights: daysBetween(trip.starts, sofar.on), legs };
}
