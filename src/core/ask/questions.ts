import { lastOf } from "../sums/there";
import { withMark, type Book } from "../ledger/book";
import type { Outing } from "../ledger/outing";
import type { ItemId, Mark, OwnerCall, Sureness, Symptom, TripId, WhyUnused } from "../model";
import { resurvey, type Case, type Survey } from "../decide/case";
import { FAILING_COST } from "../decide/cost";
import { gradeChances } from "../decide/options";
import { adviseItem, type Advice, type Verdict } from "../advice/advise";
import type { Kit } from "../advice/kit";
import { VERBS } from "../trade/verbs";
import { RANK } from "../trade/jobs";
import { offered } from "../trade/symptoms";

/** What is asked, as data; its words are in `say/questions.ts`. */
type Asked = "grade" | "frost" | "firm" | "why unused" | "symptom" | "again" | "enough";

/** One answer: the mark as it would then be. */
interface Answer {
  readonly word: string;
  /** How likely it is to be given, 0 to 1. */
  readonly likely: number;
  readonly mark: Mark;
}

/** A question worth asking after a debrief, and what its answers would change. */
export interface Question {
  /** Names it for good: a question waved away is not asked again for that trip. */
  readonly id: string;
  readonly asked: Asked;
  readonly item: ItemId;
  readonly trip: TripId;
  readonly about: Symptom | null;
  readonly answers: readonly Answer[];
  /** What knowing is expected to be worth, in euros. */
  readonly worth: number;
}

const MOST = 3;
/** What answering takes is worth this, in euros: a question worth less is not asked. Our own figure. */
const A_MINUTE = 0.5;
/** Questions put to the engine, the ones with most at stake first: each has some things judged anew. */
const TRIED = 10;

/**
 * At most three questions, those whose answers would most change the verdicts: each possible answer is put to
 * the engine, weighted by how likely it is, and the change is worth what acting on the wrong verdict would
 * cost.
 */
export function questionsAfter({ surveyed, things }: Kit): Question[] {
  const outing = surveyed.book.outings.at(-1);
  if (!outing) return [];
  const waved = new Set(outing.trip.waved);
  return (
    askable(things, outing)
      .filter(({ question }) => !waved.has(question.id))
      .sort((a, b) => atStake(b.advice.case) - atStake(a.advice.case))
      .slice(0, TRIED)
      .map(({ advice, question }) => ({ ...question, worth: worthOfAsking(question, advice, surveyed) }))
      .filter(({ worth }) => worth >= A_MINUTE)
      .sort((a, b) => b.worth - a.worth)
      // Of one thing one question.
      .filter(({ item }, n, all) => all.findIndex((each) => each.item === item) === n)
      .slice(0, MOST)
  );
}

/** All that could be asked of what was on the last outing. */
const askable = (things: readonly Advice[], outing: Outing) =>
  things
    .filter(({ case: { marked, standing } }) => standing === "active" && marked.at(-1)?.outing === outing)
    .flatMap((advice) => candidates(advice).map((question) => ({ advice, question })));

/**
 * The book with a question answered, whether it was thought worth asking or not; null where nothing of that
 * name can be asked, or nothing answers so.
 */
export function answered(
  { book, things }: Pick<Kit, "book" | "things">,
  id: string,
  word: string,
): Book | null {
  const outing = book.outings.at(-1);
  if (!outing) return null;
  const found = askable(things, outing).find(({ question }) => question.id === id)?.question;
  const answer = found?.answers.find((each) => each.word === word);
  return found && answer ? withMark(book, { trip: found.trip, item: found.item, mark: answer.mark }) : null;
}

function worthOfAsking(
  { answers, trip, item }: Omit<Question, "worth">,
  now: Advice,
  surveyed: Survey,
): number {
  return answers.reduce((sum, { likely, mark }) => {
    const book = withMark(surveyed.book, { trip, item, mark });
    return sum + likely * costOfMistaking(now, adviseItem(item, resurvey(surveyed, book, item)));
  }, 0);
}

