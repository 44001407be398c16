import type { ExitHow, Felt, Item, ItemId, Trouble, Use } from "../model";
import { findKind, inPlain } from "../trade/names";
import { METRES_PER_MILE, parseTemperature } from "../units/quantity";

/** A thing that a line may speak of; those along before those that are not. */
export type Named = Pick<Item, "id" | "name" | "kind">;

/** What a stretch of the text was understood as. */
type Part = "thing" | "what happened" | "where" | "how warm" | "how much";

/** A line cut into stretches, understood or not (null); put together they are the line, to the letter. */
export interface Piece {
  readonly text: string;
  readonly as: Part | null;
}

/** What a line written on the way says. What can't be read is a note. */
export type Understood =
  | {
      readonly as: "mark";
      readonly item: ItemId;
      readonly use: Use | null;
      readonly trouble: Trouble | null;
      readonly exit: ExitHow | null;
      /** What it was swapped for. */
      readonly instead: ItemId | null;
      /** Metres from the start of the trip. */
      readonly metres: number | null;
    }
  | {
      readonly as: "night";
      readonly low: number | null;
      readonly felt: Felt | null;
      readonly slept: readonly ItemId[];
    }
  | {
      readonly as: "amount";
      readonly how: "left" | "boiled";
      readonly item: ItemId | null;
      readonly amount: number;
      readonly unit: string;
    }
  | {
      readonly as: "joined";
      readonly how: "bought" | "found" | "borrowed";
      readonly what: string;
      /** Whose it is, where it is borrowed and that was said. */
      readonly owner: string | null;
    }
  | { readonly as: "note" };

export interface FieldLine {
  readonly understood: Understood;
  readonly pieces: readonly Piece[];
}

interface Found {
  readonly from: number;
  readonly to: number;
  readonly as: Part;
}

