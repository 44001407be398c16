import type { BaseAmount } from "../units/quantity";
import type { RateOver } from "../trade/supplies";
import { GRAMS_PER_OUNCE, inBaseUnit, LITRES_PER_QUART, METRES_PER_MILE } from "../units/quantity";
import type { Supply } from "../model";
import { count, grouped, litresIn, sayDistance, sayMass, sayPoured, type Units } from "../units/speak";

/** An amount in the unit of sums, as its owner would say it: "118 g", "2.5 L", "24 Wh", "7". */
export function sayAmount(value: number, unit: BaseAmount["unit"], units: Units): string {
  if (unit === "g") return sayMass(value, units);
  if (unit === "L") return sayPoured(value, units);
  const digits = value > 0 && value < 9.95 ? 1 : 0;
  return `${grouped(value, digits)}${unit && `\u00a0${unit}`}`.replace(/\.0(?=\u00a0|$)/, "");
}

/** A rate: "26 g a night", "0.1 L a km"; in miles for owners who walk in them. */
export function sayRate(
  perOne: number,
  { unit, over }: { unit: BaseAmount["unit"]; over: RateOver },
  units: Units,
): string {
  const isLong = over === "km" && units.distance === "mi";
  const along = isLong ? (perOne * METRES_PER_MILE) / 1000 : perOne;
  const value = over === "L boiled" ? along * litresIn(units) : along;
  const [one, name] = (units.weight === "oz" && OTHERWISE[unit]) || [1, unit];
  const shown = value / one;
  const digits = [1, 10].filter((less) => shown < less).length;
  return `${Number(shown.toFixed(digits))}${name && `\u00a0${name}`} ${sayOver(over, units)}`;
}

/** What rates are told in by owners who weigh in ounces: so many grams or litres, and its name. */
const OTHERWISE: Readonly<Partial<Record<BaseAmount["unit"], readonly [number, string]>>> = {
  g: [GRAMS_PER_OUNCE, "oz"],
  L: [LITRES_PER_QUART, "qt"],
};

/** What came home of what went out: "4 oz of 16 oz", "7 of 12 bars". */
export function sayCameHome(
  { unit, out, back }: Pick<Supply, "unit" | "out" | "back">,
  units: Units,
): string {
  const [of, home] = [inBaseUnit(out, unit), inBaseUnit(back, unit)];
  if (of.unit === "") return `${back} of ${out} ${unit}`.trim();
  return `${sayAmount(home.value, home.unit, units)} of ${sayAmount(of.value, of.unit, units)}`;
}

/** Over how much a rate was told: "148 nights", "310 km". */
export const sayOverall = (value: number, over: RateOver, units: Units): string =>
  ({
    km: () => sayDistance(value * 1000, units),
    "L boiled": () => `${sayPoured(value, units)} boiled`,
    night: () => count(Math.round(value), "night"),
    day: () => count(Math.round(value), "day"),
  })[over]();

const sayOver = (over: RateOver, units: Units) =>
  ({
    km: `a ${units.distance}`,
    "L boiled": units.weight === "g" ? "a litre boiled" : "a quart boiled",
    night: "a night",
    day: "a day",
  })[over];
