import { expect, test } from "vitest";
import { seeded } from "../../../tests/seeded";
import { judged } from "../../../tests/walked";
import { callerOf } from "../belief/caller";
import { meanChance } from "../belief/use-chance";
import { leavesForGood } from "./advise";

// Simulated owners whose truth is known; each figure is from fixed seeds.

const LOGS = 200;
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
const share = (of: readonly boolean[]) => of.filter(Boolean).length / of.length;
const tossed = (random: () => number, n: number, use: number) =>
  Array.from({ length: n }, () => ({ use: random() < use ? "used" : "unused" }));

test.each([0.2, 0.5, 0.8])(
  "a thing used on %f of thirty trips is believed to be, within four in a hundred",
  (use) => {
    const random = seeded(21);
    const believed = Array.from({ length: 60 }, () =>
      meanChance(
        judged({ item: { kind: "chair", weight: "480 g" }, marks: tossed(random, 30, use) }).case.use.called,
      ),
    );
    expect(Math.abs(mean(believed) - use)).toBeLessThan(0.04);
  },
);

const WEATHER = ["rain", "cold", "freezing", "heat", "wind", "bugs"] as const;

/** Trips with any weather; the thing's use by a coin, or by what calls for it nine times in ten. */
function walkedIn(random: () => number, n: number, caller: (typeof WEATHER)[number] | null) {
  const skies = Array.from({ length: n }, () =>
    Object.fromEntries(
      WEATHER.map((each) => [each, random() < 0.4 ? (random() < 0.4 ? "strong" : "some") : "none"]),
    ),
  );
  const marks = skies.map((sky) => {
    const chance = caller === null ? 0.5 : sky[caller] === "none" ? 0.1 : 0.9;
    return { use: random() < chance ? "used" : "unused" };
  });
  const { marked, item } = judged({
    item: { kind: "wind shell", weight: "120 g" },
    marks,
    trip: (at) => ({ conditions: skies[at] }),
  }).case;
  return callerOf(
    item,
    marked.filter(({ mark }) => mark.use === "used"),
    marked.filter(({ mark }) => mark.use === "unused"),
  );
}

test.each([2, 3, 4, 5, 6, 8, 10, 14, 20])(
  "of coin flips over %i trips, at most one in twenty finds a caller",
  (n) => {
    const random = seeded(22 + n);
    const found = Array.from({ length: LOGS }, () => walkedIn(random, n, null) !== null);
    expect(share(found)).toBeLessThanOrEqual(0.05);
  },
);

test("a true caller is found: the thing's own by the sixth trip, where nine in ten leaves half the logs without an exception", () => {
  const random = seeded(23);
  const found = (n: number, caller: (typeof WEATHER)[number]) =>
    share(Array.from({ length: LOGS }, () => walkedIn(random, n, caller)?.trigger === caller));
  expect(found(6, "wind")).toBeGreaterThan(0.4);
  expect(found(12, "wind")).toBeGreaterThan(0.6);
  expect(found(12, "heat")).toBeGreaterThan(0.5);
});

test("what is used every other time is told to be dropped at one of six looks in at most a tenth of lean logs", () => {
  const random = seeded(24);
  const dropped = Array.from({ length: LOGS }, () => {
    const marks = tossed(random, 6, 0.5);
    return marks.some((_, n) =>
      leavesForGood(
        judged({ item: { kind: "chair", weight: "480 g" }, marks: marks.slice(0, n + 1), school: "lean" }),
      ),
    );
  });
  expect(share(dropped)).toBeLessThanOrEqual(0.1);
});
