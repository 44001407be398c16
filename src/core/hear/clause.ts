import { lastOf, nth } from "../sums/there";
import { IDIOMS } from "../trade/words/hearing";
import { mentionsIn, namesOf, type Mention, type Names } from "./things";
import { isTypoOf, plainForm, tokensOf, type Token } from "./tokens";

/** A word of a clause, or the things that stand in its place, and the tokens that it stands for. */
export interface Unit {
  /** The word; "T" for the owner's things, "F" for somebody else's. */
  readonly word: string;
  readonly first: number;
  readonly last: number;
  readonly mentions: readonly Mention[];
}

/** A stretch of a sentence that says one thing, in plain words with each thing as "T". */
export interface Clause {
  readonly units: readonly Unit[];
  /** The units, joined by blanks: what the rows are read over. */
  readonly words: string;
}

export interface ReadSentence {
  readonly tokens: readonly Token[];
  readonly units: readonly Unit[];
  readonly clauses: readonly Clause[];
  readonly words: string;
}

/** Words that the ear listens for, told by a letter more, less or two swapped. */
const LISTENED: readonly string[] = (
  "again broken broke bent binned boiled bought borrowed clogged cracked damaged degrees failed flat found frozen froze home " +
  "leaks leaked leaking lost never needed patched posted ripped right shivered slept slow slides snapped sweated swapped torn " +
  "unused used useless worn wore warm washed wets without mended taped sewed carried drank dead died fresh squeaks smells " +
  "heavy bulky yesterday enough forgot missed nights battery empty degree"
).split(" ");

const POSSESSIVES: ReadonlySet<string> = new Set(["his", "her", "their", "your", "somebody", "someone"]);

/** A sentence in its clauses. */
export function readSentence(text: string, names: Names): ReadSentence {
  const tokens = tokensOf(text).map((token) => ({ ...token, plain: plainForm(corrected(token.plain)) }));
  const units = grouped(foreign(cutIdioms(unitsOf(tokens, mentionsIn(tokens, names)))));
  return { tokens, units, clauses: clausesOf(units), words: wordsOf(units) };
}

/** Words of their own, a letter away from one that is listened for. */
const OTHER_WORDS: readonly string[] = [
  "brought",
  "bright",
  "thorn",
  "sworn",
  "wars",
  "though",
  "fright",
  "nought",
  "dear",
  "sewed",
  "house",
  "founded",
  "felt",
];
const KNOWN: ReadonlySet<string> = new Set([...LISTENED, ...OTHER_WORDS]);
const corrected = (word: string) => {
  if (KNOWN.has(word) || word.length < 4 || /\d/.test(word)) return word;
  // A letter for another makes another word: only one swapped, doubled or left out is taken for a slip.
  return (
    LISTENED.find((each) =>
      each.length !== word.length
        ? each.length > 4 &&
          isTypoOf(word, each) &&
          !each.startsWith(word) &&
          (!word.startsWith(each) || word === each + lastOf(each))
        : isSwap(word, each),
    ) ?? word
  );
};
const isSwap = (a: string, b: string) =>
  a !== b && [...a].sort().join("") === [...b].sort().join("") && isTypoOf(a, b);

function unitsOf(tokens: readonly Token[], mentions: readonly Mention[]): Unit[] {
  const units: Unit[] = [];
  for (let at = 0; at < tokens.length; at++) {
    const mention = mentions.find(({ first }) => first === at);
    units.push(
      mention
        ? { word: "T", first: at, last: mention.last, mentions: [mention] }
        : { word: nth(tokens, at).plain, first: at, last: at, mentions: [] },
    );
    if (mention) at = mention.last;
  }
  return units;
}

const wordsOf = (units: readonly Unit[]) => units.map(({ word }) => word).join(" ");

/** What is said of no thing is taken out, a word at a time, so that every word keeps its place. */
function cutIdioms(units: readonly Unit[]): Unit[] {
  // Idioms are looked for in the plain words, whatever things were thought to be in them.
  const spans = unitSpans(units.map((unit) => ({ ...unit, word: unit.mentions[0]?.words ?? unit.word })));
  const plain = spans.map(({ word }) => word).join(" ");
  const cut = new Set<number>();
  for (const idiom of IDIOMS) {
    const match = idiom.exec(plain);
    if (!match) continue;
    for (const [n, { from, to }] of spans.entries())
      if (from < match.index + match[0].length && to > match.index) cut.add(n);
  }
  return units.map((unit, n) => (cut.has(n) ? { ...unit, word: "…", mentions: [] } : unit));
}

/** Each unit with where its word stands among the joined words. */
export function unitSpans<U extends { readonly word: string }>(
  units: readonly U[],
): (U & { from: number; to: number })[] {
  let at = 0;
  return units.map((unit) => {
    const from = at;
    at += unit.word.length + 1;
    return { ...unit, from, to: at - 1 };
  });
}

