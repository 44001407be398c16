import jstat from "jstat";
import { strengthFor, type Marked } from "../ledger/book";
import type { Strength, Trigger } from "../model";
import type { FullItem } from "../trade/full-item";
import { FORESEEN } from "../trade/triggers";

/** The weather or place that calls a thing into use: at this strength or more, or (without) where it is not so. */
export interface Caller {
  readonly trigger: Trigger;
  readonly at: Exclude<Strength, "none">;
  readonly without: boolean;
}

/** What calls by staying away: a summer's thing is for trips that are not cold. Common practice, no source. */
const ABSENT: readonly Trigger[] = ["cold", "freezing", "rain"];

/**
 * Trips on either side from which staying away is heard: one cold trip without the umbrella is chance. Common
 * practice, no source.
 */
const ABSENT_TRIPS = 2;

/**
 * A caller that is one: the thing is wanted on nine in ten of its trips, and on one in ten of the others; as
 * a Beta(9, 1).
 */
const OFTEN = 9;
/**
 * How many times likelier than "no caller" one must make the trips, for each that is tried: to be told, ten
 * to one, with which coin flips find one on at most one log in twenty; to be reckoned with, no more than
 * likelier, where there is reason to look for one already.
 */
export const CALLER_ODDS = { told: 10, reckoned: 2 } as const;

/**
 * What tells the trips on which a thing was wanted from those on which it was not, and would hardly by
 * chance. Each weather that could is weighed against "no caller" by its Bayes factor, and the more of them
 * are tried, the more it takes: the thing's own triggers are tried first, by themselves. What it is made for
 * is never what it is to stay at home for, whatever a few trips say: an umbrella is not for "no rain".
 */
export function callerOf(
  item: Pick<FullItem, "triggers">,
  wanted: readonly Marked[],
  unwanted: readonly Marked[],
  { among = FORESEEN, odds = CALLER_ODDS.told }: { among?: readonly Trigger[]; odds?: number } = {},
): Caller | null {
  if (wanted.length === 0 || unwanted.length === 0) return null;
  const own = among.filter((trigger) => item.triggers.includes(trigger));
  const others = among.filter((trigger) => !item.triggers.includes(trigger));
  const enough = Math.min(wanted.length, unwanted.length) >= ABSENT_TRIPS;
  return (
    likeliest(there(own), wanted, unwanted, odds) ??
    likeliest(
      [
        ...there(others),
        ...(enough ? there(others.filter((each) => ABSENT.includes(each))) : []).map((caller) => ({
          ...caller,
          without: true,
        })),
      ],
      wanted,
      unwanted,
      odds,
    )
  );
}

const there = (triggers: readonly Trigger[]): Caller[] =>
  triggers.flatMap((trigger) => [
    { trigger, at: "some", without: false },
    { trigger, at: "strong", without: false },
  ]);

/** Of those tried, the one that sorts best, where that is enough for so many; of equals the first. */
function likeliest(
  tried: readonly Caller[],
  wanted: readonly Marked[],
  unwanted: readonly Marked[],
  odds: number,
): Caller | null {
  const sorts = new Map<string, { caller: Caller; factor: number }>();
  for (const caller of tried) {
    const calls = (one: Marked) => isCalledBy(caller, one);
    const split = [...wanted, ...unwanted].map((one) => Number(calls(one))).join("");
    // What was the same on all trips tells nothing; what two sort alike is tried once.
    if (!split.includes("0") || !split.includes("1") || sorts.has(split)) continue;
    const there = [wanted.filter(calls).length, unwanted.filter(calls).length] as const;
    sorts.set(split, {
      caller,
      factor: bayesFactor(there, [wanted.length - there[0], unwanted.length - there[1]]),
    });
  }
  const [best] = [...sorts.values()].toSorted((a, b) => b.factor - a.factor);
  return best && best.factor >= odds * sorts.size ? best.caller : null;
}

/**
 * How many times likelier a caller makes what was seen than one chance for all trips does; uses and misses
 * with it, and without.
 */
function bayesFactor(
  [usedThere, idleThere]: readonly [number, number],
  [usedElse, idleElse]: readonly [number, number],
): number {
  const caller =
    jstat.betaln(OFTEN + usedThere, 1 + idleThere) +
    jstat.betaln(1 + usedElse, OFTEN + idleElse) -
    2 * jstat.betaln(OFTEN, 1);
  return Math.exp(caller - jstat.betaln(1 + usedThere + usedElse, 1 + idleThere + idleElse));
}

function isCalledBy({ trigger, at, without }: Caller, one: Marked): boolean {
  const strength = strengthFor(one, trigger) ?? "none";
  const there = at === "some" ? strength !== "none" : strength === "strong";
  return there !== without;
}
