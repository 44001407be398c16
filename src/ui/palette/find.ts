import type { Goal } from "./places";

/** Words that a question is put with, and that name nothing. */
const SMALL: ReadonlySet<string> = new Set(
  (
    "the a an my me i is are was were be been do does did of in on at to for from with what whats which who how when where why much many " +
    "it its this that and or have has had can could should would will go show tell open page so any there if s"
  ).split(" "),
);

const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];

/**
 * How well one word of a question meets a word that something is found by: 1 the same, less for its beginning, 0
 * not.
 */
function meets(asked: string, word: string): number {
  if (asked === word) return 1;
  if (word.startsWith(asked)) return asked.length > 1 ? 0.85 : 0.3;
  // "bags" for "bag", "repaired" for "repair".
  return word.length > 2 && asked.startsWith(word) && asked.length - word.length <= 3 ? 0.7 : 0;
}

/** Words beside a name count for so much. */
const BESIDE = 0.8;
/** Of a question, at least so much must be met. */
const LEAST = 0.35;

/** Asked of every word of five thousand things at every key: without a list of its own each time. */
function best(word: string, among: readonly string[]): number {
  let most = 0;
  for (const each of among) most = Math.max(most, meets(word, each));
  return most;
}

/** The words of a goal's name and those beside it, taken apart once. */
interface Read {
  readonly called: readonly string[];
  readonly beside: readonly string[];
}
const READ = new WeakMap<Goal, Read>();

function read(goal: Goal): Read {
  const known = READ.get(goal);
  if (known) return known;
  const apart = { called: wordsOf(goal.name), beside: wordsOf(goal.words) };
  READ.set(goal, apart);
  return apart;
}

/** How well what is asked meets some words, 0 to 1, each word by `meeting`. */
const meanOf = (asked: readonly string[], meeting: (word: string) => number) =>
  asked.reduce((sum, word) => sum + meeting(word), 0) / asked.length;

/**
 * How well a goal is found by what is asked, 0 to 1: "what's left in my gas" finds what is called so, and what has
 * both words beside its name.
 */
function findScore(asked: readonly string[], goal: Goal): number {
  const { called, beside } = read(goal);
  const score = meanOf(asked, (word) => Math.max(best(word, called), BESIDE * best(word, beside)));
  // Of two that meet it alike, the one that is called nothing else.
  return score < LEAST ? 0 : score - Math.min(called.length, 9) / 1000;
}

/** Goals whose deeds are looked through, those that are called most like what is asked. */
const DONE_TO = 20;

/** What is done to what is named: nobody means it who does not name it, nor by its name alone. */
const deedsNamed = (asked: readonly string[], goals: readonly Goal[]): readonly Goal[] =>
  goals
    .filter(({ deeds }) => deeds)
    .map((goal) => ({ goal, named: meanOf(asked, (word) => best(word, read(goal).called)) }))
    .filter(({ named }) => named > 0)
    .toSorted((a, b) => b.named - a.named)
    .slice(0, DONE_TO)
    .flatMap(({ goal }) => goal.deeds?.() ?? [])
    .filter((deed) => asked.some((word) => best(word, read(deed).beside) > 0));

/** The goals that a question finds, the best first and so many at most; without a question, the pages. */
export function findGoals(query: string, goals: readonly Goal[], most: number): readonly Goal[] {
  if (query.trim() === "") return goals.filter(({ sort }) => sort === "page");
  const asked = wordsOf(query).filter((word, _, all) => all.length === 1 || !SMALL.has(word));
  if (asked.length === 0) return [];
  return [...goals, ...deedsNamed(asked, goals)]
    .map((goal) => ({ goal, score: findScore(asked, goal) }))
    .filter(({ score }) => score > 0)
    .toSorted((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ goal }) => goal);
}