/** "Ida's stove", "his hat", "hers": somebody else's, of which nothing is told. */
function foreign(units: readonly Unit[]): Unit[] {
  return units.map((unit, n) => {
    const before = units[n - 1]?.word;
    const owner = units[n - 2];
    const isOthers =
      unit.word === "T" &&
      ((before === "'s" && owner !== undefined && owner.mentions.length === 0) ||
        (before !== undefined && POSSESSIVES.has(before)));
    if (isOthers) return { ...unit, word: "F" };
    return unit.word === "hers" || unit.word === "theirs" ? { ...unit, word: "F" } : unit;
  });
}

/** From so many words on without a stop or a comma it was dictated, and begins anew with each thing. */
const DICTATED = 40;

/** A sentence that was dictated without stops, cut where it begins to speak of another thing; any other as it is. */
export function withoutStops(text: string, names: Names): { readonly text: string; readonly at: number }[] {
  const tokens = tokensOf(text);
  if (tokens.length < DICTATED || /[,;:]/.test(text)) return [{ text, at: 0 }];
  const cuts = mentionsIn(tokens, names).flatMap(({ first }) => {
    const article = /^(the|my|a|an|those|these)$/.test(tokens[first - 1]?.plain ?? "") ? first - 1 : first;
    const start = /^(and|but|so|then|now)$/.test(tokens[article - 1]?.plain ?? "") ? article - 1 : article;
    const before = tokens[start - 1]?.plain ?? "";
    return start > 0 && !LEADS_ON.has(before) ? [nth(tokens, start).at] : [];
  });
  const ends = [...new Set([...cuts, text.length])].filter((end) => end > 0);
  return ends.map((end, n) => ({ text: text.slice(ends[n - 1] ?? 0, end), at: ends[n - 1] ?? 0 }));
}

/** After one of these a thing still belongs to what went before it. */
const LEADS_ON: ReadonlySet<string> = new Set(
  (
    "in into inside on onto with without of off for to under over from by at through between than like not nor is was used wore needed had took carried put " +
    "missed lost broke washed swapped replaced sent posted gave left"
  ).split(" "),
);

const JOINS: ReadonlySet<string> = new Set([",", "and", "+", "&", "or"]);
const ARTICLES: ReadonlySet<string> = new Set(["the", "my", "a", "an", "our", "both", "also", "old"]);

/** "Novel and chair", "rain trousers, vest": one group of things, of which the same is said. */
function grouped(units: readonly Unit[]): Unit[] {
  const out: Unit[] = [];
  for (let n = 0; n < units.length; n++) {
    const unit = nth(units, n);
    const last = out.at(-1);
    if (last?.word === "T" && JOINS.has(unit.word)) {
      let next = n + 1;
      while (JOINS.has(units[next]?.word ?? "") || ARTICLES.has(units[next]?.word ?? "")) next += 1;
      const other = units[next];
      const after = units[next + 1]?.word;
      // "torch died, map set came out": the second has a verb of its own, unless the first has none.
      if (other?.word === "T" && (last.mentions.length > 1 || !startsAnew(unit.word, after, out))) {
        out[out.length - 1] = {
          word: "T",
          first: last.first,
          last: other.last,
          mentions: [...last.mentions, ...other.mentions],
        };
        n = next;
        continue;
      }
    }
    out.push(unit);
  }
  return out;
}

/** After a comma, a thing with a verb behind it begins anew where what stands before it is whole already. */
const startsAnew = (join: string, after: string | undefined, before: readonly Unit[]) =>
  join === "," &&
  after !== undefined &&
  !JOINS.has(after) &&
  !["home", "too", "on", "in", "under", "back", "ahead", "as", "."].includes(after) &&
  before.length > 1 &&
  before.at(-2)?.word !== ":" &&
  before.some(({ word }) =>
    /ed$|^(is|was|are|were|has|had|did|lost|left|broke|tore|wore|took|sent|went)$/.test(word),
  );

const CUTS: ReadonlySet<string> = new Set([
  ",",
  ";",
  ":",
  ".",
  "!",
  "?",
  "(",
  ")",
  "–",
  "—",
  "but",
  "though",
  "although",
  "so",
  "because",
  "cause",
  "cos",
  "then",
  "while",
  "whereas",
  "since",
  "and",
  "+",
  "&",
]);

function clausesOf(units: readonly Unit[]): Clause[] {
  const clauses: Unit[][] = [[]];
  for (const [n, unit] of units.entries()) {
    const next = units[n + 1]?.word;
    // "since day 3" is a day, "so big" a measure, no new clause.
    const holds =
      (unit.word === "since" && (next === "day" || /^\d/.test(next ?? ""))) ||
      (unit.word === "so" && !/^(T|i|we|it|they|the|that)$/.test(next ?? "")) ||
      (unit.word === "." &&
        units[n - 1] !== undefined &&
        /^\d+$/.test(nth(units, n - 1).word) &&
        /^\d/.test(next ?? ""));
    if (CUTS.has(unit.word) && !holds) clauses.push([]);
    else lastOf(clauses).push(unit);
  }
  return clauses.filter((each) => each.length > 0).map((each) => ({ units: each, words: wordsOf(each) }));
}

export { namesOf, type Names };
