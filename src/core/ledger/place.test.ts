import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { metresOnDay, readPlace } from "./place";

const UNITS = { weight: "g", distance: "km", temperature: "C" } as const;

// Worked by hand: 300 km in ten days; of the second leg, of 120 km, the six days are told.
const trip = logOf({
  items: [],
  trips: [
    {
      id: "ring",
      name: "Ring",
      starts: "2026-05-01",
      ends: "2026-05-10",
      legs: [
        { id: "a", distance: "60 km" },
        { id: "b", distance: "120 km", starts: "2026-05-03", ends: "2026-05-08" },
        { id: "c", distance: "120 km" },
      ],
    },
  ],
}).trips[0]!;

describe("where one was on a day", () => {
  test.each([
    // No leg tells of the first day: a tenth of 300 km a day, half of it by the middle.
    ["the first", 1, 15_000],
    ["the first of a leg that tells its days: 60 km, and half of 20", 3, 70_000],
    ["the last of it", 8, 170_000],
    ["the last", 10, 285_000],
    ["none", 0, null],
    ["one beyond", 11, null],
    ["none that a number is for", NaN, null],
  ])("%s", (_, day, metres) => expect(metresOnDay(trip, day)).toBe(metres));
});

describe("a place as it is typed", () => {
  const at = (typed: string) => readPlace(typed, trip, UNITS);
  test.each([
    ["41", "a", 41_000],
    ["41 km", "a", 41_000],
    ["km 41", "a", 41_000],
    ["mile 50", "b", 80_467.2],
    ["day 3", "b", 70_000],
    ["on day 3", "b", 70_000],
    ["2026-05-03", "b", 70_000],
    ["900 km", "c", 900_000],
  ])("%s", (typed, leg, m) => {
    const read = at(typed);
    expect(read.ok && read.value).toMatchObject({ leg, distance: { m } });
  });

  test.each([
    ["day 14", "The trip has days 1 to 10."],
    ["2026-06-03", "The trip has days 1 to 10."],
  ])("%s can't be", (typed, why) => expect(at(typed)).toEqual({ ok: false, why }));
  test("nor can words", () => expect(at("by the river").ok).toBe(false));
});
