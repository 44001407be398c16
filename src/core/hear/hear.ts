import type { Felt, ItemId } from "../model";
import {
  CALLS,
  COMPARED,
  COMPLAINTS,
  COMPLAINT_PLACES,
  DONE,
  FELTS,
  NEGATION,
  NOT_SO,
  NUMBER_WORDS,
  PATCHED,
  FAILED,
  TROUBLES,
  WENT_WITHOUT,
  WHYS,
} from "../trade/hearing";
import type { FullItem } from "../trade/full-item";
import { METRES_PER_MILE } from "../units/quantity";
import {
  namesOf,
  readSentence,
  unitSpans,
  withoutStops,
  type Clause,
  type Named,
  type Names,
  type ReadSentence,
  type Unit,
} from "./clause";
import type { Heard, HeardFact, HeardSentence, ThingFact } from "./facts";
import { sentencesOf } from "./tokens";
import type { Mention } from "./things";

export type { Named } from "./things";

/** An item as the ear knows it. */
export const namedOf = (
  { id, name, kind, pieces, jobs }: Pick<FullItem, "id" | "name" | "kind" | "pieces" | "jobs">,
  along: boolean,
): Named => ({
  along,
  id,
  name,
  kind,
  pieces,
  jobs,
});

/**
 * What a text says of the things on a shelf, sentence by sentence: the sentences put together are the text, to the letter, and
 * what is not understood stays in it. Wishes, fears, plans, what nearly happened and what is somebody else's tell nothing.
 *
 * @param things what was along, then what else there is
 */
export function hear(text: string, things: readonly Named[]): HeardSentence[] {
  const names = namesOf(things);
  let topic: readonly Named[] = [];
  let harmed: ReadonlySet<ItemId> = new Set();
  const sentences = sentencesOf(text).flatMap((sentence) =>
    withoutStops(sentence.text, names).map((part) => ({ text: part.text, at: sentence.at + part.at })),
  );
  return sentences.map((sentence) => {
    const read = readSentence(sentence.text, names);
    const listener = new Listener(read, names, topic, harmed);
    const heard = listener.listen();
    ({ topic, harmed } = listener);
    return {
      text: sentence.text,
      heard: heard.map((each) => ({
        ...each,
        from: each.from.map(({ at, end }) => ({ at: at + sentence.at, end: end + sentence.at })),
      })),
    };
  });
}

/** A stretch of a text, heard or not, and where it begins. */
interface Piece {
  readonly text: string;
  readonly at: number;
  readonly isHeard: boolean;
}

/** A text in its stretches; put together they are the text, to the letter. */
export function piecesOf(sentences: readonly HeardSentence[]): Piece[] {
  const text = sentences.map((sentence) => sentence.text).join("");
  const spans = sentences
    .flatMap(({ heard }) => heard.flatMap(({ from }) => from))
    .toSorted((a, b) => a.at - b.at);
  const pieces: Piece[] = [];
  let at = 0;
  for (const span of spans) {
    if (span.end <= at) continue;
    const from = Math.max(at, span.at);
    if (from > at) pieces.push({ text: text.slice(at, from), at, isHeard: false });
    pieces.push({ text: text.slice(from, span.end), at: from, isHeard: true });
    at = span.end;
  }
  if (at < text.length) pieces.push({ text: text.slice(at), at, isHeard: false });
  return pieces;
}

type Told = { -readonly [K in keyof Omit<ThingFact, "about" | "item">]?: ThingFact[K] };
type Span = { readonly at: number; readonly end: number };

const numberOf = (word: string | undefined): number | null => {
  if (word === undefined) return null;
  const known = NUMBER_WORDS[word];
  if (known !== undefined) return known;
  return /^-?\d+(\.\d+)?$/.test(word) ? Number(word) : null;
};
const NUMBER =
  "(-?\\d+(?:\\.\\d+)?|a|an|one|two|both|three|four|five|six|seven|eight|nine|ten|eleven|twelve)";

/** What stands behind one of these is not what is spoken of. */
const BEHIND: ReadonlySet<string> = new Set([
  "in",
  "into",
  "inside",
  "with",
  "from",
  "of",
  "than",
  "for",
  "to",
  "under",
  "by",
  "on",
  "onto",
  "without",
  "over",
  "like",
  "at",
  "between",
]);

const BEDS = ["sleep warm", "pad"];
const isBed = ({ jobs }: Named) => BEDS.some((job) => jobs.includes(job));

class Listener {
  private readonly facts = new Map<ItemId, { told: Told; spans: Span[] }>();
  private readonly others: Heard[] = [];
  /** What is being spoken of, for "it" and for clauses without a thing of their own. */
  topic: readonly Named[];

  constructor(
    private readonly read: ReadSentence,
    private readonly names: Names,
    topic: readonly Named[],
    /** What the sentence before said was harmed. */
    private readonly before: ReadonlySet<ItemId>,
  ) {
    this.topic = topic;
  }

  /** What this sentence says is harmed. */
  get harmed(): ReadonlySet<ItemId> {
    return new Set([...this.facts].filter(([, { told }]) => told.trouble ?? told.symptoms).map(([id]) => id));
  }

