import { lastOf, nth } from "../sums/there";
import type { ItemId } from "../model";
import { DONE } from "../trade/words/ends";
import { FELTS } from "../trade/words/nights";
import { NEGATION, NOT_SO } from "../trade/words/speech";
import { TROUBLES } from "../trade/words/troubles";
import { DID_INSTEAD, USED } from "../trade/words/uses";
import { METRES_PER_MILE } from "../units/quantity";
import { plainOf, readSentence, type Clause, type Names, type ReadSentence, type Unit } from "./clause";
import type { HeardFact } from "../model";
import type { Heard } from "./facts";
import { amountsIn } from "./text/amounts";
import { arrivalIn } from "./arrivals";
import { answerIn, isNothing, missedIn } from "./missing";
import { nightsIn } from "./nights";
import { swapIn } from "./swaps";
import { ownerIn, type Mention, type Named } from "./things";
import { toldIn, withWhom, type Around, type ThingTold } from "./told";

/** Goes back to what is being spoken of. */
const REFERS = /\b(it|its|them|they|theyre|those|that one|that|which)\b/;
/** Beside a thing that a clause names: "took the fleece off under it". */
const REFERS_TO_OTHER = /\b(of|in|into|on|with|under|over|inside|from|to|for) (it|them|that|those)\b/;
/** A clause behind one of these tells of its own thing beside the one spoken of. */
const SUBORDINATE: ReadonlySet<string> = new Set(
  "while because since cause cos whereas when until after before".split(" "),
);

/** What a sentence speaks of, as it goes on. */
interface Talk {
  subject: readonly Named[];
  /** Of whom it may be said where it names nothing: the thing before. */
  before: readonly Named[];
  /** Somebody else's thing, for "used mine". */
  theirs: readonly Named[];
  /** Said before its thing is named. */
  pending: { clause: Clause; told: ThingTold } | null;
  last: ThingTold | null;
}

/** How sure an amount is changes nothing about it. */
const ROUGHLY = /\b(maybe|perhaps|nearly|almost|about)\b/g;

/** Units of a line at most; what is longer is talk. */
const LONGEST_LINE = 14;
const isEvent = ({ trouble, symptoms, exit, fix, did, pieces }: ThingTold) =>
  [trouble, symptoms, exit, fix, did, pieces].some((each) => each !== undefined);

/** Of what is said of a thing, what "likewise" says of another: how it was used and why. */
const sayableAgain = ({ use, why, call }: ThingTold): ThingTold | null =>
  use || call || why ? { ...(use && { use }), ...(why && { why }), ...(call && { call }) } : null;

/** "So could the jacket" says as much of it, and no more. */
const callOf = ({ call }: ThingTold): ThingTold => (call ? { call } : {});

/** Frost harms what treats water alone: "only for frost, the jacket". */
function withoutFrost(told: ThingTold): ThingTold {
  const rest = { ...told };
  delete rest.frost;
  return rest;
}

type Span = { readonly at: number; readonly end: number };

/** What stands behind one of these is not what is spoken of. */
const BEHIND: ReadonlySet<string> = new Set(
  "in into inside with from of than for to under by on onto without over like at between as smelled smelt".split(
    " ",
  ),
);

/**
 * Hears one sentence: what is lacking, nights, amounts, what came, what took another's place; else clause by
 * clause.
 */
export class Listener {
  private readonly facts = new Map<ItemId, { told: ThingTold; spans: Span[] }>();
  private readonly others: Heard[] = [];
  /** What is being spoken of, for "it" and for clauses without a thing of their own. */
  topic: readonly Named[];
  /** The kind of what was named last, for "mine" and "hers". */
  sortNamed: string | null = null;
  /** What was said last, for "likewise". */
  saidLast: ThingTold | null = null;
  /** The sentence before named what this one tells of: "The poncho?" */
  isAskedOf = false;

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

