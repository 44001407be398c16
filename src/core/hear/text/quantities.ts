import { NUMBER_WORDS } from "../../trade/words/numbers";
import type { HeardFact } from "../../model";

/** A number, in figures or as a word; null where it is none. */
export const numberOf = (word: string | undefined): number | null => {
  if (word === undefined) return null;
  const known = NUMBER_WORDS[word];
  if (known !== undefined) return known;
  return /^-?\d+(\.\d+)?$/.test(word) ? Number(word) : null;
};
/** A number as it may stand in a row. */
export const NUMBER =
  "(-?\\d+(?:\\.\\d+)?|a|an|one|two|both|three|four|five|six|seven|eight|nine|ten|eleven|twelve)";

const UNITS: Readonly<Record<string, readonly [factor: number, unit: "g" | "L" | "%"]>> = {
  g: [1, "g"],
  kg: [1000, "g"],
  oz: [28.3495, "g"],
  ml: [0.001, "L"],
  l: [1, "L"],
  "%": [1, "%"],
};
export type Amount = Extract<HeardFact, { about: "amount" }>;
/** So much of a supply, in its base unit. */
export function amount(what: Amount["what"], how: Amount["how"], typed: string, unit: string): Amount {
  const [factor, base] = UNITS[unit] ?? [1, "g"];
  return { about: "amount", what, how, value: Math.round(Number(typed) * factor * 1000) / 1000, unit: base };
}
/** Half, a third, 40 %: a share, 0 to 1. */
export const shareOf = (words: string): number => {
  if (/%/.test(words)) return Number(words.replace(/\D/g, "")) / 100;
  return (
    { half: 0.5, "a quarter": 0.25, "a third": 1 / 3, "two thirds": 2 / 3, "three quarters": 0.75 }[words] ??
    0.5
  );
};
/** "Half gone", "a third left". */
export const partOf = (what: Amount["what"], share: string, is: string): Amount => ({
  about: "amount",
  what,
  how: "left",
  value: Math.round(100 * (/gone|used|empty/.test(is) ? 1 - shareOf(share) : shareOf(share))),
  unit: "%",
});

/** The thing that a stretch of words is about: "a second pair of gloves, really" → "gloves". */
export function nounOf(words: string): string | null {
  const noun = words
    .replace(/ [,.;:!?].*$/, "")
    .replace(
      /^(?:was |were |is |had |have |the |a |an |my |some |any |another |new |fresh |second |more |of |bit |pair |spare pair |couple |that )+/g,
      "",
    )
    .replace(/^(?:second |pair |bit )?(?:of )/, "")
    .replace(
      / (?:next time|really|today|tonight|with me|along|too|at night|from (?:home|last|the).*|for .*|every .*|each .*|in .*|at .*|on .*|as .*|to .*|so .*|because .*|but .*|and .*|i .*)$/g,
      "",
    )
    .replace(/\s*[.!?,]+\s*$/, "")
    .trim();
  return noun &&
    noun.split(" ").length <= 4 &&
    !/^(,|not\b|it|them|that|nothing|me|you|him|her|to|i|out)\b/.test(noun)
    ? noun
    : null;
}

/** A person by name, or by what they are. */
export const capitalised = (name: string, how: string) =>
  how === "given" && /^(guide|walker|couple|man|woman|shepherd|warden|hiker|friend)$/.test(name)
    ? name
    : name.charAt(0).toUpperCase() + name.slice(1);
