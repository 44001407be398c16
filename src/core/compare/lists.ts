import type { Item, ItemId, Trip } from "../model";
import type { FullItem } from "../trade/full-item";
import { partOf } from "../ledger/book";

/** A thing on one list, with what its owner carried of its weight then. */
export interface Listed {
  readonly item: FullItem;
  /** Null where it was never weighed. */
  readonly grams: number | null;
}

/** One thing on both lists, or one in place of another, and what that changed. */
interface Changed {
  readonly from: Listed;
  readonly to: Listed;
  /** Grams more (or, below 0, fewer) than before. */
  readonly grams: number;
}

/** What one list has that another had not, and what each change came to. */
export interface ListDifference {
  readonly out: readonly Listed[];
  readonly into: readonly Listed[];
  /** One thing came out and another went in that does its job. */
  readonly swapped: readonly Changed[];
  /** On both, but of another weight: weighed again, altered, or shared otherwise. */
  readonly reweighed: readonly Changed[];
  /** On both, unchanged. */
  readonly same: readonly Listed[];
  /** Grams of the second list less those of the first: the sum of all that is above. */
  readonly grams: number;
}

const weightOf = ({ grams }: Listed) => grams ?? 0;
export const totalOf = (list: readonly Listed[]) => list.reduce((sum, listed) => sum + weightOf(listed), 0);

/** What a thing weighed on a day: by the last weighing up to then; a weighing without a day has always held. */
export function weightOn({ weights }: Pick<Item, "weights">, day: string): number | null {
  const known = weights.filter(({ on }) => on === null || on <= day);
  return (known.at(-1) ?? weights[0])?.weight.g ?? null;
}

/** A trip's list, as it was carried then. */
export function listOf(
  { carries, ends }: Pick<Trip, "carries" | "ends">,
  itemOf: (id: ItemId) => FullItem | undefined,
): Listed[] {
  return carries.flatMap((carry) => {
    const item = itemOf(carry.item);
    if (!item) return [];
    const grams = weightOn(item, ends);
    return [{ item, grams: grams === null ? null : grams * partOf(carry) }];
  });
}

/** Sets one list beside another: what came out, went in, took another's place, or weighs otherwise. */
export function compareLists(before: readonly Listed[], after: readonly Listed[]): ListDifference {
  const was = new Map(before.map((listed) => [listed.item.id, listed]));
  const is = new Map(after.map((listed) => [listed.item.id, listed]));
  const both = after.flatMap((to): Changed[] => {
    const from = was.get(to.item.id);
    return from ? [{ from, to, grams: weightOf(to) - weightOf(from) }] : [];
  });
  const out = before.filter(({ item }) => !is.has(item.id));
  const into = after.filter(({ item }) => !was.has(item.id));
  const swapped = swapsBetween(out, into);
  const gone = new Set(swapped.map(({ from }) => from));
  const come = new Set(swapped.map(({ to }) => to));
  const heaviest = (list: readonly Listed[]) => list.toSorted((a, b) => weightOf(b) - weightOf(a));
  return {
    out: heaviest(out.filter((listed) => !gone.has(listed))),
    into: heaviest(into.filter((listed) => !come.has(listed))),
    swapped: swapped.toSorted((a, b) => a.grams - b.grams),
    reweighed: both.filter(({ grams }) => grams !== 0).toSorted((a, b) => a.grams - b.grams),
    same: both.filter(({ grams }) => grams === 0).map(({ to }) => to),
    grams: totalOf(after) - totalOf(before),
  };
}

/** How much one thing is in another's place, most first: of its slot, of its kind, of its first job. */
const STANDS_FOR: readonly ((a: FullItem, b: FullItem) => boolean)[] = [
  (a, b) => a.slot !== null && a.slot === b.slot,
  (a, b) => a.kind === b.kind && a.kind !== "other",
  (a, b) => a.jobs[0] !== undefined && a.jobs[0] === b.jobs[0],
];

/**
 * Pairs of what came out and what went in for it, each thing in one at most; the nearest in weight where
 * several would do.
 */
function swapsBetween(out: readonly Listed[], into: readonly Listed[]): Changed[] {
  const [left, free] = [new Set(out), new Set(into)];
  const swaps: Changed[] = [];
  for (const standsFor of STANDS_FOR)
    for (const from of [...left]) {
      const [to] = [...free]
        .filter((each) => standsFor(from.item, each.item))
        .sort((a, b) => Math.abs(weightOf(a) - weightOf(from)) - Math.abs(weightOf(b) - weightOf(from)));
      if (!to) continue;
      swaps.push({ from, to, grams: weightOf(to) - weightOf(from) });
      left.delete(from);
      free.delete(to);
    }
  return swaps;
}
