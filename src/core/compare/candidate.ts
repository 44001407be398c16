import type { FullItem } from "../trade/full-item";
import type { Complaint, Verb } from "../model";
import type { Judgement, Verdict } from "../reasons/judge";

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
  readonly complaints: readonly { readonly what: Complaint["what"]; readonly times: number }[];
  /** What it costs to save a hundred grams; null where it saves none, or the price is not told. */
  readonly perHundredGrams: number | null;
  /** A verdict on the present one that asks for another. */
  readonly asked: Verdict | null;
}

/** Verdicts that another thing would settle. */
const ASKS: readonly Verb[] = ["replace", "swap"];

/** Sets each wish beside what is owned. */
export function candidates(wishes: readonly FullItem[], judgements: readonly Judgement[]): Candidate[] {
  const byItem = new Map(judgements.map((judgement) => [judgement.case.item.id, judgement]));
  return wishes.map((wish) => {
    const judged = wish.instead === null ? undefined : byItem.get(wish.instead);
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
      complaints: judged ? complaintsOf(judged) : [],
      perHundredGrams: saves !== null && saves > 0 && wish.price !== null ? (100 * wish.price) / saves : null,
      asked: judged?.verdicts.find(({ verb, done }) => ASKS.includes(verb) && !done) ?? null,
    };
  });
}

/** What was said against a thing on its trips, the most frequent first. */
export function complaintsOf({ case: { marked } }: Judgement): Candidate["complaints"] {
  const told = new Map<Complaint["what"], number>();
  for (const { mark } of marked)
    for (const { what } of mark.complaints) told.set(what, (told.get(what) ?? 0) + 1);
  return [...told].map(([what, times]) => ({ what, times })).sort((a, b) => b.times - a.times);
}
