import { differenceInCalendarDays, parseISO } from "date-fns";

/** Whole calendar days from `from` to `to` (ISO dates); negative if `to` is earlier. */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}


