import { format, intervalToDuration, parseISO } from "date-fns";
import type { Advice } from "../advice/advise";
import type { HowLong } from "../compare/how-long";
import { several, inWords, listWords, sayDay, sayDistance, type Units } from "../units/speak";
import { sayMoney } from "./money";
import { sayDeparture } from "./words";
import { sayWear } from "./wear";

/** How long it has been one's own: "three years and two months". */
export function sayAge(since: string, today: string): string {
  const { years = 0, months = 0 } = intervalToDuration({ start: parseISO(since), end: parseISO(today) });
  const parts = [
    ...(years ? [`${inWords(years)} ${years === 1 ? "year" : "years"}`] : []),
    ...(months ? [`${inWords(months)} ${months === 1 ? "month" : "months"}`] : []),
  ];
  return parts.length ? listWords(parts) : "under a month";
}

/** "for 4 more trips like yours, until about March 2027; order the next by 12 January 2027". */
export function sayHowLong({ trips, ends, orderBy }: HowLong, today: string): string {
  return [
    trips === 0
      ? "less than one more trip like yours"
      : `${several(trips, "more trip", "more trips")} like yours`,
    ...(ends ? [`at your pace until about ${format(parseISO(ends), "MMMM yyyy")}`] : []),
    ...(orderBy ? [orderBy <= today ? "order the next now" : `order the next by ${sayDay(orderBy)}`] : []),
  ].join("; ");
}

/** Metres a day of use from so many days on: one evening tells of no pace. */
const LEAST_DAYS = 3;

/** How old it is, how far a day it goes, and what it took the place of. */
export function sayItsLife(advice: Advice, before: Advice | null, units: Units): string[] {
  const { item, totals, book } = advice.case;
  const { metres, days } = totals.used;
  return [
    ...(item.acquired ? [`yours for ${sayAge(item.acquired, book.today)}`] : []),
    ...(item.wears === "m" && days >= LEAST_DAYS
      ? [`${sayDistance(metres / days, units)} a day in use`]
      : []),
    ...(before ? [sayBefore(before, units)] : []),
  ];
}

function sayBefore({ case: { item, departure, left, totals, book } }: Advice, units: Units): string {
  const cost = item.price === null ? [] : [sayMoney(item.price, item.currency ?? book.settings.currency)];
  const worn =
    left || totals.wear > 0 ? [`after ${sayWear(left?.worn ?? totals.wear, item.wears, units)}`] : [];
  const how = departure ? [sayDeparture(departure)] : [];
  return `in the place of ${item.name} (${[...how, ...(item.wears === "none" ? [] : worn), ...cost].join(", ")})`;
}
