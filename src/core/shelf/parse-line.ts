import { guessKind } from "../trade/words/names";
import type { Stow } from "../model";
import { parsePrice, PRICE, type Price } from "../units/price";
import { ABOUT, parseMass, type Mass } from "../units/quantity";

/** What one line of typing says of a thing; what it leaves out comes from the kind. */
export interface ParsedLine {
  readonly name: string;
  readonly kind: string;
  /** Of all its pieces. */
  readonly weight: Mass | null;
  /** What is wrong with the weight, where it can't be read. */
  readonly wrong: string | null;
  /** The weight is the maker's, and was not measured. */
  readonly claimed: boolean;
  readonly stow: Stow | null;
  readonly pieces: number;
  readonly price: Price | null;
}

/** Where it rides, as the last words of a line. */
const PLACES: readonly (readonly [place: string, stow: Stow])[] = [
  ["worn|wearing", "worn"],
  ["hands?", "hand"],
  ["shoulder(?: ?(?:pouch|strap))?", "shoulder"],
  ["hip(?: ?belt)?(?: pocket)?", "hip"],
  ["(?:outside|front)(?: pocket)?", "outside"],
  ["side(?: pockets?)?", "side"],
  ["(?:lid|top)(?: pocket)?", "lid"],
  ["(?:main|inside)(?: ?bag)?", "main"],
  ["food(?: ?bag)?", "food"],
  ["bag", "bag"],
];
const NUMBER = "\\d{1,3}(?:,\\d{3})+|\\d+(?:[.,]\\d+)?";
const EACH = "(?: ?(?:each|apiece|(?:a|per) (?:piece|pair)|/ ?(?:pc|piece|pair|each))(?![\\p{L}]))?";
const UNIT = "(?:kgs?|g|gr|grams?|oz|ounces?|lbs?|pounds?)";
const WEIGHT = new RegExp(
  `(?:${ABOUT} ?)?(?<![\\p{L}\\d.,])((?:(?<=^|\\s)[-−])?(?:${NUMBER}) ?${UNIT}` +
    `(?: ?(?:${NUMBER}) ?(?:oz|ounces?))?)(?![\\p{L}\\d])(${EACH})`,
  "iu",
);
/** A weight without its unit, as the last word: not what tells of a size, an R-value, a number of it. */
const BARE =
  /(?<!(?:^| )(?:r|r-value|size|spf|no\.?|nr\.?|number|mk|mark|type|model|pair|shade|value)) [-−]?\d+(?:[.,]\d+)?$/iu;
const PIECES = /(?<![\p{L}\d])(?:[x×]\s*(\d{1,3})|(\d{1,3})\s*[x×])(?![\p{L}\d])/iu;
/** "8 stakes", "3 pairs of socks"; a "2 person tent" is one, and so is what holds or lasts so much. */
const SO_MANY = new RegExp(
  "^(\\d{1,2}) (?:(?:pairs?|pieces?|pcs) (?:of )?)?" +
    "(?!(?:days|nights|hours|weeks|seasons|persons|litres|liters|quarts|metres|meters|miles|inches|" +
    "grams|ounces|pounds|volts|watts|amps|lumens|degrees|pages)(?![\\p{L}]))" +
    "(?=\\p{L}+[^s\\P{L}]s(?: |$))",
  "iu",
);
const CLAIMED = /\(?(?<!\p{L})(?:claimed|as claimed|by the (?:label|maker))(?!\p{L})\)?/iu;

/**
 * Reads one line of the shelf: name, weight, price and pieces in any order, and where it rides behind them.
 *
 * @param bareUnit unit of a weight given as the last word without one
 * @example parseLine("rain shell 312 g lid") // name "rain shell", 312 g, in the lid, a rain shell
 */
export function parseLine(line: string, bareUnit: "g" | "oz" = "g"): ParsedLine {
  // Thousands as this app writes them: "1 240 g", parted by a blank that breaks no line.
  let rest = line
    .trim()
    .replace(/(?<=\d)[\u00a0\u202f](?=\d{3}(?!\d))/g, "")
    .replace(/\s+/g, " ");
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest);
    if (found)
      rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`
        .replace(/\s+/g, " ")
        .trim();
    return found;
  };
  const price = parsePrice(take(PRICE)?.[0] ?? "");
  const claimed = take(CLAIMED) !== null;
  const counted = take(PIECES) ?? take(SO_MANY);
  const pieces = Number(counted?.[1] ?? counted?.[2] ?? 1);
  const whole = rest;
  const weighed = take(WEIGHT);
  const behind = weighed ? whole.slice(weighed.index + weighed[0].length).trim() : null;
  const stow = placeAtEnd(rest, behind);
  if (stow) rest = stow.before;
  const typed = weighed?.[1] ?? take(BARE)?.[0].trim();
  const mass = typed ? parseMass(typed.replace("−", "-"), bareUnit) : null;
  const name = rest.replace(/[,;:–-]+$/, "").trim();
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    kind: guessKind(name).id,
    stow: stow?.stow ?? null,
    weight: mass?.ok ? ofAll(mass.value, weighed?.[2] ? pieces : 1) : null,
    wrong: mass && !mass.ok ? mass.why : null,
    claimed,
    pieces,
    price,
  };
}

const ofAll = (weight: Mass, pieces: number): Mass => {
  const g = Math.round(weight.g * pieces * 10) / 10;
  return pieces === 1 ? weight : { typed: `${g} g`, g };
};

/** A place by any reading: "hip belt", "side pocket", "worn". */
const CLEARLY =
  /^(?:worn|wearing|outside|hip ?belt.*|.* pockets?|(?:main|food) ?bag|shoulder ?(?:pouch|strap))$/i;
/** The last word of many a name, too: "merino top", "dried food", "day bag". */
const OFTEN_A_NAME = /^(?:top|bag|food|front|side|hands?|main|inside)$/i;

/**
 * The place at the end of a line, and what stands before it; null where none does. "Pot lid 20 g" is a lid: a
 * single word is a place behind the weight, or behind "in the".
 *
 * @param behind what stands behind the weight; null: no weight is told
 */
function placeAtEnd(
  text: string,
  behind: string | null,
): { readonly stow: Stow; readonly before: string } | null {
  for (const [place, stow] of PLACES) {
    const found = new RegExp(`^(.*?\\S) ((?:in|on|at) )?(?:(?:the|my|a) )?(${place})$`, "i").exec(text);
    if (!found) continue;
    const [, before, preposition, word] = found;
    const isPlace =
      preposition !== undefined ||
      CLEARLY.test(word!) ||
      (behind === null ? !OFTEN_A_NAME.test(word!) : behind.toLowerCase().endsWith(word!.toLowerCase()));
    // "In a bag" says that it rides in one; a bag behind the weight may be any.
    if (!isPlace || (stow === "bag" && preposition === undefined)) return null;
    return { stow, before: before!.replace(/[,;:–-]+$/, "").trim() };
  }
  return null;
}
