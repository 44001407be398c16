import { nth } from "../sums/there";
import { guessKind } from "../trade/words/names";
import type { Stow } from "../model";
import { parsePrice, PRICE, type Price } from "../units/price";
import { parseMass, type Mass } from "../units/quantity";

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
const ABOUT = "(?:(?:~|≈|ca?\\.|approx(?:imately)?\\.?|about|circa) ?)?";
const EACH = "(?: ?(?:each|apiece|(?:a|per) (?:piece|pair)|/ ?(?:pc|piece|pair|each))(?![\\p{L}]))?";
const UNIT = "(?:kgs?|g|gr|grams?|oz|ounces?|lbs?|pounds?)";
const WEIGHT = new RegExp(
  `${ABOUT}(?<![\\p{L}\\d.,])((?:(?<=^|\\s)[-−])?(?:${NUMBER}) ?${UNIT}(?: ?(?:${NUMBER}) ?(?:oz|ounces?))?)(?![\\p{L}\\d])(${EACH})`,
  "iu",
);
/** A weight without its unit, as the last word: not what tells of a size, an R-value, a number of it. */
const BARE =
  /(?<!(?:^| )(?:r|r-value|size|spf|no\.?|nr\.?|number|mk|mark|type|model|pair|shade|value)) [-−]?\d+(?:[.,]\d+)?$/iu;
const PIECES = /(?<![\p{L}\d])(?:[x×]\s*(\d{1,3})|(\d{1,3})\s*[x×])(?![\p{L}\d])/iu;
/** "8 stakes", "3 pairs of socks"; a "2 person tent" is one. */
const SO_MANY = /^(\d{1,2}) (?:(?:pairs?|pieces?|pcs) (?:of )?)?(?=\p{L}+[^s\P{L}]s(?: |$))/iu;
const CLAIMED = /\(?(?<!\p{L})(?:claimed|as claimed|by the (?:label|maker))(?!\p{L})\)?/iu;

/**
 * Reads one line of the shelf: name, weight, price, place and pieces in any order.
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
  const weighed = take(WEIGHT);
  const stow = placeAtEnd(rest);
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

/** The place at the end of a line, and what stands before it; null where none does, or a thing is called so. */
function placeAtEnd(text: string): { readonly stow: Stow; readonly before: string } | null {
  for (const [place, stow] of PLACES) {
    const found = new RegExp(`^(.*?\\S) (?:(?:in|on|at) )?(?:(?:the|my|a) )?(?:${place})$`, "i").exec(text);
    if (!found) continue;
    // "Day bag" is one: of what rides in a bag it must be said.
    const isName = stow === "bag" && !/ in (?:the |my |a )?bag$/i.test(text);
    return isName
      ? null
      : {
          stow,
          before: nth(found, 1)
            .replace(/[,;:–-]+$/, "")
            .trim(),
        };
  }
  return null;
}
