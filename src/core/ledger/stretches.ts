import { lastOf, nth } from "../sums/there";
import type { Carry, ItemId, Leg, LegId, Trip } from "../model";
import { daysAfter, daysBetween } from "../sums/days";

/** A part of a trip's way, in metres from its start. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * What a change of load leaves on either side is no leg of its own under this, in metres: it joins the nearer
 * leg's end.
 */
const SHORTEST_LEG = 50;

type Walk = Pick<Trip, "legs" | "carries">;

/** Where each leg starts, and where the last one ends, in metres. */
export function endsOf(legs: readonly Pick<Leg, "distance">[]): number[] {
  const ends = [0];
  for (const { distance } of legs) ends.push(lastOf(ends) + distance.m);
  return ends;
}

/** Where a thing was along, legs in a row as one stretch; `on` null: all the way. */
export function stretchesOf(legs: readonly Leg[], on: readonly LegId[] | null): Stretch[] {
  const ends = endsOf(legs);
  const stretches: { from: number; to: number }[] = [];
  legs.forEach(({ id }, n) => {
    if (on !== null && !on.includes(id)) return;
    const last = stretches.at(-1);
    if (last && last.to === ends[n]) last.to = nth(ends, n + 1);
    else stretches.push({ from: nth(ends, n), to: nth(ends, n + 1) });
  });
  return stretches;
}

/**
 * The trip with a leg's end at a distance: a leg is a stretch with one load, so a change of load on the way
 * begins another. Dates and nights are shared out by distance; what was carried on the leg is carried on both
 * parts. Within {@link SHORTEST_LEG} of a leg's end, or beyond the way, it is the same trip.
 *
 * @param metres from the start of the trip
 */
export function splitAt<W extends Walk>(trip: W, metres: number): W {
  const ends = endsOf(trip.legs);
  const n = trip.legs.findIndex(
    (_, at) => metres > nth(ends, at) + SHORTEST_LEG && metres < nth(ends, at + 1) - SHORTEST_LEG,
  );
  const leg = trip.legs[n];
  if (!leg) return trip;
  const id = freeLegId(trip.legs.map(({ id: leg }) => leg));
  const [first, second] = partsOf(leg, id, metres - nth(ends, n));
  return {
    ...trip,
    legs: [...trip.legs.slice(0, n), first, second, ...trip.legs.slice(n + 1)],
    carries: trip.carries.map((carry) => ({
      ...carry,
      legs: onBoth(carry.legs, leg.id, id),
      shared: carry.shared && { ...carry.shared, legs: onBoth(carry.shared.legs, leg.id, id) },
      mark: movedPlace(carry, leg.id, id, metres),
    })),
  };
}

/** What was so on a leg that is cut is so on both its parts. */
const onBoth = (legs: readonly LegId[] | null, leg: LegId, second: LegId): LegId[] | null =>
  legs?.flatMap((on) => (on === leg ? [on, second] : on)) ?? null;

/** What happened on the leg at a known distance past the cut happened on its second part. */
function movedPlace({ mark }: Carry, leg: LegId, second: LegId, metres: number): Carry["mark"] {
  const at = mark?.at;
  if (!at || at.leg !== leg || !at.distance || at.distance.m <= metres) return mark;
  return { ...mark, at: { ...at, leg: second } };
}

/** A leg id that none of them bears. */
export function freeLegId(ids: readonly string[]): LegId {
  const taken = new Set(ids);
  let n = ids.length + 1;
  while (taken.has(`leg-${n}`)) n++;
  return `leg-${n}` as LegId;
}

