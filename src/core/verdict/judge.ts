import { Verb, type ItemId, type OwnerCall, type Ruling, type TripId } from "../model";
import type { Book } from "../ledger/book";
import { bringOnlyWhen } from "./bring-only-when";
import { isCritical, openCase, resurvey, survey, touchedBy, type Case, type Survey } from "./case";
import { drop } from "./drop";
import { keep, keepAsCover } from "./keep";
import { prove } from "./prove";
import { repair } from "./repair";
import { replace } from "./replace";
import { standingRuling } from "./rulings";
import { service } from "./service";
import { slim } from "./slim";
import { swap } from "./swap";
import type { Finding, Stake } from "./verdict";

export interface Verdict extends Finding {
  readonly stake: Stake;
  /** The owner's ruling on it, while that stands. */
  readonly ruling: Ruling | null;
}

export interface Judgement {
  readonly case: Case;
  /** The most pressing first; never empty. */
  readonly verdicts: readonly [Verdict, ...Verdict[]];
  /** The owner's last call, where it says otherwise than the leading verdict. */
  readonly dissent: { readonly call: OwnerCall; readonly trip: TripId } | null;
}

/** Every rule that may speak, in the order of precedence among equals: replace, repair, service, then the rest. */
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

/** Judges again, in a book that differs in one item alone, whatever its change may touch. The rest stands. */
export function rejudge(before: Survey, book: Book, changed: ItemId): Judgement[] {
  const surveyed = resurvey(before, book, changed);
  return touchedBy(surveyed, changed).map((item) => judgeCase(openCase(item, surveyed)));
}

export function judgeCase(one: Case): Judgement {
  const found = RULES.map((rule) => rule(one)).filter((finding) => finding !== null);
  const kept = withoutEchoes(found);
  // A yearly look or a first try is no reason to doubt a thing: it stays, and the look stands second.
  const verdicts = (kept.every(isRoutine) ? [keep(one), ...kept] : kept)
    .map((finding): Verdict => ({
      ...finding,
      stake: stakeOf(one, finding),
      ruling: standingRuling(one, finding),
    }))
    .sort((a, b) => precedence(a, one) - precedence(b, one));
  // Where the owner has overruled everything, what is left to say is that it stays.
  if (verdicts.every((verdict) => verdict.ruling?.decision === "overrule")) {
    const finding = keep(one);
    const reason = verdicts[0]?.ruling?.reason;
    verdicts.unshift({
      ...finding,
      says: `Your ruling: it stays${reason ? `, because ${reason.replace(/\.$/, "")}` : ""}.`,
      rule: "Your ruling stands until something new speaks.",
      stake: stakeOf(one, finding),
      ruling: null,
    });
  }
  return { case: one, verdicts: verdicts as [Verdict, ...Verdict[]], dissent: dissentOf(one, verdicts[0]!) };
}

/** A thing to be replaced needs no repair, service or trial; one to be left at home no service, no second reason to leave it, and no word that it stays. */
function withoutEchoes(found: readonly Finding[]): Finding[] {
  const verbs = new Set(found.map((finding) => finding.verb));
  const silent = new Set<Verb>();
  if (verbs.has("replace"))
    for (const verb of ["repair", "service", "prove", "swap"] as const) silent.add(verb);
  if (verbs.has("repair")) silent.add("service").add("prove");
  if (verbs.has("drop"))
    for (const verb of ["service", "bring only when", "slim", "swap", "prove"] as const) silent.add(verb);
  if (found.some(({ verb, saves }) => (verb === "slim" || verb === "bring only when") && saves))
    silent.add("keep as cover");
  return found.filter((finding) => !silent.has(finding.verb));
}

const isRoutine = ({ verb, urgency }: Pick<Finding, "verb" | "urgency">) =>
  (verb === "service" || verb === "prove") && urgency === "when convenient";

/**
 * Danger first (replace, repair or prove on a critical item), then the order of the verbs; what the owner overruled or
 * put off comes last, and before it what is routine. A repair only to be watched does not push ahead of one to act on.
 */
export function precedence(
  verdict: Pick<Verdict, "verb" | "urgency" | "ruling">,
  one: Pick<Case, "item">,
): number {
  const overruled = verdict.ruling && verdict.ruling.decision !== "agree" ? 1000 : 0;
  const danger =
    isCritical(one) && ["replace", "repair", "prove"].includes(verdict.verb) && verdict.urgency !== "watch"
      ? 0
      : 100;
  const routine = isRoutine(verdict) || (verdict.verb === "repair" && verdict.urgency === "watch") ? 500 : 0;
  return overruled + routine + danger + Verb.options.indexOf(verdict.verb);
}

function stakeOf({ item, totals }: Case, { verb, saves }: Finding): Stake {
  return {
    grams: saves ? saves : null,
    deadGramMetres: saves ? totals.deadGramMetres : 0,
    price: verb === "replace" ? item.price : null,
  };
}

const AGREES: Readonly<Record<OwnerCall, readonly Verb[]>> = {
  "bring again": ["keep", "keep as cover", "service", "prove", "slim", "bring only when", "repair"],
  "bring when": ["bring only when", "keep", "keep as cover", "prove", "service"],
  leave: ["drop", "replace", "bring only when"],
  fix: ["repair", "service", "prove"],
  replace: ["replace"],
  "try something else": ["swap", "drop", "replace"],
};

/** Shown until the owner has ruled on the verdict: not again and again. */
function dissentOf(
  { marked }: Case,
  { verb, ruling }: Pick<Verdict, "verb" | "ruling">,
): Judgement["dissent"] {
  const last = marked.findLast(({ mark }) => mark.call !== null);
  const call = last?.mark.call;
  return last && call && ruling === null && !AGREES[call].includes(verb)
    ? { call, trip: last.outing.trip.id }
    : null;
}
