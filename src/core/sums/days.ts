import { addDays, differenceInCalendarDays, formatISO, parseISO } from "date-fns";

/** Whole calendar days from `from` to `to` (ISO dates); negative if `to` is earlier. */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}

/**
 * Order of two ISO dates (or ids), the earlier first. Much quicker than a comparison by language, which they
 * don't need.
 */
export const inOrder = (a: string, b: string): number => Number(a > b) - Number(a < b);

/** So many days later, as an ISO date. */
export const daysAfter = (day: string, days: number): string =>
  formatISO(addDays(parseISO(day), days), { representation: "date" });