  /** What a sentence asks for is answered by the next: "did I miss anything? Camp shoes." */
  get asksWhatWasMissed(): boolean {
    return /\b(miss|missing|missed|lack)\b.*\?$/.test(this.read.words);
  }

  /** A question that only names things: "And the poncho?", "What about the map?" */
  get asksOfThings(): boolean {
    return /^((and|so|what|how|about|as|for|the|my|then|,) )*T \?$/.test(this.read.words);
  }

  private namedAlone(): readonly Named[] {
    return this.read.units.flatMap(({ mentions }) => this.meant(mentions, ""));
  }

  /** @param isAnswer the sentence before asked what was missed */
  listen(isAnswer = false): Heard[] {
    const { clauses, words } = this.read;
    // What is asked is not said; but "the poncho?" says what the next sentence is about.
    if (/\?$/.test(words)) {
      if (this.asksOfThings) this.topic = this.namedAlone();
      return [];
    }
    if (isAnswer && this.namedAsMissed()) return this.all();
    const missed = this.missed();
    if (missed === 0) return this.all();
    const hasNight = this.nights();
    const hasAmounts = this.amounts();
    if (this.swapped()) return this.all();
    const joins = this.joined();
    // What came, or was missed, is told in its own words; what was said before it stands by itself.
    this.listenTo(clauses.slice(0, joins ?? missed ?? clauses.length), hasNight, hasAmounts);
    if (missed !== null) this.listenTo(this.afterMissed(missed), hasNight, hasAmounts);
    if (joins !== null) this.newcomerIn(clauses.slice(joins + 1), hasAmounts);
    return this.all();
  }

  /** Clause by clause: of the thing that each names, or of the one that is being spoken of. */
  private listenTo(clauses: readonly Clause[], hasNight: boolean, hasAmounts: boolean): void {
    const place = this.place();
    const talk: Talk = {
      subject: this.goesOn() ? this.topic : [],
      before: this.topic,
      theirs: [],
      pending: null,
      last: this.saidLast,
    };
    for (const [n, clause] of clauses.entries())
      if (hasNight && this.isNightly(clause)) {
        const bed = this.subjectOf(clause);
        if (bed.length > 0) talk.subject = bed;
      } else this.listenToClause(clause, n, talk, hasAmounts);
    if (talk.pending && talk.before.length > 0 && /\b(it|its|them|they|that)\b/.test(this.read.words))
      this.tell(talk.before, talk.pending.told, talk.pending.clause);
    this.saidLast = talk.last;
    this.placed(place);
  }

