import type { Trip } from "@/core/model";

/** Trips to come, the nearest first. */
export const aheadOf = (trips: readonly Trip[], today: string): Trip[] =>
  trips
    .filter(({ planned, starts, ends }) => (planned || starts > today) && ends >= today)
    .toSorted((a, b) => a.starts.localeCompare(b.starts));
