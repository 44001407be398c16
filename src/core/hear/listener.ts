import { lastOf, nth } from "../sums/there";
import type { Felt, ItemId } from "../model";
import { DONE, FELTS, NOT_MISSED, NOT_SO, OLD_ONES_GONE, TROUBLES } from "../trade/words/hearing";
import { METRES_PER_MILE } from "../units/quantity";
import { readSentence, unitSpans, type Clause, type Names, type ReadSentence, type Unit } from "./clause";
import type { Heard, HeardFact } from "./facts";
import { amount, capitalised, nounOf, NUMBER, numberOf, partOf } from "./quantities";
import type { Mention, Named } from "./things";
import { isNegated, toldIn, withWhom, type Around, type ThingTold } from "./told";

type Span = { readonly at: number; readonly end: number };

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

/**
 * Hears one sentence: what is lacking, nights, amounts, what came, what took another's place; else clause by
 * clause.
 */
export class Listener {
  private readonly facts = new Map<ItemId, { told: ThingTold; spans: Span[] }>();
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
    // What is asked is not said.
    if (/\?$/.test(words)) return [];
    if (this.missed()) return this.all();
    const night = this.night();
    const amounts = this.amounts();
    if (!this.joined() && !this.swapped()) {
      const place = this.place();
      let pending: { clause: Clause; told: ThingTold } | null = null;
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
          toldIn(clause, n, thing, this.around(amounts)),
        );
        const told = nth(tolds, 0);
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
        if (at.length > 0) for (const [k, thing] of at.entries()) this.tell([thing], nth(tolds, k), clause);
        else pending = { clause, told };
      }
      if (pending && before.length > 0 && /\b(it|its|them|they|that)\b/.test(words))
        this.tell(before, pending.told, pending.clause);
      this.placed(place);
    }
    return this.all();
  }

  /** What a clause is heard among. */
  private around(hasAmounts: boolean): Around {
    return {
      words: this.read.words,
      clauses: this.read.clauses,
      hasAmounts,
      before: this.before,
      soFar: (thing) => this.facts.get(thing.id)?.told,
    };
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

  private tell(things: readonly Named[], told: ThingTold, ...clauses: readonly Clause[]): void {
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
    return { at: tokens[nth(units, 0).first]!.at, end: tokens[lastOf(units).last]!.end };
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
    if (NOT_MISSED.test(plain) || /\bneeded (to|it|them)\b/.test(words)) return false;
    const what = nounOf(nth(match, 1));
    if (!what) return false;
    this.also(
      { about: "missed", what },
      { at: nth(this.read.tokens, 0).at, end: lastOf(this.read.tokens).end },
    );
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
    const what = nounOf(bought ? nth(bought, 3) : given![2]!);
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
      { at: nth(this.read.tokens, 0).at, end: lastOf(this.read.tokens).end },
    );
    // What became of the old ones is told behind it.
    const rest = OLD_ONES_GONE.exec(words);
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
        lastOf(this.read.clauses),
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
          `(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%) (?:of )?(?:the )?${FUEL}(?: ` +
            `\\w+)? (?:left|remaining|to go|still|came (?:back|home))`,
        ),
        (m) => say(amount(sortOf(nth(m, 3)), "left", nth(m, 1), nth(m, 2)), m),
      ],
      [
        new RegExp(
          `\\b${FUEL} (?:at |is |: ?|, )*(?:down to )?(\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz|%)(?: left| remaining)?`,
        ),
        (m) => say(amount(sortOf(nth(m, 1)), "left", nth(m, 2), nth(m, 3)), m),
      ],
      [
        new RegExp(
          `\\b(?:set out|started|left|began|went out) with (\\d+(?:\\.\\d+)?) ?(g|kg|ml|l|oz) (?:of )?${FUEL}`,
        ),
        (m) => say(amount(sortOf(nth(m, 3)), "out", nth(m, 1), nth(m, 2)), m),
      ],
      [
        new RegExp(
          `\\b${FUEL} (?:is |was |are )?(?:about |nearly )?(half|a quarter|a third|two thirds|three quarters) (gone|left|full|used|empty)\\b`,
        ),
        (m) => say(partOf(sortOf(nth(m, 1)), nth(m, 2), nth(m, 3)), m),
      ],
      [
        new RegExp(
          `\\b(?:no|out of) (?:more )?${FUEL}(?: left)?\\b|\\b${FUEL} (?:is |was |all )?(?:used up|empty|gone|finished|ran out|run out|done)\\b|\\bran out of ${FUEL}\\b`,
        ),
        (m) => say(amount(sortOf(m[1] ?? m[2] ?? nth(m, 3)), "left", "0", "%"), m),
      ],
      [
        /\b(?:battery|bank|power bank|phone) (?:is |was )?(?:at |: ?|, )*(\d+) ?%/,
        (m) => say(amount("battery", "left", nth(m, 1), "%"), m),
      ],
      [
        /\bboiled (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/,
        (m) => say(amount("boiled", "used", nth(m, 1), nth(m, 2)), m),
      ],
      [
        /\bdrank (?:about )?(\d+(?:\.\d+)?) ?(l|ml)\b/,
        (m) => say(amount("water drunk", "used", nth(m, 1), nth(m, 2)), m),
      ],
      [
        /\bcarried (?:about )?(\d+(?:\.\d+)?)(?: ?(l|ml)\b|(?= ?$| ,))(?! ?(?:g|kg|km))/,
        (m) => say(amount("water carried", "out", nth(m, 1), m[2] ?? "l"), m),
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
  private isDayOf(told: ThingTold): boolean {
    const fields = Object.keys(told);
    return !(fields.length === 1 && told.use !== undefined && this.facts.size > 1);
  }
}
