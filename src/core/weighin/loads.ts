import { carriedOfTrip, partOf, type Book } from "../ledger/book";
import type { Outing } from "../ledger/outing";
import type { FullItem } from "../trade/full-item";
import { fullLoad, weighIn } from "./weigh-in";

/** What one trip's load was, in grams, and what lugging it came to, in gram-metres. */
export interface TripLoad {
  readonly outing: Outing;
  readonly base: number;
  readonly worn: number;
  readonly bigThree: number;
  /** The full load at the start of the first leg, and of the last. */
  readonly start: number;
  readonly end: number;
  readonly used: number;
  /** Unused, but for cover. */
  readonly dead: number;
  readonly hobby: number;
}

/** What one thing came to over all trips, in gram-metres. */
export interface ThingLoad {
  readonly item: FullItem;
  readonly trips: number;
  readonly used: number;
  /** Unused, but for cover. */
  readonly dead: number;
  /** Of the base weight that it went in, the part, 0 to 1, that it was: over its trips together. */
  readonly share: number;
}

/** A thing lugged on a trip, and how far. */
interface Lugged {
  readonly item: FullItem;
  readonly gramMetres: number;
  readonly grams: number;
  readonly isUnused: boolean;
}

function luggedOn(outing: Outing, book: Pick<Book, "item" | "tripOf">): Lugged[] {
  return carriedOfTrip(outing, book.tripOf(outing).carries).flatMap(({ carry, mark, borne }) => {
    const item = book.item(carry.item);
    if (!item) return [];
    const grams = (item.weight?.g ?? 0) * partOf(carry);
    const gramMetres = (item.weight?.g ?? 0) * borne;
    return [{ item, grams, gramMetres, isUnused: mark?.use === "unused" && !item.cover }];
  });
}

const sum = (lugged: readonly Lugged[]) => lugged.reduce((all, { gramMetres }) => all + gramMetres, 0);

/** Every trip's load, the latest first. */
export const loadsOf = (book: Book): TripLoad[] =>
  book.outings.toReversed().map((outing): TripLoad => {
    const { legs, bigThree } = weighIn(book.tripOf(outing), book.item, book.items);
    const [first, last] = [legs[0], legs.at(-1)];
    const lugged = luggedOn(outing, book);
    return {
      outing,
      base: first?.base ?? 0,
      worn: first?.worn ?? 0,
      bigThree: bigThree.grams,
      start: first ? fullLoad(first) : 0,
      end: last ? fullLoad(last) : 0,
      used: sum(lugged.filter(({ isUnused }) => !isUnused)),
      dead: sum(lugged.filter(({ isUnused }) => isUnused)),
      hobby: sum(lugged.filter(({ item }) => item.load === "hobby")),
    };
  });

/** What each thing came to, by what it was lugged in all, the most first. */
export function thingLoads(book: Book): ThingLoad[] {
  const trips = book.outings.map((outing) => {
    const lugged = luggedOn(outing, book);
    const base = lugged.filter(({ item }) => item.load === "base").reduce((all, { grams }) => all + grams, 0);
    return { lugged, base };
  });
  return book.items
    .flatMap((item): ThingLoad[] => {
      const its = trips.flatMap(({ lugged, base }) =>
        lugged.filter((each) => each.item.id === item.id).map((each) => ({ ...each, base })),
      );
      if (sum(its) === 0) return [];
      const bases = its.reduce((all, { base }) => all + base, 0);
      return [
        {
          item,
          trips: its.length,
          used: sum(its.filter(({ isUnused }) => !isUnused)),
          dead: sum(its.filter(({ isUnused }) => isUnused)),
          share:
            item.load === "base" && bases > 0 ? its.reduce((all, { grams }) => all + grams, 0) / bases : 0,
        },
      ];
    })
    .sort((a, b) => b.used + b.dead - (a.used + a.dead));
}
