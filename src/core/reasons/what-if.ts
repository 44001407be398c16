import { withMark, withSchool } from "../ledger/book";
import type { NextOuting } from "../ledger/next-outing";
import type { ItemId, Mark, SchoolName, TripId } from "../model";
import type { Case, Survey } from "../decide/case";
import { judgeAll, rejudge, type Judgement, type Verdict } from "./judge";

/** What is supposed: another school, another next trip, one mark. Nothing of it is kept. */
export interface Supposition {
  readonly school?: SchoolName;
  readonly next?: NextOuting;
  readonly mark?: { readonly trip: TripId; readonly item: ItemId; readonly mark: Mark | null };
}

/** A thing whose leading verdict, or its urgency, would be another. */
export interface Change {
  readonly item: ItemId;
  readonly name: string;
  readonly from: Verdict;
  readonly to: Verdict;
  /** The case as it would be. */
  readonly then: Case;
}

/** Which verdicts would change, in the order of the book. One mark alone judges only what it touches. */
export function whatIf(
  surveyed: Survey,
  judgements: readonly Judgement[],
  { school, next, mark }: Supposition,
): Change[] {
  const asked = school ? withSchool(surveyed.book, school) : surveyed.book;
  const book = next ? { ...asked, next } : asked;
  const now = new Map(judgements.map((judgement) => [judgement.case.item.id, judgement]));
  const before = { ...surveyed, book };
  const touched = mark ? rejudge(before, withMark(book, mark), mark.item) : [];
  const others = book === surveyed.book ? [] : judgeAll(before);
  const then = new Map([...others, ...touched].map((judgement) => [judgement.case.item.id, judgement]));
  return surveyed.book.items.flatMap(({ id, name }) => {
    const from = now.get(id)?.verdicts[0];
    const after = then.get(id);
    const to = after?.verdicts[0];
    return from && to && (from.verb !== to.verb || from.urgency !== to.urgency)
      ? [{ item: id, name, from, to, then: after.case }]
      : [];
  });
}
