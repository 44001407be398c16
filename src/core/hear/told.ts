import { pieced } from "../trade/words/any-of";
import { nth } from "../sums/there";
import type { ItemId } from "../model";
import { CALLS, DONE, EXITS, MADE, PATCHED, STAYED, WENT_WITHOUT } from "../trade/words/ends";
import { COMPARED, NEGATION, NOT_SO } from "../trade/words/speech";
import { COMPLAINTS, COMPLAINT_PLACES, FAILED, PART_LOST, PARTS, TROUBLES } from "../trade/words/troubles";
import { HARDLY, UNUSED, USED, WHYS } from "../trade/words/uses";
import type { Clause } from "./clause";
import type { ThingFact } from "../model";
import { NUMBER, numberOf, shareOf } from "./text/quantities";
import type { Named } from "./things";

/** What is told of a thing, as it comes together. */
export type ThingTold = { -readonly [K in keyof Omit<ThingFact, "about" | "item">]?: ThingFact[K] };
/** What a clause is heard among: its sentence, and what was said so far. */
export interface Around {
  readonly words: string;
  readonly clauses: readonly Clause[];
  /** The sentence tells amounts: a share left is of them. */
  readonly hasAmounts: boolean;
  /** What the sentence before said was harmed. */
  readonly before: ReadonlySet<ItemId>;
  readonly soFar: (thing: Named) => ThingTold | undefined;
}

/** What the nth clause of a sentence says of a thing; of what it is not told yet, as far as that needs none. */
export function toldIn(clause: Clause, n: number, thing: Named | undefined, said: Around): ThingTold {
  const { words } = clause;
  const told: ThingTold = {};
  const around = said.words;
  const call = callIn(words, around);
  if (call) told.call = call;
  const someone = withWhom(words, around);
  if (someone) told.with = someone;
  const frost = frostOf(words, thing);
  if (frost && (frost === "unknown" || !NOT_SO.test(words))) told.frost = frost;
  countsIn(told, words, thing, said.hasAmounts);
  if (MADE.test(words) && !isNegated(words, words.search(MADE))) told.made = true;
  if (call === "leave" && STAYED.test(words)) told.stay = true;
  const certain = words.replace(NEARLY_WORN, "$2");
  if (told.frost === "unknown" || (NOT_SO.test(certain) && !call)) return told;
  if (someone) {
    if (/\bshared\b/.test(words)) told.use = "used";
    return told;
  }
  const condition = /\b(\d(?:\.\d)?|one|two|three|four) (?:out )?of (?:5|five)\b/.exec(words);
  if (condition && (!thing || thing.pieces < 5)) tellNumber(told, "condition", numberOf(condition[1]));
  const gone = exitIn(words, around, thing, told);
  if (gone) told.exit = gone;
  if (!told.frost) troublesIn(told, words, thing, around, said.hasAmounts);
  complaintsIn(told, words, around, thing, (thing && said.soFar(thing)?.use) === "unused");
  usedIn(told, n, thing, said);
  piecesHarmed(told, words, thing);
  const done = DONE.find(({ is }) => {
    const match = is.exec(words);
    return match && !isNegated(words, match.index);
  });
  // What is to be done is not done yet.
  if (done && !told.call && !TO_BE_DONE.test(words)) {
    const isHarmed = [told.trouble, thing && said.soFar(thing)?.trouble].some(Boolean);
    if (done.gives === "repair" && isHarmed) told.fix = "patched";
    else if (!isHarmed || done.gives !== "repair") told.did = done.gives;
  }
  const harmed =
    (thing && said.before.has(thing.id)) ||
    told.trouble ||
    (thing && said.soFar(thing)?.trouble) ||
    (thing && said.soFar(thing)?.symptoms);
  if (harmed && PATCHED.test(words)) {
    told.fix = "patched";
    delete told.did;
  }
  if ((harmed || /\b(gave out|died|failed)\b/.test(around)) && WENT_WITHOUT.test(words))
    told.fix = "went without";
  return told;
}

function tellNumber(
  told: ThingTold,
  what: "condition" | "pieces" | "enough" | "days",
  number: number | null,
): void {
  if (number !== null) told[what] = number;
}

/** How far wear has come is told as it is: "the lugs are nearly flat". */
const NEARLY_WORN = /\b(nearly|almost) (flat|bald|smooth|through|worn|gone)\b(?=.*)/;