  listen(): Heard[] {
    const { clauses, words } = this.read;
    if (this.missed()) return this.all();
    const night = this.night();
    const amounts = this.amounts();
    if (!this.joined() && !this.swapped()) {
      const place = this.place();
      let pending: { clause: Clause; told: Told } | null = null;
      let before: readonly Named[] = this.topic;
      let theirs: readonly Named[] = [];
      // "It" goes back to the sentence before where that is how this one begins, or where it names nothing itself.
      const goesOn =
        /^(?:and |but |so |well |though |yes |no |, )*(it|its|they|them|that|this|those|which)\b/.test(
          words,
        ) ||
        (!words.includes("T") && /\b(it|its|they|them)\b/.test(words));
      let subject: readonly Named[] = goesOn ? this.topic : [];
      for (const [n, clause] of clauses.entries()) {
        if (night && this.isNightly(clause)) continue;
        const mentions = clause.units.flatMap((unit) => (unit.word === "T" ? unit.mentions : []));
        const foreign = clause.units.find(({ word }) => word === "F");
        if (foreign) theirs = this.meant(foreign.mentions, "");
        const someone = withWhom(clause.words, words);
        if (foreign && !someone && !/\b(shared|lent)\b/.test(clause.words)) {
          subject = [];
          continue;
        }
        const own = /\bmine\b/.test(clause.words) && mentions.length === 0 ? theirs : this.subjectOf(clause);
        const at = own.length > 0 ? own : subject;
        const tolds = (at.length > 0 ? at : [undefined]).map((thing) =>
          this.toldIn(clause, n, thing, amounts),
        );
        const told = tolds[0]!;
        const isEmpty = tolds.every((each) => Object.keys(each).length === 0);
        if (own.length > 0) {
          if (pending && isEmpty) {
            this.tell(own, pending.told, pending.clause, clause);
            // "What never came out: the hat and the cream, …, and the net": the whole list.
            if (!words.includes(":")) pending = null;
          }
          // "Everything went in the pot": still of the pan.
          if (isEmpty && subject.length > 0 && this.isAside(clause)) continue;
          before = own;
          subject = own;
          this.topic = own;
        }
        if (isEmpty) continue;
        if (at.length > 0) for (const [k, thing] of at.entries()) this.tell([thing], tolds[k]!, clause);
        else pending = { clause, told };
      }
      if (pending && before.length > 0 && /\b(it|its|them|they|that)\b/.test(words))
        this.tell(before, pending.told, pending.clause);
      this.placed(place);
    }
    return this.all();
  }

  private all(): Heard[] {
    return [
      ...this.others,
      ...[...this.facts]
        .filter(([, { told }]) => Object.keys(told).some((field) => !["metres", "day"].includes(field)))
        .map(([item, { told, spans }]): Heard => ({ fact: { about: "thing", item, ...told }, from: spans })),
    ];
  }

  /** It names things only behind "in", "for" or "than". */
  private isAside(clause: Clause): boolean {
    return clause.units.some(({ word }) => word === "T") && !this.freeIn(clause);
  }

  /** What a clause is about: of several things, the first that stands by itself, not behind "in", "for" or "than". */
  private subjectOf(clause: Clause): readonly Named[] {
    const unit = this.freeIn(clause) ?? clause.units.find(({ word }) => word === "T");
    return unit ? this.meant(unit.mentions, clause.words) : [];
  }

  private freeIn(clause: Clause): Unit | undefined {
    return clause.units.find((unit) => {
      if (unit.word !== "T") return false;
      const n = clause.units.indexOf(unit);
      const before = clause.units
        .slice(Math.max(0, n - 3), n)
        .map(({ word }) => word)
        .filter((word) => !/^(the|my|a|an|our|this|that|old|new|same)$/.test(word));
      return !BEHIND.has(before.at(-1) ?? "");
    });
  }

  /** The things that are meant: where several are alike, those that what is said of them fits. */
  private meant(mentions: readonly Mention[], words: string): readonly Named[] {
    return mentions.flatMap(({ things }): readonly Named[] => {
      if (things.length === 1) return things;
      // What was along is meant before what stayed at home.
      const along = things.filter((thing) => thing.along);
      if (along.length === 1) return along;
      const fitting = things.filter((thing) =>
        TROUBLES.some(
          ({ is, only }) =>
            only !== undefined && only(thing) && is.test(words) && things.some((other) => !only(other)),
        ),
      );
      return fitting.length === 1 ? fitting : [];
    });
  }

  private tell(things: readonly Named[], told: Told, ...clauses: readonly Clause[]): void {
    for (const { id } of things) {
      const there = this.facts.get(id) ?? { told: {}, spans: [] };
      const symptoms = [...new Set([...(there.told.symptoms ?? []), ...(told.symptoms ?? [])])];
      const complaints = [...new Set([...(there.told.complaints ?? []), ...(told.complaints ?? [])])];
      const trouble = [there.told.trouble, told.trouble].includes("failed")
        ? "failed"
        : (told.trouble ?? there.told.trouble);
      this.facts.set(id, {
        told: {
          ...there.told,
          ...told,
          ...(trouble && { trouble }),
          ...(symptoms.length > 0 && { symptoms }),
          ...(complaints.length > 0 && { complaints }),
        },
        spans: [...there.spans, ...clauses.map((clause) => this.spanOf(clause.units))],
      });
    }
  }

