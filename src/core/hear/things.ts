import { lastOf, nth } from "../sums/there";
import type { Item } from "../model";
import {
  KIND_WORDS,
  MAY_STAND_ALONE,
  ONLY_PLURAL,
  NO_SLIP,
  NOT_ALONE,
  WORDS_FOR,
} from "../trade/words/naming";
import { NUMBER_UNITS, ORDINALS } from "../trade/words/numbers";
import { findKind } from "../trade/words/names";
import { isTypoOf, type Token } from "./text/tokens";

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
  /** Words that name it only with others: whose it is, and the first parts of "blow-up", "first-aid". */
  readonly notAlone: ReadonlySet<string>;
  readonly size: string | null;
}

/** The names of a shelf, ready to be looked for. */
export interface Names {
  readonly all: readonly Name[];
  readonly byKind: ReadonlyMap<string, readonly Named[]>;
  /** The names that a word is near to one of; each word is looked up once. */
  readonly nearTo: (word: string) => ReadonlySet<Name>;
  /** Who walked with the one that speaks, where things bear their name. */
  readonly partner: string | null;
}

/** Whose a thing is by its name, in small letters: "Mia's bag" is Mia's. */
export const ownerIn = (name: string): string | null =>
  /^(\p{L}+)['’]s? /u.exec(name.toLowerCase())?.[1] ?? null;

/** "Mia and I": she whose things are on the shelf. */
function partnerIn(text: string, things: readonly Named[]): string | null {
  const owners = new Set(things.flatMap(({ name }) => ownerIn(name) ?? []));
  const found = [...text.toLowerCase().matchAll(/\b(\p{L}+) and (?:i|me)\b|\b(?:i|me) and (\p{L}+)\b/gu)]
    .flatMap(([, a, b]) => a ?? b ?? [])
    .find((name) => owners.has(name));
  return found ?? null;
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

/** @param text what is said, for who is spoken of in it */
export function namesOf(things: readonly Named[], text = ""): Names {
  const all = things.map((thing): Name => {
    const words = (thing.name.toLowerCase().match(/[\p{L}\d.]+/gu) ?? []).filter(
      (word) => !JOINTS.has(word) && word !== "s",
    );
    return {
      thing,
      words,
      notAlone: notAloneIn(thing.name.toLowerCase()),
      size: words.find((word) => /^\d/.test(word)) ?? null,
    };
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
  return { all, byKind, nearTo, partner: partnerIn(text, things) };
}

/** Which of several a word means: "two", "second", "2". */
export const numberMeant = (word: string): number | null =>
  ORDINALS[word] ?? NUMBER_UNITS[word] ?? (/^\d{1,2}$/.test(word) ? Number(word) : null);
const means = (own: string, word: string) =>
  (single(own) === single(word) && (own === word || !ONLY_PLURAL.has(own))) ||
  (/^\d{1,2}$/.test(own) && numberMeant(word) === Number(own)) ||
  (WORDS_FOR[own] ?? []).some((other) => single(other) === single(word));
const isNear = (own: string, word: string) =>
  means(own, word) ||
  (word.length > 3 &&
    own.length > 3 &&
    word[0] === own[0] &&
    !NO_SLIP.has(word) &&
    !ONLY_PLURAL.has(own) &&
    isTypoOf(single(word), single(own))) ||
  (own.length === 3 && word === own + lastOf(own));

function notAloneIn(name: string): ReadonlySet<string> {
  const owner = ownerIn(name);
  const compounds = [...name.matchAll(/(\p{L}+(?:-\p{L}+)+)(.*)/gu)].flatMap(([, compound = "", rest]) => {
    const parts = compound.split("-");
    // "Micro-spikes" are spikes; a "first-aid kit" is no aid.
    return rest ? parts : parts.slice(0, -1);
  });
  return new Set([...(owner ? [owner] : []), ...compounds]);
}

const NO_WORDS: ReadonlySet<string> = new Set(["-", ",", "'s"]);

/** The things that a sentence names, the surest reading of each stretch; words that are no name are left. */
export function mentionsIn(tokens: readonly Token[], names: Names): Mention[] {
  const found: Mention[] = [];
  for (let first = 0; first < tokens.length; first++) {
    let best: Mention | null = oneOf(tokens, first, names, found.at(-1));
    for (let last = Math.min(tokens.length - 1, first + 5); last >= first; last--) {
      const words = tokens
        .slice(first, last + 1)
        .map(({ plain }) => plain)
        .filter(
          (word, n, all) => !NO_WORDS.has(word) && (n === 0 || n === all.length - 1 || !JOINTS.has(word)),
        );
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
      if (
        between.some(({ plain }) => plain === "'s") &&
        mention &&
        mention.score < 50 &&
        !isOwners(mention, between)
      )
        continue;
      if (mention && (!best || mention.score > best.score)) best = mention;
    }
    if (best) {
      found.push(best);
      first = best.last;
    }
  }
  return found;
}

/** "Uncle's bag", of a thing called "Uncle's sleeping bag". */
const isOwners = ({ things }: Mention, tokens: readonly Token[]) =>
  tokens[1]?.plain === "'s" && things.every(({ name }) => ownerIn(name) === tokens[0]?.plain);

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
  // "The quilt, the down one": the same thing, told more nearly.
  const gap = before ? tokens.slice(before.last + 1, first).map(({ plain }) => plain) : [];
  const isSame = gap.length > 0 && gap.every((word) => word === "," || word === "the" || word === "my");
  const same = isSame ? before?.things.filter((thing) => isCalled(thing, words, all)) : [];
  if (same?.length === 1) return { first, last: first + at, things: same, score: 60, words: words.join(" ") };
  const fits = all.filter(
    ({ thing, words: own, notAlone }) =>
      words.every((word) => own.some((each) => means(each, word) && !notAlone.has(each))) &&
      before?.things.every(({ id }) => id !== thing.id) !== false,
  );
  const alike = before
    ? fits.filter(({ thing }) => before.things.some(({ jobs }) => jobs[0] === thing.jobs[0]))
    : [];
  const things = (alike.length > 0 ? alike : fits).map(({ thing }) => thing);
  return things.length === 1 ? { first, last: first + at, things, score: 35, words: words.join(" ") } : null;
}

const isCalled = (thing: Named, words: readonly string[], all: readonly Name[]) =>
  all.some(
    (name) => name.thing.id === thing.id && words.every((word) => name.words.some((own) => means(own, word))),
  );

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
    if (words.length === 1 && name.words.length > 1 && name.notAlone.has(nth(words, 0))) continue;
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

/** What more it counts that a word is what a thing is, not what sort of it. */
const HEAD = 0.2;

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
    if (/^\d/.test(nth(met, 0)) || word === "l") return 0;
    if (all) return exact ? 6 : 5;
    const alone = nth(met, 0);
    if (NOT_ALONE.has(alone) && !(MAY_STAND_ALONE.has(alone) && exact)) return 0;
    // "The bag" is a bag sooner than a bag liner.
    const head = alone === lastOf(named) ? HEAD : 0;
    return (exact ? 3 : 2) + head;
  }
  // "2 l bottle": a size tells two of a sort apart, not by itself what it is.
  if (met.every((word) => /^\d/.test(word) || word === "l" || word === "pair") && !own.includes("pair"))
    return 0;
  if (all) return exact ? 6 : 5;
  // "Pair 3", of several.
  if (words.length === 2 && met.some((word) => /^\d/.test(word)) && own.includes("pair"))
    return words[0] === "pair" || (words[1] === "pair" && ORDINALS[nth(words, 0)] !== undefined) ? 4 : 0;
  if (!words.some((word, n) => !NOT_ALONE.has(nth(met, n)) && !/^\d/.test(word))) return 0;
  return exact ? 4 : 3.5;
}
