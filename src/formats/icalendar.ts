import ICAL from "ical.js";
import ical, { ICalCalendarMethod } from "ical-generator";
import type { CalendarDay } from "@/core/jobs/from-calendar";
import { Day } from "@/core/model";
import { withoutStrays } from "@/core/units/strays";

const UNDATED = "X-NETTLE-UNDATED";
/** Largest calendar that is read, in letters, and the most days in it. */
const MOST_LETTERS = 4_000_000;
const MOST_DAYS = 2000;

/** RFC 5545 folds lines at 75 octets; programs that do not keep them below this. */
const LONG_LINE = /[^\n]{100000}/;

/** A job as a calendar has it: on a day, for the whole of it. */
export interface CalendarJob {
  /** Stays the same from one file to the next, so that a calendar changes the entry it has and makes no second. */
  readonly id: string;
  readonly on: string;
  readonly summary: string;
  readonly about: string;
  /** It has no day of its own, and was put on this one. */
  readonly undated?: boolean;
}

/** Jobs as an iCalendar file (RFC 5545): one event for the whole day each. */
export function jobsAsCalendar(jobs: readonly CalendarJob[], stamp: string): string {
  const calendar = ical({
    name: "Nettle Tally: the bench",
    prodId: { company: "Nettle Tally", product: "Bench", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { id, on, summary, about, undated } of jobs)
    calendar.createEvent({
      id: `${id}@nettle-tally`,
      start: new Date(`${on}T00:00:00Z`),
      stamp: new Date(`${stamp}T00:00:00Z`),
      timezone: null,
      allDay: true,
      summary,
      description: about,
      x: undated ? [{ key: UNDATED, value: on }] : [],
    });
  return calendar.toString();
}

export type CalendarRead =
  | { readonly ok: true; readonly days: readonly CalendarDay[]; readonly left: readonly string[] }
  | { readonly ok: false; readonly why: string };

/**
 * Events and to-dos of an iCalendar file (RFC 5545), one day each: of what repeats, for ever or not, its
 * first day. What is cancelled or has no day is left out, and named in `left`.
 */
export function readCalendar(text: string): CalendarRead {
  if (text.length > MOST_LETTERS) return { ok: false, why: "That calendar is too large: 4 MB at most." };
  if (LONG_LINE.test(text))
    return { ok: false, why: "That is no calendar: it has a line longer than any calendar’s." };
  const calendar = calendarIn(text);
  if (!calendar)
    return { ok: false, why: "That is no calendar that can be read: it is broken, or of another sort." };
  const entries = [...calendar.getAllSubcomponents("vevent"), ...calendar.getAllSubcomponents("vtodo")];
  if (entries.length > MOST_DAYS)
    return { ok: false, why: `That calendar has ${entries.length} entries; ${MOST_DAYS} are taken at most.` };
  const days: CalendarDay[] = [];
  const left: string[] = [];
  for (const entry of entries) {
    const words = (name: string) => withoutStrays(rawOf(entry, name));
    const on = (rawOf(entry, "due") || rawOf(entry, "dtstart")).slice(0, 10);
    const uid = words("uid");
    if (!Day.safeParse(on).success || uid === "" || words("status").toUpperCase() === "CANCELLED")
      left.push(words("summary") || "an entry without a name");
    else
      days.push({
        uid,
        on,
        summary: words("summary"),
        about: words("description"),
        repeats: entry.getFirstProperty("rrule") !== null || entry.getFirstProperty("rdate") !== null,
        undated: words(UNDATED.toLowerCase()) || null,
      });
  }
  return { ok: true, days, left };
}

/**
 * A property's first value as it stands, not worked out: the package makes 2 March of 30 February, and fails
 * at what is no day.
 */
const rawOf = (entry: ICAL.Component, name: string): string =>
  String(entry.getFirstProperty(name)?.jCal[3] ?? "");

function calendarIn(text: string): ICAL.Component | null {
  try {
    const parsed = ICAL.parse(text) as unknown[];
    return parsed[0] === "vcalendar"
      ? new ICAL.Component(parsed as ConstructorParameters<typeof ICAL.Component>[0])
      : null;
  } catch {
    return null;
  }
}