  private spanOf(units: readonly Unit[]): Span {
    const { tokens } = this.read;
    return { at: tokens[units[0]!.first]!.at, end: tokens[units.at(-1)!.last]!.end };
  }

  private also(fact: HeardFact, ...spans: Span[]): void {
    this.others.push({ fact, from: spans });
  }

  // --- what is lacking

  private missed(): boolean {
    const { words } = this.read;
    const plain = this.plainWords();
    const match =
      /\b(?:should(?:ve| have)? (?:brought|taken|packed)|wish i(?:d| had)?(?: had| brought| taken| packed)?|wished? for|missed|needed|would have (?:liked|loved)) (.+)$/.exec(
        plain,
      ) ??
      /\bwant(?:ed)? (.+?) next time\b/.exec(plain) ??
      /^(.+?) would(?:ve| have) been (?:good|nice|lovely|handy|useful|great)\b/.exec(plain);
    if (!match || /\b(never|not|didnt|dont|nothing|no) (miss|need|want)/.test(plain)) return false;
    if (
      /\bmissed (the|a) (bus|ferry|train|turn|path|boat)\b|\bneeded (it|them|that|mending|fixing|a (rest|day|shop)|to|the T)\b/.test(
        plain,
      ) ||
      /\bneeded (to|it|them)\b/.test(words)
    )
      return false;
    const what = nounOf(match[1]!);
    if (!what) return false;
    this.also({ about: "missed", what }, { at: this.read.tokens[0]!.at, end: this.read.tokens.at(-1)!.end });
    return true;
  }

  /** The sentence in its own plain words, things by what they were called. */
  private plainWords(): string {
    return this.read.units
      .map((unit) =>
        this.read.tokens
          .slice(unit.first, unit.last + 1)
          .map(({ plain }) => plain)
          .join(" "),
      )
      .join(" ");
  }

  // --- things that came

  private joined(): boolean {
    const plain = this.plainWords();
    const { words, units } = this.read;
    const bought =
      /^(?:.*\b(?:i|we|had to|and) )?(bought|found|borrowed|picked up) (?:(\w+) 's )?(.+?)(?: (?:from|of) (\w+))?(?: (?:in|at|on|for|to|by|near) .*)?(?: ,.*|\bto\b.*)?$/.exec(
        plain,
      );
    const given =
      /\b(?:a |an |the )?(\w+) (?:gave|lent) me (?:his |her |their )?(.+?)(?: (?:for|at|in|on) .*)?(?: ,.*)?$/.exec(
        plain,
      );
    const match = bought ?? given;
    if (
      !match ||
      NOT_SO.test(plain.slice(0, match.index + 12)) ||
      /\b(just |finally )?found (the|my|it|out|that|a way|no)\b/.test(plain.split(",")[0]!)
    )
      return false;
    const how = bought
      ? bought[1] === "picked up"
        ? "found"
        : (bought[1] as "bought" | "found" | "borrowed")
      : "given";
    const what = nounOf(bought ? bought[3]! : given![2]!);
    const from = bought ? (bought[2] ?? bought[4]) : given![1];
    if (!what) return false;
    const replaced =
      /\b(?:for|in place of|instead of|to replace) (?:the |my )?(?:old )?(?:ones?|T)\b/.test(words) ||
      /\b(mine|old ones?)\b/.test(words);
    const same = this.namesOf(what);
    this.also(
      {
        about: "joined",
        how,
        what,
        for: replaced && how === "bought" ? (same[0]?.id ?? null) : null,
        from: from && how !== "bought" ? capitalised(from, how) : null,
      },
      { at: this.read.tokens[0]!.at, end: this.read.tokens.at(-1)!.end },
    );
    // What became of the old ones is told behind it.
    const rest =
      /\b(mine|one pair of the old ones|the old ones?|the ones? i)\b.*?\b(binned|lost|thrown out|threw out|given away|worn out|shot)\b|\b(binned|lost)\b.*\b(mine|old ones?)\b/.exec(
        words,
      );
    const old = same[0] ?? units.find(({ word }) => word === "T")?.mentions[0]?.things[0];
    if (rest && old) {
      const gone = rest[2] ?? rest[3];
      const isOne = /\bone (pair|of)\b/.test(rest[0]) && old.pieces > 1;
      this.tell(
        [old],
        isOne
          ? { pieces: 1 }
          : {
              exit:
                gone === "lost"
                  ? "lost"
                  : gone === "given away"
                    ? "given away"
                    : gone === "worn out" || gone === "shot"
                      ? "worn out"
                      : "thrown out",
            },
        this.read.clauses.at(-1)!,
      );
    }
    return true;
  }

