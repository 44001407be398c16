import { freeLegId } from "@/core/ledger/stretches";
import type { Part } from "@/core/track/join";
import { METRES_PER_FOOT, METRES_PER_MILE } from "@/core/units/quantity";
import type { ItemId, Offer, Stow, Strength, Trigger, Track, TripId } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { parseNumber, typedTemperature, withUnit } from "@/core/units/quantity";
import { entriesOf } from "@/core/sums/keys";

export interface LegValues {
  /** The leg's id, which it keeps wherever it is put. */
  leg: string;
  name: string;
  distance: string;
  ascent: string;
  terrain: string;
  nights: string;
  /** ISO days; blank: not said. */
  starts: string;
  ends: string;
  /** Where it was other than on the whole trip. */
  conditions: Partial<Record<Trigger, Strength>>;
  /** What it offered: a shop, a bed. */
  offers: Partial<Record<Offer, Strength>>;
}

export interface TripValues {
  name: string;
  starts: string;
  ends: string;
  nights: string;
  planned: boolean;
  cut: boolean;
  note: string;
  low: string;
  dry: string;
  resupply: string;
  legs: LegValues[];
  conditions: Partial<Record<Trigger, Strength>>;
  /** Days that had it, as typed. */
  counted: Partial<Record<Trigger, string>>;
  offers: Partial<Record<Offer, Strength>>;
  /** Legs carried on, by item; "all", or their ids parted by commas. */
  packed: Partial<Record<string, string>>;
  /** A track just read; null: what the trip has stays. */
  track: Omit<Track, "trip"> | null;
}

export interface Packable {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly grams: number;
}

const orNull = (text: string) => (text.trim() === "" ? null : text.trim());

/** What was typed, in the shape of a trip in a file. */
export function toTrip(id: TripId | undefined, typed: TripValues, units: Units): Record<string, unknown> {
  return {
    ...(id ? { id } : {}),
    name: typed.name,
    starts: typed.starts,
    ends: typed.ends || typed.starts,
    planned: typed.planned,
    cut: typed.cut,
    note: typed.note,
    nights: parseNumber(typed.nights),
    foreseen: {
      low: typedTemperature(typed.low, units.temperature),
      dry: orNull(withUnit(typed.dry, units.distance)),
      resupply: parseNumber(typed.resupply),
    },
    legs: typed.legs.map(
      ({ leg, name, distance, ascent, terrain, nights, starts, ends, conditions, offers }) => ({
        id: leg,
        conditions: told(conditions),
        offers: told(offers),
        starts: orNull(starts),
        ends: orNull(ends),
        nights: typed.legs.length === 1 ? null : parseNumber(nights),
        name,
        terrain,
        distance: withUnit(distance, units.distance),
        ascent: orNull(withUnit(ascent, units.distance === "km" ? "m" : "ft")),
      }),
    ),
    conditions: told(typed.conditions),
    counted: Object.fromEntries(
      entriesOf(typed.counted).flatMap(([trigger, days]) =>
        days.trim() && typed.conditions[trigger] !== "none" ? [[trigger, parseNumber(days)]] : [],
      ),
    ),
    offers: told(typed.offers),
  };
}

const told = (strengths: Partial<Record<string, Strength>>) =>
  Object.fromEntries(Object.entries(strengths).filter(([, strength]) => strength));

/** One leg more, with an id of its own. */
export function blankLeg(legs: readonly LegValues[]): LegValues {
  const leg = freeLegId(legs.map(({ leg: id }) => id));
  return {
    leg,
    name: "",
    distance: "",
    ascent: "",
    terrain: "mixed",
    nights: "",
    starts: "",
    ends: "",
    conditions: {},
    offers: {},
  };
}

/** Legs from the parts of a track, in the owner's units. A day's leg has that day's date. */
export function legsOf(parts: readonly Part[], units: Units): LegValues[] {
  const long = (metres: number) =>
    units.distance === "km"
      ? `${(metres / 1000).toFixed(1)} km`
      : `${(metres / METRES_PER_MILE).toFixed(1)} mi`;
  const high = (metres: number | null) => {
    if (metres === null) return "";
    return units.distance === "km" ? `${Math.round(metres)} m` : `${Math.round(metres / METRES_PER_FOOT)} ft`;
  };
  return parts.map(({ name, on, sum }, n) => ({
    leg: `leg-${n + 1}`,
    name: parts.length > 1 ? name : "",
    distance: long(sum.metres),
    ascent: high(sum.ascent),
    terrain: "mixed",
    nights: "",
    starts: (parts.length > 1 && on) || "",
    // The night after a day's walk is that day's; the last has none.
    ends: (parts.length > 1 && on && (parts[n + 1]?.on ?? on)) || "",
    conditions: {},
    offers: {},
  }));
}

/** What is packed, and on which legs. */
export const toPacked = ({ packed }: TripValues) =>
  Object.entries(packed).flatMap(([item, legs]) =>
    legs === undefined ? [] : [{ item, legs: legs === "all" ? null : legs.split(",") }],
  );
