import type { FullItem } from "../kinds";
import { Mark as MarkSchema, type ItemId, type Mark } from "../model";
import { type Book, type Carried, marked, type Marked } from "./book";

interface Exposure {
  readonly metres: number;
  readonly nights: number;
  readonly days: number;
  readonly trips: number;
}

/** One item's ledger: what it was carried, what it was used, how worn it is, and what was lugged for nothing. */
export interface Totals {
  readonly carried: Exposure;
  readonly used: Exposure;
  /** Wear in the item's own unit: use since new, its opening balance and its entries included. */
  readonly wear: number;
  /** What each marked trip added to it, oldest first. */
  readonly wearByTrip: readonly { readonly carried: Marked; readonly wear: number }[];
  /** Gram-metres carried and not used; 0 for cover and things without a weight. */
  readonly deadGramMetres: number;
  readonly spent: number;
}

/** Days of a trip on which rain gear is worn, as a share, by how much it rained. Common practice, no source. */
const WET_SHARE = { none: 0.05, some: 0.4, strong: 0.75 } as const;
export const TYPICAL_WET_SHARE = WET_SHARE.some;

/** `hardly` counts a tenth of the trip's wear. Common practice, no source. */
const USE_SHARE = { used: 1, hardly: 0.1, unused: 0 } as const;

/** Part of the trip, 0 to 1, that an item was in use; known days win over the bare mark. */
function shareUsed(mark: Mark, days: number): number {
  return mark.days === null || mark.use === "unused"
    ? USE_SHARE[mark.use]
    : Math.min(1, mark.days / Math.max(1, days));
}

/**
 * The ledgers of items (left out: all), in one pass.
 *
 * Wear comes from use, not from being carried. Things worn in turn (socks) share each leg equally among those used on it, so
 * of a kind worn in turn the whole kind is wanted.
 */
export function ledger(book: Book, items: readonly FullItem[] = book.items): ReadonlyMap<ItemId, Totals> {
  const sharers = countSharers(book, items);
  return new Map(items.map((item) => [item.id, totalsOf(item, book, sharers)]));
}

function totalsOf(item: FullItem, book: Book, sharers: Sharers): Totals {
  const carried = { metres: 0, nights: 0, days: 0, trips: 0 };
  const used = { metres: 0, nights: 0, days: 0, trips: 0 };
  let deadGramMetres = 0;
  for (const one of book.carriedOf(item.id)) {
    const { outing, mark, part } = one;
    carried.metres += outing.metres * part;
    carried.nights += outing.nights * part;
    carried.days += outing.days * part;
    carried.trips += 1;
    if (!mark) continue;
    const share = shareUsed(mark, outing.days * part) * part;
    used.metres += outing.metres * share;
    used.nights += outing.nights * share;
    used.days += outing.days * share;
    if (mark.use !== "unused") used.trips += 1;
    else if (!item.cover && item.weight) deadGramMetres += item.weight.g * outing.metres * part;
  }
  const entries = book.entriesOf(item.id);
  const own = book.carriedOf(item.id);
  const marks = marked(own);
  // Wear in the order it came, for the chart and for readings.
  const wearByTrip = marks.map((one) => ({ carried: one, wear: tripWear(item, one, book, sharers) }));
  return {
    carried,
    used,
    deadGramMetres,
    wearByTrip,
    wear:
      openingWear(item) +
      unmarkedWear(item, own, marks, book, sharers) +
      wearByTrip.reduce((sum, trip) => sum + trip.wear, 0) +
      entries.reduce((sum, entry) => sum + betweenTrips(item, entry), 0),
    spent: entries.reduce((sum, entry) => sum + (entry.cost ?? 0), 0),
  };
}

/** Wear of trips that it went on and was not marked for: it was used on them as often as on its others. */
function unmarkedWear(
  item: FullItem,
  own: readonly Carried[],
  marks: readonly Marked[],
  book: Book,
  sharers: Sharers,
): number {
  if (marks.length === own.length || marks.length === 0) return 0;
  const share = marks.reduce((sum, { mark }) => sum + USE_SHARE[mark.use], 0) / marks.length;
  return own.reduce(
    (sum, one) => (one.mark ? sum : sum + share * tripWear(item, { ...one, mark: USED }, book, sharers)),
    0,
  );
}

const USED = MarkSchema.parse({ use: "used" });

function tripWear(
  item: FullItem,
  { outing, carry: { legs }, mark }: Marked,
  book: Book,
  sharers: Sharers,
): number {
  const { inTurn: shares, terrain, perNight } = item.rules;
  const among = shares ? sharers.get(`${outing.trip.id}\n${item.kind}`) : undefined;
  const part = legs === null ? 1 : legs.length / Math.max(1, outing.trip.legs.length);
  const share = shareUsed(mark, outing.days * part);
  if (share === 0) return 0;
  if (item.wears === "m") {
    return outing.trip.legs.reduce((sum, leg, index) => {
      if (legs !== null && !legs.includes(index + 1)) return sum;
      const inTurn = mark.days === null ? (among?.[index] ?? 1) : 1;
      return sum + (leg.distance.m * (terrain ? book.rules.terrain[leg.terrain] : 1) * share) / inTurn;
    }, 0);
  }
  const inTurn = mark.days === null && among ? Math.max(1, ...among) : 1;
  if (item.wears === "nights") return (outing.nights * part * share) / inTurn;
  if (item.wears === "wet days")
    return mark.days ?? outing.days * part * share * WET_SHARE[outing.trip.conditions.rain ?? "some"];
  // A day walk has no night, but it drinks and brews for half a day.
  return perNight * Math.max(outing.nights, outing.days / 2) * part * share;
}

const openingWear = (item: FullItem) => (item.opening ? betweenTrips(item, item.opening) : 0);

function betweenTrips(
  item: FullItem,
  { distance, nights, days = 0 }: { distance: { readonly m: number } | null; nights: number; days?: number },
): number {
  if (item.wears === "m") return distance?.m ?? 0;
  if (item.wears === "nights") return nights;
  if (item.wears === "wet days") return days || nights;
  return nights * item.rules.perNight;
}

/** For each trip and in-turn kind, how many of it were in use on each leg. */
type Sharers = ReadonlyMap<string, readonly number[]>;

function countSharers(book: Book, items: readonly FullItem[]): Sharers {
  const sharers = new Map<string, number[]>();
  for (const item of items) {
    if (!item.rules.inTurn) continue;
    for (const { outing, carry, mark } of marked(book.carriedOf(item.id))) {
      if (mark.use === "unused") continue;
      const key = `${outing.trip.id}\n${item.kind}`;
      const legs = sharers.get(key) ?? outing.trip.legs.map(() => 0);
      sharers.set(
        key,
        legs.map((n, index) => (carry.legs === null || carry.legs.includes(index + 1) ? n + 1 : n)),
      );
    }
  }
  return sharers;
}
