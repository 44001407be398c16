import { known, nth } from "../sums/there";
import {
  Mark as MarkSchema,
  type Entry,
  type ItemId,
  type Mark,
  type Strength,
  type Trigger,
} from "../model";
import type { FullItem } from "../trade/full-item";
import { CALLED_SHARE } from "../trade/ground";
import { isUnavoidable } from "../trade/triggers";
import { marked, strengthFor, type Book, type Carried, type Marked } from "./book";
import { inOrder } from "../sums/days";
import { countedOn, type Outing } from "./outing";

interface Exposure {
  readonly metres: number;
  readonly nights: number;
  readonly days: number;
  readonly trips: number;
}

/** Wear added on one trip, or between trips, on the day that it is counted. */
export interface WearStep {
  readonly on: string;
  readonly wear: number;
  /** The trip, marked or not yet. */
  readonly carried: Carried | null;
  readonly entry: Entry | null;
}

/** One item's ledger: what it was carried, what it was used, how worn it is, and what was lugged for nothing. */
export interface Totals {
  readonly carried: Exposure;
  readonly used: Exposure;
  /** Used before the log began, and between trips: in town, at work, on walks that are no trips. */
  readonly outside: Pick<Exposure, "metres" | "nights" | "days">;
  /** Wear in the item's own unit: use since new, its opening balance and its entries included. */
  readonly wear: number;
  /** What it was worn to when the log began. */
  readonly opening: number;
  /** What each trip and each entry added to it, oldest first: with `opening` they come to `wear`. */
  readonly steps: readonly WearStep[];
  /** Gram-metres carried and not used; 0 for cover and things without a weight. */
  readonly deadGramMetres: number;
  readonly spent: number;
}

/** `hardly` counts a tenth of the trip's wear. Common practice, no source. */
const USE_SHARE = { used: 1, hardly: 0.1, unused: 0 } as const;

/** Part of the days that it was carried, 0 to 1, on which an item was in use; known days win over the bare mark. */
export function shareUsed(mark: Mark, days: number): number {
  return mark.days === null || mark.use === "unused"
    ? USE_SHARE[mark.use]
    : Math.min(1, mark.days / Math.max(1, days));
}

/**
 * The ledgers of items (left out: all), in one pass.
 *
 * Wear comes from use, not from being carried. Things worn in turn (socks) share each leg equally among the
 * pieces used on it, so of a kind worn in turn the whole kind is wanted.
 */
export function ledger(book: Book, items: readonly FullItem[] = book.items): ReadonlyMap<ItemId, Totals> {
  const sharers = countSharers(book, items);
  return new Map(items.map((item) => [item.id, totalsOf(item, book, sharers)]));
}

function totalsOf(item: FullItem, book: Book, sharers: Sharers): Totals {
  const carried = { metres: 0, nights: 0, days: 0, trips: 0 };
  const used = { metres: 0, nights: 0, days: 0, trips: 0 };
  let deadGramMetres = 0;
  const own = book.carriedOf(item.id);
  for (const one of own) {
    const { outing, mark, part, borne } = one;
    // What a companion carried of it is off the owner's back; it was used, and wore, all the same.
    carried.metres += borne;
    carried.nights += outing.nights * part;
    carried.days += outing.days * part;
    carried.trips += 1;
    if (!mark) continue;
    const share = shareUsed(mark, outing.days * part);
    used.metres += metresUsed(item, one) * share;
    used.nights += nightsFor(item, outing) * part * share;
    used.days += outing.days * part * share;
    if (mark.use !== "unused") used.trips += 1;
    else if (!item.cover && item.weight) deadGramMetres += item.weight.g * borne;
  }
  const entries = book.entriesOf(item.id);
  const steps = stepsOf(item, own, entries, book, sharers);
  const opening = item.opening ? wearBetween(item, item.opening) : 0;
  return {
    carried,
    used,
    outside: usedOutside(item, entries),
    deadGramMetres,
    steps,
    opening,
    wear: opening + steps.reduce((sum, step) => sum + step.wear, 0),
    spent: entries.reduce((sum, entry) => sum + (entry.cost ?? 0), 0),
  };
}

