import type { Book } from "../ledger/book";
import type { ItemId, OwnerCall, Ruling, TripId, Verb } from "../model";
import { isCritical, openCase, resurvey, survey, touchedBy, type Case, type Survey } from "../decide/case";
import { bringOnlyWhen } from "./bring-only-when";
import { drop } from "./drop";
import { found, type Finding } from "./finding";
import { gone } from "./gone";
import { keep, keepAsCover } from "./keep";
import { prove } from "./prove";
import { repair } from "./repair";
import { replace } from "./replace";
import { standingRuling } from "./rulings";
import { isRoutine, service } from "./service";
import { slim } from "./slim";
import { swap } from "./swap";
import { VERBS, stays } from "./verbs";

/** What hangs on it: weight saved by leaving it, weight lugged for nothing so far, money. */
interface Stake {
  readonly grams: number | null;
  readonly deadGramMetres: number;
  readonly price: number | null;
}

export type Verdict = Finding & {
  readonly stake: Stake;
  /** The owner's ruling on it, while that stands. */
  readonly ruling: Ruling | null;
};

export interface Judgement {
  readonly case: Case;
  /** The most pressing first; never empty. */
  readonly verdicts: readonly [Verdict, ...Verdict[]];
  /** The owner's last call, where it says otherwise than the leading verdict. */
  readonly dissent: { readonly call: OwnerCall; readonly trip: TripId } | null;
}

/** Every rule that may speak of a thing; the table of verbs says which leads. */
const RULES: readonly ((one: Case) => Finding | null)[] = [
  replace,
  repair,
  service,
  prove,
  drop,
  bringOnlyWhen,
  slim,
  swap,
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
  const findings = departed
    ? [departed]
    : withoutEchoes(
        RULES.flatMap((rule) => rule(one) ?? []),
        one,
      );
  // A yearly look is no reason to doubt a thing: it stays, and the look stands second.
  const all = departed || findings.some((each) => !isRoutine(each)) ? findings : [keep(one), ...findings];
  const verdicts = all
    .map((finding): Verdict => ({
      ...finding,
      stake: stakeOf(one, finding),
      ruling: standingRuling(one, finding),
    }))
    .sort((a, b) => precedence(a, one) - precedence(b, one));
  // Where the owner has overruled everything, what is left to say is that it stays.
  if (!departed && verdicts.every((verdict) => verdict.ruling?.decision === "overrule")) {
    const facts = { reason: verdicts[0]?.ruling?.reason ?? "" };
    const finding = {
      ...keep(one),
      ...found({ verb: "keep", reason: "your ruling", facts, urgency: "watch", sureness: "sure", trips: [] }),
    };
    verdicts.unshift({ ...finding, stake: stakeOf(one, finding), ruling: null });
  }
  return { case: one, verdicts: verdicts as [Verdict, ...Verdict[]], dissent: dissentOf(one, verdicts[0]!) };
}

/** A thing to be replaced needs no repair, service or trial; one to be left at home no service, no second reason to leave it, and no word that it stays. */
function withoutEchoes(findings: readonly Finding[], one: Case): Finding[] {
  const silent = new Set<Verb>(findings.flatMap(({ verb }) => VERBS[verb].silences));
  // What its owner would rather leave is neither mended nor bought again.
  if (findings.some(({ verb }) => verb === "drop") && !isCritical(one))
    for (const verb of ["replace", "repair"] as const) silent.add(verb);
  return findings.filter(({ verb }) => !silent.has(verb));
}

const OVERRULED = 1000;
const ROUTINE = 500;
const NOT_PRESSING = 100;

/**
 * Danger first (replace, repair or prove on a critical item), then the order of the verbs; what the owner overruled or
 * put off comes last, and before it what is routine.
 */
export function precedence(verdict: Pick<Verdict, "ruling"> & Finding, one: Pick<Case, "item">): number {
  const overruled = verdict.ruling && verdict.ruling.decision !== "agree" ? OVERRULED : 0;
  const pressing =
    isCritical(one) && VERBS[verdict.verb].pressing && verdict.urgency !== "watch" ? 0 : NOT_PRESSING;
  return overruled + (isRoutine(verdict) ? ROUTINE : 0) + pressing + VERBS[verdict.verb].order;
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
