import jstat from "jstat";
import { groupBy } from "../sums/group";
import { nth } from "../sums/there";
import { FORETOLD, type ForetoldSort, type Told } from "./foretold";

/** Chances told, how high on average, and how often it came. */
interface Share {
  readonly times: number;
  readonly said: number;
  readonly came: number;
}

/** Chances told between two bounds. */
interface Bin extends Share {
  readonly from: number;
  readonly to: number;
}

/** Of one sort: what was told and what came, in all, by how high the chance was, and year by year. */
export interface Truth extends Share {
  readonly sort: ForetoldSort;
  readonly bins: readonly Bin[];
  readonly years: readonly (Share & { readonly year: string })[];
}

/** Chances are looked at between these: narrow where most of them lie. */
const BOUNDS: Readonly<Record<ForetoldSort, readonly number[]>> = {
  used: [0, 0.1, 0.3, 0.5, 0.7, 0.9, 1],
  "gives out": [0, 0.02, 0.1, 0.3, 1],
  shoes: [0, 0.02, 0.1, 0.3, 1],
  "cold night": [0, 0.1, 0.3, 0.6, 1],
  gas: [0, 0.7, 1],
};

/** What was told, by sort, set against what came; sorts of which nothing was told are left out. */
export function truthsOf(told: readonly Told[]): Truth[] {
  const bySort = groupBy(told, ({ sort }) => sort);
  return FORETOLD.flatMap((sort) => {
    const all = bySort.get(sort) ?? [];
    return all.length === 0
      ? []
      : [{ sort, ...shareOf(all), bins: binned(all, BOUNDS[sort]), years: byYear(all) }];
  });
}

const shareOf = (told: readonly Told[]): Share => ({
  times: told.length,
  said: told.reduce((sum, { chance }) => sum + chance, 0) / told.length,
  came: told.filter(({ came }) => came).length,
});

function binned(told: readonly Told[], bounds: readonly number[]): Bin[] {
  return bounds.slice(1).flatMap((to, n): Bin[] => {
    const from = nth(bounds, n);
    const these = told.filter(({ chance }) => chance >= from && (chance < to || to === 1));
    return these.length === 0 ? [] : [{ from, to, ...shareOf(these) }];
  });
}

const byYear = (told: readonly Told[]) =>
  [...groupBy(told, ({ on }) => on.slice(0, 4))]
    .map(([year, these]) => ({ year, ...shareOf(these) }))
    .sort((a, b) => Number(a.year) - Number(b.year));

/**
 * Where a share lies four times in five, having happened so often: the 80 % interval of a beta posterior on
 * Jeffreys' prior (Brown, Cai and DasGupta, Statistical Science 16:101, 2001; from memory).
 *
 * @example shareBetween(0, 0) // wide open
 */
export const shareBetween = (happened: number, of: number): readonly [low: number, high: number] => {
  const [a, b] = [happened + 0.5, of - happened + 0.5];
  return [happened === 0 ? 0 : jstat.beta.inv(0.1, a, b), happened === of ? 1 : jstat.beta.inv(0.9, a, b)];
};
