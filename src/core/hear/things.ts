import { lastOf, nth } from "../sums/there";
import type { Item } from "../model";
import { KIND_WORDS, WORDS_FOR } from "../trade/words/hearing";
import { findKind } from "../trade/words/names";
import { isTypoOf, type Token } from "./tokens";

/** A thing that may be spoken of; those along before those that are not. */
export type Named = Pick<Item, "id" | "name" | "kind"> & {
  readonly pieces: number;
  readonly jobs: readonly string[];
  /** It was on the trip that is spoken of. */
  readonly along?: boolean;
};

/** A stretch of words that names a thing, or any of several alike. */
export interface Mention {
  readonly first: number;
  readonly last: number;
  readonly things: readonly Named[];
  /** The words that name it, plain. */
  readonly words: string;
  /** How surely: by its whole name, by some words of it, by its sort. */
  readonly score: number;
}

interface Name {
  readonly thing: Named;
  readonly words: readonly string[];
  readonly size: string | null;
}

/** The names of a shelf, ready to be looked for. */
export interface Names {
  readonly all: readonly Name[];
  readonly byKind: ReadonlyMap<string, readonly Named[]>;
  /** The names that a word is near to one of; each word is looked up once. */
  readonly nearTo: (word: string) => ReadonlySet<Name>;
}

const JOINTS: ReadonlySet<string> = new Set([
  "and",
  "the",
  "for",
  "with",
  "of",
  "in",
  "on",
  "a",
  "my",
  "set",
]);
const single = (word: string) => (word.length > 3 && !word.endsWith("ss") ? word.replace(/s$/, "") : word);

export function namesOf(things: readonly Named[]): Names {
  const all = things.map((thing): Name => {
    const words = (thing.name.toLowerCase().match(/[\p{L}\d.]+/gu) ?? []).filter(
      (word) => !JOINTS.has(word) && word !== "s",
    );
    return { thing, words, size: words.find((word) => /^\d/.test(word)) ?? null };
  });
  const byKind = new Map<string, Named[]>();
  for (const thing of things) byKind.set(thing.kind, [...(byKind.get(thing.kind) ?? []), thing]);
  const looked = new Map<string, ReadonlySet<Name>>();
  const nearTo = (word: string) => {
    const known = looked.get(word);
    if (known) return known;
    const near = new Set(all.filter(({ words }) => words.some((own) => isNear(own, word))));
    looked.set(word, near);
    return near;
  };
  return { all, byKind, nearTo };
}

/** Words that are also names of things, but seldom mean them by themselves. */
const NOT_ALONE: ReadonlySet<string> = new Set([
  "day",
  "rain",
  "warm",
  "thin",
  "thick",
  "big",
  "small",
  "spare",
  "air",
  "hard",
  "down",
  "water",
  "camp",
  "foam",
  "light",
  "first",
  "aid",
  "sun",
  "long",
  "short",
  "old",
  "new",
  "wool",
  "steel",
  "snow",
  "ice",
  "winter",
  "summer",
  "soft",
  "dry",
  "sleeping",
  "sleep",
  "map",
  "kit",
  "set",
  "other",
  "trail",
  "walking",
  "hiking",
  "one",
  "l",
  "repair",
  "head",
  "power",
  "synthetic",
  "person",
  "man",
  "tape",
  "case",
  "cap",
  "sit",
  "town",
  "ski",
  "running",
  "food",
  "gas",
  "pair",
]);
/** Of these a thing is named by the one word all the same, where nothing else bears it. */
const MAY_STAND_ALONE: ReadonlySet<string> = new Set(["foam", "cap", "gas", "food", "light"]);

/** Words of their own that are a letter away from what many things are called. */
const NO_SLIP: ReadonlySet<string> = new Set(
  "shot shots spot sort port past last lost test rest want send sent spend bang pole poled matter packed packs mend tint tend text goes coal boat float stone store stared sock shock short".split(
    " ",
  ),
);
const means = (own: string, word: string) =>
  single(own) === single(word) || (WORDS_FOR[own] ?? []).some((other) => single(other) === single(word));
const isNear = (own: string, word: string) =>
  means(own, word) ||
  (word.length > 3 &&
    own.length > 3 &&
    word[0] === own[0] &&
    !NO_SLIP.has(word) &&
    isTypoOf(single(word), single(own))) ||
  (own.length === 3 && word === own + lastOf(own));

