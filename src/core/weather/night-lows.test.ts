import { describe, expect, test } from "vitest";
import { nightLows, type Reading } from "./night-lows";

const every = (minutes: number, from: string, hours: number, c: (hour: number) => number): Reading[] =>
  Array.from({ length: (hours * 60) / minutes }, (_, n) => ({
    at: new Date(Date.parse(`${from}Z`) + n * minutes * 60_000).toISOString().slice(0, 16),
    c: c((n * minutes) / 60),
  }));
const lows = (readings: readonly Reading[], starts: string, ends: string) => {
  const found = nightLows(readings, starts, ends);
  if ("why" in found) throw new Error(found.why);
  return found;
};

describe("night lows from a thermometer's log", () => {
  test("a night goes over midnight, and is told by the day it began on; the day's own warmth is no night", () => {
    const readings = [
      { at: "2026-05-01T12:00", c: -8 },
      { at: "2026-05-01T18:00", c: 9 },
      { at: "2026-05-01T20:30", c: 6 },
      { at: "2026-05-01T23:00", c: 4 },
      { at: "2026-05-02T01:30", c: 2.5 },
      { at: "2026-05-02T04:00", c: -1.5 },
      { at: "2026-05-02T06:30", c: 1 },
      { at: "2026-05-02T09:00", c: 7 },
      { at: "2026-05-02T14:00", c: -9 },
    ];
    expect(lows(readings, "2026-05-01", "2026-05-02")).toEqual({
      nights: [{ on: "2026-05-01", low: -1.5 }],
      notes: [],
    });
  });

  test("gaps and nights without a reading are told", () => {
    const readings = [
      ...every(30, "2026-05-01T18:00", 15.5, (hour) => 10 - hour / 2),
      { at: "2026-05-03T21:00", c: 3 },
    ];
    const { nights, notes } = lows(readings, "2026-05-01", "2026-05-04");
    expect(nights.map(({ on }) => on)).toEqual(["2026-05-01", "2026-05-03"]);
    expect(notes).toEqual([
      "1\u00a0night without a reading: 2 May 2026.",
      "Over three hours without a reading in the night of 3 May 2026: it may have been colder.",
    ]);
  });

  test("where the clock was put back, an hour comes twice and the night loses nothing", () => {
    // 25 October 2026: 02:00 to 03:00 is there twice, and the low is in the second of them.
    const readings = [
      ...every(30, "2026-10-24T18:00", 9, (hour) => 6 + hour / 20),
      ...every(30, "2026-10-25T02:00", 8, (hour) => (hour === 0.5 ? -2 : 5 + hour / 10)),
    ];
    expect(lows(readings, "2026-10-24", "2026-10-25")).toEqual({
      nights: [{ on: "2026-10-24", low: -2 }],
      notes: [],
    });
  });

  test("a sensor that stands still is told; one in even weather is not", () => {
    expect(
      lows(
        every(10, "2026-05-01T18:00", 15.2, () => 4),
        "2026-05-01",
        "2026-05-02",
      ).notes[0],
    ).toMatch(/^From 1 May 2026, 18:00, it says 4 °C for over six hours/);
    expect(
      lows(
        every(10, "2026-05-01T18:00", 15.2, (hour) => Math.floor(hour / 4)),
        "2026-05-01",
        "2026-05-02",
      ).notes,
    ).toEqual([]);
  });

  test("a log of another year says so", () => {
    const found = nightLows(
      every(60, "2025-05-01T18:00", 30, () => 4),
      "2026-05-01",
      "2026-05-03",
    );
    expect(found).toEqual({ why: "Its readings are of 1–2 May 2025; the trip was 1–3 May 2026." });
  });
});
