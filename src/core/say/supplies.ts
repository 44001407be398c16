import type { BaseAmount } from "../units/quantity";
import type { RateOver } from "../trade/supplies";
import { GRAMS_PER_OUNCE, METRES_PER_MILE } from "../units/quantity";
import { count, grouped, sayDistance, sayMass, type Units } from "../units/speak";

/** An amount in the unit of sums, as its owner would say it: "118 g", "2.5 L", "24 Wh", "7". */
export function sayAmount(value: number, unit: BaseAmount["unit"], units: Units): string {
  if (unit === "g") return sayMass(value, units);
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
  const value = isLong ? (perOne * METRES_PER_MILE) / 1000 : perOne;
  const shown = unit === "g" && units.weight === "oz" ? value / GRAMS_PER_OUNCE : value;
  const digits = [1, 10].filter((less) => shown < less).length;
  const name = unit === "g" && units.weight === "oz" ? "oz" : unit;
  return `${Number(shown.toFixed(digits))}${name && `\u00a0${name}`} ${sayOver(over, units)}`;
}

/** Over how much a rate was told: "148 nights", "310 km". */
export const sayOverall = (value: number, over: RateOver, units: Units): string =>
  ({
    km: () => sayDistance(value * 1000, units),
    "L boiled": () => `${grouped(value, 1)}\u00a0L boiled`,
    night: () => count(Math.round(value), "night"),
    day: () => count(Math.round(value), "day"),
  })[over]();

const sayOver = (over: RateOver, units: Units) =>
  ({ km: `a ${units.distance}`, "L boiled": "a litre boiled", night: "a night", day: "a day" })[over];
