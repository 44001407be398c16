import type { WentAlong } from "@/core/ledger/along";
import { carriedOfTrip, type Book } from "@/core/ledger/book";
import { outingOf } from "@/core/ledger/outing";
import { endsOf, stretchesOf } from "@/core/ledger/stretches";
import type { ItemId, Mark, Trip } from "@/core/model";
import { happenedOn, legName } from "@/core/say/walk/mark";
import { sayDistance } from "@/core/units/speak";
import type { StrokeCode } from "@/ui/stroke/stroke";
import { strokeOf } from "@/ui/stroke/stroke-code";

/** A thing that was along, and its stroke. */
export interface Along extends WentAlong {
  readonly code: StrokeCode;
}

export const alongOf = (trip: Trip, book: Book): Along[] =>
  carriedOfTrip(outingOf(trip), trip.carries).flatMap((carried) => {
    const item = book.item(carried.carry.item);
    const { carry, metres, borne } = carried;
    return item ? [{ item, carry, metres, borne, code: strokeOf(carried, item) }] : [];
  });

/** What was borne with somebody, or by them. */
export const sharedOf = (along: readonly Along[]) =>
  along.flatMap(({ item, carry: { shared } }) =>
    shared
      ? [{ item: item.id, name: item.name, grams: item.weight?.g ?? 0, owner: item.owner, ...shared }]
      : [],
  );

/** What happened, where on the way. */
export const happenedIn = (trip: Trip, along: readonly Along[]) =>
  along.flatMap(({ item, carry: { mark } }) => {
    const place = happenedOn(mark, trip.legs, endsOf(trip.legs));
    return place ? [{ ...place, name: item.name }] : [];
  });

/** The way as it is drawn: its legs, and who was along on which stretch of it. */
export function wayOf(trip: Trip, along: readonly Along[], { items, settings }: Book) {
  const ends = endsOf(trip.legs);
  const placeOf = (mark: Mark | null) => {
    const place = happenedOn(mark, trip.legs, ends);
    return place && { ...place, words: `${place.words}, at ${sayDistance(place.metres, settings.units)}` };
  };
  const isAlong = (other: ItemId) => along.some(({ item }) => item.id === other);
  return {
    legs: trip.legs.map(({ id }, n) => ({
      id,
      name: legName(trip.legs, id),
      from: ends[n] ?? 0,
      to: ends[n + 1] ?? 0,
    })),
    rows: along.map(({ item, carry: { legs, mark } }) => ({
      item: item.id,
      name: item.name,
      slot: item.slot,
      stretches: stretchesOf(trip.legs, legs),
      place: placeOf(mark),
    })),
    others: items
      .filter(({ id, state }) => state === "active" && !isAlong(id))
      .map(({ id, name }) => ({ item: id, name })),
  };
}
