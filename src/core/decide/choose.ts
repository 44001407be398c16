import { CONDITION } from "../trade/kind";
import { isCritical, type Case } from "./case";
import { lifeOptions } from "./options";

/**
 * What is best done with a thing that wears; of replacing, by how much: what going on costs over what a new
 * one does.
 */
export type LifeChoice =
  { readonly best: "go on" | "look" } | { readonly best: "replace"; readonly margin: number };

/** Graded at this or better, it is quiet until so much more of the wear it had then. Common practice, no source. */
const SOUND_GRADE = 3;
const QUIET_WEAR = 0.25;
/**
 * Looked over after this share of the life still to be expected; younger things are not worth a look. Common
 * practice, no source.
 */
const SEASONED = 0.5;
/** A life nearly used up: so much of what such a thing can expect in all. Common practice, no source. */
const NEARLY_USED_UP = 0.85;
/** Owner's own lives that ended, from which the rule of thumb is theirs and no longer only the trade's. */
const OWN_LIVES = 2;

/**
 * The best of going on, looking first and replacing now, by expected cost; but miles alone condemn little. A
 * replacement on wear alone needs a thing that wears out and is trip-ending or dangerous, or readings, or the
 * owner's own earlier lives; where only the rule of thumb worries, it is looked over, and a sound grade
 * settles it for a while.
 */
export function chooseByLife(one: Case): LifeChoice | null {
  const { left, wearCost, totals, kind, item, book } = one;
  if (!left || !wearCost || left.nextTrip <= 0 || totals.wear <= 0) return null;
  const seasoned = left.worn >= left.median * SEASONED;
  if (!seasoned || isQuiet(one)) return { best: "go on" };
  const seen =
    left.trends.length > 0 || left.lives.filter(({ wornOut }) => wornOut > 0.5).length >= OWN_LIVES;
  const usedUp = left.worn >= NEARLY_USED_UP * (left.worn + left.median);
  const condemns = seen || (isCritical(one) && ((kind.wearsOut && usedUp) || isNeglected(one)));
  // A look costs next to nothing, and would be asked for at every turn: only where the risk is over the line.
  const worries = left.givesOut > book.rules.tooLikely[item.consequence];
  if (!condemns && !worries) return { best: "go on" };
  const { goOn, replaceNow, lookFirst } = lifeOptions(left, wearCost);
  if (replaceNow < goOn && condemns) return { best: "replace", margin: goOn / replaceNow };
  const isLookWorth = worries && Math.min(lookFirst, replaceNow) < goOn && !isLookedOver(one);
  return { best: isLookWorth ? "look" : "go on" };
}

/**
 * Uses without an answer after which a look that was asked for is not waited for any longer. Common practice,
 * no source.
 */
const UNANSWERED = 2;

/**
 * Used on and on since half the life to be expected was behind it, and nobody has graded or measured it in
 * that time.
 */
function isNeglected({ left, totals }: Case): boolean {
  let wear = left!.worn;
  let uses = 0;
  for (const { wear: added, carried, entry } of [...totals.steps].reverse()) {
    if (wear - added < (left!.worn + left!.median) * SEASONED || uses >= UNANSWERED) break;
    const told = carried?.mark ?? entry;
    if (told?.condition != null || told?.reading != null) return false;
    if (added > 0 && told) uses += 1;
    wear -= added;
  }
  return uses >= UNANSWERED;
}

/** Graded sound as worn as it is now: a second look says nothing new. */
function isLookedOver({ readings, totals }: Case): boolean {
  const grade = readings.find(({ rule }) => rule.what === CONDITION.what)?.points.at(-1);
  return grade !== undefined && grade.y >= SOUND_GRADE && grade.x >= totals.wear;
}

/** Graded sound lately: quiet until a quarter more wear, which a walk that is planned must end within. */
function isQuiet({ readings, totals, left, book }: Case): boolean {
  const grade = readings.find(({ rule }) => rule.what === CONDITION.what)?.points.at(-1);
  if (!grade || grade.y < SOUND_GRADE) return false;
  return totals.wear + (book.next.ends ? left!.nextTrip : 0) <= grade.x * (1 + QUIET_WEAR);
}
