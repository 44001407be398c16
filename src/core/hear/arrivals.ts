import { pieced } from "../trade/words/any-of";
import { nth } from "../sums/there";
import { NOT_SO } from "../trade/words/speech";
import { OLD_ONES_GONE } from "../trade/words/ends";
import { plainOf, type ReadSentence } from "./clause";
import type { HeardFact } from "../model";
import { capitalised, nounOf } from "./text/quantities";
import type { Named } from "./things";
import type { ThingTold } from "./told";

type Joined = Extract<HeardFact, { about: "joined" }>;

/** What came on the way. */
interface Arrival {
  readonly fact: Joined;
  /** What is called so already. */
  readonly same: readonly Named[];
  /** What became of the one that it came for. */
  readonly old: { readonly thing: Named; readonly told: ThingTold } | null;
  /** The clause that tells it, from 0. */
  readonly clause: number;
}

/** Something came. */
const CAME = /\b(bought|had to buy|found|borrowed|picked up|gave me|lent me)\b/;

/** What was bought, found or borrowed, and from whom. */
const BOUGHT = pieced(
  "^(?:.*\\b(?:i|we|had to|and) )?(bought|had to buy|found|borrowed|picked up) (?:(\\w+) 's )?(.+?)(?: (?:from|",
  "(?<!pair |couple |set |bit |box |bag |roll |lot |kind |sort |piece |type )of) (\\w+))?",
  "(?: (?:in|at|on|for|to|by|near) .*)?(?: ,.*|\\bto\\b.*)?$",
);

/** What was found was a place, a way or a fault. */
const FOUND_NO_THING = pieced(
  "\\b(just |finally )?found ((the|my|it|out|that|a way|no)\\b|(a |an |two |another )?(\\w+ )?(hole|",
  "leak|tear|crack|puncture|rip|tick|mouse|spot|place|stream|spring|path|camp|bed|room|",
  "shop|way)s?\\b)",
);

const HOW_IT_CAME: Readonly<Record<string, Joined["how"]>> = {
  found: "found",
  "picked up": "found",
  borrowed: "borrowed",
};

/** What is picked up where things are sold was bought. */
const howItCame = (verb: string, plain: string): Joined["how"] =>
  verb === "picked up" && /\b(shop|store|village|town|market|outfitters?)\b/.test(plain)
    ? "bought"
    : (HOW_IT_CAME[verb] ?? "bought");

/** "Bought a sun hat", "Ida lent me her gaiters"; null: nothing came. */
export function arrivalIn(read: ReadSentence, namesOf: (what: string) => readonly Named[]): Arrival | null {
  const plain = plainOf(read);
  const { words } = read;
  const bought = BOUGHT.exec(plain);
  const given =
    /\b(?:a |an |the )?(\w+) (?:gave|lent) me (?:his |her |their )?(.+?)(?: (?:for|at|in|on) .*)?(?: ,.*)?$/.exec(
      plain,
    );
  const match = bought ?? given;
  if (
    !match ||
    /\bT gave me\b/.test(words) ||
    NOT_SO.test(plain.slice(0, match.index + 12)) ||
    FOUND_NO_THING.test(nth(plain.split(","), 0))
  )
    return null;
  const how = bought ? howItCame(nth(bought, 1), plain) : "given";
  const what = nounOf(bought ? nth(bought, 3) : given![2]!);
  const from = bought ? (bought[2] ?? bought[4]) : given![1];
  if (!what) return null;
  const replaced =
    /\b(?:for|in place of|instead of|to replace) (?:the |my )?(?:old )?(?:ones?|T)\b/.test(words) ||
    /\b(mine|old ones?)\b/.test(words);
  const same = namesOf(what);
  const fact: Joined = {
    about: "joined",
    how,
    what,
    for: replaced && how === "bought" ? (same[0]?.id ?? null) : null,
    from: from && how !== "bought" ? capitalised(from, how) : null,
  };
  const clause = Math.max(
    0,
    read.clauses.findIndex((each) => CAME.test(each.words)),
  );
  return { fact, same, old: goneOf(read, same), clause };
}

/** What became of the old ones is told behind it. */
function goneOf({ words, units }: ReadSentence, same: readonly Named[]): Arrival["old"] {
  const rest = OLD_ONES_GONE.exec(words);
  const old = same[0] ?? units.find(({ word }) => word === "T")?.mentions[0]?.things[0];
  if (!rest || !old) return null;
  const isOne = /\bone (pair|of)\b/.test(rest[0]) && old.pieces > 1;
  return {
    thing: old,
    told: isOne ? { pieces: 1 } : { exit: EXIT_OF[rest[2] ?? rest[3] ?? ""] ?? "thrown out" },
  };
}
const EXIT_OF: Readonly<Record<string, ThingTold["exit"]>> = {
  lost: "lost",
  "given away": "given away",
  "worn out": "worn out",
  shot: "worn out",
};
