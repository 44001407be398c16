import jstat from "jstat";
import { describe, expect, test } from "vitest";
import { seeded } from "../../../tests/seeded";
import { rateOf } from "./rates";

// Source: tables of Student's t, 90 % point for 4 degrees of freedom 1.533, for 10 1.372.
test("Student's t by the package, as the tables have it", () => {
  expect(jstat.studentt.inv(0.9, 4)).toBeCloseTo(1.533, 3);
  expect(jstat.studentt.inv(0.9, 10)).toBeCloseTo(1.372, 3);
});

describe("an owner's own rate", () => {
  test("before a trip it is the rule of thumb, with much doubt", () => {
    const { trips, median, low, high, enoughFor } = rateOf([], 26);
    expect(trips).toBe(0);
    expect(median).toBeCloseTo(26, 9);
    expect(low).toBeLessThan(16);
    expect(high).toBeGreaterThan(42);
    expect(enoughFor(0.5)).toBeCloseTo(26, 6);
    expect(enoughFor(0.97)).toBeGreaterThan(high);
  });

  // Worked by hand, all logs at 20: a trip of 3 nights has the variance 0.13² + 0.16² · 4/3 = 0.05103, the owner's
  // 0.55² = 0.3025;
  // one trip: the width stays 1, so its weight is 0.3025 ÷ (0.3025 + 0.05103) = 0.856. Four: they lie together, the
  // width is
  // 1 ÷ 2.5 = 0.4, and the weight 0.3025 ÷ (0.3025 + 0.4 · 0.05103 ÷ 4) = 0.983.
  test("one trip of 20 a night moves it most of the way; four settle it", () => {
    const same = (trips: number) =>
      rateOf(
        Array.from({ length: trips }, () => ({ used: 60, over: 3 })),
        26,
      );
    const between = (weight: number) => Math.exp((1 - weight) * Math.log(26) + weight * Math.log(20));
    expect(same(1).median).toBeCloseTo(between(0.3025 / (0.3025 + 0.051033)), 4);
    expect(same(4).median).toBeCloseTo(between(0.3025 / (0.3025 + (0.4 * 0.051033) / 4)), 4);
    expect(same(8).high / same(8).low).toBeLessThan(same(2).high / same(2).low);
    expect(same(4)).toMatchObject({ trips: 4, over: 12 });
  });

  test("a walk of 150 nights is its owner's own figure, and a night is not", () => {
    expect(rateOf([{ used: 150 * 3.7, over: 150 }], 7).median / 3.7).toBeLessThan(1.05);
    expect(rateOf([{ used: 3.7, over: 1 }], 7).median / 3.7).toBeGreaterThan(1.15);
  });

  // A practitioner's example: ten trips at 595 to 700 g a day.
  test("ten trips that lie together tell the next one closely", () => {
    const days = [595, 610, 620, 630, 640, 650, 660, 675, 690, 700];
    const { low, high, median } = rateOf(
      days.map((grams) => ({ used: grams * 5, over: 5 })),
      900,
      5,
    );
    expect(median).toBeGreaterThan(630);
    expect(median).toBeLessThan(665);
    expect(low).toBeGreaterThan(545);
    expect(high).toBeLessThan(760);
  });

  test("a trip that used none, or had no night, says nothing; a rule of nothing is refused", () => {
    expect(
      rateOf(
        [
          { used: 0, over: 4 },
          { used: 30, over: 0 },
        ],
        26,
      ).trips,
    ).toBe(0);
    expect(() => rateOf([], 0)).toThrow(RangeError);
  });

  // Simulated owners: each with a rate of their own about the rule of thumb; trips differ, and so do nights, which
  // even out
  // on a long walk. Short and long trips are mixed.
  const HISTORIES: readonly (readonly [what: string, nights: (random: () => number) => number[]])[] = [
    ["one short trip", (random) => [1 + Math.floor(6 * random())]],
    ["three trips", (random) => Array.from({ length: 3 }, () => 1 + Math.floor(9 * random()))],
    ["ten trips", (random) => Array.from({ length: 10 }, () => 1 + Math.floor(14 * random()))],
    ["one walk of 150 nights", () => [150]],
    ["a walk of 150 nights and two short ones", () => [150, 3, 2]],
  ];
  test.each(HISTORIES)(
    "after $0 the next lies in its 80 %% interval four times in five",
    (what, nightsOf) => {
      const random = seeded(3);
      const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
      let inside = 0;
      let near = 0;
      const owners = 2000;
      for (let n = 0; n < owners; n++) {
        const own = 26 * Math.exp(0.45 * normal());
        const rateOver = (nights: number) =>
          own * Math.exp(0.18 * normal() + (0.44 / Math.sqrt(nights)) * normal());
        const told = nightsOf(random).map((nights) => ({ used: rateOver(nights) * nights, over: nights }));
        const { low, high, median } = rateOf(told, 26);
        const next = rateOver(4);
        if (next >= low && next <= high) inside++;
        const walked = told[0]!.used / told[0]!.over;
        if (Math.abs(median / walked - 1) < 0.1) near++;
      }
      expect(inside / owners).toBeGreaterThan(0.75);
      expect(inside / owners).toBeLessThan(0.85);
      // A long walk's own figure stands, whatever the rule of thumb.
      if (what === "one walk of 150 nights") expect(near / owners).toBeGreaterThan(0.9);
    },
  );
});
