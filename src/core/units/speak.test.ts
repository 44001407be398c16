import { expect, test } from "vitest";
import { sayDeadWeight, sayDistance, sayHeight, sayMass, saySpeed, sayTemperature, listWords } from "./speak";
import { Units } from "./units";

const metric = Units.parse({});
const imperial = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });
const plain = (text: string) => text.replaceAll("\u00a0", " ").replaceAll("\u202f", " ");

test("weights in the owner's unit", () => {
  expect(plain(sayMass(312, metric))).toBe("312 g");
  expect(plain(sayMass(12_400, metric))).toBe("12.4 kg");
  expect(plain(sayMass(272.155, imperial))).toBe("9.6 oz");
  expect(plain(sayMass(992.233, imperial))).toBe("2 lb 3.0 oz");
  expect(plain(sayMass(453.58, imperial))).toBe("1 lb 0.0 oz");
});

test("distances, heights, temperatures and dead weight", () => {
  expect(plain(sayDistance(8420, metric))).toBe("8.4 km");
  expect(plain(sayDistance(1_214_000, metric))).toBe("1 214 km");
  expect(plain(sayDistance(16_093.44, imperial))).toBe("10 mi");
  expect(plain(sayHeight(304.8, imperial))).toBe("1 000 ft");
  expect(plain(saySpeed(1.25, metric))).toBe("4.5 km/h");
  expect(plain(saySpeed(1.25, imperial))).toBe("2.8 mph");
  expect(plain(sayTemperature(-5, metric))).toBe("−5 °C");
  expect(plain(sayTemperature(0, imperial))).toBe("32 °F");
  expect(plain(sayDeadWeight(480 * 386_000, metric))).toBe("185 kg·km");
});

test("lists read as people say them", () => {
  expect(listWords(["rain"], "or")).toBe("rain");
  expect(listWords(["rain", "bugs", "cold"], "or")).toBe("rain, bugs or cold");
});
