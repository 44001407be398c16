import type { Kit } from "../advice/kit";
import { outingOf } from "../ledger/outing";
import { soFarOf } from "../ledger/so-far";
import type { Trip } from "../model";
import { daysBetween } from "../sums/days";
import type { FullItem } from "../trade/full-item";
import { count, listWords, percent, sayDistance, sayMass, type Units } from "../units/speak";
import { ENOUGH, supplyUses } from "../weighin/supplies";
import { suppliesAhead } from "../weighin/supplies-ahead";

/** What is left of a walk that was unpacked half way. */
export interface Rest {
  readonly metres: number;
  readonly days: number;
  readonly nights: number;
  /** Grams that the rest of it wants, enough nine times in ten; gas only where a gas stove is along. */
  readonly food: number;
  readonly gas: number | null;
  /** What is worn by the way and may not see its end, with the chance of that, the likeliest first. */
  readonly weak: readonly { readonly item: FullItem; readonly chance: number }[];
}

/** A chance worth naming. */
const WORTH_NAMING = 0.1;

/** What is left of the way, and what for it; null where the walk is over, or was not unpacked half way. */
export function restOf(trip: Trip, { book, of }: Kit): Rest | null {
  const sofar = soFarOf(trip, book.today);
  if (!sofar) return null;
  const whole = outingOf(trip);
  const metres = Math.max(0, whole.metres - sofar.distance.m);
  const days = daysBetween(sofar.on, trip.ends);
  const nights = Math.max(0, whole.nights - daysBetween(trip.starts, sofar.on));
  const along = trip.carries.filter(({ mark }) => !mark?.exit).flatMap(({ item }) => of(item) ?? []);
  const list = along.map(({ case: { item } }) => item);
  const { foodGrams, gas } = suppliesAhead(
    supplyUses(book),
    list,
    { nights, days, shopDays: days, dryKm: 0 },
    ENOUGH,
  );
  const weak = along
    .flatMap(({ case: { item }, left }) =>
      left && item.wears === "m" ? [{ item, chance: 1 - left.lasts(metres) }] : [],
    )
    .filter(({ chance }) => chance >= WORTH_NAMING)
    .sort((a, b) => b.chance - a.chance);
  return { metres, days, nights, food: foodGrams, gas: gas?.grams ?? null, weak };
}

/** "Left: 270 km in 9 days. For it: 6.3 kg of food, 230 g of gas. Shoes: 30 % to give out before the end." */
export function sayRest({ metres, days, food, gas, weak }: Rest, units: Units): string {
  const wants = [
    `${sayMass(food, units)} of food`,
    ...(gas === null ? [] : [`${sayMass(gas, units)} of gas`]),
  ];
  return [
    `Left: ${sayDistance(metres, units)} in ${count(days, "day")}.`,
    `For it, enough nine times in ten: ${listWords(wants)}, less what you buy on the way.`,
    weak.length
      ? `May not see the end: ${listWords(weak.map(({ item, chance }) => `${item.name} (${percent(chance)})`))}.`
      : "What is worn by the way should see the end.",
  ].join(" ");
}