const TO_BE_DONE = /\b(ill|i will|needs?|must|have to|has to|got to|to be|wants? (a|to)|suspect)\b/;

/** So much of it is left or gone. */
const SHARE_LEFT = pieced(
  "\\b(half|a quarter|a third|two thirds|three quarters|\\d+ ?%)(?: of (?:it|them|the T|",
  "T))? (?:is |are |was )?(left|gone|used|full)\\b",
);

function countsIn(told: ThingTold, words: string, thing: Named | undefined, hasAmounts: boolean): void {
  const pieces = thing?.pieces ?? 1;
  if (pieces > 1) {
    const lost =
      new RegExp(
        `\\b(?:lost|broke|bent|binned|snapped|ripped|tore) ${NUMBER}(?: ` +
          `of (?:(?:the|my) )?(?:\\d+|the|my))?(?: (?:the|my|old|pair of|more))* ?T\\b`,
      ).exec(words) ??
      new RegExp(
        `\\b${NUMBER} (?:of (?:the |my )?(?:\\d+ )?)?(?:pairs? of )?T (?:is |are |was |were )?(?:bent|gone|lost|left|stayed|snapped|broken|missing|ripped|torn|burnt|holed|split)\\b`,
      ).exec(words) ??
      new RegExp(
        `\\b${NUMBER} of (?:them|these|those) (?:is |are |was |were |got )?(?:snapped|broke|broken|bent|gone|went|lost|tore|torn|missing|split)\\b`,
      ).exec(words) ??
      new RegExp(`\\b(?:tip|end|strap|finger|thumb) of ${NUMBER} T\\b`).exec(words) ??
      new RegExp(`^${NUMBER} (?:is |are |was |were )?(?:gone|lost|missing|bent|broken|snapped|torn)$`).exec(
        words,
      );
    if (lost) tellNumber(told, "pieces", numberOf(lost[1]));
    const enough =
      new RegExp(
        `\\b${NUMBER}(?: of (?:the |my )?)?(?: ?pairs? (?:of )?(?:T )?| ?T )? ?(?:is|are|were|was|would|will|d) ?(?:be |have been )?(?:do|done|enough|plenty|ample)\\b`,
      ).exec(words) ??
      new RegExp(`\\b${NUMBER} (?:pairs? (?:of )?)?(?:T )?(?:is|would be|were) (?:enough|plenty)\\b`).exec(
        words,
      );
    if (enough) tellNumber(told, "enough", numberOf(enough[1]));
  }
  if (thing && !hasAmounts) {
    const left = SHARE_LEFT.exec(words);
    if (left && !["insulated jacket", "sleeping bag"].includes(thing.kind)) {
      const share = shareOf(nth(left, 1));
      told.left = left[2] === "gone" || left[2] === "used" ? 1 - share : share;
    }
  }
  if (thing && !hasAmounts && isEmptied(words, thing)) told.left = 0;
  const days = new RegExp(
    `\\b${NUMBER} (?:days?|times|evenings|nights) (?:out )?(?:of|in) (?:\\d+|a|two|three|four|five|six|seven|eight|nine|ten)\\b`,
  ).exec(words);
  const daily = new RegExp(
    `\\b(?:wore|worn|used|had|slept|on)\\b.*?\\b(?:all|for|on) ${NUMBER} (?:of the )?(?:days|evenings)\\b`,
  ).exec(words);
  const alone = new RegExp(
    `^(?:(?:i|T|it|them|that|used|wore|had|on|for|only|about|the|same|say|at least) )*${NUMBER} (?:\\w+ )?(?:days|evenings)(?: (?:of it|in all|on|over|at|in the) ?.*)?$`,
  ).exec(words);
  const counted = days && !/\bnights\b/.test(days[0]) ? days : (daily ?? (thing ? alone : null));
  if (counted) tellNumber(told, "days", numberOf(counted[1]));
}

/** Nothing of it is left. */
const USED_UP = pieced(
  "\\b(T|it|its|they|theyre) ((ran|has run) out|(is |are |was |ran |has run )?(now )?(out of (fuel|",
  "gas|juice)|used up|empty|all gone))$",
);

