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

  // Worked by hand: logs all of 20, so the centre is (½·log 26 + 4·log 20) ÷ 4½.
  test("four trips of 20 a night nearly settle it; one does by two thirds", () => {
    const same = (trips: number) =>
      rateOf(
        Array.from({ length: trips }, () => ({ used: 60, over: 3 })),
        26,
      );
    expect(same(4).median).toBeCloseTo(Math.exp((0.5 * Math.log(26) + 4 * Math.log(20)) / 4.5), 9);
    expect(same(1).median).toBeCloseTo(Math.exp((0.5 * Math.log(26) + Math.log(20)) / 1.5), 9);
    expect(same(8).high / same(8).low).toBeLessThan(same(2).high / same(2).low);
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

  // Simulated owners: each with a rate of their own about the rule of thumb, and trips that differ by a third.
  test("the next trip lies in its 80 % interval four times in five, with few trips and with many", () => {
    const random = seeded(3);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    for (const trips of [1, 3, 10]) {
      let inside = 0;
      const owners = 2000;
      for (let n = 0; n < owners; n++) {
        const own = 26 * Math.exp(0.45 * normal());
        const trip = () => own * Math.exp(0.33 * normal());
        const { low, high } = rateOf(
          Array.from({ length: trips }, () => ({ used: trip() * 4, over: 4 })),
          26,
        );
        const next = trip();
        if (next >= low && next <= high) inside++;
      }
      expect(inside / owners).toBeGreaterThan(0.75);
      expect(inside / owners).toBeLessThan(0.85);
    }
  });
});
