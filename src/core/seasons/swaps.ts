import type { Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import { predecessorOf } from "../compare/how-long";

/** One thing that took another's place, and what that came to. */
export interface Swap {
  readonly from: Advice;
  readonly to: Advice;
  /** Grams less to carry; below 0, more; null where one was never weighed. */
  readonly grams: number | null;
  /** Gram-metres spared so far; below 0, lugged more. */
  readonly gramMetres: number;
  /** Nights and trips since. */
  readonly nights: number;
  readonly trips: number;
  /** Trips with something said against it or wrong with it, of its marked trips: before, and since. */
  readonly before: Told;
  readonly since: Told;
}

interface Told {
  readonly trouble: number;
  readonly of: number;
}

/** Swaps that were made, the latest first. */
export function swapsMade(kit: Kit): Swap[] {
  return kit.things
    .flatMap((to): Swap[] => {
      const from = to.case.totals.carried.trips > 0 ? predecessorOf(to, kit) : null;
      if (!from) return [];
      const [old, present] = [from.case.item.weight, to.case.item.weight];
      const grams = old && present ? old.g - present.g : null;
      const { carried } = to.case.totals;
      return [
        {
          from,
          to,
          grams,
          gramMetres: (grams ?? 0) * carried.metres,
          nights: carried.nights,
          trips: carried.trips,
          before: toldOf(from),
          since: toldOf(to),
        },
      ];
    })
    .sort((a, b) => ((a.to.case.totals.steps[0]?.on ?? "") > (b.to.case.totals.steps[0]?.on ?? "") ? -1 : 1));
}

const toldOf = ({ case: { marked } }: Advice): Told => ({
  trouble: marked.filter(({ mark }) => mark.complaints.length > 0 || mark.troubles.length > 0).length,
  of: marked.length,
});
