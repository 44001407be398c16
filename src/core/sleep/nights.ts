import { groupBy } from "../ledger/group";
import type { FeltNight, ItemId } from "../model";
import { count, listWords, sayTemperature, type Units } from "../units/speak";

/** Nights that were told alike, and how many. */
export interface Nights extends FeltNight {
  readonly nights: number;
}

const wordOf = ({ low, felt, slept }: FeltNight) => [low, felt, ...slept].join();
export const isAlike = (one: FeltNight, other: FeltNight) => wordOf(one) === wordOf(other);

/** Nights of one trip, those told alike together, in the order first told. */
export function alikeNights(felt: readonly FeltNight[]): Nights[] {
  return [...groupBy(felt, wordOf).values()].map((alike) => ({ ...alike[0]!, nights: alike.length }));
}

/** "2 nights felt cold, down to −9 °C, in the quilt". */
export function sayNights(
  { nights, low, felt, slept }: Nights,
  nameOf: (id: ItemId) => string,
  units: Units,
): string {
  return [
    `${count(nights, "night")}${felt ? ` felt ${felt}` : ""}`,
    ...(low === null ? [] : [`down to ${sayTemperature(low, units)}`]),
    ...(slept.length ? [`in ${listWords(slept.map(nameOf))}`] : []),
  ].join(", ");
}
