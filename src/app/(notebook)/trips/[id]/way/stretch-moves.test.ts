import { expect, test } from "vitest";
import { Units } from "@/core/units/units";
import {
  asideOf,
  carriedAgain,
  handlesOf,
  readStretches,
  sayStretches,
  settled,
  stepOf,
  stretchesAt,
  stretchesText,
  toLegEnd,
  underFinger,
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
  expect(settled([700, 40_700], WAY, true)).toEqual([{ from: 0, to: 40_000 }]);
  expect(settled([900, 40_900], WAY, true)).toEqual([{ from: 900, to: 40_900 }]);
  expect(settled([1000, 40_040], WAY, false)).toEqual([{ from: 1000, to: 40_000 }]);
  // Two ends brought together take the stretch away.
  expect(settled([39_400, 40_600, 60_000, 100_000], WAY, true)).toEqual([{ from: 60_000, to: 100_000 }]);
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

test("stretches typed are those shown; an open end goes to the way's, and what can't be is told in a sentence", () => {
  const read = (typed: string, of = units) => readStretches(typed, WAY, of);
  const shown = [
    { from: 0, to: 30_000 },
    { from: 60_000, to: 100_000 },
  ];
  expect(stretchesText(shown, units)).toBe("0–30, 60–100");
  expect(read("0–30, 60–100")).toEqual({ ok: true, value: shown });
  expect(read("-30; 60 to")).toEqual({ ok: true, value: shown });
  expect(read("")).toEqual({ ok: true, value: [] });
  expect(read("29.5-40")).toEqual({ ok: true, value: [{ from: 29_500, to: 40_000 }] });
  expect(read("0–62.1", Units.parse({ distance: "mi" }))).toEqual({
    ok: true,
    value: [{ from: 0, to: 100_000 }],
  });
  const why = (typed: string) => {
    const told = read(typed);
    return told.ok ? "" : told.why;
  };
  expect(why("0–101")).toMatch(/^The way is 100.km long/);
  expect(why("30–20")).toMatch(/^Each stretch begins/);
  expect(why("0–40, 30–60")).toMatch(/^Each stretch begins/);
  for (const typed of ["all", "0–3–9", "x–9"]) expect(why(typed)).toMatch(/^Write from where/);
});

// A bar of 300 px with 22 px on each side for the finger: over its 75th pixel, a quarter of the way, the slider of
// 344 px tells 97 of 344.
test("what is under the finger is what is set", () => {
  const margin = 22 / 344;
  const at = (pixel: number) => ((pixel + 22) / 344) * WAY.whole;
  const set = (pixel: number) => underFinger([0, 100_000], [0, at(pixel)], WAY, margin)[1];
  expect([0, 75, 150, 225, 300].map(set)).toEqual([0, 25_000, 50_000, 75_000, 100_000]);
  expect(set(-10)).toBe(0);
  expect(set(312)).toBe(100_000);
  // The one that is not moved stays to the metre; none passes its neighbour.
  expect(underFinger([12_345, 50_000], [12_345, at(150)], WAY, margin)).toEqual([12_345, 50_000]);
  expect(underFinger([30_000, 50_000], [30_000, at(60)], WAY, margin)).toEqual([30_000, 30_000]);
});