/** What is used up is empty; a bottle or a battery that is, is not used up. */
const isEmptied = (words: string, { jobs }: Named) =>
  USED_UP.test(words) && !jobs.some((job) => /carry|power|light|shelter|sleep/.test(job));

/** "One pair is through at the heels", of several: so many of them, and the others still go. */
function piecesHarmed(told: ThingTold, words: string, thing: Named | undefined): void {
  if (!thing || thing.pieces < 2 || told.pieces !== undefined || !(told.trouble ?? told.exit)) return;
  const some = new RegExp(
    `^(?:and |but |,)*${NUMBER} (?:pairs? )?(?:of (?:the|my|them|those|these|T)(?: ?\\w+)? )?(?:T )?(?:is|are|has|have|had|got|went|was|were|came)\\b`,
  ).exec(words);
  const count = numberOf(some?.[1]);
  if (count === null || count >= thing.pieces) return;
  told.pieces = count;
  delete told.exit;
}

/** Held against another thing; "dimmer than last year" is the thing itself. */
const OTHER_THAN = /\b\w+er than (?!last|it|before|usual|ever|in|when|new|they|at|on)(the |my |a )?\w+.*$/;

function troublesIn(
  told: ThingTold,
  words: string,
  thing: Named | undefined,
  around: string,
  hasAmounts: boolean,
): void {
  const compared = words.replace(OTHER_THAN, "");
  for (const { is, trouble, symptom, only } of TROUBLES) {
    if (only && (!thing || !only(thing))) continue;
    const match = is.exec(compared);
    if (!match || isNegated(compared, match.index)) continue;
    if (
      symptom &&
      (told.symptoms?.length ?? 0) > 0 &&
      (symptom === "broken" || symptom === "torn" || symptom === "loose" || symptom === "holed")
    )
      continue;
    if (symptom === "no charge" && hasAmounts) continue;
    if (symptom) told.symptoms = [...(told.symptoms ?? []), symptom];
    if (trouble && told.trouble !== "failed") told.trouble = trouble;
    if (symptom === "leaks air" && /\b(useless|slept on the ground|on the ground)\b/.test(around))
      told.trouble = "failed";
    if (symptom && symptom !== "sole or tread") break;
  }
  const failed = FAILED.exec(compared);
  if (PART_LOST.test(compared) && !told.symptoms) {
    told.trouble ??= "damaged";
    told.symptoms = ["broken"];
  }
  // A part of it that died leaves the rest to work.
  if (failed && PARTS.test(compared.slice(0, failed.index)) && !/useless|no use/.test(failed[0])) {
    told.trouble ??= "damaged";
    told.symptoms ??= ["broken"];
  } else if (failed && !isNegated(compared, failed.index) && !/\b(almost|nearly|half)\b/.test(compared))
    told.trouble = "failed";
  if (told.symptoms?.includes("no charge") || (told.exit === "worn out" && told.trouble === "failed"))
    delete told.trouble;
}

function complaintsIn(
  told: ThingTold,
  words: string,
  around: string,
  thing: Named | undefined,
  isUnused: boolean,
): void {
  if (told.use === "unused" || isUnused || told.trouble === "failed") return;
  const compared = words.replace(/\b(\w+er|more \w+|less \w+) than\b.*$/, (phrase) =>
    COMPARED.test(phrase) ? "" : phrase,
  );
  for (const { is, gives } of COMPLAINTS) {
    const match = is.exec(compared);
    if (!match || isNegated(compared, match.index)) continue;
    if (
      gives === "leaks" &&
      (told.symptoms?.some((each) => ["leaks air", "lets water in", "leaks gas"].includes(each)) ?? false)
    )
      continue;
    if (gives === "slow" && told.symptoms?.includes("clogged or slow")) continue;
    if (gives === "weak" && told.symptoms?.includes("dim or weak")) continue;
    if (gives === "smells" && /\bsmel(l|ls|led|t) (of )?(gas|T)\b/.test(words)) continue;
    if (gives === "slides" && told.symptoms?.includes("lost loft")) continue;
    if (gives === "slides" && told.symptoms?.includes("loose")) continue;
    if (gives === "slides" && /\b(i|we|me) (slid|slipped)\b/.test(words)) continue;
    if (gives === "fragile" && told.symptoms?.includes("worn thin")) continue;
    if (
      gives === "fiddly or awkward" &&
      /\b(never|not|didnt)\b/.test(around) &&
      !/\b(used|wore)\b/.test(around)
    )
      continue;
    told.complaints = [...(told.complaints ?? []), gives];
  }
  if (/\ba (bit of a |real )?nuisance\b/.test(words) && !told.complaints && !told.symptoms && !told.trouble)
    told.trouble = "nuisance";
  if (told.complaints && thing) {
    const place = COMPLAINT_PLACES.find(({ is }) => is.test(words));
    if (place) told.on = place.gives;
  }
}