  private namesOf(what: string): readonly Named[] {
    return readSentence(what, this.names).units.flatMap(({ mentions }) =>
      mentions.flatMap(({ things }) => things),
    );
  }

  // --- one thing in another's place

  private swapped(): boolean {
    const { words, units } = this.read;
    if (NOT_SO.test(words) || units.some(({ word }) => word === "F")) return false;
    const things = units
      .filter(({ word }) => word === "T")
      .map(({ mentions }) => this.meant(mentions, words)[0]);
    const [a, b] = things;
    if (!a || !b || a.id === b.id) return false;
    const forward = [
      /\b(swapped|changed|exchanged|traded) (out )?(the |my )?T (for|to|against|with) (the |my |a )?T\b/,
      /\bT swapped (for|to) (the |my )?T\b/,
      /\breplaced (the |my )?T (with|by) (the |my )?T\b/,
      /\bT (off|out) ,? ?(the )?T (on|in)\b/,
      /\bT for (the )?T ,? ?swapped\b/,
      /\bT (was |got )?replaced by (the )?T\b/,
    ];
    const backward = [
      /\bswapped in (the |my )?T (for|in place of) (the |my )?T\b/,
      /\bT (in place of|instead of|rather than) (the |my )?T\b/,
      /\b(took|used|wore) (the |my )?T (in place of|instead of) (the |my )?T\b/,
      /\bT (on|in) ,? ?(the )?T (off|out)\b/,
      /\bT replaces? (the |my )?T\b/,
    ];
    const isForward = forward.some((row) => row.test(words));
    if (!isForward && !backward.some((row) => row.test(words))) return false;
    const [gone, came] = isForward ? [a, b] : [b, a];
    this.tell([gone], { exit: "swapped", for: came.id }, { units, words });
    this.placed(this.place());
    this.topic = [came];
    return true;
  }

  // --- nights

