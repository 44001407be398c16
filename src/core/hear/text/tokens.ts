import { nth } from "../../sums/there";
import { PLAIN_FORMS } from "../../trade/words/speech";

/** A word, number or mark of a text, plain, and where it stands. */
export interface Token {
  readonly plain: string;
  readonly at: number;
  readonly end: number;
}

const TOKEN = /[-−]?\d+(?:[.,]\d+)*|[\p{L}\p{M}]+(?:['’][\p{L}\p{M}]+)*|[^\s\p{L}\p{M}\d]/gu;
const ITS = new Set(["it", "that", "there", "what", "he", "she", "who", "let", "here", "where"]);

/** The words of a text: lower case, without apostrophes; "ida's" is two. */
export function tokensOf(text: string): Token[] {
  const tokens: Token[] = [];
  for (const match of text.matchAll(TOKEN)) {
    const [at, end] = [match.index, match.index + match[0].length];
    const raw = match[0].toLowerCase().replaceAll("’", "'").replace("−", "-");
    const owner = /^(.+)'s$/.exec(raw);
    if (owner && !ITS.has(nth(owner, 1))) {
      tokens.push({ plain: plainForm(nth(owner, 1).replaceAll("'", "")), at, end: end - 2 });
      tokens.push({ plain: "'s", at: end - 2, end });
    } else if (
      /^[-\d]/.test(raw) &&
      raw.length > 1 &&
      raw.startsWith("-") &&
      text[at - 1]?.match(/[\p{L}\d]/u)
    ) {
      // "pair-3", "10-12": a hyphen between, no sign.
      tokens.push(
        { plain: "-", at, end: at + 1 },
        { plain: raw.slice(1).replace(",", "."), at: at + 1, end },
      );
    } else tokens.push({ plain: plainForm(raw.replaceAll("'", "").replace(/(?<=\d),(?=\d)/, ".")), at, end });
  }
  return tokens;
}

/** The plain form of a short, foreign or longer one. */
export const plainForm = (word: string) => PLAIN_FORMS[word] ?? word;

/** A text's sentences, to the letter: a line break ends one, and so does a full stop that is not in a number. */
export function sentencesOf(text: string): { readonly text: string; readonly at: number }[] {
  const cuts = [...text.matchAll(/(?:[.!?…]+["”’)]*(?=\s|$)|\n)[^\S\n]*\n*/gu)].map(
    (match) => match.index + match[0].length,
  );
  const ends = [...new Set([...cuts, text.length])].filter((end) => end > 0);
  return ends.map((end, n) => ({ text: text.slice(ends[n - 1] ?? 0, end), at: ends[n - 1] ?? 0 }));
}

/** Is one word the other, give or take a letter, two swapped, one doubled? Short words are taken as they are. */
export function isTypoOf(typed: string, word: string): boolean {
  if (typed === word) return true;
  const longest = Math.max(typed.length, word.length);
  if (longest < 3 || Math.abs(typed.length - word.length) > 1) return false;
  const from = firstDifference(typed, word);
  const [a, b] = [typed.slice(from), word.slice(from)];
  if (a.length === b.length) {
    const isSwapped = a[0] === b[1] && a[1] === b[0] && a.slice(2) === b.slice(2);
    // One letter for another makes other words of short ones: "more" is not "wore".
    return isSwapped || (longest >= 6 && a.slice(1) === b.slice(1));
  }
  if (longest < 5)
    return longest === 4 && from > 0 && (a.slice(1) === b || a === b.slice(1)) && isConsonantGap(typed, word);
  return a.slice(1) === b || a === b.slice(1);
}

/** "ptch" for "patch", "slw" for "slow": a vowel dropped. */
function isConsonantGap(typed: string, word: string): boolean {
  return typed.length < word.length && word.replace(/[aeiou]/g, "") === typed.replace(/[aeiou]/g, "");
}

function firstDifference(a: string, b: string): number {
  let at = 0;
  while (at < a.length && a[at] === b[at]) at += 1;
  return at;
}
