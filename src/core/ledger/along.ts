import type { Carry, Trip } from "../model";
import type { FullItem } from "../trade/full-item";
import { carriedOfTrip, partOf, type Book } from "./book";
import { outingOf } from "./outing";

/** A thing that was along on a trip: as it is on the shelf, as it was carried, how far. */
export interface WentAlong {
  readonly item: FullItem;
  readonly carry: Carry;
  readonly metres: number;
  /** Metres' worth of its weight on the owner's own back. */
  readonly borne: number;
}

export const wentAlong = (trip: Trip, book: Book): WentAlong[] =>
  carriedOfTrip(outingOf(trip), trip.carries).flatMap(({ carry, metres, borne }) => {
    const item = book.item(carry.item);
    return item ? [{ item, carry, metres, borne }] : [];
  });

/** What the owner carried of a thing, in grams; what nobody weighed counts nothing. */
const carriedGrams = ({ item, carry }: WentAlong) => (item.weight?.g ?? 0) * partOf(carry);

/** Grams of some things, as far as the owner carried them. */
export const gramsOf = (things: readonly WentAlong[]) =>
  things.reduce((sum, each) => sum + carriedGrams(each), 0);

/** Gram-metres of some things. */
export const gramMetresOf = (things: readonly WentAlong[]) =>
  things.reduce((sum, each) => sum + (each.item.weight?.g ?? 0) * each.borne, 0);

/** What stayed in the pack: dead weight, and cover, which is there not to be needed. */
export function unusedOf<Thing extends WentAlong>(along: readonly Thing[]) {
  const unused = along.filter(({ carry }) => carry.mark?.use === "unused");
  return {
    dead: unused.filter(({ item }) => !item.cover),
    cover: unused.filter(({ item }) => item.cover),
  };
}
