import { describe, expect, test } from "vitest";
import { seeded } from "../../../tests/seeded";
import type { Felt } from "../model";
import { aboveLabels, comfortOf, normalBelow, worthOf } from "./comfort";
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

const label = (celsius: number, means: "comfort" | "limit" | "plain" = "comfort") => ({ celsius, means });

describe("down to what an owner sleeps well", () => {
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
    // Six degrees is no news to a bed for three: a hot night there says hardly anything.
    expect(hot.median).toBeLessThanOrEqual(none.median);
    expect(right.high - right.low).toBeLessThan(none.high - none.low);
    expect(comfortOf([{ low: 0, felt: "cool" }], label(0)).median).toBeLessThan(cold.median);
    expect(cold.coolAt(0)).toBeGreaterThan(0.8);
    expect(cold.coldAt(20)).toBeLessThan(0.05);
  });

  // The figures of the fault: right at 1 and 2 °C, and then three warm nights at 16 and 18.
  test("warm nights teach nothing about cold: they never raise the line", () => {
    const right = [1, 2].map((low) => ({ low, felt: "right" as const }));
    const warm = [16, 16, 18].map((low) => ({ low, felt: "warm" as const }));
    const [before, after] = [comfortOf(right, label(0)), comfortOf([...right, ...warm], label(0))];
    expect(after.median).toBeLessThanOrEqual(before.median + 0.01);
    expect(after.median).toBeGreaterThan(before.median - 0.5);
    expect(before.median).toBeLessThan(1);
  });

  test("cool is not cold: two chances, neither ever none or certain, both falling as it gets warmer, for every bed", () => {
    for (const nights of [
      [],
      [{ low: -6, felt: "cool" as const }],
      [
        { low: 3, felt: "cold" as const },
        { low: 9, felt: "hot" as const },
      ],
    ]) {
      const { coldAt, coolAt } = comfortOf(nights, label(-2));
      let [colder, cooler] = [1, 1];
      for (let air = -40; air <= 40; air += 0.5) {
        expect(coldAt(air)).toBeLessThanOrEqual(colder + 1e-12);
        expect(coolAt(air)).toBeLessThanOrEqual(cooler + 1e-12);
        [colder, cooler] = [coldAt(air), coolAt(air)];
        expect(coldAt(air)).toBeLessThanOrEqual(coolAt(air));
        expect(coldAt(air)).toBeGreaterThan(0.01);
        expect(coolAt(air)).toBeLessThan(0.99);
      }
    }
    // Cool at −6, it is no certain cold night at −3.
    expect(comfortOf([{ low: -6, felt: "cool" }], label(-2)).coldAt(-3)).toBeLessThan(0.4);
  });
});

// Simulated sleepers: each with a comfort temperature of their own about the label, told of nights as they feel them.
describe("a known truth comes back", () => {
  const random = seeded(11);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const feels = (above: number): Felt =>
    above < -2 ? "cold" : above < 0 ? "cool" : above < 6 ? "right" : above < 11 ? "warm" : "hot";
  const night = (truth: number) => {
    // Nights come as the weather has them, whoever sleeps.
    const low = 4 + 6 * normal();
    return { low, felt: feels(low - truth + 1.5 * normal()) };
  };
  const sleepers = (nights: number, many: number) =>
    Array.from({ length: many }, () => {
      const truth = 3 + 4 * normal();
      const told = Array.from({ length: nights }, () => night(truth));
      return { truth, comfort: comfortOf(told, { celsius: 0, means: "comfort" }) };
    });

  test("after eight nights without bias, one in twenty told of for another cause: inside the interval four times in five", () => {
    const many = Array.from({ length: 2000 }, () => {
      const truth = 3 + 4 * normal();
      const told = Array.from({ length: 8 }, () =>
        random() < 0.05
          ? ({ ...night(truth), felt: random() < 0.5 ? "cold" : "right" } as const)
          : night(truth),
      );
      return { truth, told, comfort: comfortOf(told, label(0)) };
    });
    const bias = many.reduce((sum, { truth, comfort }) => sum + comfort.median - truth, 0) / many.length;
    expect(Math.abs(bias)).toBeLessThan(0.5);
    const inside = many.filter(({ truth, comfort }) => truth >= comfort.low && truth <= comfort.high).length;
    expect(inside / many.length).toBeGreaterThan(0.75);
    expect(inside / many.length).toBeLessThan(0.85);
    // A week at 17 °C, warm all through, and the cold one's line stays where it was: never up by more than the grid.
    for (const { told, comfort } of many.slice(0, 300)) {
      const week = Array.from({ length: 7 }, () => ({ low: 17, felt: "warm" }) as const);
      const after = comfortOf([...told, ...week], label(0)).median;
      expect(after).toBeLessThan(comfort.median + 0.01);
      expect(after).toBeGreaterThan(comfort.median - 0.3);
    }
  });

  test("with under four nights it promises colder than the truth in no more than one case in ten", () => {
    for (const nights of [0, 1, 3]) {
      const many = sleepers(nights, 800);
      const tooCold = many.filter(({ truth, comfort }) => comfort.relyOn < truth).length;
      // One in ten, and twice the error of counting 800.
      expect(tooCold / many.length).toBeLessThan(0.1 + 0.021);
      expect(many[0]!.comfort.relyOn).toBe(many[0]!.comfort.high);
    }
    expect(
      comfortOf(
        Array.from({ length: 4 }, () => night(2)),
        undefined,
      ),
    ).toSatisfy(({ relyOn, median }: ReturnType<typeof comfortOf>) => relyOn === median);
  });

  test("what a liner was worth is found from nights with it and without; not from nights that all had it", () => {
    const before = { mean: 2, spread: 1.5 };
    const zero = label(0);
    const tried = (withIt: (n: number) => boolean, worth: number) =>
      Array.from({ length: 40 }, (_, n) => {
        const low = 2 + 4 * normal();
        return { low, felt: feels(low - 2 + (withIt(n) ? worth : 0) + 1.5 * normal()), withIt: withIt(n) };
      });
    expect(
      worthOf(
        tried((n) => n % 2 === 0, 4),
        zero,
        before,
      ).mean,
    ).toBeGreaterThan(2.6);
    expect(
      worthOf(
        tried((n) => n % 2 === 0, 0),
        zero,
        before,
      ).mean,
    ).toBeLessThan(1.3);
    const always = worthOf(
      tried(() => true, 4),
      zero,
      before,
    );
    expect(Math.abs(always.mean - before.mean)).toBeLessThan(0.8);
    expect(always.low).toBeGreaterThanOrEqual(0);
  });

  test("labels of different meaning are not mixed, and a bed teaches of the owner's others only once it was slept in enough", () => {
    expect(comfortOf([], label(-10, "plain")).high - comfortOf([], label(-10, "plain")).low).toBeGreaterThan(
      comfortOf([], label(-10)).high - comfortOf([], label(-10)).low,
    );
    expect(comfortOf([], { celsius: -20, means: "extreme" }).median).toBeGreaterThan(0);
    const warm = comfortOf(
      Array.from({ length: 12 }, () => night(-2)),
      label(0),
    );
    const learnt = aboveLabels([{ label: label(0), comfort: warm }]);
    expect(learnt.mean).toBeLessThan(1.5);
    expect(learnt.spread).toBeLessThan(3);
    expect(aboveLabels([{ label: label(0), comfort: comfortOf([night(-2)], label(0)) }])).toEqual({
      mean: 3,
      spread: 3,
    });
  });
});
