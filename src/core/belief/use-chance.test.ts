import fc from "fast-check";
import { expect, test } from "vitest";
import { chanceQuantile, meanChance, surenessBelow } from "./use-chance";

// Source: SciPy 1.10, scipy.stats.beta.ppf([.05, .5, .95], 3, 6).
test("Beta(3, 6) as SciPy has it", () => {
  const chance = { uses: 2, misses: 5 };
  expect(chanceQuantile(chance, 0.05)).toBeCloseTo(0.11111, 5);
  expect(chanceQuantile(chance, 0.5)).toBeCloseTo(0.32052, 5);
  expect(chanceQuantile(chance, 0.95)).toBeCloseTo(0.59969, 5);
  expect(meanChance(chance)).toBeCloseTo(3 / 9, 12);
});

test("the shortcut for nothing but misses is the same Beta", () => {
  expect(chanceQuantile({ uses: 0, misses: 3 }, 0.8)).toBeCloseTo(
    chanceQuantile({ uses: 1e-12, misses: 3 }, 0.8),
    6,
  );
});

test("how sure we are that it lies below a line, and the line we are so sure of, are each other's inverse", () => {
  for (const [uses, misses] of [
    [0, 3],
    [0.25, 4.75],
    [2, 5],
    [9, 1],
  ] as const) {
    expect(surenessBelow({ uses, misses }, chanceQuantile({ uses, misses }, 0.8))).toBeCloseTo(0.8, 6);
  }
});

test("another miss never raises it, another use never lowers it", () => {
  const n = fc.integer({ min: 0, max: 40 });
  fc.assert(
    fc.property(n, n, (uses, misses) => {
      const now = chanceQuantile({ uses, misses }, 0.8);
      expect(chanceQuantile({ uses, misses: misses + 1 }, 0.8)).toBeLessThanOrEqual(now + 1e-9);
      expect(chanceQuantile({ uses: uses + 1, misses }, 0.8)).toBeGreaterThanOrEqual(now - 1e-9);
    }),
  );
});
