import { anyFile, logOf } from "../../../tests/histories";
import fc from "fast-check";
import { expect, test } from "vitest";
import { evidenceOfUse } from "../belief/use";
import { Mark, type ItemId, type TripId } from "../model";
import { marked, openBook, withMark, withSchool } from "./book";
import { ledger } from "./totals";

const TODAY = "2030-01-01";
const item = "shoes" as ItemId;
const file = (marks: readonly (object | null)[], trip: object = {}) => ({
  items: [{ id: "shoes", name: "Shoes", kind: "trail shoes" }],
  trips: marks.map((mark, n) => ({
    id: `t${n}`,
    starts: `2026-0${n + 1}-10`,
    ends: `2026-0${n + 1}-13`,
    distance: "40 km",
    marks: mark === null ? [] : [{ item: "shoes", ...mark }],
    ...trip,
  })),
});
const evidence = (log: object) => {
  const book = openBook(logOf(log), TODAY);
  return evidenceOfUse(marked(book.carriedOf(item)), book.item(item)!, book.missedOf(item));
};

test("a trip without a mark wears as the others do on average; one that was not carried does not", () => {
  const wear = (marks: readonly (object | null)[]) =>
    ledger(openBook(logOf(file(marks)), TODAY)).get(item)!.wear;
  expect(wear([{ use: "used" }, { use: "used" }])).toBe(80_000);
  expect(wear([{ use: "used" }, { use: "used" }, {}])).toBe(120_000);
  expect(wear([{ use: "used" }, { use: "unused" }, {}])).toBe(60_000);
  expect(wear([{ use: "used" }, null])).toBe(40_000);
  expect(wear([{}, {}])).toBe(0);
});

test("a mark supposed is as good as a mark in the log, and the log is not touched", () => {
  fc.assert(
    fc.property(anyFile, fc.nat(), (any, pick) => {
      const log = logOf(any);
      const carries = log.trips.flatMap((trip) => trip.carries.map((carry) => ({ trip, carry })));
      if (carries.length === 0) return;
      const { trip, carry } = carries[pick % carries.length]!;
      const mark = Mark.parse({ use: "hardly" });
      const book = openBook(log, TODAY);
      const before = JSON.stringify(book.carriedOf(carry.item));
      const supposed = withMark(book, { trip: trip.id, item: carry.item, mark });
      const changed = openBook(
        {
          ...log,
          trips: log.trips.map((each) => ({
            ...each,
            carries: each.carries.map((one) => (one === carry ? { ...one, mark } : one)),
          })),
        },
        TODAY,
      );
      expect(supposed.carriedOf(carry.item).map((one) => one.mark)).toEqual(
        changed.carriedOf(carry.item).map((one) => one.mark),
      );
      expect(JSON.stringify(book.carriedOf(carry.item))).toBe(before);
    }),
    { numRuns: 50 },
  );
});

test("a mark on a trip that it was not carried on stands in its place; unknown trips and items change nothing", () => {
  const book = openBook(logOf(file([{ use: "used" }, null, { use: "used" }])), TODAY);
  const put = withMark(book, { trip: "t1" as TripId, item, mark: Mark.parse({ use: "unused" }) });
  expect(put.carriedOf(item).map(({ outing, mark }) => [outing.trip.id, mark!.use])).toEqual([
    ["t0", "used"],
    ["t1", "unused"],
    ["t2", "used"],
  ]);
  expect(withMark(book, { trip: "nowhere" as TripId, item, mark: null })).toBe(book);
});

test("another school changes the lines and nothing else", () => {
  const book = openBook(logOf(file([{ use: "used" }])), TODAY);
  const lean = withSchool(book, "lean");
  expect(lean.rules.school.name).toBe("lean");
  expect(lean.items).toBe(book.items);
});

test("chances: one a trip, about one more a week, five at most, half if cut short; a day more is never a chance more", () => {
  const chances = (days: number, cut = false) => {
    const { refused } = evidence({
      ...file([]),
      trips: [
        {
          starts: "2026-01-01",
          ends: new Date(Date.UTC(2026, 0, days)).toISOString().slice(0, 10),
          distance: "40 km",
          cut,
          marks: [{ item: "shoes", use: "unused" }],
        },
      ],
    });
    return refused;
  };
  // The line through the middles of the steps: 1 up to half a week, 2 at a week and a half, 5 from four and a half.
  expect(
    [1, 3, 10.5, 17.5, 70].map((days) => chances(Math.ceil(days)) - (Math.ceil(days) - days) / 7),
  ).toEqual([1, 1, 2, 3, 5].map((n) => expect.closeTo(n, 9)));
  expect(chances(14, true)).toBeCloseTo(1.25, 9);
  for (let days = 1; days < 80; days++) expect(chances(days + 1) - chances(days)).toBeLessThan(0.15);
});

test("hardly is a quarter of a use; a few days of a long walk leave its other weeks uncalled for", () => {
  const [hardly, never] = [evidence(file([{ use: "hardly" }])), evidence(file([]))];
  expect(hardly.called.uses - never.called.uses).toBeCloseTo(0.25, 1);
  // Four days are a little more than one chance, and three quarters of them a miss.
  expect(hardly.called.misses - never.called.misses).toBeCloseTo(
    3 * (hardly.called.uses - never.called.uses),
    9,
  );
  const long = evidence({
    ...file([]),
    trips: [
      {
        starts: "2026-01-01",
        ends: "2026-02-04",
        distance: "500 km",
        marks: [{ item: "shoes", use: "used", days: 6 }],
      },
    ],
  });
  // Six days are 1.36 of the five chances; the others called for nothing.
  expect([long.taken, long.idle, long.called.misses]).toEqual(
    [1 + 2.5 / 7, 4 - 2.5 / 7, 0].map((n) => expect.closeTo(n, 9)),
  );
});

test("missed by its name while it stayed home counts as used; missed by another name, or while it was along, does not", () => {
  const missed = (what: string, mark: object | null) =>
    evidence(file([{ use: "unused" }, mark], { missed: [{ what }] })).missed.length;
  expect(missed("shoes", null)).toBe(1);
  expect(missed("Socks", null)).toBe(0);
  expect(missed("shoes", { use: "used" })).toBe(0);
});
