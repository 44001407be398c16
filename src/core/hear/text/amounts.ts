import { SUPPLY_BACK, SUPPLY_OUT, SUPPLY_WORDS } from "../../trade/words/supplies";
import { amount, partOf, type Amount } from "./quantities";
import { nth } from "../../sums/there";

/** An amount, and the words that it stands on. */
export interface HeardAmount {
  readonly fact: Amount;
  readonly words: string;
}

const FUEL = `(${Object.keys(SUPPLY_WORDS).join("|")})`;
const sortOf = (word: string) => SUPPLY_WORDS[word] ?? "gas";

/** Said in one phrase of its own: "20 g of gas left", "battery 40 %", "boiled 2 L". */
const PHRASES: readonly (readonly [RegExp, (match: RegExpExecArray) => Amount])[] = [
  [
    new RegExp(
      `(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%) (?:of )?(?:the )?${FUEL}(?: ` +
        `\\w+)? (?:left|remaining|to go|still|came (?:back|home))`,
    ),
    (m) => amount(sortOf(nth(m, 3)), "left", nth(m, 1), nth(m, 2)),
  ],
  [
    new RegExp(
      `\\b${FUEL} (?:at |is |: ?|, |nearly |almost |low |out |maybe |about |around |roughly |just |only |still |left )*(?:down to )?(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%)(?: left| remaining)?`,
    ),
    (m) => amount(sortOf(nth(m, 1)), "left", nth(m, 2), nth(m, 3)),
  ],
  [
    new RegExp(
      `\\b(?:set out|started|left|began|went out) with (\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz) (?:of )?${FUEL}`,
    ),
    (m) => amount(sortOf(nth(m, 3)), "out", nth(m, 1), nth(m, 2)),
  ],
  [
    new RegExp(
      `\\b${FUEL} (?:is |was |are )?(?:about |nearly )?(half|a quarter|a third|two thirds|three quarters) (gone|left|full|used|empty)\\b`,
    ),
    (m) => partOf(sortOf(nth(m, 1)), nth(m, 2), nth(m, 3)),
  ],
  [
    new RegExp(
      `\\b(half|a quarter|a third|two thirds|three quarters) (?:of )?(?:the |my )?${FUEL} (?:is |was )?(gone|left|used)\\b`,
    ),
    (m) => partOf(sortOf(nth(m, 2)), nth(m, 1), nth(m, 3)),
  ],
  [
    new RegExp(
      `\\b(?:no|out of) (?:more )?${FUEL}(?: left)?\\b|\\b${FUEL} (?:is |was |all )?(?:used up|empty|gone|finished|ran out|run out|done)\\b|\\bran out of ${FUEL}\\b`,
    ),
    (m) => amount(sortOf(m[1] ?? m[2] ?? nth(m, 3)), "left", "0", "%"),
  ],
  [
    /\b(?:battery|bank|power bank|phone) (?:is |was )?(?:at |: ?|, )*(\d+) ?%/,
    (m) => amount("battery", "left", nth(m, 1), "%"),
  ],
  [/\bboiled (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/, (m) => amount("boiled", "used", nth(m, 1), nth(m, 2))],
  [
    /\bdrank (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/,
    (m) => amount("water drunk", "used", nth(m, 1), nth(m, 2)),
  ],
  [
    /\bcarried (?:about )?(\d+(?:\.\d+)?)(?: ?(l|ml)\b|(?= ?$| ,))(?! ?(?:g|kg|km))/,
    (m) => amount("water carried", "out", nth(m, 1), m[2] ?? "l"),
  ],
];

/** What is bought is not what is left. */
const BOUGHT = new RegExp(`\\b(?:bought|buy|new|another|fresh|picked up)(?: \\w+)? ${FUEL}\\b`);

/** The amounts that a sentence tells. */
export function amountsIn(plain: string): HeardAmount[] {
  const told = outAndBack(plain);
  if (told.length > 0) return told;
  const found: HeardAmount[] = [];
  for (const [pattern, read] of PHRASES) {
    const match = pattern.exec(BOUGHT.test(plain) ? "" : plain);
    const fact = match && read(match);
    // "Half of the gas gone" is no "gas gone" too.
    if (fact && !found.some((each) => each.fact.what === fact.what && each.fact.how === fact.how))
      found.push({ fact, words: nth(match, 0) });
  }
  return found;
}

/** A number with what it is of, grams where nobody says, and kilograms of a few. */
const unitOf = (sort: Amount["what"], value: number) =>
  sort === "spirit" ? "ml" : value < FEWEST_GRAMS ? "kg" : "g";
const FEWEST_GRAMS = 15;

/**
 * "Gas, 230 g going out and 196 came back": numbers in a row behind the supply's name, told apart by the words
 * about each. Only where both ways are told.
 */
function outAndBack(plain: string): HeardAmount[] {
  return [...plain.matchAll(new RegExp(`\\b${FUEL}\\b`, "g"))].flatMap((match, n, all) => {
    const sort = sortOf(nth(match, 1));
    const part = plain.slice(match.index, all[n + 1]?.index ?? plain.length);
    const numbers = [...part.matchAll(/(?<![\d.])(\d+(?:\.\d+)?)(?: ?(g|kg|ml|l|oz)\b)?/g)];
    const known = numbers.find((each) => each[2])?.[2];
    const told = numbers.flatMap((each, at): HeardAmount[] => {
      const end = each.index + each[0].length;
      const after = part.slice(end, numbers[at + 1]?.index ?? part.length);
      const before = part.slice(
        numbers[at - 1] ? numbers[at - 1]!.index + numbers[at - 1]![0].length : 0,
        each.index,
      );
      const next = after.split(/ ,| and | but /)[0] ?? "";
      const isLast = at === numbers.length - 1;
      const how = SUPPLY_BACK.after.test(next)
        ? "left"
        : SUPPLY_OUT.after.test(next)
          ? "out"
          : SUPPLY_BACK.before.test(before)
            ? "left"
            : SUPPLY_OUT.before.test(before) || (at === 0 && !isLast && each[2])
              ? "out"
              : null;
      const unit =
        each[2] ?? (Number(each[1]) < FEWEST_GRAMS ? null : known) ?? unitOf(sort, Number(each[1]));
      return how ? [{ fact: amount(sort, how, nth(each, 1), unit), words: each[0] }] : [];
    });
    return new Set(told.map(({ fact }) => fact.how)).size > 1 ? told : [];
  });
}
