import type { Book } from "../ledger/book";
import type { FullItem } from "../trade/full-item";
import { VERBS } from "../trade/verbs";

/** A thing that was lugged, is left at home since, and what that has saved so far. */
export interface Left {
  readonly item: FullItem;
  /** Trips since it was carried last, of nights out where it had gone on such, and how far they went. */
  readonly trips: number;
  readonly gramMetres: number;
  /** Of these, how many it was missed on. */
  readonly missed: number;
}

/** Gone for another reason than that it was not wanted: its place was taken, or it broke. */
const GONE_OTHERWISE: ReadonlySet<string> = new Set([
  "worn out",
  "lost",
  "given back",
  "thrown out",
  "wished",
]);

/**
 * What leaving has saved so far: each thing that stayed idle on its last trip, or that its owner agreed to
 * leave, and that has stayed at home on every trip since; by what it would have been lugged, the most first.
 */
export function savedByLeaving(book: Book): Left[] {
  return book.items
    .flatMap((item): Left[] => {
      const carried = book.carriedOf(item.id);
      const last = carried.at(-1);
      if (!last || !item.weight || item.cover || GONE_OTHERWISE.has(item.state)) return [];
      const isAgreed = book
        .rulingsOf(item.id)
        .some(({ decision, verb }) => decision === "agree" && VERBS[verb].leaves === "for good");
      const isIdle = last.mark?.use === "unused" && last.mark.exit === null;
      if (!isAgreed && !isIdle) return [];
      const slept = carried.some(({ outing }) => outing.nights > 0);
      const since = book.outings.filter(
        (outing) => outing.n > last.outing.n && (!slept || outing.nights > 0),
      );
      const grams = item.weight.g;
      const missed = book.missedOf(item.id).filter(({ n }) => n > last.outing.n).length;
      return since.length === 0
        ? []
        : [
            {
              item,
              trips: since.length,
              gramMetres: since.reduce((sum, { metres }) => sum + grams * metres, 0),
              missed,
            },
          ];
    })
    .sort((a, b) => b.gramMetres - a.gramMetres);
}