/** Grams are carried at about this many euros each kilogram and trip. Our own figure. */
const KILOGRAM_TRIP = 5;
/** Chance that acting on the wrong one of two verdicts comes to a failure. Our own figure. */
const COMES_TO_FAILURE = 0.3;

/** Of a thing's price, what is lost by getting another in vain, or by living on with the wrong one. Our own figure. */
const IN_VAIN = 0.15;
/** Of a set's weight, what slimming it saves. Our own figure. */
const LESS = 0.4;

/** What acting on one verdict costs where another would have been right, in euros. */
function costOfMistaking(now: Advice, then: Advice): number {
  const [from, to] = [now.verdicts[0].verb, then.verdicts[0].verb];
  if (from === to) return 0;
  const { item } = now.case;
  const isSwapped = [from, to].includes("swap");
  const isSlimmed = [from, to].includes("slim");
  const isMoved = (VERBS[from].leaves === undefined) !== (VERBS[to].leaves === undefined);
  const weight = isMoved ? ((item.weight?.g ?? 0) / 1000) * KILOGRAM_TRIP : 0;
  const failure =
    VERBS[from].first || VERBS[to].first
      ? COMES_TO_FAILURE * FAILING_COST[item.consequence] + 0.1 * item.worthNew
      : 0;
  return (
    weight +
    failure +
    (isSwapped ? IN_VAIN * item.worthNew : 0) +
    (isSlimmed ? LESS * ((item.weight?.g ?? 0) / 1000) * KILOGRAM_TRIP : 0)
  );
}

const atStake = ({ item, left }: Case) =>
  FAILING_COST[item.consequence] * (left ? Math.min(1, left.givesOut * 4) : 0.3) +
  ((item.weight?.g ?? 0) / 1000) * KILOGRAM_TRIP;

type Unasked = Omit<Question, "worth">;

function candidates(advice: Advice): Unasked[] {
  const one = advice.case;
  return [
    ...frost(one),
    ...symptom(one),
    ...grade(one),
    ...firm(one),
    ...whyUnused(one),
    ...again(advice),
    ...enough(one),
  ];
}

const lastMark = ({ marked }: Case) => lastOf(marked);

function about(one: Case, asked: Asked, answers: readonly Answer[], of: Symptom | null = null): Unasked {
  const { outing } = lastMark(one);
  return {
    id: `${asked} ${one.item.id}${of ? ` ${of}` : ""}`,
    asked,
    item: one.item.id,
    trip: outing.trip.id,
    about: of,
    answers,
  };
}

const marking = (one: Case, word: string, likely: number, said: Partial<Mark>): Answer => ({
  word,
  likely,
  mark: { ...lastMark(one).mark, ...said },
});

/** Of owners who noted nothing, so many kept it warm: in a light frost, and in hard frost. Our own figures. */
const KEPT = { light: 0.7, hard: 0.45 };

function frost(one: Case): Unasked[] {
  const { frost: doubt } = one;
  if (doubt?.how !== "unasked" || doubt.outing !== lastMark(one).outing) return [];
  const kept = doubt.hard ? KEPT.hard : KEPT.light;
  return [
    about(one, "frost", [
      marking(one, "kept from freezing", kept, { frost: "kept" }),
      marking(one, "it froze", (1 - kept) / 3, { frost: "froze" }),
      marking(one, "nobody knows", ((1 - kept) * 2) / 3, { frost: "unknown" }),
    ]),
  ];
}

/** Words in a note that sound like something to be seen on it: they only offer, and one key confirms. */
function symptom(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (mark.note === "" || mark.symptoms.length > 0 || mark.troubles.length === 0) return [];
  const [first] = offered(mark.note).symptoms;
  if (!first) return [];
  return [
    about(
      one,
      "symptom",
      [marking(one, "yes", 0.8, { symptoms: [first] }), marking(one, "no", 0.2, {})],
      first,
    ),
  ];
}

