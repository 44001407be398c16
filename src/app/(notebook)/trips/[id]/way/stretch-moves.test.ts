import { expect, test } from "vitest";
import { Units } from "@/core/units/units";
import {
  asideOf,
  carriedAgain,
  handlesOf,
  sayStretches,
  settled,
  stepOf,
  stretchesAt,
  toLegEnd,
  wayOf,
} from "./stretch-moves";

const leg = (id: string, from: number, to: number) => ({ id, name: id, from, to });
const WAY = wayOf([leg("a", 0, 40_000), leg("b", 40_000, 60_000), leg("c", 60_000, 100_000)]);
const units = Units.parse({});

test("handles are the ends of stretches, and back", () => {
  const stretches = [
    { from: 0, to: 40_000 },
    { from: 60_000, to: 100_000 },
  ];
  expect(handlesOf(stretches)).toEqual([0, 40_000, 60_000, 100_000]);
  expect(stretchesAt(handlesOf(stretches))).toEqual(stretches);
  expect(stretchesAt([1])).toEqual([]);
});

test("an end let go of by hand falls to the leg's end beside it; by keys only to one that it all but touches", () => {
  expect(settled([1900, 41_900], WAY, true)).toEqual([{ from: 0, to: 40_000 }]);
  expect(settled([2100, 42_100], WAY, true)).toEqual([{ from: 2100, to: 42_100 }]);
  expect(settled([1000, 40_040], WAY, false)).toEqual([{ from: 1000, to: 40_000 }]);
  // Two ends brought together take the stretch away.
  expect(settled([39_000, 41_000, 60_000, 100_000], WAY, true)).toEqual([{ from: 60_000, to: 100_000 }]);
});

test("page keys go from leg to leg, never past a neighbour", () => {
  expect(toLegEnd([0, 30_000], 1, true, WAY)).toEqual([0, 40_000]);
  expect(toLegEnd([0, 40_000], 1, false, WAY)).toEqual([0, 0]);
  expect(toLegEnd([0, 30_000, 35_000, 100_000], 1, true, WAY)).toEqual([0, 35_000, 35_000, 100_000]);
  expect(toLegEnd([0, 100_000], 1, true, WAY)).toBeNull();
  expect(toLegEnd([0, 100_000], 0, false, WAY)).toBeNull();
});

test("carried again: from the next leg on, and from the last end on where there is none", () => {
  expect(carriedAgain([0, 30_000], WAY)).toEqual([0, 30_000, 40_000, 100_000]);
  expect(carriedAgain([0, 60_000], WAY)).toEqual([0, 60_000, 60_000, 100_000]);
  expect(carriedAgain([], WAY)).toEqual([40_000, 100_000]);
});

test("handles of a short stretch stand aside, each where there is room for a finger", () => {
  expect([0, 1].map((n) => asideOf([0, 100_000], n, WAY.whole))).toEqual([null, null]);
  expect([0, 1].map((n) => asideOf([50_000, 60_000], n, WAY.whole))).toEqual([-50, 50]);
  expect([0, 1].map((n) => asideOf([0, 10_000], n, WAY.whole))).toEqual([0, 100]);
  expect([0, 1].map((n) => asideOf([90_000, 100_000], n, WAY.whole))).toEqual([-100, 0]);
});

test("where it was along, in words; and a step is a kilometre on a long way, a hundred metres on a short one", () => {
  expect(sayStretches([], WAY.whole, units)).toBe("not carried");
  expect(sayStretches([{ from: 0, to: 100_000 }], WAY.whole, units)).toBe("all the way");
  expect(sayStretches([{ from: 0, to: 40_000 }], WAY.whole, units).replaceAll(/\s/g, " ")).toBe(
    "0 km to 40 km",
  );
  expect(stepOf(WAY)).toBe(1000);
  expect(stepOf(wayOf([leg("a", 0, 50_000)]))).toBe(100);
});