/** Metres walked in a thing on a trip: of the day's way, or, for the evening's, about camp. */
const metresUsed = ({ rules: { evening } }: FullItem, { metres, outing, part }: Carried): number =>
  evening > 0 ? outing.nights * part * evening : metres;

/** Nights of an outing that a thing could serve on: under a roof no shelter is put up. */
const nightsFor = ({ jobs }: FullItem, { nights, trip }: Outing): number =>
  jobs.includes("shelter") ? Math.max(0, nights - trip.felt.filter(({ roof }) => roof).length) : nights;

function usedOutside({ opening }: FullItem, entries: readonly Entry[]): Totals["outside"] {
  const told = [...(opening ? [opening] : []), ...entries];
  return {
    metres: told.reduce((sum, { distance }) => sum + (distance?.m ?? 0), 0),
    nights: told.reduce((sum, { nights }) => sum + nights, 0),
    days: opening?.days ?? 0,
  };
}

/** All that a thing was used in its life: on trips, before the log, and between. */
export const usedInAll = ({ used, outside }: Pick<Totals, "used" | "outside">) => ({
  metres: used.metres + outside.metres,
  nights: used.nights + outside.nights,
  days: used.days + outside.days,
});

/** Wear in the order it came, for the chart and for readings: what was worn between trips stands where its date is. */
function stepsOf(
  item: FullItem,
  own: readonly Carried[],
  entries: readonly Entry[],
  book: Book,
  sharers: Sharers,
): WearStep[] {
  const usual = usualShare(marked(own));
  const wearOn = (one: Carried): number | null => {
    const { mark } = one;
    if (mark) return tripWear(item, { ...one, mark }, book, sharers);
    return usual === null ? null : usual * tripWear(item, { ...one, mark: USED }, book, sharers);
  };
  const onTrips = own.flatMap((carried): WearStep[] => {
    const wear = wearOn(carried);
    return wear === null ? [] : [{ on: carried.outing.trip.ends, wear, carried, entry: null }];
  });
  if (entries.length === 0) return onTrips;
  const between = entries.map((entry): WearStep => ({
    on: entry.on,
    wear: wearBetween(item, entry),
    carried: null,
    entry,
  }));
  return [...onTrips, ...between].sort((a, b) => inOrder(a.on, b.on));
}

/**
 * Share of a trip's wear that a thing took on those that it was marked for, 0 to 1: on one that it is not
 * marked for yet it was used as often. Null before the first mark.
 */
const usualShare = (marks: readonly Marked[]): number | null =>
  marks.length ? marks.reduce((sum, { mark }) => sum + USE_SHARE[mark.use], 0) / marks.length : null;

const USED = MarkSchema.parse({ use: "used" });

function tripWear(item: FullItem, one: Marked, book: Book, sharers: Sharers): number {
  const { outing, mark, part, shares } = one;
  const { inTurn, terrain, perNight, evening } = item.rules;
  const share = shareUsed(mark, outing.days * part);
  if (share === 0) return 0;
  if (item.wears === "m" && evening > 0) return nightsFor(item, outing) * part * share * evening;
  const among = inTurn && mark.days === null ? sharers.get(`${outing.trip.id}\n${item.kind}`) : undefined;
  if (item.wears === "m") {
    return outing.trip.legs.reduce((sum, leg, n) => {
      const carried = shares === null ? 1 : (shares.get(leg.id) ?? 0);
      if (carried === 0) return sum;
      const ground = terrain ? book.rules.terrain[leg.terrain] : 1;
      return sum + (leg.distance.m * carried * ground * share) / (among?.[n] ?? 1);
    }, 0);
  }
  if (item.wears === "wet days") return mark.days ?? share * daysCalled(one, ["rain"], "some");
  if (item.wears === "called days") return mark.days ?? share * daysCalled(one, item.triggers, "none");
  if (item.wears === "nights")
    return (nightsFor(item, outing) * part * share) / Math.max(1, ...(among ?? [1]));
  // A day walk has no night, but it drinks and brews for half a day.
  return perNight * Math.max(outing.nights, outing.days / 2) * part * share;
}

