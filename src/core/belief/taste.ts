import jstat from "jstat";
import { answersIn, type Answered } from "../ledger/followed";
import type { Marked, Book } from "../ledger/book";
import type { AdviceFamily, ComplaintWhat, ItemId } from "../model";
import { ADVICE_FAMILIES } from "../model/lists";
import { groupBy } from "../sums/group";
import { known } from "../sums/there";
import type { School } from "../trade/schools";
import { fadeAfter } from "./use";

/** What was done about a thing, as told and not, in answers that fade. */
interface Done {
  readonly done: number;
  readonly not: number;
}

/** How an owner leans by a family of advice. */
export interface Leaning {
  readonly family: AdviceFamily;
  /** What they were shown and answered, as it was counted: how often, done as said, and used after all. */
  readonly shown: number;
  readonly followed: number;
  readonly used: number;
  /** Chance, 0 to 1, that they do as they are told the next time. */
  readonly follows: number;
  /** From −1, never as told, over 0, as the school supposes, to 1, always. */
  readonly lean: number;
  /** Chance, 0 to 1, that they answer of a thing as they did before, and not each time anew. */
  readonly sticks: number;
  /** What was done about each thing, faded: as told, and not. */
  readonly byThing: ReadonlyMap<ItemId, Done>;
}

/** What an owner has done about complaints of one sort. */
export interface Patience {
  readonly what: ComplaintWhat;
  /** Trips that something went along on after it was said, and things let go of for it. */
  readonly borne: number;
  readonly letGo: number;
  /** Chance, 0 to 1, that a thing is let go of after the next trip. */
  readonly hazard: number;
}

/** What the log tells of its owner, beside their school: how they take advice, and what they live with. */
export interface Taste {
  readonly leanings: ReadonlyMap<AdviceFamily, Leaning>;
  readonly patience: ReadonlyMap<ComplaintWhat, Patience>;
}

/** Would two tastes judge alike? */
export const isSameTaste = (a: Taste, b: Taste): boolean => whole(a) === whole(b);
const whole = ({ leanings, patience }: Taste) =>
  JSON.stringify([
    [...leanings.values()].map(({ byThing, ...rest }) => [rest, [...byThing]]),
    [...patience.values()],
  ]);

/**
 * How often owners do as they are told, by family: a third change for another sort, half of complaints are
 * lived with. Our own figures.
 */
export const USUAL: Readonly<Record<AdviceFamily, number>> = {
  "leave it": 0.6,
  "another sort": 0.35,
  thinner: 0.5,
  "only when": 0.65,
  "see to it": 0.75,
};

/** Before anything is known, an owner is as their school supposes: nineteen to one. Our own figure. */
const AS_SUPPOSED = 0.95;

/** A leaning is told to be followed or not as one likes: it counts half. Our own figure. */
const LEANING_COUNTS = 0.5;

/**
 * From so far off the usual, in logits, the lean is whole: a usual 0.6 is then 0.92, or 0.17. Our own
 * figure.
 */
const WHOLE = 2;

const logit = (share: number) => Math.log(share / (1 - share));

/** Taste as it is before an owner was shown anything. */
const unknown = (family: AdviceFamily): Leaning => ({
  family,
  shown: 0,
  followed: 0,
  used: 0,
  follows: USUAL[family],
  lean: 0,
  sticks: STICKS,
  byThing: new Map(),
});

/**
 * How an owner leans: a mixture of two suppositions, that they are as their school supposes, and that they
 * may be anyone (a Beta(1, 1)); each answer to what was shown speaks for one or the other. Of one thing the
 * nth answer counts 1/n: who takes a stool along ten times refuses a stool, not all advice. Old answers fade.
 *
 * @param answers of one family, the oldest first
 * @param walks outings so far
 */
