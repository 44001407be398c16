/** Numbers in words: a row a word, as another language would have them. */
export const NUMBER_UNITS: Readonly<Record<string, number>> = {
  zero: 0,
  nought: 0,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
export const NUMBER_TENS: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
/** Which of several a number word means: "the second pair", "pair two". */
export const ORDINALS: Readonly<Record<string, number>> = {
  first: 1,
  second: 2,
  third: 3,
  fourth: 4,
  fifth: 5,
  sixth: 6,
};
/** Said between a slip of the tongue and what was meant. */
export const SELF_CORRECTIONS: ReadonlySet<string> = new Set([
  "sorry",
  "no",
  "wait",
  "rather",
  "pardon",
  "actually",
  "correction",
]);

/** Numbers as they stand in rows, with the small words for one, for two and for shares. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  ...NUMBER_UNITS,
  ...NUMBER_TENS,
  a: 1,
  an: 1,
  both: 2,
  half: 0.5,
  third: 1 / 3,
  quarter: 0.25,
};
