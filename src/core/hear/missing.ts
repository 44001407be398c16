import { pieced } from "../trade/words/any-of";
import { nth } from "../sums/there";
import { MISSED, MISSING, NOT_MISSED } from "../trade/words/ends";
import { plainOf, type ReadSentence } from "./clause";
import { nounOf } from "./text/quantities";

const DENIED =
  /\b(never|not|didnt|dont|nothing|no|wasnt|werent|isnt|arent|hardly|barely|scarcely) (really )?(miss|need|want)/;
/** "The hat was needed", "wish I had left it": nothing was lacking. */
const NO_LACK = pieced(
  "\\bT (was |were |got |is )?(really |badly |only )?(needed|missed)\\b|\\bneeded (to|it|",
  "them)\\b|\\bwish(ed)? (i )?(id|i had|had) left\\b",
);

/** What a sentence says was missed, and the clause that tells it, from 0; null: nothing. */
export function missedIn(read: ReadSentence): { readonly what: string; readonly clause: number } | null {
  const plain = plainOf(read);
  const match = MISSED.map((row) => row.exec(plain)).find((each) => each !== null);
  if (!match || DENIED.test(plain) || NO_LACK.test(read.words) || NOT_MISSED.test(plain)) return null;
  const what = nounOf(nth(match, 1));
  if (!what) return null;
  const clause = read.clauses.findIndex(({ words }) => MISSING.test(words));
  return { what, clause: Math.max(0, clause) };
}

/** "Nothing", "not really", as an answer. */
export const isNothing = (read: ReadSentence): boolean =>
  /^(no|not|nothing|none|nope|never)\b/.test(plainOf(read));

/** Words of an answer at most. */
const SHORT_ANSWER = 6;

/** "Did I miss anything? Camp shoes.": the answer, in as few words; null: it is none. */
export function answerIn(read: ReadSentence): { readonly what: string } | null {
  const plain = plainOf(read).replace(/\s*[.!]+$/, "");
  if (isNothing(read) || plain.split(" ").length > SHORT_ANSWER) return null;
  const what = nounOf(plain.replace(/^(yes|only|just|well|oh) ,? ?/, ""));
  return what ? { what } : null;
}