/** The things that a sentence names, the surest reading of each stretch; words that are no name are left. */
export function mentionsIn(tokens: readonly Token[], names: Names): Mention[] {
  const found: Mention[] = [];
  for (let first = 0; first < tokens.length; first++) {
    let best: Mention | null = oneOf(tokens, first, names, found.at(-1));
    for (let last = Math.min(tokens.length - 1, first + 5); last >= first; last--) {
      const words = tokens
        .slice(first, last + 1)
        .map(({ plain }) => plain)
        .filter((word) => word !== "-" && word !== "," && word !== "'s");
      if (
        words.length === 0 ||
        !/[\p{L}\d]/u.test(nth(tokens, first).plain) ||
        !/[\p{L}\d]/u.test(nth(tokens, last).plain)
      )
        continue;
      const between = tokens.slice(first, last + 1);
      if (nth(tokens, first).plain === "'s" || between.some(({ plain }) => plain === "," || plain === ":"))
        continue;
      const mention = mentionOf(words, first, last, names);
      // "Mia's bag" is a name only where a thing is called so, whole.
      if (between.some(({ plain }) => plain === "'s") && mention && mention.score < 50) continue;
      if (mention && (!best || mention.score > best.score)) best = mention;
    }
    if (best) {
      found.push(best);
      first = best.last;
    }
  }
  return found;
}

/**
 * "The thin one", "the 2 l one", "the small ones": by what sets it apart, among things like the last that was
 * named.
 */
function oneOf(
  tokens: readonly Token[],
  first: number,
  { all }: Names,
  before: Mention | undefined,
): Mention | null {
  const at = [1, 2].find((n) => /^ones?$/.test(tokens[first + n]?.plain ?? ""));
  if (at === undefined) return null;
  const words = tokens.slice(first, first + at).map(({ plain }) => plain);
  const fits = all.filter(
    ({ thing, words: own }) =>
      words.every((word) => own.some((each) => means(each, word))) &&
      before?.things.every(({ id }) => id !== thing.id) !== false,
  );
  const alike = before
    ? fits.filter(({ thing }) => before.things.some(({ jobs }) => jobs[0] === thing.jobs[0]))
    : [];
  const things = (alike.length > 0 ? alike : fits).map(({ thing }) => thing);
  return things.length === 1 ? { first, last: first + at, things, score: 35, words: words.join(" ") } : null;
}

/** Words that a sort of thing is called by at most. */
const KIND_WORDS_MOST = 3;

function mentionOf(
  words: readonly string[],
  first: number,
  last: number,
  { byKind, nearTo }: Names,
): Mention | null {
  let score = 0;
  let things: Named[] = [];
  const take = (thing: Named, worth: number) => {
    if (worth > score) [score, things] = [worth, [thing]];
    else if (worth === score && !things.includes(thing)) things.push(thing);
  };
  const letters = words.join("").length;
  for (const name of nearTo(nth(words, 0))) {
    if (!words.every((word) => nearTo(word).has(name))) continue;
    const fit = fitOf(words, name.words);
    if (fit > 0) take(name.thing, fit * 10 + letters);
  }
  const joined = words.join(" ");
  const kind =
    words.length > KIND_WORDS_MOST
      ? undefined
      : (KIND_WORDS[joined] ?? KIND_WORDS[single(joined)] ?? findKind(joined)?.id);
  const ofKind = kind && kind !== "other" ? byKind.get(kind) : undefined;
  if (ofKind && score < 20 + letters && (words.length > 1 || !NOT_ALONE.has(joined)))
    for (const thing of ofKind) take(thing, 20 + letters);
  if (score === 0 || things.length === 0) return null;
  return { first, last, things, score, words: joined };
}

/** How well some words name a thing: 6 by all of its name, less by some of its words, 0 not at all. */
function fitOf(words: readonly string[], own: readonly string[]): number {
  const met = words.flatMap((word) => own.find((each) => isNear(each, word)) ?? []);
  if (met.length < words.length) return 0;
  const distinct = new Set(met);
  if (distinct.size < words.length) return 0;
  const exact = words.every((word, n) => single(word) === single(nth(met, n)));
  const named = own.filter((word) => !/^\d/.test(word) && word !== "l");
  const all = named.every((word) => distinct.has(word));
  if (words.length === 1) {
    const [word] = words;
    if (/^\d/.test(word!) || word === "l") return 0;
    if (all) return exact ? 6 : 5;
    const alone = nth(met, 0);
    if (NOT_ALONE.has(alone) && !(MAY_STAND_ALONE.has(alone) && exact)) return 0;
    return exact ? 3 : 2;
  }
  // "2 l bottle": a size tells two of a sort apart, not by itself what it is.
  if (words.every((word) => /^\d/.test(word) || word === "l" || word === "pair") && !own.includes("pair"))
    return 0;
  if (all) return exact ? 6 : 5;
  // "Pair 3", of several.
  if (words[0] === "pair" && /^\d/.test(nth(words, 1))) return 4;
  if (!words.some((word, n) => !NOT_ALONE.has(nth(met, n)) && !/^\d/.test(word))) return 0;
  return exact ? 4 : 3.5;
}
