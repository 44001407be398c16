import ICAL from "ical.js";
import { describe, expect, test } from "vitest";
import { jobsAsCalendar, readCalendar } from "./icalendar";

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

const wrapped = (...lines: string[]) =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//a//b//EN", ...lines, "END:VCALENDAR"].join("\r\n");
const event = (...lines: string[]) => ["BEGIN:VEVENT", "DTSTAMP:20261101T000000Z", ...lines, "END:VEVENT"];

describe("a calendar read", () => {
  // Written by hand after RFC 5545: folded lines (3.1), escapes (3.3.11), a zone, a day, a rule without an
  // end (3.3.10).
  test("days, times of day, folded and escaped words, to-dos", () => {
    const read = readCalendar(
      wrapped(
        ...event(
          "UID:a",
          "DTSTART;VALUE=DATE:20261205",
          "SUMMARY:seal the\r\n  seams\\, twice",
          "DESCRIPTION:one\\ntwo",
        ),
        ...event("UID:b", "DTSTART;TZID=Europe/Nowhere:20261206T233000", "SUMMARY:late", "RRULE:FREQ=DAILY"),
        "BEGIN:VTODO",
        "UID:c",
        "DTSTAMP:20261101T000000Z",
        "DUE;VALUE=DATE:20261207",
        "SUMMARY:buy",
        "END:VTODO",
      ),
    );
    expect(read).toMatchObject({
      ok: true,
      left: [],
      days: [
        { uid: "a", on: "2026-12-05", summary: "seal the seams, twice", about: "one\ntwo", repeats: false },
        { uid: "b", on: "2026-12-06", summary: "late", repeats: true },
        { uid: "c", on: "2026-12-07", summary: "buy" },
      ],
    });
  });

  test("what is called off, has no day, no name or an impossible year is left out by its words", () => {
    const read = readCalendar(
      wrapped(
        ...event("UID:a", "DTSTART;VALUE=DATE:20261205", "SUMMARY:off", "STATUS:CANCELLED"),
        ...event("UID:b", "SUMMARY:some day"),
        ...event("DTSTART;VALUE=DATE:20261205", "SUMMARY:nobody's"),
        ...event("UID:d", "DTSTART;VALUE=DATE:00010101", "SUMMARY:long ago"),
      ),
    );
    expect(read).toEqual({ ok: true, days: [], left: ["off", "some day", "nobody's", "long ago"] });
  });

  test.each([
    ["broken in the middle", wrapped(...event("UID:a", "DTSTART;VALUE=DATE:20261205")).slice(0, 90)],
    ["of another sort", "name,weight\npad,400"],
    ["nothing", ""],
    ["a card, not a calendar", "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:x\r\nEND:VCARD"],
    ["too large", "x".repeat(4_000_001)],
    ["one long line", `BEGIN:VCALENDAR\r\n${"SUMMARY:x".repeat(200_000)}\r\nEND:VCALENDAR`],
    ["too many", wrapped(...Array.from({ length: 2001 }, (_, n) => event(`UID:${n}`, "SUMMARY:x")).flat())],
  ])("%s: refused with a sentence", (_, text) => {
    const read = readCalendar(text);
    expect(read.ok ? read : read.why).toMatch(/^That (is no )?calendar/);
  });

  test("a day written without saying that it is one counts; what is no day of any month is left out by its words", () => {
    const read = readCalendar(
      wrapped(
        ...event("UID:a", "DTSTART:20260501", "SUMMARY:bare day"),
        ...event("UID:b", "DTSTART:soon", "SUMMARY:soon"),
        ...event("UID:c", "DTSTART;VALUE=DATE:20260230", "SUMMARY:thirtieth"),
        ...event("UID:d", "DTSTART;VALUE=DATE:20260501", "DUE:x", "SUMMARY:bad due"),
        ...event("UID:e", "DTSTART:20260503T101500Z", "SUMMARY:a time"),
      ),
    );
    expect(read).toMatchObject({
      ok: true,
      days: [
        { uid: "a", on: "2026-05-01", summary: "bare day" },
        { uid: "e", on: "2026-05-03" },
      ],
      left: ["soon", "thirtieth", "bad due"],
    });
  });

  test("what was written is read as it was, and a day for want of one is known as such", () => {
    const read = readCalendar(jobsAsCalendar([{ ...JOBS[0]!, undated: true }, JOBS[1]!], "2026-11-26"));
    expect(read).toMatchObject({
      ok: true,
      days: [
        { uid: "pad-repair@nettle-tally", on: "2026-12-01", undated: "2026-12-01", about: JOBS[0]!.about },
        { uid: "ü@nettle-tally", on: "2027-02-28", undated: null },
      ],
    });
  });
});
