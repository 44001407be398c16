import { withMark, withCounted, withEntry, type Book } from "../ledger/book";
import type { Outing } from "../ledger/outing";
import { resurvey, type Case, type Survey } from "../decide/case";
import { FAILING_COST } from "../decide/cost";
import { adviseItem, type Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import { VERBS } from "../trade/verbs";
import { candidates, type Answer, type Question } from "./candidates";

export type { Question, Told } from "./candidates";

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
  return found && answer ? withAnswer(book, found, answer) : null;
}

/** The book as an answer has it. */
function withAnswer(book: Book, { trip, item }: Pick<Question, "trip" | "item">, { told }: Answer): Book {
  switch (told.kind) {
    case "mark":
      return withMark(book, { trip, item, mark: told.mark });
    case "counted":
      return withCounted(book, trip, told.trigger, told.days);
    case "entry":
      return withEntry(book, told.entry);
  }
}

function worthOfAsking(question: Omit<Question, "worth">, now: Advice, surveyed: Survey): number {
  const { item } = question;
  return question.answers.reduce((sum, answer) => {
    const book = withAnswer(surveyed.book, question, answer);
    return sum + answer.likely * costOfMistaking(now, adviseItem(item, resurvey(surveyed, book, item)));
  }, 0);
}

/**
 * Grams are carried at about this many euros each kilogram, over the trips that a verdict stands for. Our own
 * figures.
 */
const KILOGRAM_TRIP = 5 * 3;
/**
 * Chance that acting on the wrong one of two verdicts comes to a failure: where one says that the thing may go
 * wrong, and where both only take care. Our own figures.
 */
const COMES_TO_FAILURE = { warned: 0.3, cared: 0.1 };

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
      ? COMES_TO_FAILURE[VERBS[from].warns || VERBS[to].warns ? "warned" : "cared"] *
          FAILING_COST[item.consequence] +
        0.1 * item.worthNew
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