  private listenToClause(clause: Clause, n: number, talk: Talk, hasAmounts: boolean): void {
    const { words, clauses } = this.read;
    const foreign = clause.units.find(({ word }) => word === "F");
    if (foreign) talk.theirs = this.meant(foreign.mentions, "");
    if (foreign && !withWhom(clause.words, words) && !/\b(shared|lent)\b/.test(clause.words)) {
      const whose = this.whoseIn(clause);
      talk.subject = whose ?? [];
      if (!whose) return;
    }
    const hasThing = clause.units.some(({ word }) => word === "T");
    const named =
      this.whoseIn(clause) ??
      (/\bmine\b/.test(clause.words) && !hasThing ? talk.theirs : this.subjectOf(clause));
    const isBeside = named.length > 0 && talk.subject.length > 0 && this.isBeside(clause);
    // "I slept in it with the jacket on": of "it".
    const own = isBeside && this.isAside(clause) && REFERS.test(clause.words) ? [] : named;
    // "…round the lake in the sandals, those were wonderful": what was named last.
    const aside =
      /^(those|these|that one|that (saved|made|i|we))\b/.test(clause.words) && n > 0
        ? this.namedIn(nth(clauses, n - 1))
        : [];
    if (aside.length > 0) talk.subject = aside;
    const about = own.length > 0 ? own : talk.subject;
    const isOfSubject =
      isBeside && own.length > 0 && this.isAside(clause) && this.harmIn(clause, n, talk, hasAmounts);
    const at = isOfSubject ? talk.subject : about;
    const tolds = (at.length > 0 ? at : [undefined]).map((thing) =>
      toldIn(clause, n, thing, this.around(hasAmounts)),
    );
    const isEmpty = tolds.every((each) => Object.keys(each).length === 0);
    if (own.length > 0) {
      if (isEmpty && talk.pending && !isBeside && !DID_INSTEAD.test(clause.words)) {
        this.tell(own, talk.pending.told, talk.pending.clause, clause);
        // "What never came out: the hat and the cream, …, and the net": the whole list.
        if (!words.includes(":")) talk.pending = null;
      }
      const isToo = isEmpty && talk.last !== null && this.isToo(clause, n);
      if (isToo && talk.last)
        this.tell(own, /^so (could|should)/.test(clause.words) ? callOf(talk.last) : talk.last, clause);
      if (!isBeside || isToo) talk.before = talk.subject = this.topic = own;
    }
    if (isEmpty) return;
    const told = nth(tolds, 0);
    if (at.length > 0) {
      for (const [k, thing] of at.entries()) this.tell([thing], nth(tolds, k), clause);
      talk.last = sayableAgain(this.facts.get(nth(at, 0).id)?.told ?? told);
    } else talk.pending = { clause, told };
  }

  /** "Gaiters: strap snapped under the boot": harm told beside another thing is of what is spoken of. */
  private harmIn(clause: Clause, n: number, { subject }: Talk, hasAmounts: boolean): boolean {
    const told = toldIn(clause, n, subject[0], this.around(hasAmounts));
    return (told.trouble ?? told.symptoms ?? told.complaints) !== undefined;
  }

  /**
   * "Boots: mine, the soles are smooth", "hers are too small": whose of two, of what was named last; null:
   * nobody's.
   */
  private whoseIn({ words }: Clause): readonly Named[] | null {
    const { partner, all } = this.names;
    const isMine = /^mine\b/.test(words);
    if (
      !partner ||
      !(isMine || /^(hers|theirs|F (is|are|was|were))\b/.test(words)) ||
      this.sortNamed === null
    )
      return null;
    const found = all
      .map(({ thing }) => thing)
      .filter(({ kind, name }) => kind === this.sortNamed && (ownerIn(name) === partner) !== isMine);
    return found.length === 1 ? found : null;
  }

  /** "The repair kit likewise", "those and the sun hat": what was said last is said of this too. */
  private isToo({ words }: Clause, n: number): boolean {
    if (/\bT (likewise|ditto|the same|same again|too|as well|also)$/.test(words)) return true;
    if (
      /^(so (could|did|was|were|should|would|is)|same (as|with|for|goes for)|nor (did|was)) (the |my )?T$/.test(
        words,
      )
    )
      return true;
    const before = this.read.clauses[n - 1];
    return /^(the |my |a )*T$/.test(words) && /^(them|those|it|that|these)$/.test(before?.words ?? "");
  }

  /** What a clause names beside what is spoken of. */
  private namedIn(clause: Clause): readonly Named[] {
    const unit = this.isBeside(clause) ? clause.units.find(({ word }) => word === "T") : undefined;
    return unit ? this.meant(unit.mentions, clause.words) : [];
  }

  /** "It" goes back to the sentence before where that is how this one begins, or where it names nothing itself. */
  private goesOn(): boolean {
    const { words } = this.read;
    return (
      (this.isAskedOf && !words.includes("T")) ||
      /^(?:and |but |so |well |though |yes |no |, )*(it|its|they|theyre|them|that|thats|this|those|which)\b(?! T)/.test(
        words,
      ) ||
      (!words.includes("T") && REFERS.test(words)) ||
      /\b(it|its|they|them)\b/.test(words.slice(0, Math.max(0, words.search(/\bT\b/))))
    );
  }

