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

const best = (word: string, among: readonly string[]) =>
  Math.max(0, ...among.map((each) => meets(word, each)));

/**
 * How well a goal is found by a question in plain words, 0 to 1: "what's left in my gas" finds what is called so,
 * and what
 * has both words beside its name.
 */
function findScore(query: string, { name, words, of }: Goal): number {
  const asked = wordsOf(query).filter((word, _, all) => all.length === 1 || !SMALL.has(word));
  if (asked.length === 0) return 0;
  const [called, beside] = [wordsOf(name), wordsOf(words)];
  const meetsAny = (among: readonly string[]) => asked.some((word) => best(word, among) > 0);
  if (of !== undefined && !(meetsAny(wordsOf(of)) && meetsAny(beside))) return 0;
  const met = asked.map((word) => Math.max(best(word, called), BESIDE * best(word, beside)));
  const score = met.reduce((sum, each) => sum + each, 0) / asked.length;
  if (score < LEAST) return 0;
  // Of two that meet it alike, the one that is called nothing else.
  return score - Math.min(called.length, 9) / 1000;
}

/** The goals that a question finds, the best first and so many at most; without a question, the pages. */
export function findGoals(query: string, goals: readonly Goal[], most: number): readonly Goal[] {
  if (query.trim() === "") return goals.filter(({ sort }) => sort === "page");
  return goals
    .map((goal) => ({ goal, score: findScore(query, goal) }))
    .filter(({ score }) => score > 0)
    .toSorted((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ goal }) => goal);
}
