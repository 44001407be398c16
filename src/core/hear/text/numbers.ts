import { NUMBER_TENS, NUMBER_UNITS, SELF_CORRECTIONS } from "../../trade/words/numbers";
import { nth } from "../../sums/there";
import type { Token } from "./tokens";

/** A number of several words, and how many tokens it takes. */
interface Spoken {
  readonly value: number;
  readonly takes: number;
}

/** From this value on a number is written in figures; smaller ones stay words, as "one" and "a" often are no number. */
const IN_FIGURES = 13;

/** Behind one of these even a small number is a measure. */
const MEASURES: ReadonlySet<string> = new Set(
  "degrees c f ° g kg oz lb ml l km mile % percent gram".split(" "),
);

/**
 * Numbers in words as figures ("two hundred and thirty grams" is 230 g, "minus two" is −2), and of a number
 * that is put right in the next breath ("four, sorry, five") only the second.
 */
export function withNumbers(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let at = 0; at < tokens.length;) {
    const spoken = numberAt(tokens, at);
    if (!spoken) {
      out.push(nth(tokens, at));
      at += 1;
      continue;
    }
    const end = at + spoken.takes;
    const next = correctedAt(tokens, end);
    if (next !== null) {
      at = next;
      continue;
    }
    const isMeasure =
      spoken.takes > 1 || spoken.value >= IN_FIGURES || MEASURES.has(tokens[end]?.plain ?? "");
    if (isMeasure && !/^-?\d/.test(nth(tokens, at).plain))
      out.push({ plain: String(spoken.value), at: nth(tokens, at).at, end: nth(tokens, end - 1).end });
    else out.push(...tokens.slice(at, end));
    at = end;
  }
  return out;
}

/** Where the number stands that puts the one before it right; null: none does. */
function correctedAt(tokens: readonly Token[], end: number): number | null {
  let at = end;
  // "Four hundred grams, no, four fifty".
  if (MEASURES.has(tokens[at]?.plain ?? "")) at += 1;
  let isPutRight = false;
  while (tokens[at]?.plain === "," || SELF_CORRECTIONS.has(tokens[at]?.plain ?? "")) {
    if (nth(tokens, at).plain !== ",") isPutRight = true;
    at += 1;
  }
  return isPutRight && tokens[end]?.plain !== undefined && numberAt(tokens, at) ? at : null;
}

function numberAt(tokens: readonly Token[], start: number): Spoken | null {
  const word = (at: number) => tokens[at]?.plain ?? "";
  if (/^-?\d+(\.\d+)?$/.test(word(start))) return { value: Number(word(start)), takes: 1 };
  const isMinus = word(start) === "minus";
  let at = isMinus ? start + 1 : start;
  const whole = wholeAt(word, at);
  if (!whole) return null;
  at += whole.takes;
  let { value } = whole;
  if (word(at) === "point") {
    let digits = "";
    let next = at + 1;
    for (let digit = digitOf(word(next)); digit !== null; digit = digitOf(word(next))) {
      digits += digit;
      next += 1;
    }
    if (digits) {
      value += Number(`0.${digits}`);
      at = next;
    }
  } else if (word(at) === "and" && word(at + 1) === "a" && word(at + 2) === "half") {
    value += 0.5;
    at += 3;
  }
  return { value: isMinus ? -value : value, takes: at - start };
}

/** A figure behind a point: "two point oh five". */
function digitOf(word: string): number | null {
  const digit = word === "oh" ? 0 : NUMBER_UNITS[word];
  return digit !== undefined && digit < 10 ? digit : null;
}

/** "Two thousand four hundred and six": the words of a whole number, as many as make one. */
function wholeAt(word: (at: number) => string, start: number): Spoken | null {
  let at = start;
  let total = 0;
  let part: number | null = null;
  while (true) {
    const [unit, tens] = [NUMBER_UNITS[word(at)], NUMBER_TENS[word(at)]];
    if (unit !== undefined && (part === null || (part % 100 === 0 && part > 0))) {
      part = (part ?? 0) + unit;
      at += 1;
    } else if (tens !== undefined && (part === null || (part % 100 === 0 && part > 0))) {
      part = (part ?? 0) + tens;
      at += 1;
      const hyphen = word(at) === "-" ? 1 : 0;
      const one = NUMBER_UNITS[word(at + hyphen)];
      if (one !== undefined && one > 0 && one < 10) {
        part += one;
        at += 1 + hyphen;
      }
    } else if (/^(hundred|thousand)$/.test(word(at)) && part !== null && part > 0) {
      if (word(at) === "hundred") part *= 100;
      else [total, part] = [total + part * 1000, null];
      at += 1;
    } else if (
      part === null &&
      total === 0 &&
      word(at) === "a" &&
      /^(hundred|thousand)$/.test(word(at + 1))
    ) {
      part = 1;
      at += 1;
    } else if (
      word(at) === "and" &&
      at > start &&
      /^(hundred|thousand)$/.test(word(at - 1)) &&
      (NUMBER_UNITS[word(at + 1)] !== undefined || NUMBER_TENS[word(at + 1)] !== undefined)
    )
      at += 1;
    else break;
  }
  return at === start ? null : { value: total + (part ?? 0), takes: at - start };
}
