import { meanChance } from "../belief/use-chance";
import type { Case } from "../decide/case";
import type { Book } from "../ledger/book";
import type { NextOuting } from "../ledger/next-outing";
import type { Strength, Trigger } from "../model";
import type { When } from "../reasons/finding";
import type { FullItem } from "../trade/full-item";

/** Whether the trip ahead calls for a thing, as far as can be foreseen. */
export interface Call {
  /** Known to call, known not to, or nobody can say. */
  readonly is: "called" | "not called" | "unknown";
  /** What calls it, or might, or does not. */
  readonly triggers: readonly Trigger[];
  /** Chance, 0 to 1, that it is called for. */
  readonly chance: number;
}

/**
 * Whether the trip ahead is one that a thing is to be brought on, by what the advice says of when; null where
 * nobody foresees that weather.
 */
export function whenHolds({ triggers, caller }: When, next: Pick<NextOuting, "strength">): boolean | null {
  if (caller) {
    const strength = next.strength(caller.trigger);
    if (strength === undefined) return null;
    const comes = caller.at === "strong" ? strength === "strong" : strength !== "none";
    return caller.without ? !comes : comes;
  }
  const told = triggers.map(next.strength);
  if (told.some((strength) => strength !== undefined && strength !== "none")) return true;
  return told.some((strength) => strength === undefined) ? null : false;
}

/** Trips that say how often something comes, where nobody foresees it. */
const LATELY = 12;
/** How often it comes that no trip ever told of. Common practice, no source. */
const UNTOLD = 0.5;

/** What the trip ahead asks of a thing. Every night out is dark and has a camp. */
export function callOn(
  item: Pick<FullItem, "triggers">,
  next: Pick<NextOuting, "nights" | "strength">,
  { outings }: Pick<Book, "outings">,
): Call {
  const strength = (trigger: Trigger): Strength | undefined => {
    if (trigger === "always") return "strong";
    const isOfNights = trigger === "darkness" || trigger === "camp time";
    const byNights = next.nights > 0 ? "some" : "none";
    return next.strength(trigger) ?? (isOfNights ? byNights : undefined);
  };
  const calling = item.triggers.filter((trigger) => (strength(trigger) ?? "none") !== "none");
  if (calling.length > 0) return { is: "called", triggers: calling, chance: 1 };
  const unknown = item.triggers.filter((trigger) => strength(trigger) === undefined);
  if (unknown.length === 0) return { is: "not called", triggers: item.triggers, chance: 0 };
  const lately = outings
    .slice(-LATELY)
    .filter(({ strengths }) => unknown.some((trigger) => strengths[trigger] !== undefined));
  const came = lately.filter(({ calls }) => unknown.some((trigger) => calls.has(trigger))).length;
  // Half a trip each way, so that what never came so far still may.
  return {
    is: "unknown",
    triggers: unknown,
    chance: lately.length ? (came + UNTOLD) / (lately.length + 1) : UNTOLD,
  };
}

/** Chance, 0 to 1, that a thing is used on the trip ahead: when called for, and when not, by how often it is called. */
export const chanceOfUse = ({ use }: Pick<Case, "use">, { chance }: Call): number =>
  chance * meanChance(use.called) + (1 - chance) * (use.uncalledTrips.length ? meanChance(use.uncalled) : 0);
