import { Trip, type Carry, type TripHead } from "@/core/model";

const Shown = Trip.pick({
  name: true,
  starts: true,
  ends: true,
  nights: true,
  planned: true,
  cut: true,
  note: true,
  legs: true,
  conditions: true,
  offers: true,
  foreseen: true,
});

/** What the form shows of a trip, to tell whether it was changed elsewhere meanwhile. */
export type Seen = Readonly<Record<string, unknown>>;

export const seenOf = (trip: TripHead, carries: readonly Carry[]): Seen => ({
  ...Shown.encode(trip),
  "what went along": carries.map(({ item, legs }) => [item, legs]),
});