  private night(): boolean {
    const { words, units } = this.read;
    if (NOT_SO.test(words)) return false;
    const degrees =
      /(-?\d+(?:\.\d+)?) ?(?:° ?)?(degrees|c|f|°)(?![a-z])/.exec(words) ??
      /(?:^|[ ,(])(-\d+(?:\.\d+)?)(?= |$|,)/.exec(words) ??
      /\bnights? (?:of|at|around|about) (-?\d+)\b/.exec(words);
    const slept = this.sleptIn();
    const isNight = /\bnights?\b|\bslept\b|\bsleep\b/.test(words);
    // "Too cold" is a complaint, unless a temperature makes a night of it.
    const felt = this.feltOf(degrees ? words : words.replaceAll(/\btoo (cold|hot|warm|cool)\b/g, ""));
    if (!degrees && !(isNight && felt && slept.length > 0)) return false;
    if (!degrees && /\bno (cold|warm|hot) nights?\b/.test(words)) return false;
    if (degrees && slept.length === 0 && !isNight) return false;
    if (/\b(filter|froze|frost|ice)\b/.test(this.plainWords()) && slept.length === 0) return false;
    const low = degrees
      ? degrees[2] === "f"
        ? ((Number(degrees[1]) - 32) * 5) / 9
        : Number(degrees[1])
      : null;
    const days = /\b(mon|tue|wed|thu|fri|sat|sun)\w* (?:\+|and|&) (?:mon|tue|wed|thu|fri|sat|sun)/.test(words)
      ? 2
      : null;
    const many = new RegExp(`\\b${NUMBER} nights\\b`).exec(words);
    this.also(
      {
        about: "night",
        low: low === null ? null : Math.round(low * 10) / 10,
        felt,
        slept: slept.map(({ id }) => id),
        nights: days ?? (many ? (numberOf(many[1]) ?? 1) : /\bboth nights\b/.test(words) ? 2 : 1),
      },
      this.spanOf(units),
    );
    if (slept.length > 0) this.topic = slept;
    return true;
  }

  /** Beds and what lies under them, but for what they are only held against. */
  private sleptIn(): readonly Named[] {
    const { units, words } = this.read;
    const than = unitSpans(units).find(({ word }) => word === "than")?.from ?? Infinity;
    return unitSpans(units)
      .filter(({ word, from }) => word === "T" && from < than)
      .flatMap(({ mentions }) => {
        const named = this.meant(mentions, words);
        // "In quilt and fleece": what is named with a bed was slept in too.
        return named.some(isBed) ? named : [];
      })
      .filter((thing, n, all) => all.indexOf(thing) === n);
  }

  private feltOf(words: string): Felt | null {
    const told = words
      .replaceAll(/\b(colder|warmer|cooler|hotter) than\b.*?(?=,|;|$)/g, "")
      .replaceAll(/\bnight of\b/g, "");
    for (const { is, gives } of FELTS) {
      const match = is.exec(told);
      if (match && !isNegated(told, match.index)) return gives;
    }
    return null;
  }

  /** A clause that is all about how the night was. */
  private isNightly({ words }: Clause): boolean {
    return !DONE.some(({ is }) => is.test(words)) && !/\b(leak|zip|tor[en]|broke|lost|flat)/.test(words);
  }

  // --- amounts

  private amounts(): boolean {
    const { words } = this.read;
    const plain = this.plainWords();
    if (NOT_SO.test(words) && !/\bleft\b/.test(words)) return false;
    let any = false;
    const say = (fact: Extract<HeardFact, { about: "amount" }>, match: RegExpExecArray) => {
      any = true;
      const spans = this.read.tokens.filter(({ plain: word }) => match[0].includes(word));
      this.also(fact, { at: spans[0]?.at ?? 0, end: spans.at(-1)?.end ?? 0 });
    };
    const FUEL = "(gas|spirit|fuel|meths|alcohol|food)";
    const sortOf = (word: string) =>
      word === "food" ? "food" : /spirit|meths|alcohol/.test(word) ? "spirit" : "gas";
    const patterns: readonly (readonly [RegExp, (match: RegExpExecArray) => void])[] = [
      [
        new RegExp(
          `(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%) (?:of )?(?:the )?${FUEL}(?: \\w+)? (?:left|remaining|to go|still|came (?:back|home))`,
        ),
        (m) => say(amount(sortOf(m[3]!), "left", m[1]!, m[2]!), m),
      ],
      [
        new RegExp(
          `\\b${FUEL} (?:at |is |: ?|, )*(?:down to )?(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%)(?: left| remaining)?`,
        ),
        (m) => say(amount(sortOf(m[1]!), "left", m[2]!, m[3]!), m),
      ],
      [
        new RegExp(
          `\\b(?:set out|started|left|began|went out) with (\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz) (?:of )?${FUEL}`,
        ),
        (m) => say(amount(sortOf(m[3]!), "out", m[1]!, m[2]!), m),
      ],
      [
        new RegExp(
          `\\b${FUEL} (?:is |was |are )?(?:about |nearly )?(half|a quarter|a third|two thirds|three quarters) (gone|left|full|used|empty)\\b`,
        ),
        (m) => say(partOf(sortOf(m[1]!), m[2]!, m[3]!), m),
      ],
      [
        new RegExp(
          `\\b(?:no|out of) (?:more )?${FUEL}(?: left)?\\b|\\b${FUEL} (?:is |was |all )?(?:used up|empty|gone|finished|ran out|run out|done)\\b|\\bran out of ${FUEL}\\b`,
        ),
        (m) => say(amount(sortOf(m[1] ?? m[2] ?? m[3]!), "left", "0", "%"), m),
      ],
      [
        /\b(?:battery|bank|power bank|phone) (?:is |was )?(?:at |: ?|, )*(\d+) ?%/,
        (m) => say(amount("battery", "left", m[1]!, "%"), m),
      ],
      [
        /\bboiled (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/,
        (m) => say(amount("boiled", "used", m[1]!, m[2]!), m),
      ],
      [
        /\bdrank (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/,
        (m) => say(amount("water drunk", "used", m[1]!, m[2]!), m),
      ],
      [
        /\bcarried (?:about )?(\d+(?:\.\d+)?)(?: ?(l|ml)\b|(?= ?$| ,))(?! ?(?:g|kg|km))/,
        (m) => say(amount("water carried", "out", m[1]!, m[2] ?? "l"), m),
      ],
    ];
    for (const [pattern, take] of patterns) {
      const match = pattern.exec(plain);
      if (match && !(any && /^(?:no|out)/.test(match[0]))) take(match);
    }
    return any;
  }

  // --- where and when

  private place(): { readonly metres?: number; readonly day?: number; readonly at: number } {
    const { words } = this.read;
    const km = /\bkm (\d+(?:\.\d+)?)\b|\b(\d+(?:\.\d+)?) ?km\b/.exec(words);
    const mile = /\bmile (\d+(?:\.\d+)?)\b|\b(\d+(?:\.\d+)?) ?mile\b/.exec(words);
    const day = /\bday (\d+)\b/.exec(words);
    const number = (match: RegExpExecArray) => Number(match[1] ?? match[2]);
    return {
      ...(km && { metres: number(km) * 1000 }),
      ...(mile && { metres: number(mile) * METRES_PER_MILE }),
      ...(day && { day: Number(day[1]) }),
      at: (km ?? mile ?? day)?.index ?? 0,
    };
  }

  private placed({ metres, day }: ReturnType<Listener["place"]>): void {
    for (const [, { told }] of this.facts) {
      const isPlain = Object.keys(told).length > 0;
      if (isPlain && metres !== undefined) told.metres = metres;
      if (isPlain && day !== undefined && this.isDayOf(told)) told.day = day;
    }
  }

  /** The day belongs to what happened, not to what came out because of it. */
  private isDayOf(told: Told): boolean {
    const fields = Object.keys(told);
    return !(fields.length === 1 && told.use !== undefined && this.facts.size > 1);
  }

  // --- what a clause says of its thing

  private toldIn(clause: Clause, n: number, thing: Named | undefined, hasAmounts: boolean): Told {
    const { words } = clause;
    const told: Told = {};
    const around = this.read.words;
    const call = callIn(words, around);
    if (call) told.call = call;
    const someone = withWhom(words, around);
    if (someone) told.with = someone;
    const frost = frostOf(words, thing);
    if (frost && (frost === "unknown" || !NOT_SO.test(words))) told.frost = frost;
    this.countsIn(told, words, thing, hasAmounts);
    if (told.frost === "unknown" || (NOT_SO.test(words) && !call)) return told;
    if (someone) {
      if (/\bshared\b/.test(words)) told.use = "used";
      return told;
    }
    const condition = /\b(\d(?:\.\d)?|one|two|three|four) (?:out )?of (?:5|five)\b/.exec(words);
    if (condition && (!thing || thing.pieces < 5)) told.condition = numberOf(condition[1]) ?? undefined!;
    const gone = exitIn(words, thing, told);
    if (gone) told.exit = gone;
    if (!told.frost) this.troublesIn(told, words, thing, around, hasAmounts);
    this.complaintsIn(told, words, around, thing);
    this.useIn(told, clause, n, thing);
    const done = DONE.find(({ is }) => {
      const match = is.exec(words);
      return match && !isNegated(words, match.index);
    });
    if (done && !told.call) {
      const isHarmed = [told.trouble, thing && this.facts.get(thing.id)?.told.trouble].some(Boolean);
      if (done.gives === "repair" && isHarmed) told.fix = "patched";
      else if (!isHarmed || done.gives !== "repair") told.did = done.gives;
    }
    const harmed =
      (thing && this.before.has(thing.id)) ||
      told.trouble ||
      (thing && this.facts.get(thing.id)?.told.trouble) ||
      (thing && this.facts.get(thing.id)?.told.symptoms);
    if (harmed && PATCHED.test(words)) {
      told.fix = "patched";
      delete told.did;
    }
    if ((harmed || /\b(gave out|died|failed)\b/.test(around)) && WENT_WITHOUT.test(words))
      told.fix = "went without";
    return Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined)) as Told;
  }

  private countsIn(told: Told, words: string, thing: Named | undefined, hasAmounts: boolean): void {
    const pieces = thing?.pieces ?? 1;
    if (pieces > 1) {
      const lost =
        new RegExp(
          `\\b(?:lost|broke|bent|binned|snapped|ripped|tore) ${NUMBER}(?: of (?:the|my|\\d+))?(?: (?:the|my|old|pair of|more))* ?T\\b`,
        ).exec(words) ??
        new RegExp(
          `\\b${NUMBER} (?:of (?:the |my )?(?:\\d+ )?)?(?:pairs? of )?T (?:is |are |was |were )?(?:bent|gone|lost|left|stayed|snapped|broken|missing|ripped|torn|burnt|holed|split)\\b`,
        ).exec(words) ??
        new RegExp(
          `\\b${NUMBER} of (?:them|these|those) (?:is |are |was |were |got )?(?:snapped|broke|broken|bent|gone|went|lost|tore|torn|missing|split)\\b`,
        ).exec(words) ??
        new RegExp(`\\b(?:tip|end|strap|finger|thumb) of ${NUMBER} T\\b`).exec(words);
      if (lost) told.pieces = numberOf(lost[1]) ?? undefined!;
      const enough =
        new RegExp(
          `\\b${NUMBER}(?: of (?:the |my )?)?(?: ?pairs? (?:of )?(?:T )?| ?T )? ?(?:is|are|were|was|would|will|d) ?(?:be |have been )?(?:do|done|enough|plenty|ample)\\b`,
        ).exec(words) ??
        new RegExp(`\\b${NUMBER} (?:pairs? (?:of )?)?(?:T )?(?:is|would be|were) (?:enough|plenty)\\b`).exec(
          words,
        );
      if (enough) told.enough = numberOf(enough[1]) ?? undefined!;
    }
    if (thing && !hasAmounts) {
      const left =
        /\b(half|a quarter|a third|two thirds|three quarters|\d+ ?%)(?: of (?:it|them|the T|T))? (?:is |are |was )?(left|gone|used|full)\b/.exec(
          words,
        );
      if (left && !["insulated jacket", "sleeping bag"].includes(thing.kind)) {
        const share = shareOf(left[1]!);
        told.left = left[2] === "gone" || left[2] === "used" ? 1 - share : share;
      }
    }
    const days = new RegExp(
      `\\b${NUMBER} (?:days?|times|evenings|nights) (?:out )?(?:of|in) (?:\\d+|a|two|three|four|five|six|seven|eight|nine|ten)\\b`,
    ).exec(words);
    const daily = new RegExp(
      `\\b(?:wore|worn|used|had|slept|on)\\b.*?\\b(?:all|for|on) ${NUMBER} (?:of the )?(?:days|evenings)\\b`,
    ).exec(words);
    const counted = days && !/\bnights\b/.test(days[0]) ? days : daily;
    if (counted) told.days = numberOf(counted[1]) ?? undefined!;
  }

  private troublesIn(
    told: Told,
    words: string,
    thing: Named | undefined,
    around: string,
    hasAmounts: boolean,
  ): void {
    const compared = words.replace(/\b\w+er than (the |my |a )?\w+.*$/, "");
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
    if (failed && !isNegated(compared, failed.index) && !/\b(almost|nearly|half)\b/.test(compared))
      told.trouble = "failed";
    if (told.symptoms?.includes("no charge")) delete told.trouble;
  }

  private complaintsIn(told: Told, words: string, around: string, thing: Named | undefined): void {
    if (told.use === "unused" || told.trouble === "failed") return;
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
      if (gives === "smells" && /\bsmell(s|ed)? of (gas|T)\b/.test(words)) continue;
      if (gives === "slides" && told.symptoms?.includes("loose")) continue;
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

  private useIn(told: Told, { words }: Clause, n: number, thing: Named | undefined): void {
    const around = this.read.clauses.map((each) => each.words);
    const whole = around.join(" , ");
    const unused =
      /^\W*(?:and |but )?(?:not|nor|neither) (?:the |my )?T(?: either)?$|\b(never|not|didnt|wasnt|werent|havent|hasnt|nor|neither)\b.*?\b(once|used?|using|wore|wear|worn|on|opened?|touched?|out|needed|need|needing|unpacked|hung|hang|put (it |them |T )?up|pitched|pitch|come out|unrolled|inflated|blew|switched|turned on|struck|read|lit|left the|came out|got (it|that|them) out|put (it|them|T)? ?on|get (it|that|them) out|taken out|unrolled)\b|\bunused\b|\buntouched\b|\bnever (left|came|got|saw|opened|out)\b|\bstay(ed|s) (in|at the bottom|where (it|they)|rolled|shut|packed|stowed|folded)\b|\bno need (for|of)\b|\bno call for\b|\bcame home (as dry|unused|clean|folded)\b|\bnot (a|one) (page|once|time)\b|\bnot read\b|\bnot (used|worn|opened|needed|touched|lit)\b|\bnever (used|wore|worn|needed|opened)\b/.exec(
        words,
      );
    // Why it stayed unused is said in the same breath, or just after.
    const later = [words, ...around.slice(n + 1, n + 4), around[n - 1] ?? ""];
    const why =
      unused || told.use === "unused"
        ? later.map((each) => WHYS.find(({ is }) => is.test(each))).find((each) => each !== undefined)
        : WHYS.find(({ is }) => is.test(words));
    if (unused && !told.exit && !/\bnever (let|failed|went|did|had|leak|rub)/.test(words)) {
      told.use = "unused";
      delete told.complaints;
      delete told.on;
      if (why) told.why = why.gives;
      return;
    }
    if (/\bforgot (i had|about) (it|them|T)\b/.test(words)) {
      told.use = "unused";
      told.why = "forgot it";
      return;
    }
    if (thing && thing.pieces > 1 && /\b(too|far too) many\b/.test(words)) told.why = "too much of it";
    if (
      /\b(hardly|barely|scarcely) (used|wore|opened|touched|needed)\b|\b(used|wore|opened|came out|needed|out)( the| my)?( it| them| T)? (just |only )?(once|twice)\b|\b(only|just) (once|twice)\b/.test(
        words,
      )
    ) {
      told.use = "hardly";
      if (/\btoo (much|many)\b/.test(whole)) told.why = "too much of it";
      return;
    }
    const used =
      /\b(used|using|wore|worn|wear (it|them) every|slept (in|on|under)|lay (in|on|under)|cooked (in|on)|ate (from|with|off)|lived in|on the go|walked in|came out|got (it|them|the T) out|on all (night|day)|on to|saved|got me|drank (from|through)|cooked on|sat (on|in)|did it all|did it|mine)\b|\bT for (sun|shade|rain|warmth)\b|\bglad (of|to have|i had)\b|\ball day\b|\bevery (day|night|evening|morning)\b|\bwore\b/.exec(
        words,
      );
    if (
      used &&
      !isNegated(words, used.index) &&
      !/\bused (up|to)\b/.test(words) &&
      !told.exit &&
      !/\bworn (out|thin|through)\b/.test(words)
    )
      told.use = "used";
  }
}

/** Is what stands at a place denied: by a word shortly before it in the same clause? */
function isNegated(words: string, at: number): boolean {
  const before = words.slice(0, at).split(" ").slice(-5).join(" ");
  const match = NEGATION.exec(before);
  if (!match) return false;
  // "not only torn", "no doubt torn", "no idea": no denial of it.
  return !/\b(not only|no doubt|no wonder|no longer)\b/.test(before) && !/\b(hardly|barely)\b/.test(match[0]);
}

function callIn(words: string, around: string): Told["call"] {
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
function withWhom(words: string, around: string): string | undefined {
  const match =
    /\b(?:shared?|split) (?:the |my )?T (?:with|between (?:me and )?) ?(\w+)/.exec(words) ??
    /\blent (?:the |my )?T to (\w+)/.exec(words) ??
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

function frostOf(words: string, thing: Named | undefined): Told["frost"] {
  if (thing && !thing.jobs.includes("treat water")) return undefined;
  if (!/\b(froze|frozen|freeze|frost|ice|icy)\b/.test(words))
    return /\bslept (in|with)\b.*\b(bag|me)\b/.test(words) && thing ? "kept" : undefined;
  if (/\b(no idea|cant say|dont know|not sure|who knows|whether|if)\b/.test(words)) return "unknown";
  if (/\b(didnt|did not|never|not|wasnt|kept|no ice|safe|slept with)\b/.test(words)) return "kept";
  return "froze";
}

function exitIn(words: string, thing: Named | undefined, told: Told): Told["exit"] {
  if (/\b(would|might|almost|nearly|thinking|going to)\b/.test(words)) return undefined;
  const rows: readonly (readonly [NonNullable<Told["exit"]>, RegExp])[] = [
    [
      "posted ahead",
      /\b(sent|posted|mailed)\b.*\b(on )?ahead\b|\bon ahead\b|\b(sent|posted|mailed) (the |my )?T on\b/,
    ],
    [
      "sent home",
      /\b(sent|posted|mailed|went|took) (it |them |the |my )*(T )?(back )?home\b|\bparcel (back )?home\b|\bbox (back )?home\b|\b(sent|posted|mailed)( the| my)? T (back|home)\b|\bin the post\b/,
    ],
    [
      "given away",
      /\b(gave|given|left|went|donated)( \w+)?( the| my)? ?T? ?(for good|away|to (a|the|some|an|somebody|someone|oswin|another)\b)|\bwent to (a|some|the|an) (\w+ )?(kid|boy|girl|child|couple|man|woman|walker|hiker|shepherd|warden|friend|stranger)\b|\bgave \w+ (the |my )?T\b(?!.*\bback\b)/,
    ],
    [
      "thrown out",
      /\b(binned|threw (it|them|the T|T|away|out)|thrown (out|away)|chucked|dumped|in the bin|went in the bin|ditched)\b/,
    ],
    ["worn out", /\b(worn out|is shot|are shot|shot|done for|had it|had had it)\b|^\W*T (is |are )?done\b/],
    [
      "lost",
      /\b(lost|gone missing|went missing|blew (off|away)|left (behind|(my |the )?T (in|at|on|behind|under))|dropped (it )?(in|off|over)|washed away|vanished|disappeared|stolen)\b/,
    ],
  ];
  for (const [how, pattern] of rows) {
    const match = pattern.exec(words);
    if (!match || isNegated(words, match.index)) continue;
    if (how === "lost" && (told.pieces !== undefined || /\blost (its |the )?(loft|air|charge)\b/.test(words)))
      continue;
    if (how === "lost" && /\bleft (the |my )?T (outside|out|at home)\b/.test(words)) continue;
    if (
      how === "worn out" &&
      thing &&
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

const UNITS: Readonly<Record<string, readonly [factor: number, unit: "g" | "L" | "%"]>> = {
  g: [1, "g"],
  kg: [1000, "g"],
  oz: [28.3495, "g"],
  ml: [0.001, "L"],
  l: [1, "L"],
  "%": [1, "%"],
};
type Amount = Extract<HeardFact, { about: "amount" }>;
function amount(what: Amount["what"], how: Amount["how"], typed: string, unit: string): Amount {
  const [factor, base] = UNITS[unit] ?? [1, "g"];
  return { about: "amount", what, how, value: Math.round(Number(typed) * factor * 1000) / 1000, unit: base };
}
const shareOf = (words: string): number => {
  if (/%/.test(words)) return Number(words.replace(/\D/g, "")) / 100;
  return (
    { half: 0.5, "a quarter": 0.25, "a third": 1 / 3, "two thirds": 2 / 3, "three quarters": 0.75 }[words] ??
    0.5
  );
};
const partOf = (what: Amount["what"], share: string, is: string): Amount => ({
  about: "amount",
  what,
  how: "left",
  value: Math.round(100 * (/gone|used|empty/.test(is) ? 1 - shareOf(share) : shareOf(share))),
  unit: "%",
});

/** The thing that a stretch of words is about: "a second pair of gloves, really" → "gloves". */
function nounOf(words: string): string | null {
  const noun = words
    .replace(/ [,.;:!?].*$/, "")
    .replace(
      /^(?:had |have |the |a |an |my |some |any |another |second |more |of |bit |pair |spare pair |couple |that )+/g,
      "",
    )
    .replace(/^(?:second |pair |bit )?(?:of )/, "")
    .replace(
      / (?:next time|really|today|tonight|with me|along|too|at night|from (?:home|last|the).*|for .*|in .*|at .*|on .*|as .*|to .*|so .*|because .*|but .*|and .*|i .*)$/g,
      "",
    )
    .replace(/\s*[.!?,]+\s*$/, "")
    .trim();
  return noun &&
    noun.split(" ").length <= 4 &&
    !/^(it|them|that|nothing|me|you|him|her|to|i|out)\b/.test(noun)
    ? noun
    : null;
}

const capitalised = (name: string, how: string) =>
  how === "given" && /^(guide|walker|couple|man|woman|shepherd|warden|hiker|friend)$/.test(name)
    ? name
    : name.charAt(0).toUpperCase() + name.slice(1);
