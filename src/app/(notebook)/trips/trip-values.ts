import { Leg, type Carry, type TripHead } from "@/core/model";
import { temperatureText, type Units } from "@/core/units/speak";
import type { Book } from "@/core/ledger/book";
import { blankLeg, type Packable, type TripValues } from "./form/trip-form-values";

export const BLANK_TRIP: TripValues = {
  name: "",
  starts: "",
  ends: "",
  nights: "",
  planned: false,
  cut: false,
  note: "",
  low: "",
  dry: "",
  resupply: "",
  legs: [blankLeg([])],
  conditions: {},
  counted: {},
  offers: {},
  packed: {},
  track: null,
};

/** A trip as its form holds it. */
export function tripValues(trip: TripHead, carries: readonly Carry[], units: Units): TripValues {
  const legs = trip.legs.map((leg) => Leg.encode(leg));
  return {
    name: trip.name,
    starts: trip.starts,
    ends: trip.ends,
    nights: trip.nights === null ? "" : String(trip.nights),
    planned: trip.planned,
    cut: trip.cut,
    note: trip.note,
    low: trip.foreseen.low === null ? "" : temperatureText(trip.foreseen.low, units),
    dry: trip.foreseen.dry?.typed ?? "",
    resupply: trip.foreseen.resupply === null ? "" : String(trip.foreseen.resupply),
    legs: legs.map(({ id, name, distance, ascent, terrain, nights, starts, ends, conditions, offers }) => ({
      leg: id,
      nights: nights == null ? "" : String(nights),
      name: name ?? "",
      distance: String(distance),
      ascent: ascent === null || ascent === undefined ? "" : String(ascent),
      terrain: terrain ?? "mixed",
      starts: starts ?? "",
      ends: ends ?? "",
      conditions: conditions ?? {},
      offers: offers ?? {},
    })),
    conditions: trip.conditions,
    counted: Object.fromEntries(
      Object.entries(trip.counted).map(([trigger, days]) => [trigger, String(days)]),
    ),
    offers: trip.offers,
    packed: Object.fromEntries(
      carries.map(({ item, legs: on }) => [item, on === null ? "all" : on.join(",")]),
    ),
    track: null,
  };
}

/** What may be packed: what is on the shelf, and what is on the list already. */
export function packable(book: Book, carries: readonly Carry[] = []): Packable[] {
  const listed = new Set(carries.map((carry) => carry.item));
  return book.items
    .filter((item) => item.state === "active" || listed.has(item.id))
    .map(({ id, name, stow, weight }) => ({ id, name, stow, grams: weight?.g ?? 0 }));
}
