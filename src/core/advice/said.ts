import type { Advised } from "../model";
import { leavesForGood, type Advice } from "./advise";

/**
 * What is said of things, as it is kept with the list of a trip: what each asks for, or that it stays as it is.
 * What has
 * left is not spoken of.
 */
export const saidOf = (things: readonly Advice[]): Advised[] =>
  things
    .filter(({ case: { standing } }) => standing !== "gone")
    .flatMap((advice): Advised[] => {
      const { case: one, asks, verdicts, saves } = advice;
      return (asks.length > 0 ? asks : [verdicts[0]]).map((verdict) => {
        const leave = leavesForGood(advice) && advice.leaves === verdict;
        return {
          item: one.item.id,
          verb: verdict.verb,
          reason: verdict.reason,
          urgency: verdict.urgency,
          sureness: verdict.sureness,
          leave,
          saves: leave ? saves : null,
          givesOut: one.left && one.left.nextTrip > 0 ? one.left.givesOut : null,
        };
      });
    });
