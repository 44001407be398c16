import { describe, expect, test } from "vitest";
import { comfortOf, normalBelow } from "./comfort";
import { comesBack } from "./fault";

// Source: Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.1.
test("the standard normal distribution", () => {
  for (const [z, below] of [
    [0, 0.5],
    [1, 0.8413447],
    [1.96, 0.9750021],
    [-1, 0.1586553],
    [3, 0.9986501],
  ] as const)
    expect(normalBelow(z)).toBeCloseTo(below, 6);
});

// Source: worked by hand; Beta(½ + times, ½ + chances − times) has the mean (½ + times) ÷ (1 + chances).
test("what comes back, by Jeffreys' prior", () => {
  expect(comesBack({ times: 1, chances: 1 })).toBeCloseTo(0.75, 12);
  expect(comesBack({ times: 0, chances: 0 })).toBeCloseTo(0.5, 12);
  expect(comesBack({ times: 1, chances: 4 })).toBeCloseTo(0.3, 12);
  expect(() => comesBack({ times: 2, chances: 1 })).toThrow(RangeError);
  expect(() => comesBack({ times: -1, chances: 1 })).toThrow(RangeError);
});

describe("down to what an owner sleeps well", () => {
  const label = (celsius: number, means: "comfort" | "limit" | "plain" = "comfort") => ({ celsius, means });

  // "Cool" is neither cold nor right: comfort lies a little above that low, so it is held to both sides.
  test("a cool night tells more narrowly than a cold one or a right one", () => {
    const width = (felt: "cool" | "cold" | "right") => {
      const { low, high } = comfortOf([{ low: 0, felt }], label(0));
      return high - low;
    };
    expect(width("cool")).toBeLessThan(width("cold"));
    expect(width("cool")).toBeLessThan(width("right"));
    const { median } = comfortOf(
      Array.from({ length: 8 }, () => ({ low: 0, felt: "cool" as const })),
      label(-4),
    );
    expect(median).toBeGreaterThanOrEqual(-3);
    expect(median).toBeLessThanOrEqual(2);
  });

  test("without a night, it is three degrees above the label, give or take four; a limit stands five below comfort", () => {
    const { median, low, high } = comfortOf([], label(2));
    expect(median).toBeCloseTo(5, 0);
    // 80 % of a normal of spread 4 lies within 1.2816 × 4 of its middle.
    expect([low, high]).toEqual([expect.closeTo(5 - 5.1, 0), expect.closeTo(5 + 5.1, 0)]);
    expect(comfortOf([], label(2, "limit")).median - median).toBeCloseTo(5, 0);
    expect(comfortOf([], undefined).high - comfortOf([], undefined).low).toBeGreaterThan(2 * (high - low));
  });

  test("a cold night puts it above that low, a right one at or below it, a hot one well below; it narrows", () => {
    const none = comfortOf([], label(0));
    const cold = comfortOf([{ low: 4, felt: "cold" }], label(0));
    const right = comfortOf([{ low: -2, felt: "right" }], label(0));
    const hot = comfortOf([{ low: 6, felt: "hot" }], label(0));
    expect(cold.median).toBeGreaterThan(none.median + 1);
    expect(right.median).toBeLessThan(none.median - 2);
    expect(hot.median).toBeLessThan(none.median - 2);
    expect(right.high - right.low).toBeLessThan(none.high - none.low);
    expect(comfortOf([{ low: 0, felt: "cool" }], label(0)).median).toBeLessThan(cold.median);
    expect(cold.coldAt(0)).toBeGreaterThan(0.8);
    expect(cold.coldAt(20)).toBeLessThan(0.05);
  });
});
