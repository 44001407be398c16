import { nth } from "../sums/there";
import type { Leg, LegId, Offer, Strength, ToldDay, Trigger, TripHead } from "../model";
import { daysBetween, inOrder } from "../sums/days";
import { entriesOf, keysOf } from "../sums/keys";

/**
 * A trip with what the sums need of it, worked out once. What was carried is no part of it: a mark changes no
 * outing.
 */
export interface Outing {
  readonly trip: TripHead;
  /** Its place among the outings of the book, oldest first. */
  readonly n: number;
  readonly days: number;
  readonly nights: number;
  /** Metres walked, all legs. */
  readonly metres: number;
  /**
   * What the whole of it called for: told at some or strong on it or any of its legs, and what every night
   * out brings.
   */
  readonly calls: ReadonlySet<Trigger>;
  /** How strong each of it was, on the leg where it was strongest; left out where nobody said. */
  readonly strengths: TripHead["conditions"];
  /** Each leg's share, 0 to 1, of its days and nights. */
  readonly shares: ReadonlyMap<LegId, number>;
}

export function outingOf(trip: TripHead, n = 0): Outing {
  const days = daysBetween(trip.starts, trip.ends) + 1;
  const nights = trip.nights ?? days - 1;
  const metres = trip.legs.reduce((sum, leg) => sum + leg.distance.m, 0);
  return {
    trip,
    n,
    days,
    nights,
    metres,
    calls: callsOf(trip, nights),
    strengths: strongest(trip),
    shares: sharesOf(trip, metres),
  };
}

/** What some outings come to: metres walked, and nights out. */
export const walkedOn = (outings: readonly Outing[]) => ({
  metres: outings.reduce((sum, { metres }) => sum + metres, 0),
  nights: outings.reduce((sum, { nights }) => sum + nights, 0),
});

function strongest(trip: TripHead): TripHead["conditions"] {
  if (trip.legs.every(({ conditions }) => Object.keys(conditions).length === 0)) return trip.conditions;
  const told = new Set([trip, ...trip.legs].flatMap(({ conditions }) => keysOf(conditions)));
  return Object.fromEntries([...told].map((trigger) => [trigger, strengthOn(trip, null, trigger)]));
}

const STRENGTHS: readonly Strength[] = ["none", "some", "strong"];
const stronger = (a: Strength | undefined, b: Strength | undefined) =>
  a !== undefined && STRENGTHS.indexOf(a) >= STRENGTHS.indexOf(b ?? "none") ? a : b;

/** How strong something was on some legs of a trip (null: all of it); undefined where nobody said. */
export function strengthOn(
  trip: TripHead,
  legs: readonly LegId[] | null,
  trigger: Trigger,
): Strength | undefined {
  return on(trip, legs, (place) => place.conditions[trigger]);
}

/**
 * Days of a trip that had a weather, where they were counted: by their number, or since each day was told;
 * undefined where nobody did.
 */
export function countedOn(
  trip: Pick<TripHead, "counted" | "daily" | "starts" | "ends">,
  trigger: Trigger,
): number | undefined {
  const counted = trip.counted[trigger];
  if (counted !== undefined || trip.daily.length === 0) return counted;
  const told = trip.daily.flatMap(({ on, weather }) =>
    trip.starts <= on && on <= trip.ends ? (weather[trigger] ?? []) : [],
  );
  return told.length > daysBetween(trip.starts, trip.ends)
    ? told.filter((strength) => strength !== "none").length
    : undefined;
}

/** What the way offered on some legs of a trip (null: all of it). */
export function offeredOn(trip: TripHead, legs: readonly LegId[] | null, offer: Offer): Strength | undefined {
  return on(trip, legs, (place) => place.offers[offer]);
}

function on(
  trip: TripHead,
  legs: readonly LegId[] | null,
  told: (place: Pick<Leg, "conditions" | "offers">) => Strength | undefined,
): Strength | undefined {
  const whole = told(trip);
  return trip.legs
    .filter((leg) => legs === null || legs.includes(leg.id))
    .map((leg) => told(leg) ?? whole)
    .reduce<Strength | undefined>(stronger, legs === null ? whole : undefined);
}

/**
 * What some legs of a trip called for (null: all of it). A night out is dark and has a camp, unless the owner
 * said otherwise.
 */
export function callsOf(trip: TripHead, nights: number, legs: readonly LegId[] | null = null): Set<Trigger> {
  const calls = new Set<Trigger>(["always"]);
  if (nights > 0)
    for (const each of ["darkness", "camp time"] as const)
      if (trip.conditions[each] !== "none") calls.add(each);
  const add = (conditions: TripHead["conditions"], unless: TripHead["conditions"] = {}) => {
    for (const [trigger, strength] of entriesOf(conditions))
      if (strength !== "none" && unless[trigger] === undefined) calls.add(trigger);
  };
  if (legs === null) {
    add(trip.conditions);
    for (const leg of trip.legs) add(leg.conditions);
  } else {
    for (const leg of trip.legs.filter(({ id }) => legs.includes(id))) {
      add(leg.conditions);
      add(trip.conditions, leg.conditions);
    }
  }
  return calls;
}

/**
 * A leg's part of the trip's days and nights: by its own nights or dates where every leg has them, else by
 * distance.
 */
function sharesOf({ legs }: TripHead, metres: number): ReadonlyMap<LegId, number> {
  const nights = legs.map(nightsOf);
  const told = nights.every((each) => each !== null);
  const sum = told ? nights.reduce((all, each) => all + each!, 0) : metres;
  return new Map(
    legs.map((leg, n) => [
      leg.id,
      sum > 0 ? (told ? nth(nights, n) : leg.distance.m) / sum : 1 / legs.length,
    ]),
  );
}

const nightsOf = ({ nights, starts, ends }: Leg) =>
  nights ?? (starts && ends ? daysBetween(starts, ends) : null);

/** The told days of a trip with one more thing told of one of them, or (null) no longer told. */
export function withToldDay(
  daily: readonly ToldDay[],
  on: string,
  trigger: Trigger,
  strength: Strength | null,
): ToldDay[] {
  const before = daily.find((day) => day.on === on)?.weather ?? {};
  const weather: ToldDay["weather"] = Object.fromEntries([
    ...Object.entries(before).filter(([told]) => told !== trigger),
    ...(strength === null ? [] : [[trigger, strength]]),
  ]);
  return [
    ...daily.filter((day) => day.on !== on),
    ...(Object.keys(weather).length > 0 ? [{ on, weather }] : []),
  ].sort((a, b) => inOrder(a.on, b.on));
}

/** The told days of a trip with what else is known of one of them: what was told stands. */
export const withUntold = (daily: readonly ToldDay[], { on, weather }: ToldDay): ToldDay[] => {
  const before = daily.find((day) => day.on === on)?.weather ?? {};
  return [...daily.filter((day) => day.on !== on), { on, weather: { ...weather, ...before } }].sort((a, b) =>
    inOrder(a.on, b.on),
  );
};
