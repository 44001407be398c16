import type { ComplaintWhat, Symptom } from "../model";
import { SYMPTOMS } from "../model/lists";
import type { Kind } from "./kind";
import { keysOf } from "../sums/keys";

interface SymptomRule {
  /** As in "torn on the ridge", "leaked air in the second camp". */
  readonly words: string;
  /** How owners put it in a note: such words only offer the symptom for a key to confirm. */
  readonly signs: RegExp;
  /** The job it was bought for is lost or going, as opposed to how it looks. */
  readonly losesJob?: boolean;
  /** Wear to be seen: it does not come back by itself. */
  readonly wear?: boolean;
  /** Weather that a mended one must meet again before it is trusted; left out: any use. */
  readonly triedBy?: "rain" | "wind";
}

/** What can be seen, felt or smelt on a thing. Common practice, no source. */
export const SYMPTOM_RULES: Readonly<Record<Symptom, SymptomRule>> = {
  "leaks air": {
    words: "leaked air",
    signs: /\b(soft by|flat by|goes? flat|deflat|leaks? air|valve weeps|topped it up)/i,
    losesJob: true,
  },
  "leaks gas": { words: "leaked gas", signs: /\b(smell(s|ed)? (of )?gas|hiss(es|ed)?)\b/i, losesJob: true },
  "lets water in": {
    words: "let water in",
    signs: /\b(drip|seep|puddle|leak|wept|let(s|ting)? (the )?(rain|water) in|floor was wet)/i,
    losesJob: true,
    triedBy: "rain",
  },
  "wets out": {
    words: "wetted out",
    signs: /\b(wets? out|wet through|soaked through|soaked to|mists through|damp again)/i,
    losesJob: true,
    triedBy: "rain",
  },
  "clogged or slow": {
    words: "clogged or slow",
    signs: /\b(clog|slow|trickl|silt|lazy flame|sputter|coughed|black with soot)/i,
    losesJob: true,
  },
  "lost loft": { words: "lost its loft", signs: /\b(loft|clump|flatter)/i, losesJob: true },
  "no charge": {
    words: "would not hold its charge",
    signs: /\b(flat|dead|empty|half of what it did|will not charge)\b/i,
    losesJob: true,
  },
  "dim or weak": { words: "dim or weak", signs: /\b(dim|weak|flicker)/i, losesJob: true },
  loose: { words: "came loose", signs: /\b(loose|slips|wobbl)/i },
  torn: { words: "torn", signs: /\b(torn|tore|tear|rip(ped)?|split|seam (came|let go))\b/i, triedBy: "wind" },
  holed: { words: "holed", signs: /\b(hole|thorn|pinhole|mouse|mice|spark)/i },
  "sole or tread": {
    words: "worn at the sole or tips",
    signs: /\b(sole|tread|lugs|smooth)\b/i,
    losesJob: true,
    wear: true,
  },
  "worn thin": {
    words: "worn thin",
    signs: /\b(worn (thin|through|flat)|thin\b|see-through|daylight|flattened|flat as)/i,
    wear: true,
  },
  bent: { words: "bent", signs: /\bbent\b/i },
  broken: { words: "broken", signs: /\b(broke|broken|snapped|cracked|splint)/i, triedBy: "wind" },
  "zip or buckle": { words: "a zip or buckle gave trouble", signs: /\b(zip|slider|buckle|buckles)\b/i },
  mould: { words: "mouldy", signs: /\b(mould|specks|mildew)/i },
  smell: { words: "smelt", signs: /\b(smell|stink|reek)/i },
  noise: { words: "noisy", signs: /\b(squeak|crackl|rattl|noisy)/i },
  dirty: { words: "dirty", signs: /\b(dirty|grease|soot)\b/i },
};

/** What may be seen on a kind: what its services cure, then what any thing may show. */
export function likelySymptoms({ services, spoiltByMould }: Kind): Symptom[] {
  const cured = services.flatMap(({ cures = [] }) => cures);
  return [
    ...new Set<Symptom>([...cured, ...(spoiltByMould ? (["mould"] as const) : []), ...COMMON, ...SYMPTOMS]),
  ];
}

const COMMON: readonly Symptom[] = ["torn", "holed", "broken", "worn thin", "loose", "zip or buckle"];

interface ComplaintRule {
  readonly signs: RegExp;
  /** As in "you said that it was …". */
  readonly words: string;
  /** What would do better. */
  readonly better: string;
}

/** What is said against a thing that was used. Common practice, no source. */
export const COMPLAINT_RULES: Readonly<Record<ComplaintWhat, ComplaintRule>> = {
  "too heavy": {
    signs: /\b(too heavy|a brick|a stone on)/i,
    words: "too heavy",
    better: "something lighter",
  },
  "too bulky": {
    signs: /\bbulky|takes half the pack/i,
    words: "too bulky",
    better: "something that packs smaller",
  },
  "too big": {
    signs: /\b(too big|a size too big|half empty|flaps)/i,
    words: "too big",
    better: "a size down",
  },
  "too small": {
    signs: /\b(too small|short for|last hole|toes at the front)/i,
    words: "too small",
    better: "a size up",
  },
  "too cold": { signs: /\b(cold|shiver|fingers white|numb)/i, words: "too cold", better: "something warmer" },
  "too hot": { signs: /\b(too hot|too warm|sweat)/i, words: "too hot", better: "something cooler" },
  slow: { signs: /\b(slow|took ages)\b/i, words: "slow", better: "something quicker" },
  weak: { signs: /\b(dim|weak|gone after)/i, words: "too weak", better: "a stronger one" },
  noisy: { signs: /\b(nois|crackl|squeak|rustl)/i, words: "noisy", better: "a quieter one" },
  leaks: { signs: /\bleak/i, words: "leaking", better: "one that holds" },
  "rubs or hurts": {
    signs: /\b(rub|hurt|sore|blister|raw heel|chafe)/i,
    words: "rubbing or hurting",
    better: "one that fits",
  },
  slides: { signs: /\bslid(es|es off)?\b|slips off/i, words: "sliding", better: "one that stays put" },
  "fiddly or awkward": { signs: /\b(fiddly|awkward)/i, words: "awkward", better: "something simpler" },
  stiff: { signs: /\bstiff\b/i, words: "stiff", better: "a softer one" },
  clammy: { signs: /\b(clammy|never dr(y|ies)|will not dry)/i, words: "clammy", better: "one that dries" },
  fragile: { signs: /\bfragile|flimsy/i, words: "fragile", better: "something sturdier" },
  smells: { signs: /\b(smelt|smells|stinks)/i, words: "smelling", better: "one that washes out" },
};

/** What the words of a note offer to confirm, the first met first. They never judge. */
export const offered = (
  note: string,
): { readonly symptoms: Symptom[]; readonly complaints: ComplaintWhat[] } => ({
  symptoms: matching(SYMPTOM_RULES, note),
  complaints: matching(COMPLAINT_RULES, note),
});

const matching = <K extends string>(rules: Readonly<Record<K, { readonly signs: RegExp }>>, note: string) =>
  keysOf(rules)
    .map((key) => ({ key, at: note.search(rules[key].signs) }))
    .filter(({ at }) => at >= 0)
    .sort((a, b) => a.at - b.at)
    .map(({ key }) => key);
