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

/** A caller may be wrong about so large a share of the trips that it sorts. */
const ERRORS = 0.1;

/** What calls by staying away: a summer's thing is for trips that are not cold. Common practice, no source. */
const ABSENT: readonly Trigger[] = ["cold", "freezing", "rain"];

/** Trips on either side from which staying away is heard: one cold trip without the umbrella is chance. Common practice, no source. */
const ABSENT_TRIPS = 2;

/**
 * Sorts the trips on which a thing was wanted from those on which it was not; its own triggers are tried first. What it is made
 * for is never what it is to stay at home for, whatever a few trips say: an umbrella is not for "no rain".
 */
export function callerOf(
  item: Pick<FullItem, "triggers">,
  wanted: readonly Marked[],
  unwanted: readonly Marked[],
  among: readonly Trigger[] = FORESEEN,
): Caller | null {
  if (wanted.length === 0 || unwanted.length === 0) return null;
  const triggers = [...among].sort(
    (a, b) => Number(item.triggers.includes(b)) - Number(item.triggers.includes(a)),
  );
  const enough = Math.min(wanted.length, unwanted.length) >= ABSENT_TRIPS;
  for (const without of enough ? [false, true] : [false])
    for (const trigger of triggers)
      for (const at of ["some", "strong"] as const)
        if (
          !(without && (item.triggers.includes(trigger) || !ABSENT.includes(trigger))) &&
          sorts({ trigger, at, without }, wanted, unwanted)
        )
          return { trigger, at, without };
  return null;
}

function sorts(caller: Caller, wanted: readonly Marked[], unwanted: readonly Marked[]): boolean {
  const wrong =
    wanted.filter((one) => !isCalledBy(caller, one)).length +
    unwanted.filter((one) => isCalledBy(caller, one)).length;
  return (
    wrong <= Math.floor((wanted.length + unwanted.length) * ERRORS) &&
    wanted.some((one) => isCalledBy(caller, one))
  );
}

function isCalledBy({ trigger, at, without }: Caller, one: Marked): boolean {
  const strength = strengthFor(one, trigger) ?? "none";
  const there = at === "some" ? strength !== "none" : strength === "strong";
  return there !== without;
}
