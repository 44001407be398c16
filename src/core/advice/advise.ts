import { chanceOfUse, callOn, type Call } from "./foresee";
import { isRoutine } from "../reasons/verbs/service";
import type { ItemId, OwnerCall, TripId } from "../model";
import { openCase, type Case, type Survey } from "../decide/case";
import { BRING_ONLY_WHEN } from "../reasons/verbs/bring-only-when";
import { DROP } from "../reasons/verbs/drop";
import type { Finding, Rule } from "../reasons/finding";
import { gone } from "../reasons/verbs/gone";
import { keepAsCover } from "../reasons/verbs/keep";
import { PROVE } from "../reasons/verbs/prove";
import { repair } from "../reasons/verbs/repair";
import { REPLACE } from "../reasons/verbs/replace";
import { standingRuling } from "../reasons/rulings";
import { SERVICE } from "../reasons/verbs/service";
import { SLIM } from "../reasons/verbs/slim";
import { SWAP } from "../reasons/verbs/swap";
import { tempered } from "../reasons/temper";
import { WORD } from "../reasons/word";
import type { FullItem } from "../trade/full-item";
import { stays, VERBS } from "../trade/verbs";
import { resolve, type Resolved } from "./resolve";

/** What hangs on it: weight saved by leaving it, weight lugged for nothing so far, money. */
interface Stake {
  readonly grams: number | null;
  readonly deadGramMetres: number;
  readonly price: number | null;
}

export type Verdict = Resolved & {
  readonly stake: Stake;
  /** What stays in its stead, where either of the two may go and not both. */
  readonly keeps?: FullItem;
};

/** All that is to be done about one thing: what every page, list and file reads, and none works out for itself. */
export interface Advice {
  readonly case: Case;
  /** The most pressing first; never empty. */
  readonly verdicts: readonly [Verdict, ...Verdict[]];
  /** Those that ask for something and stand: not done, not overruled, not put off. */
  readonly asks: readonly Verdict[];
  /**
   * The verdict that leaves it at home, where it leads and is followed: what was said once is, when its owner
   * agrees.
   */
  readonly leaves: Verdict | null;
  /** Grams that following this takes out of the pack for good. */
  readonly saves: number;
  /** What is to be done before it goes along; null: it is ready. */
  readonly first: Verdict | null;
  /** What is work for the bench, or for the shop. */
  readonly jobs: readonly Verdict[];
  /** What is left of it; null where nothing wears, and of what is to be replaced for another reason than its wear. */
  readonly left: Case["left"];
  /** What it weighs now, without the pieces that are gone; null where nobody weighed it. */
  readonly grams: number | null;
  /** The verdict that another thing would settle. */
  readonly wantsAnother: Verdict | null;
  /** What the trip ahead asks of it, and the chance, 0 to 1, that it is used there. */
  readonly call: Call;
  readonly chance: number;
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

/** The advice on one thing by itself; what the whole kit has to say of it is in `kit.ts`. */
export function advise(one: Case): Advice {
  const departed = gone(one);
  const [lead, ...others]: readonly [Resolved, ...Resolved[]] = departed
    ? [{ ...departed, ruling: standingRuling(one, departed), also: [] }]
    : resolve(one, one.standing === "active" ? foundOf(one) : []);
  const verdict = (each: Resolved): Verdict => ({ ...each, stake: stakeOf(one, each) });
  return adviceOf(one, [verdict(lead), ...others.map(verdict)]);
}

const foundOf = (one: Case): Finding[] =>
  RULES.flatMap((rule) => rule(one) ?? []).map((finding) => tempered(one, finding));

/** The advice of one item of a survey. */
export const adviseItem = (id: ItemId, surveyed: Survey): Advice =>
  advise(openCase(surveyed.book.item(id)!, surveyed));

/** What the verdicts on a thing come to. */
export function adviceOf(one: Case, verdicts: Advice["verdicts"]): Advice {
  const asks = verdicts.filter(({ verb, done, ruling }) => !stays(verb) && !done && isOpen(ruling));
  const [lead] = verdicts;
  const leaves =
    VERBS[lead.verb].leaves && asks.includes(lead) && one.standing !== "gone" && isFollowed(lead)
      ? lead
      : null;
  const call = callOn(one.item, one.book.next, one.book);
  return {
    case: one,
    verdicts,
    asks,
    leaves,
    saves: leavesForGood({ leaves }) ? (gramsNow(one) ?? 0) : 0,
    first: asks.find(isFirst) ?? null,
    // What is only to be watched, or was said once, is no job until its owner agrees.
    jobs: asks.filter(
      (verdict) => VERBS[verdict.verb].bench && isFollowed(verdict) && !isOnlyWatched(verdict),
    ),
    left: asks.some(({ verb, reason }) => verb === "replace" && !GOES_ON.has(reason)) ? null : one.left,
    grams: gramsNow(one),
    wantsAnother: asks.find(({ verb }) => VERBS[verb].wantsAnother) ?? null,
    call,
    chance: chanceOfUse(one, call),
    dissent: dissentOf(one, lead),
  };
}

/** Replaced for its wear, or in part: what is left of it still counts. */
const GOES_ON: ReadonlySet<Finding["reason"]> = new Set<Finding["reason"]>([
  "life used up",
  "short of pieces",
]);

/** One pole of a pair, or the stakes that are still there. */
const gramsNow = ({ item: { weight, pieces }, history: { piecesOut } }: Case) =>
  weight && (weight.g * Math.max(0, pieces - piecesOut)) / pieces;

type Ruling = Verdict["ruling"];
/** Agreed is not done: it stands until it is. */
const isOpen = (ruling: Ruling) => ruling === null || ruling.decision === "agree";
/** Overruled, or put off: it asks for nothing meanwhile. */
export const isPutAside = ({ ruling }: Pick<Verdict, "ruling">) => !isOpen(ruling);
export const isAgreed = ({ ruling }: Pick<Verdict, "ruling">) => ruling?.decision === "agree";
const isFollowed = (verdict: Verdict) => verdict.sureness !== "leaning" || isAgreed(verdict);
const isOnlyWatched = (verdict: Verdict) => verdict.urgency === "watch" && !isAgreed(verdict);

const isFirst = (verdict: Verdict) =>
  VERBS[verdict.verb].first === true && isPressing(verdict) && !isRoutine(verdict);

/** It stays at home whatever is expected. */
export const leavesForGood = ({ leaves }: Pick<Advice, "leaves">) =>
  leaves !== null && VERBS[leaves.verb].leaves === "for good";

/** The place of the last outing that it was used on; before the first, -1. */
export const lastUse = ({ case: { marked } }: Advice) =>
  marked.findLast(({ mark }) => mark.use === "used")?.outing.n ?? -1;

/** To be done before the next trip. */
export const isPressing = ({ urgency }: Pick<Finding, "urgency">) =>
  urgency === "now" || urgency === "before next trip";

function stakeOf({ item, totals }: Case, { verb, saves }: Finding): Stake {
  return {
    grams: saves ? saves : null,
    deadGramMetres: saves ? totals.deadGramMetres : 0,
    price: verb === "replace" ? item.price : null,
  };
}

/** Shown until the owner has ruled on the verdict: not again and again. */
function dissentOf({ marked }: Case, { verb, ruling }: Pick<Verdict, "verb" | "ruling">): Advice["dissent"] {
  const last = marked.findLast(({ mark }) => mark.call !== null);
  const call = last?.mark.call;
  return last && call && ruling === null && !stays(verb) && !VERBS[verb].agrees.includes(call)
    ? { call, trip: last.outing.trip.id }
    : null;
}
