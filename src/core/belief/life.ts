import { known, lastOf, nth } from "../sums/there";
import type { Book } from "../ledger/book";
import { marked } from "../ledger/book";
import { groupBy } from "../sums/group";
import { departureOf, type Departure } from "../ledger/history";
import { wearAhead, type Totals } from "../ledger/totals";
import type { ItemId } from "../model";
import type { FullItem } from "../trade/full-item";
import { CONDITION, type ReadingRule } from "../trade/kind";
import {
  believe,
  believeOfUnknownPast,
  kindLasting,
  wornBefore,
  type Life,
  type LifeBlend,
} from "./life-belief";
import { lastingAlone, lastingByReadings, type Lasting } from "./lasting";
import { readingTrend, type ReadingTrend } from "./fits/reading-trend";
import type { Point } from "./fits/theil-sen";

/**
 * What is left in an item, in its wear unit: a median and an 80 % interval, and the chance to last any
 * further wear.
 */
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
  /** Further wear that is reached with chance `q`, 0 < q < 1. */
  readonly leftAt: (q: number) => number;
  readonly lastsByLife: (further: number) => number;
  /** Trends that are joined with the life model. */
  readonly trends: readonly ReadingTrend[];
  /**
   * Lives of this kind in the owner's log that the belief rests on, and the chance that one of the kind, new,
   * lasts so long.
   */
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
        .map((item) => lifeSoFar(item, known(ledger, item.id), book));
      const blend = believe(nth(its, 0).rules.life!, lives);
      return [kind, { lives, blend, lasting: kindLasting(blend) }];
    }),
  );
}

const hasLife = (item: FullItem) => item.rules.life !== null && item.wears === item.rules.wears;

/** What one item's life says. One that ended on a trip ended somewhere along it: half of that trip's wear is taken. */
function lifeSoFar(item: FullItem, { wear, steps }: Totals, book: Book): Life {
  const marks = marked(book.carriedOf(item.id));
  const wornOut = chanceWornOut(item, departureOf(item, marks), book);
  const last = wornOut > 0 ? steps.findLast(({ carried }) => carried?.mark) : undefined;
  const somewhere = last?.carried?.mark?.days === null ? last.wear / 2 : 0;
  return { wear: wear - somewhere, wornOut };
}

/** Of a failure whose cause nobody told, the share that is wear. Common practice, no source. */
const UNTOLD_IS_WEAR = 0.6;

/**
 * Worn out, as opposed to lost, broken by mishap, of a bad make, or put away: only this teaches the life of
 * its kind.
 */
function chanceWornOut(item: FullItem, gone: Departure | null, book: Book): number {
  const last = marked(book.carriedOf(item.id)).at(-1);
  const mark = gone?.mark ?? last?.mark;
  if (gone?.how === "worn out") return mark?.cause === "defect" || mark?.cause === "misuse" ? 0 : 1;
  if (!mark?.troubles.includes("failed")) return 0;
  const seenTo = book
    .entriesOf(item.id)
    .some(
      ({ what, on }) => (what === "repair" || what === "service") && on >= (last?.outing.trip.ends ?? ""),
    );
  if (seenTo || mark.fix === "patched") return 0;
  if (mark.cause === "worn") return 1;
  return mark.cause === null ? UNTOLD_IS_WEAR : 0;
}

/**
 * Chance beyond either end of an 80 % interval. A tenth would be right if the log were: marks are missing or
 * wrong, ground and use are rough counts. With this, four in five of the simulated walkers' lives lie inside
 * (`measure/walkers`).
 */
const TAIL = 0.09;

/** The owner's grade of a new thing. */
const AS_NEW = 5;

/** Null where the kind has no life to speak of (dates, contents). */
export function leftIn(
  item: FullItem,
  totals: Totals,
  readings: readonly Readings[],
  book: Pick<Book, "next" | "rules">,
  beliefs: Beliefs,
): Left | null {
  const believed = hasLife(item) ? beliefs.get(item.kind) : undefined;
  if (!believed) return null;
  const unknown = item.past === "unknown" && item.opening === null;
  const own = unknown ? believeOfUnknownPast(believed.blend, item.rules.life!.median, totals.wear) : null;
  const byLife = own ? lastingAlone(own, totals.wear) : believed.lasting(totals.wear);
  const trends = readings.flatMap(
    ({ rule, points }) => readingTrend(rule, points, asNew(item, rule, points)) ?? [],
  );
  const lasting: Lasting = lastingByReadings(byLife, totals.wear, trends);
  const nextTrip = wearAhead(item, book);
  return {
    worn: totals.wear + (own ? wornBefore(own) : 0),
    nextTrip,
    trends,
    low: lasting.left(1 - TAIL),
    median: lasting.left(0.5),
    high: lasting.left(TAIL),
    givesOut: 1 - lasting.chance(nextTrip),
    lasts: lasting.chance,
    leftAt: lasting.left,
    lastsByLife: byLife.chance,
    lives: believed.lives,
    kindLasts: believed.lasting(0).chance,
  };
}

/** What a new thing was at no wear: as new; what a service lifted, or came to its owner used, was not. */
const asNew = (item: FullItem, rule: ReadingRule, points: readonly Point[]) =>
  rule.what === CONDITION.what && item.past !== "unknown" && item.opening === null && nth(points, 0).x > 0
    ? AS_NEW
    : null;

/** One thing measured on an item, against the wear at which it was. */
export interface Readings {
  readonly rule: ReadingRule;
  readonly points: readonly Point[];
  /** The day of the last. */
  readonly last: string;
}

/**
 * An item's readings since it was last mended or serviced, as that lifts them. Those of its trips, and those
 * taken between. Only what its kind has a limit for; the owner's grade of its condition counts for whatever
 * wears.
 */
export function readingsOf(item: FullItem, totals: Totals, book: Book): Readings[] {
  const told = ({ carried, entry }: Totals["steps"][number]) => carried?.mark ?? entry;
  const isRead = (step: Totals["steps"][number]) => {
    const from = told(step);
    return from != null && (from.condition !== null || from.reading !== null);
  };
  if (item.rules.readings.length === 0 || !totals.steps.some(isRead)) return [];
  const lifted = book
    .entriesOf(item.id)
    .findLast(({ what }) => what === "service" || what === "repair" || what === "wash")?.on;
  let wear = totals.opening;
  const taken = totals.steps.map((step) => {
    wear += step.wear;
    return { on: step.on, x: wear, from: told(step) };
  });
  const since = taken.filter(({ on }) => lifted === undefined || on >= lifted);
  return item.rules.readings.flatMap((rule) => {
    const of = since.flatMap(({ on, x, from }) => {
      const reading = from?.reading?.what === rule.what ? from.reading.value : null;
      const y = rule.what === CONDITION.what ? from?.condition : reading;
      return y == null ? [] : [{ x, y, on }];
    });
    return of.length ? [{ rule, points: of.map(({ x, y }) => ({ x, y })), last: lastOf(of).on }] : [];
  });
}
