import { nth } from "../sums/there";
import { groupBy } from "../sums/group";
import type { FeltNight, ItemId } from "../model";

/** Nights that were told alike, and how many. */
export interface Nights extends FeltNight {
  readonly nights: number;
}

const wordOf = ({ low, felt, slept, roof, spoilt }: FeltNight) => [low, felt, roof, spoilt, ...slept].join();
export const isAlike = (one: FeltNight, other: FeltNight) => wordOf(one) === wordOf(other);

/** A night of which nothing is said. */
export const BLANK_NIGHT: FeltNight = {
  on: null,
  low: null,
  felt: null,
  slept: [],
  roof: false,
  spoilt: null,
};

/** A night in which the bed itself was tried: out, and nothing else at fault. */
export const tellsOfBed = ({ roof, spoilt }: Pick<FeltNight, "roof" | "spoilt">) => !roof && spoilt === null;

/** Nights of one trip, those told alike together, in the order first told. */
export function alikeNights(felt: readonly FeltNight[]): Nights[] {
  return [...groupBy(felt, wordOf).values()].map((alike) => ({ ...nth(alike, 0), nights: alike.length }));
}

/**
 * Nights with the lows that a thermometer told: those told of already keep what else was said, the others are
 * added in the bed given.
 */
export function withLows(
  felt: readonly FeltNight[],
  lows: readonly { readonly on: string; readonly low: number }[],
  bed: readonly ItemId[],
): FeltNight[] {
  const told = new Map(lows.map((night) => [night.on, night.low]));
  const known = felt.map((night) => {
    const low = night.on === null ? undefined : told.get(night.on);
    if (low === undefined) return night;
    told.delete(night.on!);
    return { ...night, low };
  });
  return [...known, ...[...told].map(([on, low]) => ({ ...BLANK_NIGHT, on, low, slept: [...bed] }))];
}
