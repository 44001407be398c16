import type { FullItem } from "../trade/full-item";
import { groupBy } from "../sums/group";
import type { Complaint, Symptom } from "../model";
import type { Advice, Verdict } from "../advice/advise";
import type { Kit } from "../advice/kit";

/** A thing wished for, beside what it would take the place of. */
export interface Candidate {
  readonly wish: FullItem;
  /** What is owned now; null where it is to be something new. */
  readonly present: FullItem | null;
  /** Grams less to carry; below 0, more; null where one of them was never weighed. */
  readonly saves: number | null;
  /** Litres less in the pack; null where one of them is not told. */
  readonly roomier: number | null;
  /** What was said against the present one, each once, the most frequent first. */
  readonly complaints: readonly SaidAgainst[];
  /** What it costs to save a hundred grams; null where it saves none, or the price is not told. */
  readonly perHundredGrams: number | null;
  /** A verdict on the present one that asks for another. */
  readonly asked: Verdict | null;
}

/** Sets each wish beside what is owned. */
export function candidates(kit: Kit): Candidate[] {
  return kit.book.wishes.map((wish) => {
    const judged = wish.instead === null ? undefined : kit.of(wish.instead);
    const present = judged?.case.item ?? null;
    const saves = wish.weight && present?.weight ? present.weight.g - wish.weight.g : null;
    const { packed } = wish.ratings;
    return {
      wish,
      present,
      saves,
      roomier:
        packed !== undefined && present?.ratings.packed !== undefined
          ? present.ratings.packed - packed
          : null,
      complaints: judged ? saidAgainst(judged) : [],
      perHundredGrams: saves !== null && saves > 0 && wish.price !== null ? (100 * wish.price) / saves : null,
      asked: judged?.wantsAnother ?? null,
    };
  });
}

interface SaidAgainst {
  readonly what: Complaint["what"] | Symptom;
  readonly times: number;
}

const counted = (said: readonly SaidAgainst["what"][]): SaidAgainst[] =>
  [...groupBy(said, (what) => what)]
    .map(([what, all]) => ({ what, times: all.length }))
    .sort((a, b) => b.times - a.times);

/** What was said against a thing on its trips, the most frequent first. */
export const complaintsOf = ({ case: { marked } }: Advice): SaidAgainst[] =>
  counted(marked.flatMap(({ mark }) => mark.complaints.map(({ what }) => what)));

/** The same, with what was seen wrong with it: a filter that clogs is spoken against as much as one that is too big. */
const saidAgainst = ({ case: { marked } }: Advice): SaidAgainst[] =>
  counted(marked.flatMap(({ mark }) => [...mark.complaints.map(({ what }) => what), ...mark.symptoms]));
