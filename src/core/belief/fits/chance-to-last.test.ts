import fc from "fast-check";
import { expect, test } from "vitest";
import { chanceToLast, wearLeft } from "./chance-to-last";
import { believe, blendLasts, blendLeft } from "../life-belief";

// Source: worked by hand in exact fractions. b = 3·500² = 750 000; 750/840 = 25/28, 750/1110 = 25/37.
const belief = { k: 2, a: 3, b: 750_000 };

test("300 from new", () => {
  expect(chanceToLast(belief, { worn: 0, further: 300 })).toBeCloseTo((25 / 28) ** 3, 12);
  expect(chanceToLast(belief, { worn: 0, further: 300 })).toBeCloseTo(0.71178, 5);
});

test("600 at once is 300, then 300 more with the first 300 counted as evidence", () => {
  const later = { ...belief, b: belief.b + 300 ** 2 };
  const second = chanceToLast(later, { worn: 300, further: 300 });
  expect(second).toBeCloseTo(0.43338, 5);
  expect(chanceToLast(belief, { worn: 0, further: 300 }) * second).toBeCloseTo((25 / 37) ** 3, 12);
  expect(chanceToLast(belief, { worn: 0, further: 600 })).toBeCloseTo((25 / 37) ** 3, 12);
});

// The closed form against the integral it stands for: ∫ e^(−λΔ)·Gamma(λ; a, b) dλ, by Simpson's rule.
test("is the Weibull survival averaged over the Gamma prior", () => {
  const { k, a, b } = { k: 3.5, a: 4, b: 3 * 800 ** 3.5 };
  const added = 950 ** k - 400 ** k;
  const steps = 20_000;
  const top = 60 / b;
  const density = (rate: number) => (b ** a * rate ** (a - 1) * Math.exp(-b * rate)) / 6; // Γ(4) = 6
  let sum = 0;
  for (let n = 0; n <= steps; n++) {
    const rate = (top * n) / steps;
    sum += density(rate) * Math.exp(-rate * added) * (n === 0 || n === steps ? 1 : n % 2 ? 4 : 2);
  }
  expect((sum * top) / steps / 3).toBeCloseTo(chanceToLast({ k, a, b }, { worn: 400, further: 550 }), 8);
});

test("the blend's wear left undoes its chance to last, lies within its parts, and more wear never leaves more", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 4, noNaN: true }),
      fc.double({ min: 0, max: 2000, noNaN: true }),
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      (k, worn, q) => {
        const believed = believe({ median: 700, k, a: 3 }, [{ wear: 300, wornOut: 1 }]);
        const left = blendLeft(believed, worn, q);
        expect(blendLasts(believed, worn, left)).toBeCloseTo(q, 6);
        expect(believed.reduce((sum, part) => sum + part.weight, 0)).toBeCloseTo(1, 12);
        for (const part of believed)
          expect(chanceToLast(part, { worn, further: wearLeft(part, worn, q) })).toBeCloseTo(q, 6);
      },
    ),
  );
});

test("about half of a kind outlast its median, where nothing else is known", () => {
  expect(blendLasts(believe({ median: 450, k: 3.5, a: 3 }, []), 0, 450)).toBeCloseTo(0.5, 1);
});

test("lives worn out early shorten what is believed; lives still going only lengthen it", () => {
  const rule = { median: 450, k: 3, a: 3 };
  const median = (lives: Parameters<typeof believe>[1]) => blendLeft(believe(rule, lives), 0, 0.5);
  expect(
    median([
      { wear: 200, wornOut: 1 },
      { wear: 180, wornOut: 1 },
    ]),
  ).toBeLessThan(median([]));
  expect(median([{ wear: 200, wornOut: 0 }])).toBeGreaterThan(median([]));
});

test("three lives of half the rule of thumb, or twice, bring the median most of the way there", () => {
  const rule = { median: 100, k: 3.5, a: 3 };
  const after = (life: number) =>
    blendLeft(
      believe(
        rule,
        [1, 1.05, 0.95].map((each) => ({ wear: life * each, wornOut: 1 })),
      ),
      0,
      0.5,
    );
  expect(after(50)).toBeLessThan(70);
  expect(after(200)).toBeGreaterThan(155);
});

test("refuses what can't be", () => {
  expect(() => chanceToLast(belief, { worn: -1, further: 3 })).toThrow(RangeError);
  expect(() => wearLeft(belief, 10, 1)).toThrow(RangeError);
});
