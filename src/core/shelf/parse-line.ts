import { guessKind } from "../trade/words/names";
import type { Stow } from "../model";
import { parsePrice, PRICE, type Price } from "../units/price";
import { parseMass, type Mass } from "../units/quantity";

/** What one line of typing says of a thing; what it leaves out comes from the kind. */
export interface ParsedLine {
  readonly name: string;
  readonly kind: string;
  readonly weight: Mass | null;
  /** What is wrong with the weight, where it can't be read. */
  readonly wrong: string | null;
  readonly stow: Stow | null;
  readonly pieces: number;
  readonly price: Price | null;
}

const PLACES: Readonly<Record<string, Stow>> = {
  worn: "worn",
  wearing: "worn",
  hand: "hand",
  shoulder: "shoulder",
  hip: "hip",
  hipbelt: "hip",
  outside: "outside",
  front: "outside",
  side: "side",
  lid: "lid",
  top: "lid",
  main: "main",
  inside: "main",
  bag: "bag",
  food: "food",
};
const WEIGHT =
  /(?<![\p{L}\d.,])(?:(?<=\s)[-−])?\d+(?:[.,]\d+)?\s*(?:kg|kgs|g|gr|grams?|oz|ounces?|lbs?|pounds?)(?:\s+\d+(?:[.,]\d+)?\s*(?:oz|ounces?))?(?![\p{L}\d])/iu;
const PIECES = /(?<![\p{L}\d])(?:[x×]\s*(\d{1,3})|(\d{1,3})\s*[x×])(?![\p{L}\d])/iu;

/**
 * Reads one line of the shelf: name, weight, price, place and pieces in any order.
 *
 * @param bareUnit unit of a weight given as the last word without one
 * @example parseLine("rain shell 312 g lid") // name "rain shell", 312 g, in the lid, a rain shell
 */
export function parseLine(line: string, bareUnit: "g" | "oz" = "g"): ParsedLine {
  let rest = line.trim().replace(/\s+/g, " ");
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest);
    if (found)
      rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`
        .replace(/\s+/g, " ")
        .trim();
    return found;
  };
  const price = parsePrice(take(PRICE)?.[0] ?? "");
  const pieces = take(PIECES);
  let weighed = take(WEIGHT)?.[0];
  const last = rest.split(" ").at(-1)?.toLowerCase() ?? "";
  const stow =
    Object.hasOwn(PLACES, last) && rest.includes(" ") && !(last === "bag" && guessKind(rest).id !== "other")
      ? (PLACES[last] ?? null)
      : null;
  if (stow)
    rest = rest
      .slice(0, -last.length)
      .trim()
      .replace(/ (in|on|at)( the)?$/i, "");
  if (!weighed) weighed = take(/(?<= )[-−]?\d+(?:[.,]\d+)?$/)?.[0];
  const mass = weighed ? parseMass(weighed.replace("−", "-"), bareUnit) : null;
  const name = rest.replace(/[,;:–-]+$/, "").trim();
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    kind: guessKind(name).id,
    stow,
    weight: mass?.ok ? mass.value : null,
    wrong: mass && !mass.ok ? mass.why : null,
    pieces: Number(pieces?.[1] ?? pieces?.[2] ?? 1),
    price,
  };
}
