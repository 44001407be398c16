import { withMark } from "../ledger/book";
import type { NextOuting } from "../ledger/next-outing";
import type { ItemId, Mark, SchoolName, TripId } from "../model";
import type { Case } from "../decide/case";
import type { Verdict } from "./advise";
import { bySchool, kitAfter, underNext, type Kit } from "./kit";

/** What is supposed: another school, another next trip, one mark. Nothing of it is kept. */
export interface WhatIfAsked {
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
export function whatIf(kit: Kit, { school, next, mark }: WhatIfAsked): Change[] {
  const asked = school ? bySchool(kit, school) : kit;
  const ahead = next ? underNext(asked, next) : asked;
  const then = mark ? kitAfter(ahead, withMark(ahead.book, mark), [mark.item]) : ahead;
  return kit.things.flatMap(({ case: { item }, verdicts: [from] }) => {
    const after = then.of(item.id)!;
    const [to] = after.verdicts;
    return from.verb !== to.verb || from.urgency !== to.urgency
      ? [{ item: item.id, name: item.name, from, to, then: after.case }]
      : [];
  });
}
