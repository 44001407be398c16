import { expect, test } from "vitest";
import { kaplanMeier } from "./kaplan-meier";
import type { Life } from "../life-belief";
import { seeded } from "../../../../tests/seeded";
import { theilSen } from "./theil-sen";
import { fitWeibull, weibullMedian } from "./weibull-fit";

const lives = (ended: readonly number[], going: readonly number[]): Life[] => [
  ...ended.map((wear) => ({ wear, wornOut: 1 })),
  ...going.map((wear) => ({ wear, wornOut: 0 })),
];

// Source: NIST/SEMATECH e-Handbook of Statistical Methods, chapter 8 (reliability); confirmed there with R's
// survival package 3.5.
test("Weibull with ten failures and ten unfailed at 500", () => {
  const fit = fitWeibull(
    lives(
      [54, 187, 216, 240, 244, 335, 361, 373, 375, 386],
      Array.from({ length: 10 }, () => 500),
    ),
  )!;
  expect(fit.shape).toBeCloseTo(1.7208, 4);
  expect(fit.scale).toBeCloseTo(606.53, 1);
  expect(weibullMedian(fit)).toBeCloseTo(606.53 * Math.LN2 ** (1 / 1.7208), 0);
});

test("fewer than two ends of different length fit no shape", () => {
  expect(fitWeibull(lives([300], [200, 400]))).toBeNull();
  expect(fitWeibull(lives([300, 300], []))).toBeNull();
});

// Source: Freireich et al., Blood 21:699, 1963, as tabulated in survival-analysis textbooks.
test("Kaplan–Meier of the remission weeks", () => {
  const steps = kaplanMeier(
    lives([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]),
  );
  expect(steps.map(({ wear }) => wear)).toEqual([6, 7, 10, 13, 16, 22, 23]);
  [0.8571, 0.8067, 0.7529, 0.6902, 0.6275, 0.5378, 0.4482].forEach((lasts, n) =>
    expect(steps[n]!.lasts).toBeCloseTo(lasts, 4),
  );
});

// Source: SciPy 1.10, scipy.stats.theilslopes.
test("Theil–Sen slope as SciPy has it", () => {
  const y = [5.0, 4.7, 4.5, 4.1, 3.2, 3.6, 3.3];
  expect(theilSen(y.map((value, n) => ({ x: 50 * n, y: value })))!.slope).toBeCloseTo(-0.006, 12);
});

test("one reading that is quite wrong hardly moves the robust line", () => {
  const points = [0, 1, 2, 3, 4, 5, 6].map((x) => ({ x, y: 10 - x }));
  expect(theilSen([...points, { x: 7, y: 90 }])!.slope).toBeCloseTo(-1, 6);
  expect(
    theilSen([
      { x: 1, y: 2 },
      { x: 1, y: 3 },
    ]),
  ).toBeNull();
});

test("the error of its slope is what the slope strays by: over lines with normal noise, and with a tenth of readings quite wrong", () => {
  const random = seeded(41);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const within = (wild: number, n: number) => {
    const hits = Array.from({ length: 600 }, () => {
      const line = theilSen(
        Array.from({ length: n }, (_, x) => ({ x, y: -0.5 * x + (random() < wild ? 8 : 1) * normal() })),
      )!;
      return Math.abs(line.slope + 0.5) <= line.slopeError;
    });
    return hits.filter(Boolean).length / hits.length;
  };
  // One standard error either way holds two in three.
  for (const share of [within(0, 8), within(0, 20), within(0.1, 12)]) {
    expect(share).toBeGreaterThan(0.58);
    expect(share).toBeLessThan(0.8);
  }
});
