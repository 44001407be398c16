import type { Carry, Leg, Mark, TripHead } from "../model";
import { daysAfter, daysBetween } from "../sums/days";
import { nth } from "../sums/there";
import { parseLength, parseNumber, type Parsed } from "../units/quantity";
import type { Units } from "../units/speak";
import { endsOf } from "./stretches";

/** What of a trip says where on it one was, and when. */
export type Walked = Pick<TripHead, "starts" | "ends"> & {
  readonly legs: readonly Pick<Leg, "id" | "distance" | "starts" | "ends">[];
};

/**
 * Where on the way something happened, in metres from the start: at the distance told, else at the end of its
 * leg; null where nobody said.
 */
export function metresOf({ legs }: Pick<Walked, "legs">, mark: Carry["mark"]): number | null {
  const at = mark?.at;
  if (!at) return null;
  if (at.distance) return at.distance.m;
  const n = legs.findIndex(({ id }) => id === at.leg);
  return n < 0 ? null : nth(endsOf(legs), n + 1);
}

/** The leg that a distance from the start lies on; the last one where it lies beyond the way. */
export function placeAt(metres: number, legs: Walked["legs"]): NonNullable<Mark["at"]> {
  const ends = endsOf(legs);
  const n = legs.findIndex((_, at) => metres <= nth(ends, at + 1));
  const km = metres / 1000;
  return {
    leg: legs.at(n)?.id ?? null,
    distance: { typed: `${Math.round(km * 10) / 10} km`, m: metres },
  };
}

/**
 * How far one had come in the middle of a day of the trip, in metres: by the days of its leg where they are told,
 * else as if every day was as long. Null: the trip has no such day.
 *
 * @param day from 1, the first
 */
export function metresOnDay(trip: Walked, day: number): number | null {
  const days = daysBetween(trip.starts, trip.ends) + 1;
  if (!(day >= 1 && day <= days)) return null;
  const on = daysAfter(trip.starts, day - 1);
  const ends = endsOf(trip.legs);
  const n = trip.legs.findIndex(({ starts, ends: last }) => starts && last && starts <= on && on <= last);
  const leg = trip.legs[n];
  const [from, to, first, last] = leg
    ? [nth(ends, n), nth(ends, n + 1), leg.starts!, leg.ends!]
    : [0, ends.at(-1) ?? 0, trip.starts, trip.ends];
  return Math.round(from + ((to - from) * (daysBetween(first, on) + 0.5)) / (daysBetween(first, last) + 1));
}

const DAY = /^(?:on )?day\s*(\d{1,4})$/i;

/**
 * Where something happened as it is typed: "41", "41 km", "km 41", "day 3", or a day as 2026-05-14; a bare number
 * is in the owner's
 * unit of distance.
 */
export function readPlace(typed: string, trip: Walked, units: Units): Parsed<NonNullable<Mark["at"]>> {
  const text = typed.trim();
  const day = DAY.exec(text)?.[1] ?? (/^\d{4}-\d\d-\d\d$/.test(text) ? dayOf(trip, text) : null);
  if (day !== null) {
    const metres = metresOnDay(trip, Number(day));
    const days = daysBetween(trip.starts, trip.ends) + 1;
    return metres === null
      ? { ok: false, why: `The trip has days 1 to ${days}.` }
      : { ok: true, value: placeAt(metres, trip.legs) };
  }
  const turned = text.replace(/^(km|miles?|mi)\s*(.+)$/i, (_, unit: string, number: string) =>
    parseNumber(number) === null ? text : `${number} ${unit.toLowerCase().startsWith("mile") ? "mi" : unit}`,
  );
  const read = parseLength(turned, units.distance);
  if (!read.ok) return read;
  const whole = endsOf(trip.legs).at(-1) ?? 0;
  return { ok: true, value: { ...placeAt(Math.min(read.value.m, whole), trip.legs), distance: read.value } };
}

const dayOf = (trip: Walked, on: string): string => String(daysBetween(trip.starts, on) + 1);
