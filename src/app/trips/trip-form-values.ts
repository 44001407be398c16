import type { ItemId, Offer, Stow, Strength, Trigger, TripId } from "@/core/model";
import type { Units } from "@/core/units/speak";
import { parseNumber } from "@/core/units/quantity";

export interface LegValues {
  /** The leg's id, which it keeps wherever it is put. */
  leg: string;
  name: string;
  distance: string;
  ascent: string;
  terrain: string;
  nights: string;
}

export interface TripValues {
  name: string;
  starts: string;
  ends: string;
  nights: string;
  planned: boolean;
  cut: boolean;
  note: string;
  legs: LegValues[];
  conditions: Partial<Record<Trigger, Strength>>;
  offers: Partial<Record<Offer, Strength>>;
  /** Legs carried on, by item; "all", or their ids parted by commas. */
  packed: Partial<Record<string, string>>;
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
  const bare = (text: string, unit: string) =>
    /^[\d.,\s]+$/.test(text) && text.trim() !== "" ? `${text.trim()} ${unit}` : text.trim();
  return {
    ...(id ? { id } : {}),
    name: typed.name,
    starts: typed.starts,
    ends: typed.ends || typed.starts,
    planned: typed.planned,
    cut: typed.cut,
    note: typed.note,
    nights: parseNumber(typed.nights),
    legs: typed.legs.map(({ leg, name, distance, ascent, terrain, nights }) => ({
      id: leg,
      nights: typed.legs.length === 1 ? null : parseNumber(nights),
      name,
      terrain,
      distance: bare(distance, units.distance),
      ascent: orNull(bare(ascent, units.distance === "km" ? "m" : "ft")),
    })),
    conditions: told(typed.conditions),
    offers: told(typed.offers),
  };
}

const told = (strengths: Partial<Record<string, Strength>>) =>
  Object.fromEntries(Object.entries(strengths).filter(([, strength]) => strength));

/** One leg more, with an id of its own. */
export function blankLeg(legs: readonly LegValues[]): LegValues {
  const taken = new Set(legs.map(({ leg }) => leg));
  const free = Array.from({ length: legs.length + 1 }, (_, n) => `leg-${n + 1}`).find(
    (id) => !taken.has(id),
  )!;
  return { leg: free, name: "", distance: "", ascent: "", terrain: "mixed", nights: "" };
}

/** What is packed, and on which legs. */
export const toPacked = ({ packed }: TripValues) =>
  Object.entries(packed).flatMap(([item, legs]) =>
    legs === undefined ? [] : [{ item, legs: legs === "all" ? null : legs.split(",") }],
  );
