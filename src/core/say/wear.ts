import type { ServiceUnit, WearUnit } from "../model";
import { count, metresIn, sayDistance, sayPoured, type Units } from "../units/speak";

/** What a service of the owner's own is counted by: "3 trips", "40 nights", "210 km". */
export function sayServiceCount(counted: number, unit: ServiceUnit, units: Units): string {
  if (unit === "m") return sayDistance(counted, units);
  const whole = Math.round(counted);
  return unit === "washes" ? count(whole, "wash", "washes") : count(whole, unit.slice(0, -1));
}

/** Wear in words: "412 km", "38 nights", "120 L". */
export function sayWear(wear: number, unit: WearUnit, units: Units): string {
  const whole = Math.round(wear);
  switch (unit) {
    case "m":
      return sayDistance(wear, units);
    case "nights":
      return count(whole, "night");
    case "wet days":
      return count(whole, "wet day");
    case "called days":
      return count(whole, "day in use", "days in use");
    case "L":
      return sayPoured(wear, units);
    case "burns":
      return count(whole, "burn");
    case "cycles":
      return count(whole, "charge");
    default:
      return count(whole, "day");
  }
}

/** Wear as a bare number in the owner's unit, for charts and forms; and back. */
export const wearNumber = (wear: number, unit: WearUnit, units: Units) =>
  unit === "m" ? wear / metresIn(units) : wear;
export const wearFromNumber = (value: number, unit: WearUnit, units: Units) =>
  unit === "m" ? value * metresIn(units) : value;
export function wearUnitName(unit: WearUnit, units: Units): string {
  if (unit === "m") return units.distance;
  return unit === "called days" ? "days in use" : unit;
}

/** From so much on, a rule of thumb is said to the next so many. */
const STEPS = [
  [1000, 50],
  [100, 10],
] as const;

/**
 * A rule of thumb as one says it, whatever unit it was made in: 450 miles are 720 km. What is whole stays: it was
 * made so, or is its owner's word.
 */
export function inRoundNumbers(value: number): number {
  if (Math.abs(value - Math.round(value)) < 0.01) return Math.round(value);
  const step = STEPS.find(([from]) => value >= from)?.[1] ?? 0.01;
  return Math.round(Math.round(value / step) * step * 100) / 100;
}

/** What the trade counts a service or a life by, in round numbers: "400 km", "40 nights". */
export const sayRule = (every: number, unit: WearUnit, units: Units): string =>
  unit === "m"
    ? sayDistance(wearFromNumber(inRoundNumbers(wearNumber(every, unit, units)), unit, units), units)
    : sayWear(every, unit, units);