/** A grade is worth asking of what wears and nobody has graded on this trip. */
function grade(one: Case): Unasked[] {
  const { left } = one;
  const { mark } = lastMark(one);
  if (!left || mark.use === "unused" || mark.condition !== null || left.worn < left.median / 2) return [];
  return [
    about(
      one,
      "grade",
      gradeChances(left).map((likely, condition) => marking(one, String(condition), likely, { condition })),
    ),
  ];
}

/** A mended pad that held says so by morning. */
function firm(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (
    !one.item.jobs.includes("pad") ||
    one.kind.mends !== "all" ||
    mark.use !== "used" ||
    mark.troubles.length > 0
  )
    return [];
  if (one.history.repairs.length === 0) return [];
  return [
    about(one, "firm", [
      marking(one, "firm", 0.75, { condition: 4 }),
      marking(one, "soft", 0.25, { troubles: ["damaged"], symptoms: ["leaks air"] }),
    ]),
  ];
}

/** Why a thing stayed unused, where it is heavy enough to matter. Likelihoods are our own figures. */
const WHYS: readonly (readonly [WhyUnused, number])[] = [
  ["no call for it", 0.4],
  ["another did the job", 0.25],
  ["too much of it", 0.15],
  ["awkward", 0.1],
  ["forgot it", 0.1],
];

function whyUnused(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  if (mark.use !== "unused" || mark.why !== null || RANK[one.item.consequence] > 1) return [];
  return [
    about(
      one,
      "why unused",
      WHYS.map(([why, likely]) => marking(one, why, likely, { why })),
    ),
  ];
}

/** What an owner may answer, whatever lies against a thing; and beside it where it was harmed. */
const CALLS: readonly OwnerCall[] = ["bring again", "bring when", "leave", "try something else"];
const CALLS_OF_HARMED: readonly OwnerCall[] = [...CALLS, "fix", "replace"];

/** How often an owner agrees with a verdict that is so sure. Our own figures. */
const AGREES: Readonly<Record<Sureness, number>> = { sure: 0.9, likely: 0.75, perhaps: 0.55, leaning: 0.5 };

/** Would its owner take it again? Nobody asks so of food or gas; asked where a leaning, a complaint or an idle thing leaves it open. */
function again({ case: one, verdicts: [lead] }: Advice): Unasked[] {
  const { mark } = lastMark(one);
  if (
    mark.call !== null ||
    mark.exit !== null ||
    one.item.cover ||
    one.item.load === "consumable" ||
    !isOpenTo(lead, mark)
  )
    return [];
  const words = mark.symptoms.length > 0 ? CALLS_OF_HARMED : CALLS;
  const agreeing = words.filter((call) => VERBS[lead.verb].agrees.includes(call));
  const agrees = agreeing.length > 0 ? AGREES[lead.sureness] : 0;
  const others = words.length - agreeing.length;
  return [
    about(
      one,
      "again",
      words.map((call) => {
        const isAgreed = agreeing.includes(call);
        return marking(one, call, isAgreed ? agrees / agreeing.length : (1 - agrees) / others, { call });
      }),
    ),
  ];
}

/** What is settled by its state is not asked; a habit or a liking is. */
const isOpenTo = ({ verb, sureness }: Verdict, { use, why, complaints }: Mark): boolean =>
  VERBS[verb].stays === true
    ? verb === "keep" && (use === "unused" ? why !== null && why !== "cover" : complaints.length > 0)
    : VERBS[verb].first !== true && (sureness === "leaning" || sureness === "perhaps");

/** All of a set were wanted, one fewer would have done, or half of it. Our own figures. */
function enough(one: Case): Unasked[] {
  const { mark } = lastMark(one);
  const { pieces } = one.item;
  if (pieces < 2 || pieces > MOST_COUNTED || mark.use !== "used" || mark.enough !== null) return [];
  const counts = [...new Set([pieces, pieces - 1, Math.ceil(pieces / 2)])];
  const rest = 0.3 / (counts.length - 1);
  return [
    about(
      one,
      "enough",
      counts.map((count) => marking(one, String(count), count === pieces ? 0.7 : rest, { enough: count })),
    ),
  ];
}
/** Of more pieces than this nobody counts what was enough. */
const MOST_COUNTED = 12;
