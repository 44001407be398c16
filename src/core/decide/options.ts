import { nth } from "../sums/there";
import type { Left } from "../belief/life";
import { CONDITION } from "../trade/kind";
import { LOOK_TROUBLE, type WearCost } from "./cost";

/**
 * What can be done with a thing that wears before the next trip, and what each is expected to cost until that
 * trip's end, in euros.
 */
export interface LifeOptions {
  readonly goOn: number;
  readonly replaceNow: number;
  /** Looking it over first, and then doing the better of the two. */
  readonly lookFirst: number;
}

/** Equal parts that what is left is held in. */
const PARTS = 12;
const GRADES = [0, 1, 2, 3, 4, 5] as const;

/**
 * Going on risks a failure on the trip; replacing now throws away the wear that the old one would still have
 * given on it, at what a unit of wear costs over the long run. Looking first, one stage ahead, weighs each
 * grade the owner might give by how likely it is: a grade falls from 5 to 1 over a life, give or take the
 * error of a look.
 */
export function lifeOptions(left: Left, { perWear, failing }: WearCost): LifeOptions {
  const { nextTrip, givesOut, worn } = left;
  const ends = endsOf(left);
  const goOn = givesOut * failing;
  const replaceNow = (perWear * ends.reduce((sum, end) => sum + Math.min(end, nextTrip), 0)) / PARTS;
  const lookFirst = GRADES.reduce<number>((sum, grade) => {
    const likely = ends.map((end) => likelihoodOf(grade, worn, end));
    const chance = likely.reduce((all, each) => all + each, 0) / PARTS;
    if (chance < 1e-6) return sum;
    const fails = ends.reduce((all, end, n) => all + (end < nextTrip ? nth(likely, n) : 0), 0) / PARTS;
    const given = ends.reduce((all, end, n) => all + Math.min(end, nextTrip) * nth(likely, n), 0) / PARTS;
    return sum + Math.min(fails * failing, perWear * given);
  }, LOOK_TROUBLE);
  return { goOn, replaceNow, lookFirst };
}

/** How likely each grade, 0 to 5, is to be given to a thing today. */
export function gradeChances(left: Left): number[] {
  const ends = endsOf(left);
  return GRADES.map(
    (grade) => ends.reduce((sum, end) => sum + likelihoodOf(grade, left.worn, end), 0) / PARTS,
  );
}

/** What is left, by equal chances: the thing may end at any of these. */
const endsOf = (left: Left) => Array.from({ length: PARTS }, (_, n) => left.leftAt(1 - (n + 0.5) / PARTS));

/** How likely an owner is to give a grade to a thing worn to `worn` that will last `end` more; the grades' sum is 1. */
function likelihoodOf(grade: number, worn: number, end: number): number {
  const expected = 5 - 4 * (worn / Math.max(worn + end, 1e-9));
  const weight = (each: number) => Math.exp(-0.5 * ((each - expected) / CONDITION.error) ** 2);
  return weight(grade) / GRADES.reduce<number>((sum, each) => sum + weight(each), 0);
}
