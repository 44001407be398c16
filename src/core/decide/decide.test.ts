import { describe, expect, test } from "vitest";
import { judged } from "../../../tests/walked";
import type { Left } from "../belief/life";
import { costOfWear, FAILING_COST } from "./cost";
import { gradeChances, lifeOptions } from "./options";

/** A life that ends at once at its end, as far as a curve can. */
const certain = (end: number) => ({ chance: (wear: number) => (wear < end ? 1 : 0), left: () => end });
/** A life without memory, of a mean. */
const memoryless = (mean: number) => ({
  chance: (wear: number) => Math.exp(-wear / mean),
  left: (q: number) => -mean * Math.log(q),
});

describe("what a unit of wear costs", () => {
  // Source: age replacement, Barlow and Hunter, Operations Research 8:90 (1960): with a constant hazard,
  // replacing before failure never pays, and the least cost is (price + failing) ÷ mean life.
  test("without memory, the best is to go on until it fails", () => {
    const { perWear, failing } = costOfWear(memoryless(100), { worthNew: 60, consequence: "discomfort" });
    expect(failing).toBe(FAILING_COST.discomfort);
    // The furthest age tried leaves 2 % of lives out.
    expect(perWear).toBeCloseTo((60 * 1 + 0.98 * 40) / 98, 1);
  });

  test("where the end is certain, it is replaced just before: no failure is paid for", () => {
    expect(costOfWear(certain(100), { worthNew: 60, consequence: "danger" }).perWear).toBeLessThan(60 / 95);
  });
});

describe("going on, looking first, replacing now", () => {
  const left = (
    lasting: { chance: (further: number) => number; left: (q: number) => number },
    worn: number,
    nextTrip: number,
  ): Left => ({
    worn,
    nextTrip,
    low: lasting.left(0.9),
    median: lasting.left(0.5),
    high: lasting.left(0.1),
    givesOut: 1 - lasting.chance(nextTrip),
    lasts: lasting.chance,
    leftAt: lasting.left,
    lastsByLife: lasting.chance,
    trends: [],
    lives: [],
    kindLasts: lasting.chance,
  });
  const cost = { perWear: 0.5, failing: 150 };

  // Source: worked by hand. 1 − e^(−10/100) = 0.0952 of 150 € at risk; a mean of 100 × 0.0952 km at 0.5 € thrown away.
  test("each at its price", () => {
    const { goOn, replaceNow } = lifeOptions(left(memoryless(100), 200, 10), cost);
    expect(goOn).toBeCloseTo(14.274, 2);
    expect(replaceNow).toBeCloseTo(4.758, 2);
  });

  // Source: worked by hand. What it would still give is at most its mean life, 100; a walk of 900 asks for no
  // more than that.
  test("a walk far longer than what is left: only what was left is thrown away, and it is replaced", () => {
    const { goOn, replaceNow } = lifeOptions(left(memoryless(100), 200, 900), cost);
    expect(goOn).toBeCloseTo(150, 0);
    expect(replaceNow).toBeGreaterThan(45);
    expect(replaceNow).toBeLessThanOrEqual(50);
  });

  test("a look is worth most where nobody can say: some have a life before them, some are gone", () => {
    const unsure = left(
      { chance: (wear) => (wear < 5 ? 1 : wear < 400 ? 0.5 : 0), left: (q) => (q > 0.5 ? 5 : 400) },
      400,
      10,
    );
    const options = lifeOptions(unsure, cost);
    expect(options.lookFirst).toBeLessThan(Math.min(options.goOn, options.replaceNow));
    const sound = lifeOptions(left(certain(1000), 50, 10), cost);
    expect(sound.goOn).toBe(0);
    expect(sound.lookFirst).toBeGreaterThanOrEqual(1);
  });

  test("the likely grades of a thing add up to one, and sink with its wear", () => {
    const mean = (chances: readonly number[]) =>
      chances.reduce((sum, chance, grade) => sum + chance * grade, 0);
    const [young, old] = [
      gradeChances(left(certain(900), 100, 10)),
      gradeChances(left(certain(100), 900, 10)),
    ];
    for (const chances of [young, old])
      expect(chances.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
    expect(mean(young)).toBeGreaterThan(4);
    expect(mean(old)).toBeLessThan(2);
  });
});

describe("miles alone condemn little", () => {
  const walked = (kind: string, n: number, more: object = {}) =>
    judged({ item: { kind, ...more }, marks: Array.from({ length: n }, () => ({})), days: 10 });

  test("shoes with their life nearly used up are replaced; a shirt is only looked over, at most; a pack after five months is sound", () => {
    // 150 km a trip: the trade's median is 724 km.
    expect(walked("trail shoes", 9).lead).toMatchObject({ verb: "replace", reason: "life used up" });
    expect(walked("trail shoes", 2).lead.verb).toBe("keep");
    for (const kind of ["shirt", "pack", "pillow", "stove", "inflatable pad"]) {
      const { lead } = judged({ item: { kind }, marks: [{}], days: 155 });
      expect([kind, ["keep", "service"].includes(lead.verb)]).toEqual([kind, true]);
    }
  });

  test("graded sound, it is quiet until a quarter more wear", () => {
    const graded = (n: number, at: number) =>
      judged({
        item: { kind: "trail shoes" },
        marks: Array.from({ length: n }, (_, trip) => (trip === at ? { condition: 4 } : {})),
        days: 10,
      }).lead.verb;
    expect([graded(9, 8), graded(9, 7), graded(9, 4)]).toEqual(["keep", "keep", "replace"]);
  });

  test("two of the owner's own that ended early teach it, whatever the kind", () => {
    const before = [1, 2].map((n) => ({
      item: { kind: "pillow", name: `Old ${n}` },
      marks: Array.from({ length: 6 }, (_, trip) =>
        trip === n - 1 ? { days: 10, exit: { how: "worn out" }, cause: "worn" } : null,
      ),
    }));
    const pillow = { item: { kind: "pillow" }, marks: [null, null, {}, {}, {}, {}], days: 10 };
    const [alone, taught] = [judged(pillow), judged({ ...pillow, beside: before })];
    expect(taught.case.left!.median).toBeLessThan(alone.case.left!.median / 2);
    expect(alone.lead.verb).toBe("keep");
  });

  test("a failure whose cause nobody told shortens the life that is believed, less than one that was worn", () => {
    const pairs = (cause: string | null) =>
      judged({
        item: { kind: "trail shoes" },
        marks: [null, null, null, {}],
        days: 10,
        beside: [0, 1, 2].map((n) => ({
          item: { kind: "trail shoes", name: `Pair ${n}` },
          marks: [0, 1, 2].map((trip) => (trip === n ? { troubles: ["failed"], cause } : null)),
        })),
      }).case.left!.median;
    const [worn, untold, mishap] = [pairs("worn"), pairs(null), pairs("misuse")];
    expect(worn).toBeLessThan(untold);
    expect(untold).toBeLessThan(mishap * 0.7);
  });
});