/** What it never did is no word on its use. */
const NEVER_FAILED =
  /\bnever (let|failed|went|did|had|leak|rub)|\b(not|didnt) (keep|kept|let|hold|leak|fail|work)\b/;

/** There was too much of it. */
const TOO_MUCH = pieced(
  "^(and |but |so )*(its |thats |that is |there is |there was |it is )?(far |much |way )?too much( in (it|",
  "there|that)| altogether| for (me|one|us)( person)?| as well| of it)*$",
);

function usedIn(told: ThingTold, n: number, thing: Named | undefined, { clauses, hasAmounts }: Around): void {
  const around = clauses.map((each) => each.words);
  const words = nth(around, n);
  const whole = around.join(" , ");
  const unused = UNUSED.exec(words);
  // Why it stayed unused is said in the same breath, or just after.
  const later = [words, ...around.slice(n + 1, n + 4), around[n - 1] ?? ""];
  const why = unused || told.use === "unused" ? whyIn(later) : WHYS.find(({ is }) => is.test(words));
  if (unused && !told.exit && told.pieces === undefined && !NEVER_FAILED.test(words)) {
    told.use = "unused";
    delete told.complaints;
    delete told.on;
    if (why) told.why = why.gives;
    return;
  }
  if (
    /\bforgot (that )?(i had|about|i took|i brought) ?(it|them|(the |my )?T|that|those)?$|\bT i forgot( about)?\b/.test(
      words,
    )
  ) {
    told.use = "unused";
    told.why = "forgot it";
    return;
  }
  if (thing && thing.pieces > 1 && /\b(too|far too) many\b/.test(words)) told.why = "too much of it";
  if (thing && TOO_MUCH.test(words)) told.why = "too much of it";
  if (HARDLY.test(words)) {
    told.use = "hardly";
    if (/\btoo (much|many)\b/.test(whole)) told.why = "too much of it";
    return;
  }
  // "I used 130 g of gas" tells an amount.
  if (hasAmounts && thing?.jobs.some((job) => job === "cook" || job === "eat") && /\d/.test(words)) return;
  const used = USED.exec(words);
  if (
    used &&
    !isNegated(words, used.index) &&
    !/\bused (up|to)\b/.test(words) &&
    !told.exit &&
    !(thing?.jobs.includes("treat water") && /\bslept\b/.test(words)) &&
    !/\bworn (out|thin|through)\b/.test(words)
  )
    told.use = "used";
}

/** Of several reasons that another did the job, said anywhere, tells more than that it was too much. */
function whyIn(clauses: readonly string[]): (typeof WHYS)[number] | undefined {
  const found = clauses.flatMap((each) => WHYS.find(({ is }) => is.test(each)) ?? []);
  const first = found[0];
  return first?.gives === "too much of it"
    ? (found.find(({ gives }) => gives === "another did the job") ?? first)
    : first;
}

/** Is what stands at a place denied: by a word shortly before it in the same clause? */
export function isNegated(words: string, at: number): boolean {
  const before = words.slice(0, at).split(" ").slice(-5).join(" ");
  const match = NEGATION.exec(before);
  if (!match) return false;
  // "not only torn", "no doubt torn", "no idea": no denial of it.
  return !/\b(not only|no doubt|no wonder|no longer)\b/.test(before) && !/\b(hardly|barely)\b/.test(match[0]);
}

function callIn(words: string, around: string): ThingTold["call"] {
  for (const { is, gives } of CALLS) {
    const match = is.exec(words);
    if (!match) continue;
    if (gives === "leave" && /\b(thinking|almost|nearly|if)\b/.test(around)) continue;
    if (gives === "fix" && /\bshould\b/.test(around)) continue;
    if (
      gives === "bring when" &&
      !/\b(only|just) (for|when|if|in|with) (the |a |an |very |real |deep |theres )*(\w+)/.test(words) &&
      !/\bstay/.test(words)
    )
      continue;
    if (gives !== "leave" && isNegated(words, match.index)) continue;
    return gives;
  }
  return undefined;
}

