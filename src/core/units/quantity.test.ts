import fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  METRES_PER_FOOT,
  METRES_PER_MILE,
  parseAmount,
  parseLength,
  inUnitOf,
  parseMass,
  parseNumber,
  parseTemperature,
} from "./quantity";
import { Mass } from "./measures";

// Source: NIST Special Publication 811, appendix B: these factors are exact.
test("factors are those of NIST SP 811", () => {
  expect(GRAMS_PER_POUND).toBe(453.59237);
  expect(GRAMS_PER_OUNCE).toBe(28.349523125);
  expect(METRES_PER_MILE).toBe(1609.344);
  expect(METRES_PER_FOOT).toBe(0.3048);
  expect(GRAMS_PER_OUNCE * 16).toBeCloseTo(GRAMS_PER_POUND, 10);
});

test.each([
  ["312 g", 312],
  ["312g", 312],
  ["1.2 kg", 1200],
  ["1,2 kg", 1200],
  ["9.6 oz", 272.155422],
  ["2 lb 3 oz", 992.233309375],
  ["500", 500],
  [".5 oz", 14.1747615625],
])("reads %s", (typed, grams) => {
  const mass = parseMass(typed);
  expect(mass.ok && mass.value.g).toBeCloseTo(grams, 6);
});

test.each(["", "heavy", "-3 g", "3 stone", "12 g g", "NaN", "1e400 g", "3 constructor"])(
  "refuses “%s” with what would be accepted",
  (typed) => {
    const mass = parseMass(typed);
    expect(mass.ok).toBe(false);
    expect(!mass.ok && mass.why).toMatch(/Write it like/);
  },
);

test("what was typed is kept exactly, and a bare number with the unit it was read in", () => {
  expect(parseMass("9.6 oz")).toMatchObject({ ok: true, value: { typed: "9.6 oz" } });
  expect(parseMass("9.6", "oz")).toMatchObject({ ok: true, value: { typed: "9.6 oz" } });
  expect(Mass.encode(Mass.decode("2 lb 3 oz"))).toBe("2 lb 3 oz");
});

test("miles and kilometres", () => {
  expect(parseLength("38 mi")).toMatchObject({ ok: true, value: { m: 38 * 1609.344 } });
  expect(parseLength("62")).toMatchObject({ ok: true, value: { typed: "62 km", m: 62_000 } });
  expect(parseLength("2800 ft", "m")).toMatchObject({ ok: true, value: { m: 2800 * 0.3048 } });
});

// Thousands by a comma, decimals by either: common practice, no source.
test.each([
  ["1,200 g", 1200],
  ["1,200g", 1200],
  ["1,200", 1200],
  ["2,5 g", 2.5],
  ["1,25 g", 1.25],
  ["0,250 g", 0.25],
  ["1.200 g", 1.2],
  ["1,200.5 g", 1200.5],
  ["1.200,5 g", 1200.5],
  ["1,200 kg", 1200],
  ["1.200 kg", 1200],
  // So heavy is nothing: a table wrote its decimals by a comma.
  ["85,000 g", 85],
])("%s weighs %d g", (typed, grams) => {
  expect(parseMass(typed)).toMatchObject({ ok: true, value: { g: grams } });
});

test.each([
  ["1,200 m", 1200],
  ["12,500 ft", 12_500 * 0.3048],
  ["1,200 km", 1200],
  ["18,5 km", 18_500],
])("%s is %d m", (typed, metres) => {
  const read = parseLength(typed, "m");
  expect(read.ok && read.value.m).toBeCloseTo(metres, 6);
});

test("any weight survives being written and read again", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 90, noNaN: true }),
      fc.constantFrom("g", "kg", "oz", "lb"),
      (n, unit) => {
        const typed = `${n.toFixed(3)} ${unit}`;
        const once = Mass.decode(typed);
        expect(Mass.decode(Mass.encode(once))).toEqual(once);
      },
    ),
  );
});

// Source: the definition of the Fahrenheit scale, °F = 1.8 °C + 32 (NIST SP 811, appendix B.8).
test.each([
  ["-2", -2],
  ["−2 °C", -2],
  ["28 F", -2.2],
  ["28°f", -2.2],
  ["-40 F", -40],
  ["+3,5", 3.5],
  ["minus 3", -3],
  ["Minus 2,5 °C", -2.5],
  ["32 °F", 0],
])("reads %s as a temperature", (typed, celsius) => {
  expect(parseTemperature(typed)).toEqual({ ok: true, value: celsius });
});

test("a bare temperature takes the owner's unit", () => {
  expect(parseTemperature("50", "F")).toEqual({ ok: true, value: 10 });
  expect(parseTemperature("10 C", "F")).toEqual({ ok: true, value: 10 });
});

test.each(["", "cold", "3 K", "--2", "1e3"])("refuses “%s” as a temperature", (typed) => {
  expect(parseTemperature(typed)).toMatchObject({ ok: false, why: expect.stringContaining("Write it like") });
});

test.each([
  ["460 g", 460, "g"],
  ["2,5L", 2.5, "L"],
  ["3", 3, ""],
  ["2 gas canisters", 2, "gas canisters"],
  ["1,200 g", 1200, "g"],
  ["2,400 cu in", 2400, "cu in"],
  ["1,200 mL", 1200, "mL"],
  ["1,5 L", 1.5, "L"],
  ["10,000 mAh at 3.7 V", 37, "Wh"],
])("reads %s as an amount", (typed, value, unit) => {
  expect(parseAmount(typed)).toEqual({ ok: true, value: { value, unit } });
});

test.each(["", "-3 g", "some", "3 g 4"])("refuses “%s” as an amount", (typed) => {
  expect(parseAmount(typed)).toMatchObject({ ok: false, why: expect.stringMatching(/like 460 g/) });
});

describe("numbers as people write them", () => {
  test.each([
    ["2.5", 2.5],
    ["2,5", 2.5],
    ["−3", -3],
    [" 1 200 ", 1200],
    ["1,200", 1200],
    ["1,200.50", 1200.5],
    ["1.200,50", 1200.5],
    [".5", 0.5],
    ["", null],
    ["  ", null],
    ["1e5", Number.NaN],
    ["0x10", Number.NaN],
    ["Infinity", Number.NaN],
    ["1-2", Number.NaN],
    ["1,2,3", Number.NaN],
  ])("%s", (typed, value) => expect(parseNumber(typed)).toEqual(value));

  test("any number that is written out is read again", () =>
    fc.assert(
      fc.property(fc.double({ min: -1e9, max: 1e9, noNaN: true }), (value) => {
        const text = value.toFixed(2);
        expect(parseNumber(text)).toBeCloseTo(value, 2);
        expect(parseNumber(text.replace(".", ","))).toBeCloseTo(value, 2);
      }),
    ));

  test("one amount in the unit of another: 24 kg out, 900 g back", () => {
    expect(inUnitOf(900, "g", "kg")).toBe(0.9);
    expect(inUnitOf(1, "lb", "g")).toBe(453.592);
    expect(inUnitOf(500, "ml", "L")).toBe(0.5);
    expect(inUnitOf(3, "", "")).toBe(3);
    expect(inUnitOf(3, "meals", "Meals")).toBe(3);
    expect(inUnitOf(1, "L", "kg")).toBeNull();
    expect(inUnitOf(1, "constructor", "g")).toBeNull();
  });
});
