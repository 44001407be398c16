import { expect, test } from "vitest";
import { Units } from "../units/units";
import { sayRule } from "./wear";

const METRIC = Units.parse({});
const IMPERIAL = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });
const text = (metres: number, units: Units) => sayRule(metres, "m", units).replace(/\s/g, " ");

// 1 mi is 1609.344 m (NIST SP 811).
test("a rule made in miles is said in round kilometres, and in its own miles as it is", () => {
  expect(text(250 * 1609.344, METRIC)).toBe("400 km");
  expect(text(450 * 1609.344, METRIC)).toBe("720 km");
  expect(text(250 * 1609.344, IMPERIAL)).toBe("250 mi");
  expect(text(1_000_000, IMPERIAL)).toBe("620 mi");
});

test("what an owner said in their own unit stays to the kilometre", () => {
  expect(text(425_000, METRIC)).toBe("425 km");
  expect(sayRule(16, "nights", METRIC)).toMatch(/^16\snights$/);
});
