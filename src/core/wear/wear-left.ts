import { CONDITION, type FullItem } from "../kinds";
import { inOrder } from "../ledger/days";
import { groupBy } from "../ledger/group";
import type { Book, NextOuting } from "../ledger/book";
import { marked } from "../ledger/book";
import { TYPICAL_WET_SHARE, type Totals } from "../ledger/totals";
import type { ItemId, Mark } from "../model";
import { lastingAlone, lastingByReadings, type Lasting } from "./lasting";
import {
  believe,
  believeOfUnknownPast,
  kindLasting,
  wornBefore,
  type Life,
  type LifeBlend,
} from "./life-belief";
import { readingTrend, type ReadingRule, type ReadingTrend } from "./reading-trend";
import type { Point } from "./theil-sen";

/** What is left in an item, in its wear unit: a median and an 80 % interval, and the chance to last any further wear. */
export interface Left {
  readonly worn: number;
  readonly low: number;
  readonly median: number;
  readonly high: number;
  /** Wear that the next trip would add, and the chance, 0 to 1, that it gives out before that trip ends. */
  readonly nextTrip: number;
  readonly givesOut: number;
  /** The chance to last so much more: the life model joined with the readings, and the life model alone. */
  readonly lasts: (further: number) => number;
  readonly lastsByLife: (further: number) => number;
  /** Trends that are joined with the life model. */
  readonly trends: readonly ReadingTrend[];
  /** Lives of this kind in the owner's log that the belief rests on, and the chance that one of the kind, new, lasts so long. */
  readonly lives: readonly Life[];
  readonly kindLasts: (wear: number) => number;
}

/** What is believed of a kind, and the owner's own lives that it rests on. */
interface KindBelief {
  readonly lives: readonly Life[];
  readonly blend: LifeBlend;
  readonly lasting: (worn: number) => Lasting;
}
export type Beliefs = ReadonlyMap<string, KindBelief>;

/** What each kind's lives in the log say. An item of unknown past says nothing about how long its kind lasts. */
export function beliefsOf(
  book: Book,
  ledger: ReadonlyMap<ItemId, Totals>,
  items: readonly FullItem[] = book.items,
): Beliefs {
  return new Map(
    [...groupBy(items.filter(hasLife), (item) => item.kind)].map(([kind, its]) => {
      const lives = its
        .filter((item) => item.past !== "unknown" || item.opening !== null)
        .map((item) => lifeSoFar(item, ledger.get(item.id)!, book));
      const blend = believe(its[0]!.rules.life!, lives);
      return [kind, { lives, blend, lasting: kindLasting(blend) }];
    }),
  );
}

const hasLife = (item: FullItem) => item.rules.life !== null && item.wears === item.rules.wears;

/** What one item's life says. One that ended on a trip ended somewhere along it: half of that trip's wear is taken. */
function lifeSoFar(item: FullItem, { wear, wearByTrip }: Totals, book: Book): Life {
  const last = wearByTrip.at(-1);
  const onTrip =
    last &&
    (last.carried.mark.trouble === "worn out" || last.carried.mark.trouble === "failed") &&
    last.carried.mark.days === null
      ? last.wear / 2
      : 0;
  return isWornOut(item, book) ? { wear: wear - onTrip, wornOut: true } : { wear, wornOut: false };
}

/** Worn out, as opposed to lost, broken by mishap, of a bad make, or put away: only this teaches the life of its kind. */
function isWornOut(item: FullItem, book: Book): boolean {
  if (item.state === "worn out") return true;
  const last = marked(book.carriedOf(item.id)).at(-1);
  if (last?.mark.trouble === "worn out") return true;
  const mended = book
    .entriesOf(item.id)
    .some(
      (entry) =>
        (entry.what === "repair" || entry.what === "service") && entry.on >= (last?.outing.trip.ends ?? ""),
    );
  return last?.mark.trouble === "failed" && last.mark.cause === "worn" && !mended;
}

/**
 * Chance beyond either end of an 80 % interval. A tenth would be right if the log were: marks are missing or wrong, ground and
 * use are rough counts. With this, four in five of the simulated walkers' lives lie inside (`bench/walkers`).
 */
const TAIL = 0.09;

/** The owner's grade of a new thing. */
const AS_NEW = 5;

