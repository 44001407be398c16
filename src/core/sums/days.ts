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

/** The months of a year, 1 to 12. */
export const MONTHS: readonly number[] = Array.from({ length: 12 }, (_, n) => n + 1);

/** The month of an ISO date, 1 to 12. */
export const monthOf = (on: string) => Number(on.slice(5, 7));

/** Is a month another, or one beside it? */
export const areNear = (month: number, other: number) => [0, 1, 11].includes(Math.abs(month - other));
