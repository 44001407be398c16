import { pieced, word } from "./any-of";

/*
 * How people put it, as rows: another language is another table. A row is read over a clause in plain lower-case
 * words, in which
 * each thing that is named stands as `T`. Common practice, no source.
 */

/** Short and foreign forms, and letters swapped so often that they are words by now. */
export const PLAIN_FORMS: Readonly<Record<string, string>> = {
  nxt: "next",
  teh: "the",
  otu: "out",
  deg: "degrees",
  degs: "degrees",
  grad: "degrees",
  grader: "degrees",
  fin: "fine",
  leer: "empty",
  kaput: "kaputt",
  degree: "degrees",
  degre: "degrees",
  percent: "%",
  tues: "tue",
  gemütlich: "cosy",
  cozy: "cosy",
  k: "km",
  kms: "km",
  kilometre: "km",
  kilometer: "km",
  kilometres: "km",
  kilometers: "km",
  mi: "mile",
  miles: "mile",
  litre: "l",
  litres: "l",
  liter: "l",
  liters: "l",
  grams: "g",
  gram: "g",
  grammes: "g",
  kilo: "kg",
  kilos: "kg",
  batteries: "batteries",
};

/** Said of no thing at all, though a thing's word is in it: cut out before anything is heard. */
export const IDIOMS: readonly RegExp[] = [
  /\bbroke camp\b/,
  /\b(lost|missed|left|found|off) the (trail|path|way|track|bus|ferry|train|road)\b/,
  /\bstopped for\b.*/,
  /\bshots? of (?!T)/,
  /\bcracked on\b.*/,
  /\bpegged it\b.*/,
  /\bcap on (the|a) (day|week|trip|evening|costs?|spending|whole)\b.*/,
  /\bboot of (the|a) (bus|car|van)\b.*/,
  /\b(gas|petrol|fuel) (station|pump|shop)\b.*/,
  /\b(novel|warm|cool) (idea|welcome|reception)\b.*/,
  /\bswapped (stories|news|names|places|addresses)\b.*/,
  /\bbinned the (plan|idea|route|day)\b.*/,
  /\bthrew up\b.*/,
  /\bleft (early|late|at|before|after)\b/,
  /\bflat (all day|going|walking|ground|stage|road|bit)\b.*/,
  /\bdead (tired|end|ahead|slow|calm|beat|straight|reckoning)\b/,
  /\bbreak(ing)? (camp|in the|for)\b/,
  /\b(ran|run) out of (time|day|light|patience|steam)\b/,
  /\b(bent|bending) (down|over)\b/,
  /\bfroze (my|our) (fingers|hands|feet|toes|nose|backside|bum)( off)?\b/,
  /\btorn between\b/,
  /\b(lost|losing) (my|our|his|her) (way|bearings|temper|balance|appetite|footing|nerve|mind|voice)\b/,
];

export const NEGATION = word(
  "not|no|never|nothing|none|without|didnt|doesnt|dont|wasnt|werent|isnt|arent|hasnt|havent",
  "hadnt|wont|couldnt|cant|neither|nor|nobody|hardly|barely",
);
/** What is wished, feared, planned, or nearly happened tells nothing. */
export const NOT_SO = word(
  "if|unless|would(?! not(?! have))|wouldve|id have|almost|nearly|might|maybe|perhaps|hope",
  "hoping|hoped|afraid|worried|thinking of|thinking about|thought about|planning|plan to",
  "going to|gonna|about to|should|ought|could|in danger of|scared|imagine|suppose|wonder",
  "before it",
);
/** What is only compared with. */
export const COMPARED = pieced(
  "\\b(better|worse|warmer|colder|lighter|heavier|brighter|faster|slower|more|less|beats?|",
  "nicer|quieter|drier|rather) (than )?\\b",
);