const EXITS: readonly (readonly [ExitHow, RegExp])[] = [
  ["swapped", /\b(swapped|changed) (?:it )?(for|to)\b/i],
  ["sent home", /\b(sent|posted|mailed) (it )?(home|back)\b/i],
  ["posted ahead", /\b(posted|sent|mailed) (it )?(ahead|on)\b/i],
  ["given away", /\b(gave away|given away|gave it away|left in the hut)\b/i],
  ["thrown out", /\b(threw out|thrown out|thrown away|threw away|binned)\b/i],
  ["lost", /\b(lost|gone missing)\b/i],
  ["worn out", /\bworn (out|through)\b/i],
];
const FAILED =
  /\b(died|dead|broke|broken|failed|snapped|burst|gave up|given up|stopped|won't (?:light|start|charge|hold))\b/i;
const DAMAGED =
  /\b(torn|tore|ripped|bent|leak(?:s|ed|ing)?|punctured?|holed|split|cracked|frayed|loose|clogged)\b/i;
const USES: readonly (readonly [Use, RegExp])[] = [
  ["unused", /\b(unused|not used|never used|not needed|not opened)\b/i],
  ["hardly", /\b(hardly used|used once)\b/i],
  ["used", /\b(used|wore|worn)\b/i],
];
const KM = /(?:\b(?:at|near|after)\s+)?(?:\bkm\s*(\d+(?:[.,]\d+)?)|\b(\d+(?:[.,]\d+)?)\s*km\b)/i;
const MILES =
  /(?:\b(?:at|near|after)\s+)?(?:\b(?:mile|mi)\s*(\d+(?:[.,]\d+)?)|\b(\d+(?:[.,]\d+)?)\s*(?:miles?|mi)\b)/i;
const DEGREES = /(?<![\d.,])[-−+]?\d+(?:[.,]\d+)?\s*(?:°\s*[CF]?|degrees\b)/i;
const NIGHT = /\bnights?\b|\bslept\b/i;
const FELT: readonly (readonly [Felt, RegExp])[] = [
  ["cold", /\b(cold|froze|freezing|shivered)\b/i],
  ["cool", /\b(cool|chilly)\b/i],
  ["hot", /\b(hot|sweated|too warm)\b/i],
  ["warm", /\bwarm\b/i],
  ["right", /\b(right|fine|good|ok|just right|comfortable)\b/i],
];
const IN_WHAT = /\b(?:in|under|on|with)\s+(.+)$/i;
const AMOUNT = /(?<![\d.,])(\d+(?:[.,]\d+)?)\s*(kg|g|oz|lb|litres?|liters?|ml|l|%)(?![\p{L}\d])/iu;
const LEFT = /\b(left|remaining|still there)\b/i;
const BOILED = /\bboil(?:ed|t)?\b/i;
/** "gaiters from Ida". */
const FROM_WHOM = /^(.+?)\s+(?:from|of)\s+([^,]{1,60})$/i;
const JOINED = /^\s*(bought|found|borrowed)\s+(?:a |an |the |some )?(.+)$/i;

/**
 * Reads a line as people write it on the way: "torch died, km 41", "poncho sent home", "cold night, 2 °C, in quilt and
 * jacket", "boiled 1.2 L", "400 g of gas left". Nothing typed is lost: what is not understood stays in the line.
 *
 * @param things what was along, then what else there is
 */
export function parseFieldLine(text: string, things: readonly Named[]): FieldLine {
  const found: Found[] = [];
  const see = (pattern: RegExp, as: Part): RegExpExecArray | null => {
    const match = pattern.exec(text);
    if (match) found.push({ from: match.index, to: match.index + match[0].length, as });
    return match;
  };
  const understood = understand(text, things, see, (range) => found.push({ ...range, as: "thing" }));
  return { understood, pieces: cut(text, understood.as === "note" ? [] : found) };
}

type See = (pattern: RegExp, as: Part) => RegExpExecArray | null;

function understand(
  text: string,
  things: readonly Named[],
  see: See,
  seeThing: (range: { from: number; to: number }) => void,
): Understood {
  const night = nightIn(text, things, see, seeThing);
  if (night) return night;
  const thing = thingIn(text, things);
  const amount = amountIn(text, thing?.item ?? null, see);
  if (amount) {
    if (thing) seeThing(thing);
    return amount;
  }
  const exit = EXITS.find(([, pattern]) => pattern.test(text));
  if (thing) {
    const trouble: Trouble | null = FAILED.test(text) ? "failed" : DAMAGED.test(text) ? "damaged" : null;
    const use = USES.find(([, pattern]) => pattern.test(text))?.[0] ?? null;
    if (exit || trouble || use) {
      seeThing(thing);
      const where = placeIn(see);
      if (exit) see(exit[1], "what happened");
      if (trouble) see(trouble === "failed" ? FAILED : DAMAGED, "what happened");
      const after = exit?.[0] === "swapped" ? exit[1].exec(text)! : null;
      const rest = after ? after.index + after[0].length : text.length;
      const instead = after
        ? thingIn(
            text.slice(rest),
            things.filter(({ id }) => id !== thing.item),
          )
        : null;
      if (instead) seeThing({ from: rest + instead.from, to: rest + instead.to });
      if (use && !exit && !trouble) see(USES.find(([each]) => each === use)![1], "what happened");
      return {
        as: "mark",
        item: thing.item,
        use: trouble ? "used" : exit ? null : use,
        trouble,
        exit: exit?.[0] ?? null,
        instead: instead?.item ?? null,
        metres: where,
      };
    }
  }
  const joined = JOINED.exec(text);
  if (joined) {
    see(/^\s*(bought|found|borrowed)\b/i, "what happened");
    const how = joined[1]!.toLowerCase() as "bought" | "found" | "borrowed";
    const lender = how === "borrowed" ? FROM_WHOM.exec(joined[2]!) : null;
    return {
      as: "joined",
      how,
      what: (lender ? lender[1]! : joined[2]!).trim(),
      owner: lender ? lender[2]!.trim() : null,
    };
  }
  return { as: "note" };
}

function nightIn(
  text: string,
  things: readonly Named[],
  see: See,
  seeThing: (range: { from: number; to: number }) => void,
): Understood | null {
  if (!NIGHT.test(text)) return null;
  const degrees = see(DEGREES, "how warm");
  const felt = FELT.find(([, pattern]) => pattern.test(text));
  if (!degrees && !felt) return null;
  see(NIGHT, "what happened");
  if (felt) see(felt[1], "how warm");
  const low = degrees ? parseTemperature(degrees[0].replace(/\s*degrees/i, "")) : null;
  const bed = IN_WHAT.exec(text);
  const slept: ItemId[] = [];
  if (bed) {
    let at = bed.index + bed[0].length - bed[1]!.length;
    for (const word of bed[1]!.split(/(,|\band\b|\+|&)/i)) {
      const thing = thingIn(
        word,
        things.filter(({ id }) => !slept.includes(id)),
      );
      if (thing) {
        slept.push(thing.item);
        seeThing({ from: at + thing.from, to: at + thing.to });
      }
      at += word.length;
    }
  }
  return { as: "night", low: low?.ok ? low.value : null, felt: felt?.[0] ?? null, slept };
}

function amountIn(text: string, item: ItemId | null, see: See): Understood | null {
  const how = BOILED.test(text) ? "boiled" : LEFT.test(text) ? "left" : null;
  const amount = how && AMOUNT.exec(text);
  if (!amount || !how) return null;
  see(AMOUNT, "how much");
  see(how === "boiled" ? BOILED : LEFT, "what happened");
  return {
    as: "amount",
    how,
    item: how === "left" ? item : null,
    amount: Number(amount[1]!.replace(",", ".")),
    unit: amount[2]!,
  };
}

function placeIn(see: See): number | null {
  const number = (match: RegExpExecArray) => Number((match[1] ?? match[2])!.replace(",", "."));
  const km = see(KM, "where");
  if (km) return number(km) * 1000;
  const miles = see(MILES, "where");
  return miles ? number(miles) * METRES_PER_MILE : null;
}

/** The thing that the words mean: by all the words of its name, else by some of them, else by what its kind is called. */
function thingIn(
  text: string,
  things: readonly Named[],
): { readonly item: ItemId; readonly from: number; readonly to: number } | null {
  const words = [...text.matchAll(/[\p{L}\d'-]+/gu)].map((match) => ({
    word: inPlain(match[0]),
    from: match.index,
    to: match.index + match[0].length,
  }));
  let best: { item: ItemId; from: number; to: number; score: number } | null = null;
  for (const { id, name, kind } of things) {
    const own = (inPlain(name).match(/[\p{L}\d'-]+/gu) ?? []).filter((word) => !JOINTS.has(word));
    const met = words.filter(({ word }) => own.some((each) => isSame(each, word)));
    const all = own.length > 0 && own.every((each) => words.some(({ word }) => isSame(each, word)));
    const letters = met.reduce((sum, { word }) => sum + word.length, 0);
    const byKind = met.length === 0 ? kindIn(words, kind) : null;
    const score = all
      ? 1000 + letters
      : met.some(({ word }) => word.length > 2)
        ? 100 + letters
        : byKind
          ? 10
          : 0;
    const [first, last] = byKind ?? [met[0], met.at(-1)];
    if (score > (best?.score ?? 0) && first && last)
      best = { item: id, from: first.from, to: last.to, score };
  }
  return best;
}

/** Words that only hold a name together. */
const JOINTS: ReadonlySet<string> = new Set(["and", "the", "for", "with", "of", "in", "on"]);

const isSame = (own: string, word: string) => own === word || `${own}s` === word || own === `${word}s`;

/** The word, or two in a row, that a kind goes by. */
function kindIn<W extends { readonly word: string }>(words: readonly W[], kind: string): [W, W] | null {
  for (const [n, first] of words.entries()) {
    const second = words[n + 1];
    if (second && findKind(`${first.word} ${second.word}`)?.id === kind) return [first, second];
    if (first.word.length > 2 && findKind(first.word)?.id === kind) return [first, first];
  }
  return null;
}

/** The text in its pieces; where two overlap, the first that was found stands. */
function cut(text: string, found: readonly Found[]): Piece[] {
  const kept: Found[] = [];
  for (const one of found)
    if (one.to > one.from && kept.every(({ from, to }) => one.to <= from || one.from >= to)) kept.push(one);
  kept.sort((a, b) => a.from - b.from);
  const pieces: Piece[] = [];
  let at = 0;
  for (const { from, to, as } of kept) {
    if (from > at) pieces.push({ text: text.slice(at, from), as: null });
    pieces.push({ text: text.slice(from, to), as });
    at = to;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), as: null });
  return pieces;
}
