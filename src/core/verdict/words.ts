import type { FullItem } from "../kinds";
import { METRES_PER_MILE } from "../units/quantity";
import type { ReadingRule } from "../wear/reading-trend";
import type { Case } from "./case";
import type { Trouble } from "./history";
import { count, sayDistance } from "../units/speak";
import type { Units } from "../units/speak";
import type { Consequence, Trigger, TripId, WearUnit } from "../model";

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
    case "L":
      return `${whole}\u00a0L`;
    case "burns":
      return count(whole, "burn");
    case "cycles":
      return count(whole, "charge");
    default:
      return count(whole, "day");
  }
}

const metresIn = (units: Units) => (units.distance === "km" ? 1000 : METRES_PER_MILE);

/** Wear as a bare number in the owner's unit, for charts and forms; and back. */
export const wearNumber = (wear: number, unit: WearUnit, units: Units) =>
  unit === "m" ? wear / metresIn(units) : wear;
export const wearFromNumber = (value: number, unit: WearUnit, units: Units) =>
  unit === "m" ? value * metresIn(units) : value;
export const wearUnitName = (unit: WearUnit, units: Units) => (unit === "m" ? units.distance : unit);

/** A reading with its unit: "2.4 mm", "3 of 5". */
export const sayReading = ({ unit }: Pick<ReadingRule, "unit">, value: number) =>
  `${Math.round(value * 100) / 100}\u00a0${unit}`;

/** What is left, as a person would say it: "about 90 km left, 40 to 150 km". */
export function sayLeft({ item, left, book }: Pick<Case, "item" | "left" | "book">): string {
  if (!left) return "no life to count down";
  const say = (wear: number) => sayWear(wear, item.wears, book.settings.units);
  if (Math.round(wearNumber(left.median, item.wears, book.settings.units)) === 0)
    return `next to nothing left, ${say(left.high)} at most (80\u00a0%)`;
  return `about ${say(left.median)} left, ${say(left.low)} to ${say(left.high)} (80\u00a0%)`;
}

/** What it costs to lack or lose a thing, as the end of a sentence. */
export const sayCost: Readonly<Record<Consequence, string>> = {
  nuisance: "a nuisance",
  discomfort: "a discomfort",
  "trip-ending": "the end of a trip",
  danger: "a danger",
};

/** A thing's name inside a sentence: its capital goes, unless it is all capitals. */
export const aThing = ({ name }: Pick<FullItem, "name">) =>
  /^\p{Lu}\p{Ll}/u.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;

/** "on Long Quill", "on 3 trips". */
export function onTrips(trips: readonly TripId[], { book }: Pick<Case, "book">): string {
  if (trips.length !== 1) return `on ${count(trips.length, "trip")}`;
  return `on ${book.outings.find((outing) => outing.trip.id === trips[0])?.trip.name ?? "one trip"}`;
}

/** What happened, in the owner's words where there are any. */
export function sayTrouble({ mark, entry, failed, tripName }: Trouble): string {
  const told = (mark?.note || entry?.note || "").replace(/\.$/, "");
  const what = failed ? "Failed" : "Damaged";
  return entry
    ? `Damaged between trips${told ? `: ${told}` : ""}`
    : `${what} on ${tripName}${told ? `: ${told}` : ""}`;
}

const NOUNS: Partial<Record<Trigger, string>> = {
  freezing: "frost",
  "no signal": "no signal",
  "dry stretch": "a dry stretch",
  town: "towns on the way",
  "camp time": "a night out",
};
/** A trigger as the end of "when you expect …". */
export const sayTrigger = (trigger: Trigger) => NOUNS[trigger] ?? trigger;
