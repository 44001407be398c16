import { lastOf, nth } from "../sums/there";
import { IDIOMS } from "../trade/words/speech";
import { withNumbers } from "./text/numbers";
import { mentionsIn, namesOf, numberMeant, ownerIn, type Mention, type Named, type Names } from "./things";
import { isTypoOf, plainForm, tokensOf, type Token } from "./text/tokens";

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
  /** The word or mark that it was cut off by; "" at the start. */
  readonly opener: string;
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
  const tokens = withNumbers(
    tokensOf(text).map((token) => ({ ...token, plain: plainForm(corrected(token.plain)) })),
  );
  const units = grouped(foreign(cutIdioms(unitsOf(tokens, mentionsIn(tokens, names))), names));
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
  "ever",
  "lead",
];
const KNOWN: ReadonlySet<string> = new Set([...LISTENED, ...OTHER_WORDS]);
const corrected = (word: string) => {
  if (KNOWN.has(word) || word.length < 4 || /\d/.test(word)) return word;
  // A letter for another makes another word: only one swapped, doubled or left out is taken for a slip.
  return (
    LISTENED.find((each) =>
      each[0] !== word[0]
        ? false
        : each.length !== word.length
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

/** A sentence in its own plain words, things by what they were called. */
export const plainOf = ({ units, tokens }: Pick<ReadSentence, "units" | "tokens">): string =>
  units
    .map(({ first, last }) =>
      tokens
        .slice(first, last + 1)
        .map(({ plain }) => plain)
        .join(" "),
    )
    .join(" ");

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

/** Only the things of one owner, where a shelf holds those of several. */
const ownedBy = (unit: Unit, isOwners: (owner: string | null) => boolean): Unit => {
  const mentions = unit.mentions.map((mention) => {
    const things = mention.things.filter(({ name }) => isOwners(ownerIn(name)));
    return things.length > 0 ? { ...mention, things } : mention;
  });
  return { ...unit, mentions };
};

/** "Her quilt", where one's own is called just so: the things of that sort that are hers. */
const alsoTheirs = (unit: Unit, { all, partner }: Names): Unit => ({
  ...unit,
  mentions: unit.mentions.map((mention) => {
    const kinds = new Set(mention.things.map(({ kind }) => kind));
    const theirs = all.map(({ thing }) => thing).filter(({ name }) => ownerIn(name) === partner);
    return {
      ...mention,
      things: [...new Set([...mention.things, ...theirs.filter(({ kind }) => kinds.has(kind))])],
    };
  }),
});

/**
 * "Ida's stove", "his hat", "hers": somebody else's, of which nothing is told; unless the shelf is both of
 * theirs, and names whose each thing is.
 */
function foreign(units: readonly Unit[], names: Names): Unit[] {
  const { partner } = names;
  return units.map((unit, n) => {
    if (partner && unit.word === "T") {
      const whose = units[n - 1]?.word ?? "";
      const isTheirs = (owner: string | null) => owner === partner;
      const anyOf = POSSESSIVES.has(whose) ? alsoTheirs(unit, names) : unit;
      if (
        POSSESSIVES.has(whose) &&
        anyOf.mentions.some(({ things }) => things.some(({ name }) => isTheirs(ownerIn(name))))
      )
        return ownedBy(anyOf, isTheirs);
      if (whose === "my") return ownedBy(unit, (owner) => !isTheirs(owner));
    }
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

/**
 * "One was worn out, two the same", after several of a kind were named that bear numbers: which of them a
 * sentence begins with.
 */
export function withNumbered(read: ReadSentence, group: readonly Named[]): ReadSentence {
  if (group.length === 0) return read;
  const start = read.units.findIndex(({ word }) => !LEADS_IN.has(word));
  const unit = read.units[start];
  const number = unit ? numberMeant(unit.word) : null;
  const thing = group.find(({ name }) => new RegExp(`\\b${number}\\b`).test(name));
  if (
    !unit ||
    !thing ||
    !/^(was|were|is|are|went|came|,|the|i|we|had|has|got|and|did|lost|split|pair)$/.test(
      read.units[start + 1]?.word ?? ",",
    )
  )
    return read;
  const last = read.units[start + 1]?.word === "pair" ? nth(read.units, start + 1).last : unit.last;
  const named: Unit = {
    word: "T",
    first: unit.first,
    last,
    mentions: [{ first: unit.first, last, things: [thing], words: unit.word, score: 30 }],
  };
  const units = [named, ...read.units.slice(start + (last === unit.last ? 1 : 2))];
  return { ...read, units, clauses: clausesOf(units), words: wordsOf(units) };
}
const LEADS_IN: ReadonlySet<string> = new Set([
  "and",
  "then",
  "the",
  ",",
  "number",
  "pair",
  "so",
  "now",
  "well",
]);

/** A sentence that was dictated without stops, cut where it begins to speak of another thing; any other as it is. */
export function withoutStops(text: string, names: Names): { readonly text: string; readonly at: number }[] {
  const tokens = tokensOf(text);
  if (tokens.length < DICTATED || /[,;:]/.test(text)) return [{ text, at: 0 }];
  const mentions = mentionsIn(tokens, names);
  const ends = new Set(mentions.map(({ last }) => last));
  const cuts = mentions.flatMap(({ first }) => {
    const article = /^(the|my|a|an|those|these|that|this|both|same)$/.test(tokens[first - 1]?.plain ?? "")
      ? first - 1
      : first;
    const start = /^(and|but|so|then|now)$/.test(tokens[article - 1]?.plain ?? "") ? article - 1 : article;
    const before = tokens[start - 1]?.plain ?? "";
    if (start === 0 || (start === first && ends.has(start - 1))) return [];
    if (!LEADS_ON.has(before)) return [nth(tokens, start).at];
    // "…really i used the dry bags": it begins with who did it.
    return /^(i|we)$/.test(tokens[start - 2]?.plain ?? "") && start > 2 && !ends.has(start - 3)
      ? [nth(tokens, start - 2).at]
      : [];
  });
  const stops = [...new Set([...cuts, text.length])].filter((end) => end > 0).sort((a, b) => a - b);
  return stops.map((end, n) => ({ text: text.slice(stops[n - 1] ?? 0, end), at: stops[n - 1] ?? 0 }));
}

/** After one of these a thing still belongs to what went before it. */
const LEADS_ON: ReadonlySet<string> = new Set(
  (
    "in into inside outside beside behind near against on onto with without of off for to under over from by at through between than like not nor is was used wore needed had took carried put " +
    "missed lost broke washed swapped replaced sent posted gave left"
  ).split(" "),
);

const PART_WORDS = /^(poles?|pegs?|stakes?|bag|cover|line|light|case|strap|cap|bottle)$/;
const JOINS: ReadonlySet<string> = new Set([",", "and", "+", "&", "or", "nor", "plus"]);
const ARTICLES: ReadonlySet<string> = new Set(["the", "my", "a", "an", "our", "both", "also", "old"]);

/** "Novel and chair", "rain trousers, vest": one group of things, of which the same is said. */
function grouped(units: readonly Unit[]): Unit[] {
  const out: Unit[] = [];
  for (let n = 0; n < units.length; n++) {
    const unit = nth(units, n);
    const last = out.at(-1);
    // "Sun hat sunscreen sunglasses", dictated: a list without its commas.
    if (last?.word === "T" && unit.word === "T") {
      // "The tent pole": a part of the first.
      if (PART_WORDS.test(unit.mentions[0]?.words ?? "")) {
        out.push({ ...unit, word: unit.mentions[0]?.words ?? "part", mentions: [] });
        continue;
      }
      out[out.length - 1] = { ...last, last: unit.last, mentions: together(last.mentions, unit.mentions) };
      continue;
    }
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
          mentions: together(last.mentions, other.mentions),
        };
        n = next;
        continue;
      }
    }
    out.push(unit);
  }
  return out;
}

/** Mentions side by side; the same thing, told twice, is one. */
const together = (a: readonly Mention[], b: readonly Mention[]): readonly Mention[] => [
  ...a,
  ...b.filter(
    ({ things }) =>
      !a.some((each) => each.things.length === things.length && each.things.every((t) => things.includes(t))),
  ),
];

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
  const clauses: { units: Unit[]; opener: string }[] = [{ units: [], opener: "" }];
  for (const [n, unit] of units.entries()) {
    const next = units[n + 1]?.word;
    // "since day 3" is a day, "so big" a measure, no new clause.
    const holds =
      (unit.word === "since" && (next === "day" || /^\d/.test(next ?? ""))) ||
      (unit.word === "so" && !/^(T|i|we|it|they|the|that|thats)$/.test(next ?? "")) ||
      (unit.word === "but" && /^(all|everything|nothing)$/.test(units[n - 1]?.word ?? "")) ||
      (unit.word === "." &&
        units[n - 1] !== undefined &&
        /^\d+$/.test(nth(units, n - 1).word) &&
        /^\d/.test(next ?? ""));
    if (beginsAnew(units, n, lastOf(clauses).units) || endsAside(units, n, lastOf(clauses)))
      clauses.push({ units: [], opener: SUBORDINATORS.has(unit.word) ? unit.word : "" });
    if (CUTS.has(unit.word) && !holds) clauses.push({ units: [], opener: unit.word });
    else lastOf(clauses).units.push(unit);
  }
  return clauses
    .filter((each) => each.units.length > 0)
    .map((each) => ({ ...each, words: wordsOf(each.units) }));
}

/** From so many words on a clause is dictated, and may begin anew with who or what does something. */
const LONG_CLAUSE = 4;

/** "…it leaks air | i topped it up": dictated, without a comma; "not the shell | not the skirt". */
function beginsAnew(units: readonly Unit[], n: number, clause: readonly Unit[]): boolean {
  const [word, next, before] = [nth(units, n).word, units[n + 1]?.word ?? "", clause.at(-1)?.word ?? ","];
  if (/^(none|neither)$/.test(word) && before === "T") return true;
  if (SUBORDINATORS.has(word) && clause.length > 1)
    return next === "T" || (/^(the|my)$/.test(next) && units[n + 2]?.word === "T" && units.length > n + 3);
  if (word === "not" && clause.length > 0)
    return next === "T" || (/^(the|my)$/.test(next) && units[n + 2]?.word === "T");
  if (clause.length < LONG_CLAUSE || !/^(i|we|it|its|they|theyre|there|theres|im|ive)$/.test(word))
    return false;
  return !HOLDS_ON.has(before) && before !== "T";
}
/** "While I washed the shorts | the poncho tore": said without a comma. */
const endsAside = (
  units: readonly Unit[],
  n: number,
  { units: clause, opener }: { readonly units: readonly Unit[]; readonly opener: string },
): boolean =>
  (SUBORDINATORS.has(opener) || /^(while|since|as)$/.test(opener)) &&
  clause.at(-1)?.word === "T" &&
  /^(the|my)$/.test(nth(units, n).word) &&
  units[n + 1]?.word === "T";
const SUBORDINATORS: ReadonlySet<string> = new Set(["when", "until", "after", "before"]);
/** Behind one of these what follows still belongs to it. */
const HOLDS_ON: ReadonlySet<string> = new Set(
  (
    "that which when until if as than and or while because so where what how who why know think thought say said sure hope of in on into onto under " +
    "with without for from to at by over off through around round like not never did do does was were had have is are put took wore used " +
    "lost left let made sewed taped patched fixed mended posted sent gave lit got get carried washed saw before after whether once dried blew kept " +
    "needed wanted liked loved missed broke hardly barely all both half time way everything one thing whatever whenever wherever day night"
  ).split(" "),
);

export { namesOf, type Names };
