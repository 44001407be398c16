import ICAL from "ical.js";
import { expect, test } from "vitest";
import { jobsAsCalendar } from "./icalendar";

const JOBS = [
  {
    id: "pad-repair",
    on: "2026-12-01",
    summary: "repair Air pad, again; \\ hiss",
    about: "Leaked air.\nTwice.",
  },
  { id: "ü", on: "2027-02-28", summary: "x".repeat(200), about: "" },
];

// RFC 5545, read back by a parser that has nothing to do with what wrote it.
test("an independent parser reads every job, on its day, with its words", () => {
  const text = jobsAsCalendar(JOBS, "2026-11-26");
  const calendar = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]);
  expect(calendar.getFirstPropertyValue("version")).toBe("2.0");
  const events = calendar.getAllSubcomponents("vevent").map((event) => new ICAL.Event(event));
  expect(
    events.map(({ uid, summary, startDate }) => [uid, summary, startDate.toString(), startDate.isDate]),
  ).toEqual([
    ["pad-repair@nettle-tally", JOBS[0]!.summary, "2026-12-01", true],
    ["ü@nettle-tally", JOBS[1]!.summary, "2027-02-28", true],
  ]);
  expect(events[0]!.description).toBe(JOBS[0]!.about);
  // RFC 5545, 3.1: lines end in CRLF, and none is longer than 75 octets.
  for (const line of text.split("\r\n")) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
});

test("the same jobs keep their names from file to file, so that a calendar makes no second", () => {
  const uids = (stamp: string) =>
    [...jobsAsCalendar(JOBS, stamp).matchAll(/^UID:(.*)\r$/gm)].map(([, uid]) => uid);
  expect(uids("2026-11-26")).toEqual(uids("2026-12-26"));
});
