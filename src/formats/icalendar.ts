import ical, { ICalCalendarMethod } from "ical-generator";

/** A job as a calendar has it: on a day, for the whole of it. */
export interface CalendarJob {
  /** Stays the same from one file to the next, so that a calendar changes the entry it has and makes no second. */
  readonly id: string;
  readonly on: string;
  readonly summary: string;
  readonly about: string;
}

/** Jobs as an iCalendar file (RFC 5545): one event for the whole day each. */
export function jobsAsCalendar(jobs: readonly CalendarJob[], stamp: string): string {
  const calendar = ical({
    name: "Nettle Tally: the bench",
    prodId: { company: "Nettle Tally", product: "Bench", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { id, on, summary, about } of jobs)
    calendar.createEvent({
      id: `${id}@nettle-tally`,
      start: new Date(`${on}T00:00:00Z`),
      stamp: new Date(`${stamp}T00:00:00Z`),
      timezone: null,
      allDay: true,
      summary,
      description: about,
    });
  return calendar.toString();
}