export function leaningOf(family: AdviceFamily, answers: readonly Answered[], walks: number): Leaning {
  if (answers.length === 0) return unknown(family);
  const byThing = new Map<ItemId, { times: number; done: number; not: number }>();
  let [done, not] = [0, 0];
  for (const { item, sureness, followed, n } of answers) {
    const own = byThing.get(item) ?? { times: 0, done: 0, not: 0 };
    byThing.set(item, own);
    own.times += 1;
    const counts = fadeAfter(walks - 1 - n) * (sureness === "leaning" ? LEANING_COUNTS : 1);
    own[followed ? "done" : "not"] += counts;
    if (followed) done += counts / own.times;
    else not += counts / own.times;
  }
  const usual = USUAL[family];
  const supposed = AS_SUPPOSED * usual ** done * (1 - usual) ** not;
  const anyone = (1 - AS_SUPPOSED) * Math.exp(jstat.betaln(1 + done, 1 + not));
  const isSupposed = supposed / (supposed + anyone);
  const follows = isSupposed * usual + (1 - isSupposed) * ((1 + done) / (2 + done + not));
  return {
    family,
    follows,
    byThing,
    sticks: sticksTo([...byThing.values()], follows),
    shown: answers.length,
    followed: answers.filter(({ followed }) => followed).length,
    used: answers.filter(({ used }) => used).length,
    lean: leanOf(follows, usual),
  };
}

const leanOf = (follows: number, usual: number) =>
  Math.max(-1, Math.min(1, (logit(follows) - logit(usual)) / WHOLE));

/** One owner in five has one answer for a thing, the others think anew each time. Our own figure. */
const STICKS = 0.2;
/** What is known of the owner weighs, for one thing, as so many answers about it. Our own figure. */
const OF_THE_OWNER = 6;

/**
 * Whether an owner has one answer for each thing, by the Bayes factor of a Beta–binomial against one chance
 * for all.
 */
function sticksTo(things: readonly Done[], follows: number): number {
  const [a, b] = [follows * OF_THE_OWNER, (1 - follows) * OF_THE_OWNER];
  const factor = things.reduce(
    (sum, { done, not }) =>
      sum +
      jstat.betaln(a + done, b + not) -
      jstat.betaln(a, b) -
      done * Math.log(follows) -
      not * Math.log(1 - follows),
    0,
  );
  return STICKS / (STICKS + (1 - STICKS) * Math.exp(-factor));
}

/** The same for one thing, by what was done about it before, as far as its owner has one answer for each. */
export function leaningOn(leaning: Leaning, item: ItemId): Leaning {
  const own = leaning.byThing.get(item);
  if (!own) return leaning;
  const { done, not } = own;
  const { sticks } = leaning;
  const again = (leaning.follows * OF_THE_OWNER + done) / (OF_THE_OWNER + done + not);
  const follows = sticks * again + (1 - sticks) * leaning.follows;
  return { ...leaning, follows, lean: leanOf(follows, USUAL[leaning.family]) };
}

/** A thing complained of is let go of after about so many of the trips that it is taken on. Our own figure. */
export const USUAL_HAZARD = 0.13;
/**
 * What is supposed of all owners weighs as so many trips; what one does of all complaints, as so many of
 * one sort.
 */
const SUPPOSED_TRIPS = 80;
const POOLED_TRIPS = 40;
/** Things differ: one that was borne on so many trips is half as likely to go as at first. Our own figure. */
const HALF_AFTER = 3;
/** Left behind on so many walks, it was let go of, wherever it is now. Our own figure. */
const LEFT_BEHIND = 3;

/**
 * A complained-of thing's trips since, and whether it was let go of in the end; else it is still carried:
 * censored.
 */
interface Borne {
  readonly what: ComplaintWhat;
  readonly trips: number;
  readonly letGo: boolean;
}

/**
 * The hazard of letting go, for each complaint: of all that an owner complained of, what was let go of over
 * the trips that it went along on since. Shrunk to what they do with all complaints, and that to the usual.
 */
export function patienceOf(all: readonly Borne[]): Map<ComplaintWhat, Patience> {
  const sum = (those: readonly Borne[]) => ({
    borne: those.reduce((trips, each) => trips + each.trips, 0),
    letGo: those.filter(({ letGo }) => letGo).length,
    chances: those.reduce((chances, each) => chances + chancesToGo(each), 0),
  });
  const pooled = sum(all);
  const usual = (USUAL_HAZARD * SUPPOSED_TRIPS + pooled.letGo) / (SUPPOSED_TRIPS + pooled.chances);
  return new Map(
    [...groupBy(all, ({ what }) => what)].map(([what, those]) => {
      const { borne, letGo, chances } = sum(those);
      const hazard = Math.min(1, (usual * POOLED_TRIPS + letGo) / (POOLED_TRIPS + chances));
      return [what, { what, borne, letGo, hazard }];
    }),
  );
}

/**
 * Trips on which it might have been let go of, each for what it counts: those after long patience tell
 * less.
 */
