import { known, nth } from "../../sums/there";
import type { Item } from "../../model";
import type { Kind } from "../kind";
import { KINDS } from "../kinds";
import { TELLS } from "./tells";

const ALIASES: Readonly<Record<string, string>> = {
  shoes: "trail shoes",
  "trail runners": "trail shoes",
  boot: "boots",
  sock: "socks",
  "trekking poles": "poles",
  pole: "poles",
  gaiter: "gaiters",
  backpack: "pack",
  rucksack: "pack",
  shelter: "tent",
  "tent or tarp": "tent",
  bag: "sleeping bag",
  "sleeping quilt": "quilt",
  "sleeping bag or quilt": "quilt",
  pad: "inflatable pad",
  "sleeping pad": "inflatable pad",
  "air pad": "inflatable pad",
  mat: "foam pad",
  shell: "rain shell",
  "rain jacket": "rain shell",
  jacket: "insulated jacket",
  "down jacket": "insulated jacket",
  puffy: "insulated jacket",
  vest: "insulated vest",
  midlayer: "fleece",
  windshell: "wind shell",
  "wind jacket": "wind shell",
  hat: "warm hat",
  beanie: "warm hat",
  buff: "neck tube",
  "head net": "bug net",
  "bug head net": "bug net",
  spikes: "traction",
  microspikes: "traction",
  "water filter": "filter",
  "hollow-fibre filter": "filter",
  "hollow fibre filter": "filter",
  tablets: "treatment tablets",
  "water tablets": "treatment tablets",
  "water treatment tablets": "treatment tablets",
  "purification tablets": "treatment tablets",
  "water treatment": "treatment tablets",
  "waterproof lining": "shoe lining",
  "waterproof lining of shoes": "shoe lining",
  "throw away rain shell": "light rain shell",
  "light throw away rain shell": "light rain shell",
  poncho: "light rain shell",
  "gloves used with poles": "pole gloves",
  mittens: "gloves",
  "insect treatment on clothes": "insect treatment",
  "plastic drink bottle": "water bottle",
  "drink bottle": "water bottle",
  "inflatable pillow": "pillow",
  medicine: "medicines",
  cap: "sun hat",
  "down vest": "insulated vest",
  "bear can": "food bag",
  sandals: "camp shoes",
  bottle: "water bottle",
  canister: "fuel",
  gas: "fuel",
  burner: "stove",
  spoon: "cutlery",
  spork: "cutlery",
  cup: "mug",
  torch: "head torch",
  headlamp: "head torch",
  headtorch: "head torch",
  battery: "power bank",
  powerbank: "power bank",
  map: "map and compass",
  compass: "map and compass",
  "satellite messenger": "beacon",
  "satellite messenger or beacon": "beacon",
  "first aid": "first-aid kit",
  "first aid kit": "first-aid kit",
  "first-aid": "first-aid kit",
  repair: "repair kit",
  toiletries: "wash kit",
  "hygiene kit": "wash kit",
  stake: "stakes",
  pegs: "stakes",
  "rain pants": "rain trousers",
  pants: "trousers",
  leggings: "trousers",
  tights: "trousers",
  shorts: "trousers",
  "t-shirt": "shirt",
  "t shirt": "shirt",
  bladder: "water bag",
  cape: "light rain shell",
  "silk liner": "bag liner",
  insole: "insoles",
  messenger: "beacon",
};

const BY_ID = new Map(KINDS.map((each) => [each.id, each]));

/** Kind by its name or a common other word for it, ignoring case, hyphens and doubled spaces; undefined if none. */
export function findKind(word: string): Kind | undefined {
  const plain = word
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, " ");
  // "stakes, set" is stakes; "filters" a filter.
  return [plain, nth(plain.split(","), 0)]
    .flatMap((name) => [name, name.replace(/s$/, "")])
    .map(named)
    .find((found) => found !== undefined);
}

function named(word: string): Kind | undefined {
  const spaced = word.replaceAll("-", " ");
  return (
    BY_ID.get(word) ??
    BY_ID.get(spaced) ??
    BY_ID.get(ALIASES[word] ?? ALIASES[spaced] ?? "") ??
    BY_ID.get(spaced.replace("first aid", "first-aid"))
  );
}

/** A kind's name and the other words for it, as one would look for a thing of it. */
export const wordsForKind = (kind: string): string =>
  [kind, ...Object.keys(ALIASES).filter((word) => ALIASES[word] === kind)].join(" ");

/** A name as it is compared: without capitals and outer blanks. */
export const inPlain = (name: string) => name.trim().toLowerCase();

/**
 * Whether an owner's word for something means an item: is it of the kind so called, or has it every word of it
 * in its own name?
 */
export function namedBy(what: string): (item: Pick<Item, "name" | "kind">) => boolean {
  const kind = findKind(what) ?? guessKind(what);
  const wanted = inPlain(what).split(/\s+/);
  return (item) => {
    if (kind.id !== "other" && kind.id === item.kind) return true;
    const words = inPlain(item.name).split(/\s+/);
    return wanted.every((word) => words.includes(word));
  };
}

/**
 * The kind as the trade has it, before the owner's own numbers (`rules.ts`).
 *
 * @throws Error for a kind that no schema has let through
 */
export function kindOf(item: Pick<Item, "kind">): Kind {
  const found = BY_ID.get(item.kind);
  if (!found) throw new Error(`kindOf: no kind "${item.kind}"`);
  return found;
}

/** Names of kinds that are too plain to tell by: much is called a bag, or is for a repair. */
const TELL_NOTHING: ReadonlySet<string> = new Set([
  "other",
  "hobby",
  "bag",
  "repair",
  "battery",
  "pack",
  "shelter",
]);

/** Words of a name that give its kind away, the longest first: "hooded rain shell" is a rain shell. */
const TELLTALES: readonly (readonly [word: string, kind: Kind])[] = [
  ...[...BY_ID.keys(), ...Object.keys(ALIASES)]
    .filter((word) => !TELL_NOTHING.has(word))
    .map((word) => [word, findKind(word)!] as const),
  ...Object.entries(TELLS).flatMap(([kind, words]) =>
    words.map((word) => [word, known(BY_ID, kind)] as const),
  ),
].sort(([a], [b]) => b.length - a.length);

/** The kind that a name suggests, or "other". A guess: shown to the owner, who may change it. */
export function guessKind(name: string): Kind {
  const words = ` ${name.toLowerCase().replace(/[^\p{L}\d-]+/gu, " ")} `;
  const tellIn = (text: string) => TELLTALES.find(([word]) => text.includes(` ${word} `));
  // "Bottles", of several of them.
  const told = tellIn(words) ?? tellIn(words.replaceAll(/(?<=[^s ]{2})s(?= )/g, ""));
  if (told) return told[1];
  if (/ (pack|rucksack)( |$)/.test(words)) return known(BY_ID, "pack");
  // "Bag −2 °C": much is called a bag, but only one sort bears a temperature.
  return known(BY_ID, / bag /.test(words) && /[-−+]\d|\d ?°/.test(name) ? "sleeping bag" : "other");
}