/**
 * Days, of those that it was carried, with what calls for a thing: as counted where they were, else by how
 * strong it was on each leg; all of them where every day calls.
 *
 * @param unsaid how strong it is taken for where nobody told of it on the whole trip
 */
function daysCalled(one: Marked, triggers: readonly Trigger[], unsaid: Strength): number {
  const { outing, part, shares } = one;
  const { trip, days } = outing;
  const counted = triggers.flatMap((trigger) => countedOn(trip, trigger) ?? []);
  if (counted.length) return Math.min(days, Math.max(...counted)) * part;
  // What is told of one leg alone was not on the others.
  const otherwise = triggers.some((trigger) => strengthFor(one, trigger) !== undefined) ? "none" : unsaid;
  return trip.legs.reduce((sum, leg) => {
    const carried = shares === null ? 1 : (shares.get(leg.id) ?? 0);
    const called = calledShare(triggers, (of) => leg.conditions[of] ?? trip.conditions[of] ?? otherwise);
    return sum + days * known(outing.shares, leg.id) * carried * called;
  }, 0);
}

/** Share of the days with what calls for a thing: its strongest call; all of them where every day calls. */
export function calledShare(
  triggers: readonly Trigger[],
  strength: (trigger: Trigger) => keyof typeof CALLED_SHARE | undefined,
): number {
  if (triggers.some(isUnavoidable)) return 1;
  const told = triggers.map((trigger) => CALLED_SHARE[strength(trigger) ?? "none"]);
  return Math.max(CALLED_SHARE.none, ...told);
}

/** Wear of use that is told of by its sums alone: before the log, or between trips. */
function wearBetween(
  item: FullItem,
  { distance, nights, days }: { distance: { readonly m: number } | null; nights: number; days?: number },
): number {
  switch (item.wears) {
    case "m":
      return distance?.m ?? 0;
    case "nights":
      return nights;
    case "wet days":
    case "called days":
      return days || nights;
    default:
      return nights * item.rules.perNight;
  }
}

/** For each trip and in-turn kind, how many pieces of it were in use on each leg. */
type Sharers = ReadonlyMap<string, readonly number[]>;

function countSharers(book: Book, items: readonly FullItem[]): Sharers {
  const sharers = new Map<string, number[]>();
  for (const item of items) {
    if (!item.rules.inTurn) continue;
    for (const { outing, legs: along, mark } of marked(book.carriedOf(item.id))) {
      if (mark.use === "unused") continue;
      const key = `${outing.trip.id}\n${item.kind}`;
      const legs = sharers.get(key) ?? outing.trip.legs.map(() => 0);
      sharers.set(
        key,
        legs.map((n, at) =>
          along === null || along.includes(nth(outing.trip.legs, at).id) ? n + item.pieces : n,
        ),
      );
    }
  }
  return sharers;
}

/**
 * Wear that the next trip would add if the item is used on it as it was foreseen: its legs, its ground, its
 * weather.
 */
export function wearAhead(item: FullItem, { next, rules }: Pick<Book, "next" | "rules">): number {
  const { metres, nights, days, stretches, strength } = next;
  const turns = item.rules.inTurn ? item.pieces : 1;
  switch (item.wears) {
    case "m":
      if (item.rules.evening > 0) return nights * item.rules.evening;
      return item.rules.terrain
        ? stretches.reduce((sum, stretch) => sum + stretch.metres * rules.terrain[stretch.terrain], 0) / turns
        : metres / turns;
    case "nights":
      return nights / turns;
    case "wet days":
      return days * CALLED_SHARE[strength("rain") ?? "some"];
    case "called days":
      return days * calledShare(item.triggers, (trigger) => strength(trigger) ?? "some");
    default:
      return item.rules.perNight * Math.max(nights, days / 2);
  }
}
