import { known } from "../sums/there";
import type { LegId, Strength, Terrain, Trigger, Trip } from "../model";
import { medianOf } from "../sums/median";
import { outingOf, type Outing, strengthOn } from "./outing";

/** A stretch of the next trip between places where a thing can be replaced. */
interface NextStretch {
  readonly leg: LegId | null;
  readonly name: string;
  readonly metres: number;
  readonly terrain: Terrain;
  /** Share, 0 to 1, of the trip's days and nights. */
  readonly share: number;
}

/** How far and how long the next trip is: the one planned, else a usual short one. */
export interface NextOuting {
  /** Null where none is planned. */
  readonly name: string | null;
  readonly starts: string | null;
  readonly ends: string | null;
  readonly metres: number;
  readonly nights: number;
  readonly days: number;
  readonly stretches: readonly NextStretch[];
  /** What is foreseen; undefined where nobody can say. */
  readonly strength: (trigger: Trigger) => Strength | undefined;
  /** What the way offers; nothing is known of a trip nobody planned. */
  readonly offers: Trip["offers"];
  /** What goes along as far as the plan says; null where no plan says. */
  readonly items: ReadonlySet<string> | null;
}

/**
 * Someone back from five months does not leave for five more on Monday: a trip that nobody planned is at most
 * so long.
 */
const USUAL_NIGHTS = 7;
const USUAL_METRES = 120_000;
/** What is usual is told by the last so many. */
const LATELY = 5;

/** The first trip to come that is planned. */
const upcoming = (trips: readonly Trip[], today: string): Trip | undefined =>
  trips.find((trip) => (trip.planned || trip.starts > today) && trip.ends >= today);

export function nextOuting(trips: readonly Trip[], outings: readonly Outing[], today: string): NextOuting {
  const planned = upcoming(trips, today);
  return planned ? asPlanned(planned) : usual(outings.slice(-LATELY));
}

/** A planned trip, as the advice looks at it. */
export function asPlanned(trip: Trip): NextOuting {
  const { days, nights, metres, shares } = outingOf(trip);
  return {
    name: trip.name,
    starts: trip.starts,
    ends: trip.ends,
    days,
    nights,
    metres,
    stretches: trip.legs.map((leg) => ({
      leg: leg.id,
      name: leg.name,
      metres: leg.distance.m,
      terrain: leg.terrain,
      share: known(shares, leg.id),
    })),
    strength: (trigger) => strengthOn(trip, null, trigger),
    offers: trip.offers,
    items: trip.carries.length ? new Set(trip.carries.map(({ item }) => item)) : null,
  };
}

/** A first outing: out for a night. Common practice, no source. */
const FIRST = { metres: 25_000, nights: 1, days: 2 };

function usual(lately: readonly Outing[]): NextOuting {
  if (lately.length === 0) return { ...nextLike(FIRST), name: null };
  const metres = Math.min(USUAL_METRES, medianOf(lately.map((outing) => outing.metres)));
  const nights = Math.min(USUAL_NIGHTS, medianOf(lately.map((outing) => outing.nights)));
  const days = Math.min(USUAL_NIGHTS + 1, medianOf(lately.map((outing) => outing.days)));
  return { ...nextLike({ metres, nights, days }), name: null };
}

/** A trip of some length, on mixed ground, in weather that nobody can foresee. */
export const nextLike = (length: Pick<NextOuting, "metres" | "nights" | "days">): NextOuting => ({
  ...length,
  name: "such a trip",
  starts: null,
  ends: null,
  stretches: [{ leg: null, name: "", metres: length.metres, terrain: "mixed", share: 1 }],
  strength: () => undefined,
  offers: {},
  items: null,
});