const chancesToGo = ({ trips, letGo }: Borne) =>
  Array.from({ length: trips + (letGo ? 1 : 0) }, (_, t) => HALF_AFTER / (HALF_AFTER + t)).reduce(
    (sum, each) => sum + each,
    0,
  );

/**
 * Chance, 0 to 1, that a thing borne on so many trips is let go of after the next: who has lived with it,
 * lives with it.
 */
export const letsGo = ({ hazard }: Pick<Patience, "hazard">, trips: number) =>
  (hazard * HALF_AFTER) / (HALF_AFTER + trips);

/** A chance of letting it go under which a thing's complaints are lived with. Our own figure. */
const LIVES_WITH_IT = 0.05;
export const livesWith = (patience: Patience, trips: number) => letsGo(patience, trips) < LIVES_WITH_IT;

/** Trips with a thing after which its owner lives with a complaint of it. */
export const borneAfter = ({ hazard }: Patience) =>
  Math.max(0, Math.floor((hazard / LIVES_WITH_IT - 1) * HALF_AFTER) + 1);

/** What harms its owner, or fails them, is never a matter of taste. */
const HARMS: ReadonlySet<ComplaintWhat> = new Set<ComplaintWhat>([
  "rubs or hurts",
  "too cold",
  "leaks",
  "weak",
]);
export const mayBeBorne = (what: ComplaintWhat) => !HARMS.has(what);

/** Left its owner for another reason than that it was let go of. */
const NOT_LET_GO: ReadonlySet<string> = new Set(["worn out", "lost", "given back", "posted ahead"]);

/** What came of each complaint of a thing. */
function borneBy(marks: readonly Marked[], how: string | null, walks: number, book: Book): Borne[] {
  const { forgotten } = book.settings;
  const last = marks.at(-1);
  if (!last) return [];
  const letGo = how === null ? walks - 1 - last.outing.n >= LEFT_BEHIND : !NOT_LET_GO.has(how);
  const whats = new Set(marks.flatMap(({ mark }) => mark.complaints.map(({ what }) => what)));
  return [...whats].flatMap((what) => {
    const since = marks.findIndex(
      ({ mark, outing }) =>
        outing.trip.starts > (forgotten[what] ?? "") && mark.complaints.some((each) => each.what === what),
    );
    return since < 0 ? [] : [{ what, trips: marks.length - 1 - since, letGo }];
  });
}

/** What the log tells of its owner's taste. */
export function tasteOf(
  book: Book,
  marks: ReadonlyMap<ItemId, readonly Marked[]>,
  howItLeft: (id: ItemId) => string | null,
): Taste {
  const walks = book.outings.length;
  const { forgotten } = book.settings;
  const answers = groupBy(
    answersIn(book).filter(({ family, on }) => on > (forgotten[family] ?? "")),
    ({ family }) => family,
  );
  return {
    leanings: new Map(
      ADVICE_FAMILIES.map((family) => [family, leaningOf(family, answers.get(family) ?? [], walks)]),
    ),
    patience: patienceOf(
      book.items.flatMap(({ id }) => borneBy(known(marks, id), howItLeft(id), walks, book)),
    ),
  };
}

/** A lean from which what is found is said a step more quietly. Our own figure. */
const QUIETER = -0.5;
export const isQuieter = ({ lean }: Leaning) => lean <= QUIETER;

/** A lean from which the school's lines are moved by as much as is worth telling. */
const TELLS = 0.15;
export const movesLines = ({ family, lean }: Leaning) => family === "leave it" && Math.abs(lean) >= TELLS;

/**
 * A leaning moves a school's line by this factor at most, and the chances that it asks for by that. Our own
 * figures.
 */
const LINE_BOUND = 1.3;
const CHANCES_BOUND = 1.5;

/**
 * The school's lines as they are for this owner: who takes along what they were told to leave is asked a
 * little later.
 */
export function linesFor(school: School, { leanings }: Taste): School {
  const leaning = known(leanings, "leave it");
  // One answer is no habit, and a line that hardly moved would turn what lies on it.
  if (!movesLines(leaning)) return school;
  const { lean } = leaning;
  return {
    ...school,
    dropLine: school.dropLine * LINE_BOUND ** lean,
    dropChances: school.dropChances * CHANCES_BOUND ** -lean,
    worthNeeded: school.worthNeeded * LINE_BOUND ** lean,
  };
}
