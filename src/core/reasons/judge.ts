import type { Book } from "../ledger/book";
import type { ItemId, OwnerCall, TripId } from "../model";
import { openCase, resurvey, survey, touchedBy, type Case, type Survey } from "../decide/case";
import { BRING_ONLY_WHEN } from "./bring-only-when";
import { DROP } from "./drop";
import type { Finding, Rule } from "./finding";
import { gone } from "./gone";
import { keepAsCover } from "./keep";
import { PROVE } from "./prove";
import { repair } from "./repair";
import { REPLACE } from "./replace";
import { resolve, type Resolved } from "./resolve";
import { standingRuling } from "./rulings";
import { SERVICE } from "./service";
import { SLIM } from "./slim";
import { SWAP } from "./swap";
import { VERBS, stays } from "./verbs";
import { WORD } from "./word";

/** What hangs on it: weight saved by leaving it, weight lugged for nothing so far, money. */
interface Stake {
  readonly grams: number | null;
  readonly deadGramMetres: number;
  readonly price: number | null;
}

export type Verdict = Resolved & { readonly stake: Stake };

export interface Judgement {
  readonly case: Case;
  /** The most pressing first; never empty. */
  readonly verdicts: readonly [Verdict, ...Verdict[]];
  /** The owner's last call, where it says otherwise than the leading verdict. */
  readonly dissent: { readonly call: OwnerCall; readonly trip: TripId } | null;
}

/** Every rule that may speak of a thing in use; all of them do. */
const RULES: readonly Rule[] = [
  ...WORD,
  ...REPLACE,
  repair,
  ...SERVICE,
  ...PROVE,
  ...DROP,
  ...BRING_ONLY_WHEN,
  ...SLIM,
  ...SWAP,
  keepAsCover,
];

/** Judges every item; one judgement each, in the order of the book. */
export const judge = (book: Book): Judgement[] => judgeAll(survey(book));

export const judgeAll = (surveyed: Survey): Judgement[] =>
  surveyed.book.items.map((item) => judgeCase(openCase(item, surveyed)));

/** Judges again, in a book that differs in one item's history alone, whatever its change may touch. The rest stands. */
export function rejudge(before: Survey, book: Book, changed: ItemId): Judgement[] {
  const surveyed = resurvey(before, book, changed);
  return touchedBy(surveyed, changed).map((item) => judgeCase(openCase(item, surveyed)));
}

/** All judgements, in a book that differs in the histories of some items: judged again is what these may touch. */
export function judgeChanges(
  before: { readonly surveyed: Survey; readonly judgements: readonly Judgement[] },
  book: Book,
  changed: readonly ItemId[],
): { surveyed: Survey; judgements: Judgement[] } {
  const surveyed = changed.reduce((survey, id) => resurvey(survey, book, id), before.surveyed);
  const touched = new Set(changed.flatMap((id) => touchedBy(surveyed, id)));
  return {
    surveyed,
    judgements: before.judgements.map((judgement) =>
      touched.has(judgement.case.item)
        ? judgeCase(openCase(judgement.case.item, surveyed))
        : { ...judgement, case: { ...judgement.case, book, survey: surveyed } },
    ),
  };
}

export function judgeCase(one: Case): Judgement {
  const departed = gone(one);
  const resolved: readonly Resolved[] = departed
    ? [{ ...departed, ruling: standingRuling(one, departed), also: [] }]
    : resolve(one, one.standing === "active" ? RULES.flatMap((rule) => rule(one) ?? []) : []);
  const verdicts = resolved.map((advice): Verdict => ({ ...advice, stake: stakeOf(one, advice) }));
  return { case: one, verdicts: verdicts as [Verdict, ...Verdict[]], dissent: dissentOf(one, verdicts[0]!) };
}

function stakeOf({ item, totals }: Case, { verb, saves }: Finding): Stake {
  return {
    grams: saves ? saves : null,
    deadGramMetres: saves ? totals.deadGramMetres : 0,
    price: verb === "replace" ? item.price : null,
  };
}

/** Shown until the owner has ruled on the verdict: not again and again. */
function dissentOf(
  { marked }: Case,
  { verb, ruling }: Pick<Verdict, "verb" | "ruling">,
): Judgement["dissent"] {
  const last = marked.findLast(({ mark }) => mark.call !== null);
  const call = last?.mark.call;
  return last && call && ruling === null && !stays(verb) && !VERBS[verb].agrees.includes(call)
    ? { call, trip: last.outing.trip.id }
    : null;
}