/** A leg cut at some metres from its own start. */
function partsOf(leg: Leg, id: LegId, metres: number): [Leg, Leg] {
  const share = metres / leg.distance.m;
  const nights = leg.nights === null ? null : Math.round(leg.nights * share);
  const turn =
    leg.starts && leg.ends
      ? daysAfter(leg.starts, Math.round(daysBetween(leg.starts, leg.ends) * share))
      : null;
  const long = (m: number) => ({ typed: `${Math.round(m)} m`, m: Math.round(m) });
  const firstLong = long(metres);
  const climbed = leg.ascent === null ? null : Math.round(leg.ascent.m * share);
  return [
    {
      ...leg,
      distance: firstLong,
      ascent: climbed === null ? null : long(climbed),
      nights,
      ends: turn ?? leg.ends,
    },
    {
      ...leg,
      id,
      // Not a metre is lost to rounding.
      distance: { typed: `${leg.distance.m - firstLong.m} m`, m: leg.distance.m - firstLong.m },
      ascent: climbed === null ? null : long(leg.ascent!.m - climbed),
      nights: nights === null ? null : leg.nights! - nights,
      starts: turn ?? leg.starts,
    },
  ];
}

const IN_METRES = /^\d+ m$/;
const isAlike = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Two parts of one leg that was cut: alike in all but their length, which the cut has put in metres. */
const isCut = (a: Leg, b: Leg): boolean =>
  a.name === b.name &&
  a.terrain === b.terrain &&
  isAlike([a.conditions, a.offers], [b.conditions, b.offers]) &&
  a.ends === b.starts &&
  IN_METRES.test(a.distance.typed) &&
  IN_METRES.test(b.distance.typed);

/** The trip without the cuts that nobody's carriage asks for any more. */
function withoutIdleCuts<W extends Walk>(trip: W): W {
  const n = trip.legs.findIndex((leg, at) => {
    const next = trip.legs[at + 1];
    return (
      next !== undefined &&
      isCut(leg, next) &&
      trip.carries
        .flatMap(({ legs, shared }) => [legs, shared?.legs ?? null])
        .every((legs) => legs === null || legs.includes(leg.id) === legs.includes(next.id))
    );
  });
  const [first, second] = [trip.legs[n], trip.legs[n + 1]];
  if (!first || !second) return trip;
  const sum = (a: Leg["ascent"], b: Leg["ascent"]) => a && b && { m: a.m + b.m, typed: `${a.m + b.m} m` };
  const whole: Leg = {
    ...first,
    distance: sum(first.distance, second.distance) ?? first.distance,
    ascent: sum(first.ascent, second.ascent),
    nights: first.nights === null || second.nights === null ? null : first.nights + second.nights,
    ends: second.ends,
  };
  return withoutIdleCuts({
    ...trip,
    legs: [...trip.legs.slice(0, n), whole, ...trip.legs.slice(n + 2)],
    carries: trip.carries.map((carry) => ({
      ...carry,
      legs: carry.legs?.filter((id) => id !== second.id) ?? null,
      shared: carry.shared && {
        ...carry.shared,
        legs: carry.shared.legs?.filter((id) => id !== second.id) ?? null,
      },
      mark:
        carry.mark?.at?.leg === second.id
          ? { ...carry.mark, at: { ...carry.mark.at, leg: first.id } }
          : carry.mark,
    })),
  });
}

/**
 * The trip with a thing carried on just these stretches, its legs cut where one begins or ends. Not carried
 * at all where there are none.
 */
export function carriedOnStretches<W extends Walk>(trip: W, item: ItemId, stretches: readonly Stretch[]): W {
  const cut = stretches
    .flatMap(({ from, to }) => [from, to])
    .reduce((walk, metres) => splitAt(walk, metres), trip);
  const ends = endsOf(cut.legs);
  const on = cut.legs.filter((_, n) => {
    const middle = (nth(ends, n) + nth(ends, n + 1)) / 2;
    return stretches.some(({ from, to }) => from <= middle && middle <= to);
  });
  const legs = on.length === cut.legs.length ? null : on.map(({ id }) => id);
  const known = cut.carries.some((carry) => carry.item === item);
  if (on.length === 0)
    return withoutIdleCuts({ ...cut, carries: cut.carries.filter((carry) => carry.item !== item) });
  return withoutIdleCuts({
    ...cut,
    carries: known
      ? cut.carries.map((carry) => (carry.item === item ? { ...carry, legs } : carry))
      : [...cut.carries, { item, legs, shared: null, mark: null }],
  });
}
