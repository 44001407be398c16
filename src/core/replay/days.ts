import { daysAfter } from "../sums/days";
import { known, nth } from "../sums/there";
import { countedOn, strengthOn, type Outing } from "../ledger/outing";
import type { FeltNight, ItemId, Leg, Strength, Trigger, TripId } from "../model";
import { CALLED_SHARE } from "../trade/ground";
import { FORESEEN } from "../trade/triggers";

/** A night out, as it was told or as its weather lets one guess. */
interface DayNight {
  /** °C; null where nothing tells of it. */
  readonly low: number | null;
  /** Nobody told the low: it is taken from what was said of the cold. */
  readonly isGuess: boolean;
  readonly roof: boolean;
  readonly slept: readonly ItemId[];
}

/** A day of a walk: what it asked. */
export interface Day {
  readonly trip: TripId;
  /** Its place among the trip's days, from 1. */
  readonly n: number;
  readonly on: string;
  readonly leg: Leg | null;
  readonly metres: number;
  /** Metres up, as its leg has them; null where nobody said. */
  readonly ascent: number | null;
  /** What weather and ground it had; what it had none of is left out. */
  readonly weather: ReadonlyMap<Trigger, Exclude<Strength, "none">>;
  /** Of these, what somebody said of the walk, and nobody of the day. */
  readonly guessed: ReadonlySet<Trigger>;
  /** The night after it; null after the last, and on a day walk. */
  readonly night: DayNight | null;
}

/**
 * Lows that are guessed, °C, where frost or cold was told and no night was measured. Common practice, no
 * source.
 */
const GUESSED_LOW = {
  freezing: { some: -2, strong: -7 },
  cold: { some: 4, strong: 1 },
} as const;

/**
 * The days of a walk, each with its part of the way, its weather and its night. What was told of a day, counted
 * or measured stands as told; a weather that is only told of the whole walk, or of a leg, is spread evenly over as
 * many of
 * the days as it usually takes, and marked as a guess.
 */
export function daysOf({ trip, days, nights, shares }: Outing): Day[] {
  const legs = legsByDay(trip.legs, shares, trip.starts, days);
  /** A day's part of what its leg has in all. */
  const ofDay = (leg: Leg, all: number) => all / Math.max(1, legs.filter((each) => each === leg).length);
  const weather = legs.map(() => new Map<Trigger, Exclude<Strength, "none">>());
  const guessed = legs.map(() => new Set<Trigger>());
  const daily = new Map(trip.daily.map((day) => [day.on, day.weather]));
  const told = legs.map((_, n) => daily.get(daysAfter(trip.starts, n)) ?? {});
  for (const trigger of FORESEEN) {
    told.forEach((day, n) => {
      const strength = day[trigger];
      if (strength && strength !== "none") nth(weather, n).set(trigger, strength);
    });
    const strengths = legs.map((leg) => strengthOn(trip, leg && [leg.id], trigger) ?? "none");
    const there = strengths.flatMap((strength, n) =>
      strength === "none" || nth(told, n)[trigger] !== undefined ? [] : [n],
    );
    const had = told.filter((day) => (day[trigger] ?? "none") !== "none").length;
    const counted = countedOn(trip, trigger);
    const usual = there.reduce((sum, n) => sum + CALLED_SHARE[nth(strengths, n)], 0);
    const least = told.some((day) => day[trigger] !== undefined) ? 0 : 1;
    const many = Math.max(least, Math.round(counted === undefined ? usual : counted - had));
    for (const n of evenly(there, Math.min(there.length, many))) {
      nth(weather, n).set(trigger, strengths[n] === "strong" ? "strong" : "some");
      if (many < there.length || counted === undefined) nth(guessed, n).add(trigger);
    }
  }
  const slept = nightsOf(trip.felt, trip.starts, Math.min(nights, days));
  const beds = trip.offers.beds === "strong";
  return legs.map((leg, at): Day => {
    const told = at < Math.min(nights, days) ? (slept[at] ?? null) : undefined;
    return {
      trip: trip.id,
      n: at + 1,
      on: daysAfter(trip.starts, at),
      leg,
      metres: leg === null ? 0 : ofDay(leg, leg.distance.m),
      ascent: leg?.ascent ? ofDay(leg, leg.ascent.m) : null,
      weather: nth(weather, at),
      guessed: nth(guessed, at),
      night: told === undefined ? null : nightOf(told, nth(weather, at), beds),
    };
  });
}

/** So many of some places, spread evenly. */
function evenly(places: readonly number[], many: number): number[] {
  return Array.from({ length: many }, (_, n) => nth(places, Math.floor(((n + 0.5) * places.length) / many)));
}

/** The leg of each day: by the legs' own dates where they have them, else by their share of the days. */
function legsByDay(
  legs: readonly Leg[],
  shares: Outing["shares"],
  starts: string,
  days: number,
): (Leg | null)[] {
  const ends: number[] = [];
  for (const leg of legs) ends.push((ends.at(-1) ?? 0) + known(shares, leg.id) * days);
  return Array.from({ length: days }, (_, n) => {
    const on = daysAfter(starts, n);
    const dated = legs.find(
      (leg) => leg.starts !== null && leg.ends !== null && leg.starts <= on && on <= leg.ends,
    );
    // Half of a day that two legs share belongs to the one that most of it is walked on.
    return dated ?? legs[ends.findIndex((end) => n + 0.5 <= end + 1e-9)] ?? legs.at(-1) ?? null;
  });
}

/** Each night's telling: those with a date on their day, the others in the order told on what is left. */
function nightsOf(felt: readonly FeltNight[], starts: string, nights: number): (FeltNight | undefined)[] {
  const byDay = new Map(felt.flatMap((night) => (night.on === null ? [] : [[night.on, night] as const])));
  const undated = felt.filter(({ on }) => on === null);
  return Array.from({ length: nights }, (_, n) => byDay.get(daysAfter(starts, n)) ?? undated.shift());
}

function nightOf(told: FeltNight | null, weather: Day["weather"], beds: boolean): DayNight {
  const roof = (told?.roof ?? false) || beds;
  const slept = told?.slept ?? [];
  if (told?.low != null) return { low: told.low, isGuess: false, roof, slept };
  const [freezing, cold] = [weather.get("freezing"), weather.get("cold")];
  const byCold = cold ? GUESSED_LOW.cold[cold] : null;
  return { low: freezing ? GUESSED_LOW.freezing[freezing] : byCold, isGuess: true, roof, slept };
}
