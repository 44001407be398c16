import { expect, test } from "vitest";
import { CAPACITY, ScaleWorks } from "@/standins/bench-scale";
import { seeded } from "../../../tests/seeded";
import { readingOf, settledOn } from "./settled";

test("a line of the scale: grams, too much, or nothing", () => {
  expect(readingOf(" 312.4 g\r")).toBe(312.4);
  expect(readingOf("-0.3 g")).toBe(-0.3);
  expect(readingOf("OL")).toBe("overload");
  for (const line of ["", "312.4", "312.4 kg", "g", "31x g"]) expect(readingOf(line), line).toBeNull();
});

test("eight that agree are taken; seven, a wide one, a creeping one and less than nothing are not", () => {
  expect(settledOn([99, 100, 100, 101, 100, 99, 100, 101])).toBe(100);
  expect(settledOn([100, 100, 101, 100, 99, 100, 101])).toBeNull();
  expect(settledOn([100, 100, 104, 100, 100, 100, 100, 100])).toBeNull();
  expect(settledOn([100, 100.2, 100.5, 100.8, 101.2, 101.5, 101.9, 102.2])).toBeNull();
  expect(settledOn(Array.from({ length: 8 }, () => -4))).toBeNull();
});

test("on seeded noise: never while it moves, at most 15 readings after it stands, and within a gram of what lies there", () => {
  for (let seed = 1; seed <= 400; seed++) {
    const random = seeded(seed);
    const scale = new ScaleWorks(random);
    const grams = 20 + random() * 3000;
    scale.put(grams);
    const readings: number[] = [];
    // It stands once less than a gram of the way is left: each tick goes 0.4 of it.
    const stands = Math.ceil(Math.log(grams) / -Math.log(0.6));
    let taken: number | null = null;
    for (let tick = 1; taken === null; tick++) {
      readings.push(readingOf(scale.tick()) as number);
      taken = settledOn(readings);
      if (taken !== null) {
        expect(Math.abs(taken - grams), `seed ${seed}`).toBeLessThan(2);
        expect(tick, `seed ${seed}`).toBeGreaterThan(AGREEING);
      }
      expect(tick, `seed ${seed}`).toBeLessThanOrEqual(stands + 15);
    }
    // And while something is put on top, nothing is taken.
    scale.put(grams + 800);
    for (let tick = 0; tick < 4; tick++) {
      readings.push(readingOf(scale.tick()) as number);
      expect(settledOn(readings), `seed ${seed}`).toBeNull();
    }
  }
});
/** Readings that must agree. */
const AGREEING = 8;

test("too much on it is said, and a tare counts from there", () => {
  const scale = new ScaleWorks(seeded(5));
  scale.put(CAPACITY * 1.2);
  expect(Array.from({ length: 12 }, () => scale.tick()).at(-1)).toBe("OL");
  scale.put(250);
  for (let tick = 0; tick < 30; tick++) scale.tick();
  scale.tare();
  expect(Math.abs(readingOf(scale.tick()) as number)).toBeLessThan(2);
  scale.put(400);
  for (let tick = 0; tick < 30; tick++) scale.tick();
  expect(readingOf(scale.tick())).toBeCloseTo(150, -1);
});
