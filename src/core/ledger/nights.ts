import { groupBy } from "./group";
import type { FeltNight } from "../model";

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
