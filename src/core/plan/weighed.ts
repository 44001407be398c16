import { isAlong } from "./columns";
import { kitJobs } from "../advice/kit-law";
import { expectedWorth } from "../decide/worth";
import { ESSENTIAL_JOBS } from "../trade/jobs";
import { sayCost } from "../say/words";
import { countsAs } from "../weighin/weigh-in";
import type { Choosable } from "./best";
import type { Plan, PlanLine } from "./plan";

/**
 * A thing to choose, for whoever reads the list: its name, the chance, 0 to 1, that it is used, and what it is to
 * lack it.
 */
export type Weighed = Choosable & { readonly name: string; readonly chance: number; readonly lack: string };

/**
 * What the best list is chosen from: what goes and counts as base weight (what is worn goes whatever it
 * weighs; what is only taken if something is expected is not on the list), each with the jobs that something
 * must do: what is essential, what the kit must do in the conditions expected, and a pack to put it in.
 */
export function weighed(plan: Plan): Weighed[] {
  const must = new Set([...ESSENTIAL_JOBS, ...kitJobs(plan.next)]);
  return plan.lines
    .filter(({ item, column }) => isAlong(column) && countsAs(item) === "base")
    .map((line) => {
      const { item, chance, advice } = line;
      return {
        id: item.id,
        name: item.name,
        chance,
        lack: sayCost[item.consequence],
        grams: advice.grams ?? 0,
        litres: item.stow === "outside" ? 0 : (item.ratings.packed ?? 0),
        worth: expectedWorth(item.consequence, chance),
        jobs: [
          ...item.jobs.filter((job) => must.has(job)),
          ...(item.kind === "pack" ? (["carry"] as const) : []),
        ],
        needs: item.needs,
        goes: mustGo(line, plan),
      };
    });
}

/**
 * What no weight leaves at home: what makes the bed warm enough, what its owner put on the list, and what
 * strong weather calls for.
 */
const mustGo = ({ item, why }: PlanLine, { beds, next }: Plan): boolean =>
  beds.includes(item) ||
  why.is === "moved" ||
  (why.is === "called" && why.triggers.some((trigger) => next.strength(trigger) === "strong"));
