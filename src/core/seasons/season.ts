import { compareLists, listOf, type ListDifference } from "../compare/lists";
import { carriedOfTrip, type Book } from "../ledger/book";
import { groupBy } from "../sums/group";
import { medianOf } from "../sums/median";
import { walkedOn, type Outing } from "../ledger/outing";
import type { TripId } from "../model";
import { weighIn } from "../weighin/weigh-in";

/** What one year's trips came to. */
export interface Season {
  readonly year: string;
  readonly outings: readonly Outing[];
  readonly metres: number;
  readonly nights: number;
  /** Median over its trips with a night, in grams; null where none had one. */
  readonly base: number | null;
  /** Gram-metres carried and not used, but for cover. */
  readonly deadGramMetres: number;
  /** The trips that something failed on. */
  readonly failedOn: ReadonlySet<TripId>;
  /** Failures by kind of thing, the most first. */
  readonly failures: readonly (readonly [kind: string, times: number])[];
  /** Prices of what came to the shelf in it, and what was spent on the rest; in the owner's currency. */
  readonly bought: number;
  readonly spent: number;
}

/** Years that trips fell in, the latest first. */
export const yearsOf = ({ outings }: Pick<Book, "outings">): string[] =>
  [...new Set(outings.map(({ trip }) => trip.starts.slice(0, 4)))].sort().reverse();

export function seasonOf(book: Book, year: string): Season {
  const outings = book.outings.filter(({ trip }) => trip.starts.startsWith(year));
  const overnight = outings.filter(({ nights }) => nights > 0);
  const bases = overnight.map(
    (outing) => weighIn(book.tripOf(outing), book.item, book.items).legs[0]?.base ?? 0,
  );
  const marks = outings.flatMap((outing) =>
    carriedOfTrip(outing, book.tripOf(outing).carries).flatMap(({ carry, mark, metres, borne }) => {
      const item = book.item(carry.item);
      return item && mark ? [{ item, carry, mark, outing, metres, borne }] : [];
    }),
  );
  const failed = marks.filter(({ mark }) => mark.troubles.includes("failed"));
  return {
    year,
    outings,
    ...walkedOn(outings),
    base: bases.length ? medianOf(bases) : null,
    deadGramMetres: marks
      .filter(({ mark, item }) => mark.use === "unused" && !item.cover)
      .reduce((sum, { item, borne }) => sum + (item.weight?.g ?? 0) * borne, 0),
    failedOn: new Set(failed.map(({ outing }) => outing.trip.id)),
    failures: [...groupBy(failed, ({ item }) => item.kind)]
      .map(([kind, times]) => [kind, times.length] as const)
      .sort(([, a], [, b]) => b - a),
    bought: book.items
      .filter(({ acquired, currency }) => acquired?.startsWith(year) && currency === null)
      .reduce((sum, { price }) => sum + (price ?? 0), 0),
    spent: book.items
      .flatMap(({ id }) => book.entriesOf(id))
      .filter(({ on }) => on.startsWith(year))
      .reduce((sum, { cost }) => sum + (cost ?? 0), 0),
  };
}

/**
 * The last list of one year against that of another: what came out, went in, and took another's place. Null
 * where one has none.
 */
export function listsBetween(
  before: Season,
  after: Season,
  book: Pick<Book, "item" | "tripOf">,
): ListDifference | null {
  const last = ({ outings }: Season) =>
    outings
      .filter(({ nights }) => nights > 0)
      .map(book.tripOf)
      .findLast(({ carries }) => carries.length > 0);
  const [was, is] = [last(before), last(after)];
  return was && is ? compareLists(listOf(was, book.item), listOf(is, book.item)) : null;
}