/** Null where the kind has no life to speak of (dates, contents). */
export function leftIn(
  item: FullItem,
  totals: Totals,
  readings: readonly Readings[],
  { next }: Pick<Book, "next">,
  beliefs: Beliefs,
): Left | null {
  const believed = hasLife(item) ? beliefs.get(item.kind) : undefined;
  if (!believed) return null;
  const unknown = item.past === "unknown" && item.opening === null;
  const own = unknown ? believeOfUnknownPast(believed.blend, item.rules.life!.median, totals.wear) : null;
  const byLife = own ? lastingAlone(own, totals.wear) : believed.lasting(totals.wear);
  // A new thing was as new at no wear; what a service lifted, or came to its owner used, was not.
  const asNew = (rule: ReadingRule, points: readonly Point[]) =>
    rule.what === CONDITION.what && item.past === "new" && points[0]!.x > 0 ? AS_NEW : null;
  const trends = readings.flatMap(
    ({ rule, points }) => readingTrend(rule, points, asNew(rule, points)) ?? [],
  );
  const lasting: Lasting = lastingByReadings(byLife, totals.wear, trends);
  const nextTrip = wearOn(item, next);
  return {
    worn: totals.wear + (own ? wornBefore(own) : 0),
    nextTrip,
    trends,
    low: lasting.left(1 - TAIL),
    median: lasting.left(0.5),
    high: lasting.left(TAIL),
    givesOut: 1 - lasting.chance(nextTrip),
    lasts: lasting.chance,
    lastsByLife: byLife.chance,
    lives: believed.lives,
    kindLasts: believed.lasting(0).chance,
  };
}

/** One thing measured on an item, against the wear at which it was. */
export interface Readings {
  readonly rule: ReadingRule;
  readonly points: readonly Point[];
  /** The day of the last. */
  readonly last: string;
}

/**
 * An item's readings since it was last mended or serviced, as that lifts them. Those of its trips, and those taken between.
 * Only what its kind has a limit for; the owner's grade of its condition counts for whatever wears.
 */
export function readingsOf(item: FullItem, totals: Totals, book: Book): Readings[] {
  const entries = book.entriesOf(item.id);
  const isReading = ({ condition, reading }: Pick<Mark, "condition" | "reading">) =>
    condition !== null || reading !== null;
  if (
    item.rules.readings.length === 0 ||
    !(totals.wearByTrip.some(({ carried }) => isReading(carried.mark)) || entries.some(isReading))
  )
    return [];
  const lifted =
    entries.findLast((entry) => entry.what === "service" || entry.what === "repair" || entry.what === "wash")
      ?.on ?? "";
  const atFirst = totals.wear - totals.wearByTrip.reduce((sum, trip) => sum + trip.wear, 0);
  let wear = atFirst;
  const taken = totals.wearByTrip.map(({ carried: { outing, mark }, wear: added }) => {
    wear += added;
    return { on: outing.trip.ends, x: wear, condition: mark.condition, reading: mark.reading };
  });
  const wearBy = (day: string) => taken.findLast((each) => each.on <= day)?.x ?? atFirst;
  const between = entries.filter(isReading).map((entry) => ({
    on: entry.on,
    x: wearBy(entry.on),
    condition: entry.condition,
    reading: entry.reading,
  }));
  const all = [...taken, ...between].filter(({ on }) => on >= lifted).sort((a, b) => inOrder(a.on, b.on));
  return item.rules.readings.flatMap((rule) => {
    const of = all.flatMap((each) => {
      const y =
        rule.what === CONDITION.what
          ? each.condition
          : each.reading?.what === rule.what
            ? each.reading.value
            : null;
      return y === null ? [] : [{ x: each.x, y, on: each.on }];
    });
    return of.length ? [{ rule, points: of.map(({ x, y }) => ({ x, y })), last: of.at(-1)!.on }] : [];
  });
}

/** Wear that an outing would add if the item is used throughout, on mixed ground and with some rain. */
function wearOn(item: FullItem, { metres, nights, days }: NextOuting): number {
  if (item.wears === "m") return metres;
  if (item.wears === "nights") return nights;
  if (item.wears === "wet days") return days * TYPICAL_WET_SHARE;
  return item.rules.perNight * Math.max(nights, days / 2);
}
