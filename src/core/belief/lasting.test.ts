import { expect, test } from "vitest";
import { lastingAlone, lastingByReadings } from "./lasting";
import { believe, believeOfUnknownPast, blendLasts, blendLeft, kindLasting, wornBefore } from "./life-belief";
import { readingTrend } from "./fits/reading-trend";

const TREAD = { what: "tread", unit: "mm", limit: 1.5, error: 0.3 };
const rule = { median: 700, k: 3.5, a: 3 };
const at = (worn: number) => lastingAlone(believe(rule, [{ wear: worn, wornOut: 0 }]), worn);
const treads = (per100: number, worn: number) =>
  readingTrend(
    TREAD,
    [0, 100, 200, 300, 400].filter((x) => x <= worn).map((x) => ({ x, y: 5 - (per100 * x) / 100 })),
  )!;

test("fewer than three readings draw no trend", () => {
  expect(
    readingTrend(TREAD, [
      { x: 0, y: 5 },
      { x: 100, y: 4 },
    ]),
  ).toBeNull();
});

test("readings that fall to their limit at 500 bring the median there from far off, and narrow the interval", () => {
  const byLife = at(400);
  const joined = lastingByReadings(byLife, 400, [treads(0.7, 400)]); // 5 mm − 0.7 mm a hundred: 1.5 mm at 500
  expect(byLife.left(0.5)).toBeGreaterThan(220);
  expect(400 + joined.left(0.5)).toBeGreaterThan(480);
  expect(400 + joined.left(0.5)).toBeLessThan(560);
  expect(joined.left(0.1) - joined.left(0.9)).toBeLessThan(0.5 * (byLife.left(0.1) - byLife.left(0.9)));
});

test("readings that hold steady lengthen a life: condition overrules miles", () => {
  const steady = readingTrend(
    { what: "condition", unit: "of 5", limit: 1, error: 0.5 },
    [300, 500, 700, 900].map((x) => ({ x, y: 5 })),
    5,
  )!;
  const byLife = at(900);
  const joined = lastingByReadings(byLife, 900, [steady]);
  expect(joined.left(0.5)).toBeGreaterThan(1.2 * byLife.left(0.5));
  expect(joined.chance(60)).toBeGreaterThan(byLife.chance(60));
});

test("a joined life answers both ways alike", () => {
  const joined = lastingByReadings(at(400), 400, [treads(0.6, 400)]);
  for (const q of [0.1, 0.3, 0.5, 0.8, 0.9]) expect(joined.chance(joined.left(q))).toBeCloseTo(q, 3);
  expect(joined.chance(0)).toBeCloseTo(1, 6);
});

test("an unknown past leaves less, and less surely", () => {
  const known = believe(rule, []);
  const unknown = believeOfUnknownPast(known, rule.median, 50);
  expect(blendLasts(unknown, 50, 200)).toBeLessThan(blendLasts(known, 50, 200));
  expect(wornBefore(unknown)).toBeGreaterThan(100);
  const width = (blend: typeof known) => blendLeft(blend, 50, 0.1) / blendLeft(blend, 50, 0.9);
  expect(width(unknown)).toBeGreaterThan(width(known));
});

test("a kind's closed form says what the blend says", () => {
  const blend = believe(rule, [
    { wear: 420, wornOut: 1 },
    { wear: 300, wornOut: 0 },
  ]);
  const { chance, left } = kindLasting(blend)(300);
  expect(chance(120)).toBeCloseTo(blendLasts(blend, 300, 120), 12);
  for (const q of [0.1, 0.5, 0.9]) expect(left(q)).toBeCloseTo(blendLeft(blend, 300, q), 5);
});