  /**
   * What a clause names only beside what is spoken of: "everything went in the pot", "while I washed the shorts",
   * "gave the phone half a charge out of it".
   */
  private isBeside(clause: Clause): boolean {
    return (
      this.isAside(clause) ||
      REFERS_TO_OTHER.test(clause.words) ||
      SUBORDINATE.has(clause.opener) ||
      /\b(when|while|until|because|before|after)\b.*T/.test(clause.words) ||
      // "The big one did for both of us", of the second pot.
      (DID_INSTEAD.test(clause.words) && this.freeIn(clause) !== undefined)
    );
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
      // "Never left the pack": where it was, not what is spoken of.
      // "The sleeve of the jacket" is the jacket's.
      if (
        before.at(-1) === "of" &&
        !/^(out|instead|ahead|because|full|smells?|smelled|made|inside|top|front|both|one|half|most|kind|sort)$/.test(
          before.at(-2) ?? "out",
        )
      )
        return true;
      const isPlace = before.at(-1) === "left" && NEGATION.test(clause.words);
      return !BEHIND.has(before.at(-1) ?? "") && !isPlace;
    });
  }

  /** The things that are meant: where several are alike, those that what is said of them fits. */
  private meant(mentions: readonly Mention[], words: string): readonly Named[] {
    return mentions.flatMap(({ things }): readonly Named[] => {
      this.sortNamed = things[0]?.kind ?? this.sortNamed;
      if (things.length === 1) return things;
      // What was along is meant before what stayed at home.
      const along = things.filter((thing) => thing.along);
      if (along.length === 1) return along;
      // "That bag": the one that is being spoken of.
      const spokenOf = things.filter((thing) => this.topic.includes(thing));
      if (spokenOf.length === 1) return spokenOf;
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
    for (const { id, jobs } of things) {
      const there = this.facts.get(id) ?? { told: {}, spans: [] };
      const symptoms = [...new Set([...(there.told.symptoms ?? []), ...(told.symptoms ?? [])])];
      const complaints = [...new Set([...(there.told.complaints ?? []), ...(told.complaints ?? [])])];
      // What was said of its use stands, whatever else was used or not: unless it is said of the thing itself.
      const isStill =
        there.told.use !== undefined &&
        told.use !== undefined &&
        there.told.use !== told.use &&
        told.use !== "hardly" &&
        !clauses.some(({ words }) => /\bT\b|\b(?!did|does|do|was|is)\w+ (it|them|that)\b/.test(words));
      const trouble = [there.told.trouble, told.trouble].includes("failed")
        ? "failed"
        : (told.trouble ?? there.told.trouble);
      this.facts.set(id, {
        told: {
          ...there.told,
          ...(jobs.includes("treat water") ? told : withoutFrost(told)),
          ...(isStill && { use: there.told.use }),
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
    return { at: nth(tokens, nth(units, 0).first).at, end: nth(tokens, lastOf(units).last).end };
  }

  private also(fact: HeardFact, ...spans: Span[]): void {
    this.others.push({ fact, from: spans });
  }

  // --- what is lacking, what came, what took another's place

  /** The clause that tells what was missed, from 0; null: none does. */
  private missed(): number | null {
    const missed = missedIn(this.read);
    if (!missed) return null;
    this.also({ about: "missed", what: missed.what }, this.spanOf(this.read.units));
    return missed.clause;
  }

  /** Where another thing is spoken of, behind what was missed. */
  private afterMissed(missed: number): readonly Clause[] {
    const { clauses } = this.read;
    const next = clauses.findIndex(
      (clause, n) => n > missed && this.freeIn(clause) !== undefined && clause.units.length > 2,
    );
    return next < 0 ? [] : clauses.slice(next);
  }

  /** "Did I miss anything? Camp shoes.": is it an answer? */
  private namedAsMissed(): boolean {
    const answer = answerIn(this.read);
    if (answer) this.also({ about: "missed", what: answer.what }, this.spanOf(this.read.units));
    return answer !== null || isNothing(this.read);
  }

  /** The clause that tells what came, from 0; null: nothing came. */
  private joined(): number | null {
    const arrival = arrivalIn(this.read, (what) => this.namesOf(what));
    if (!arrival) return null;
    this.also(arrival.fact, this.spanOf(this.read.units));
    if (arrival.old) this.tell([arrival.old.thing], arrival.old.told, lastOf(this.read.clauses));
    if (arrival.same.length === 1) this.topic = arrival.same;
    return arrival.clause;
  }

  /** "…and bought the small one, and that one I used from then on". */
  private newcomerIn(clauses: readonly Clause[], hasAmounts: boolean): void {
    for (const clause of clauses)
      if (/\b(that|it|them|those)\b/.test(clause.words) && USED.test(clause.words))
        for (const thing of this.topic)
          this.tell([thing], toldIn(clause, 0, thing, this.around(hasAmounts)), clause);
  }

  private namesOf(what: string): readonly Named[] {
    return readSentence(what, this.names).units.flatMap(({ mentions }) =>
      mentions.flatMap(({ things }) => things),
    );
  }

  private swapped(): boolean {
    const swap = swapIn(this.read, this.meant.bind(this));
    if (!swap) return false;
    const { units, words } = this.read;
    this.tell([swap.gone], { exit: "swapped", for: swap.came.id }, { units, words, opener: "" });
    this.placed(this.place());
    this.topic = [swap.came];
    return true;
  }

  // --- nights

  private nights(): boolean {
    const told = nightsIn(this.read, this.topic, plainOf(this.read), this.meant.bind(this));
    for (const { fact, units, slept } of told) {
      this.also(fact, this.spanOf(units));
      if (slept.length > 0) this.topic = slept;
    }
    return told.length > 0;
  }

  /** A clause that is all about how the night was. */
  private isNightly({ words }: Clause): boolean {
    return (
      (/\d ?(degrees|c|f|°)(?![a-z])|(^| )-\d|\bnights?\b|\bslept\b/.test(words) ||
        FELTS.some(({ is }) => is.test(words))) &&
      !/\bT .*\btoo (hot|cold|warm)\b/.test(words) &&
      !DONE.some(({ is }) => is.test(words)) &&
      !/\b(leak|zip|tor[en]|broke|lost|flat)/.test(words)
    );
  }

  // --- amounts

  private amounts(): boolean {
    if (NOT_SO.test(this.read.words.replaceAll(ROUGHLY, "")) && !/\bleft\b/.test(this.read.words))
      return false;
    // "The lighter is out of fuel": its own, not what is cooked with.
    if (/\bT (is |was |ran |has run )?(out of|low on) /.test(this.read.words)) return false;
    const told = amountsIn(plainOf(this.read));
    for (const { fact, words } of told) {
      const spans = this.read.tokens.filter(({ plain }) => words.includes(plain));
      this.also(fact, { at: spans[0]?.at ?? 0, end: spans.at(-1)?.end ?? 0 });
    }
    return told.length > 0;
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
    // In a long sentence a distance is of what happened there, not of how it felt.
    const isShort = this.read.units.length <= LONGEST_LINE;
    for (const [, { told }] of this.facts) {
      const isPlain = Object.keys(told).length > 0;
      if (isPlain && metres !== undefined && (isShort || isEvent(told))) told.metres = metres;
      if (isPlain && day !== undefined && this.isDayOf(told)) told.day = day;
    }
  }

  /** The day belongs to what happened, not to what came out because of it. */
  private isDayOf(told: ThingTold): boolean {
    const fields = Object.keys(told);
    return !(fields.length === 1 && told.use !== undefined && this.facts.size > 1);
  }
}
