import { kindOf, type FullItem } from "../kinds";
import type { Book, NextOuting } from "../ledger/book";
import { marked } from "../ledger/book";
import { TERRAIN_WEAR, type Totals } from "../ledger/totals";
import type { ItemId } from "../model";
import { chanceToLast, wearLeft, type LifeBelief } from "./chance-to-last";
import { believe, type Life } from "./life-belief";

/** What is left in an item, in its wear unit: a median and an 80 % interval. */
export interface Left {
  readonly worn: number;
  readonly low: number;
  readonly median: number;
  readonly high: number;
  /** Wear that the next trip would add, and the chance, 0 to 1, that it gives out before that trip ends. */
  readonly nextTrip: number;
  readonly givesOut: number;
  /** Lives of this kind in the owner's log that the belief rests on: worn out, and all. */
  readonly lives: { readonly wornOut: number; readonly all: number };
  readonly belief: LifeBelief;
}

export type Lives = ReadonlyMap<string, readonly Life[]>;

/** Every life of each kind in the log. An item of unknown past says nothing about how long its kind lasts. */
export function livesByKind(book: Book, ledger: ReadonlyMap<ItemId, Totals>): Lives {
  const lives = new Map<string, Life[]>();
  for (const item of book.items) {
    if (!kindOf(item).life || item.past === "unknown" || item.wears !== kindOf(item).wears) continue;
    const list = lives.get(item.kind) ?? [];
    list.push({ wear: ledger.get(item.id)!.wear, wornOut: isWornOut(item, book) });
    lives.set(item.kind, list);
  }
  return lives;
}

/** Worn out, as opposed to lost, broken by mishap, of a bad make, or put away: only this teaches the life of its kind. */
function isWornOut(item: FullItem, book: Book): boolean {
  if (item.state === "worn out") return true;
  const last = marked(book.carriedOf(item.id)).at(-1)?.mark;
  return last?.trouble === "worn out" || (item.state !== "active" && last?.trouble === "failed" && last.cause === "worn");
}

/** Null where the kind has no life to speak of (dates, contents). */
export function leftIn(item: FullItem, totals: Totals, book: Book, lives: Lives): Left | null {
  const rule = kindOf(item).life;
  if (!rule || item.wears !== kindOf(item).wears) return null;
  const known = lives.get(item.kind) ?? [];
  // Of an unknown past, half a typical life is assumed gone, and the rule of thumb is trusted half as much.
  const unknown = item.past === "unknown" && item.opening === null;
  const worn = totals.wear + (unknown ? rule.median / 2 : 0);
  const belief = believe(unknown ? { ...rule, a: rule.a / 2 } : rule, unknown ? [...known, { wear: worn, wornOut: false }] : known);
  const nextTrip = wearOn(item, book.next);
  return {
    worn, belief, nextTrip,
    low: wearLeft(belief, worn, 0.9),
    median: wearLeft(belief, worn, 0.5),
    high: wearLeft(belief, worn, 0.1),
    givesOut: 1 - chanceToLast(belief, { worn, further: nextTrip }),
    lives: { wornOut: known.filter((life) => life.wornOut).length, all: known.length },
  };
}

/** Wear that an outing would add if the item is used throughout, on mixed ground and with some rain. */
function wearOn(item: FullItem, { metres, nights, days }: NextOuting): number {
  if (item.wears === "m") return metres * TERRAIN_WEAR.mixed;
  if (item.wears === "nights") return nights;
  if (item.wears === "wet days") return days * 0.4;
  return kindOf(item).perNight * Math.max(nights, days / 2);
}