/** Who carries it or shares it: "Ida carries the tent", "tarp in Ida's pack", "lent the spikes to Ida". */
export function withWhom(words: string, around: string): string | undefined {
  const match =
    /\b(?:shared?|split) (?:the |my )?T (?:with|between (?:me and )?) ?(\w+)/.exec(words) ??
    /\blent (?:the |my )?T to (\w+)/.exec(words) ??
    /\bgave (?!the\b|my\b|it\b|me\b)(\w+) (?:the |my )?T to carry/.exec(words) ??
    /\blent (?!the\b|my\b|it\b|me\b)(\w+) (?:the |my )?T\b/.exec(words) ??
    /^(\w+) (?:has|had|carries|carried|takes|took over|is carrying) (?:the |my |our )?T\b/.exec(words) ??
    /\bT (?:is |was |rides )?in (\w+) 's\b/.exec(words) ??
    /^(\w+) (?:and|&) (?:me|i) (?:take turns|share|shared)/.exec(around);
  const name = match?.[1];
  if (!name || PRONOUNS.has(name)) return undefined;
  return name.charAt(0).toUpperCase() + name.slice(1);
}
const PRONOUNS: ReadonlySet<string> = new Set([
  "i",
  "we",
  "he",
  "she",
  "they",
  "it",
  "that",
  "the",
  "me",
  "who",
  "which",
  "one",
  "nobody",
  "everyone",
  "T",
  "F",
  "this",
  "you",
]);

function frostOf(words: string, thing: Named | undefined): ThingTold["frost"] {
  if (thing && !thing.jobs.includes("treat water")) return undefined;
  if (!/\b(froze|frozen|freeze|frost|ice|icy)\b/.test(words))
    return /\bslept (in|with)\b.*\b(bag|me)\b/.test(words) && thing ? "kept" : undefined;
  if (
    /\b(no idea|cant say|dont know|not sure|who knows|whether|if|(may|might|could)(ve| have)?)\b/.test(words)
  )
    return "unknown";
  if (/\b(didnt|did not|never|not|wasnt|kept|no ice|safe|slept with)\b/.test(words)) return "kept";
  return "froze";
}

/** "The bag lost feathers": what it lost is no loss of it. */
const SHEDS = pieced(
  "\\bT (?:has |have )?lost (?!in\\b|on\\b|at\\b|somewhere|near\\b|by\\b|to\\b|over\\b|for\\b|",
  "again|yesterday|today|day\\b|off\\b|under\\b|km\\b)\\w",
);

/** Left to be fetched again, or never taken. */
const COMES_BACK = pieced(
  "\\bleft (the |my )?T (outside|out|at home)\\b|\\b(for collection|to (collect|pick up|",
  "fetch)|overnight|for the day|till|until)\\b",
);
/** Left, and, behind a comma, for what. */
const LEFT_TO_FETCH = /\bleft (the |my )?T\b.*\b(for collection|to (collect|pick up|fetch))\b/;

function exitIn(words: string, around: string, thing: Named | undefined, told: ThingTold): ThingTold["exit"] {
  if (/\b(would|might|almost|nearly|thinking|going to)\b/.test(words)) return undefined;
  for (const [how, pattern] of EXITS) {
    const match = pattern.exec(words);
    if (!match || isNegated(words, match.index)) continue;
    if (how === "lost" && (SHEDS.test(words) || PART_LOST.test(words))) continue;
    if (
      how === "lost" &&
      (told.pieces !== undefined ||
        /\blost (its |the |some |much |most |all |of |a bit of )*(loft|air|charge)\b/.test(words))
    )
      continue;
    if (how === "lost" && (COMES_BACK.test(words) || LEFT_TO_FETCH.test(around))) continue;
    if (
      how === "worn out" &&
      thing &&
      !/\b(is|was|are|were) worn out\b/.test(words) &&
      !["walk", "socks", "balance", "base clothing", "camp shoes", "spare clothing"].some((job) =>
        thing.jobs.includes(job),
      )
    )
      continue;
    if (how === "thrown out" && told.pieces !== undefined) continue;
    return how;
  }
  return undefined;
}
