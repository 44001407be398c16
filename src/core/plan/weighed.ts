import { kitJobs } from "../advice/kit-law";
import { expectedWorth } from "../decide/worth";
import { ESSENTIAL_JOBS } from "../trade/jobs";
import { countsAs } from "../weighin/weigh-in";
import type { Choosable } from "./best";
import type { Plan } from "./plan";

/** A thing to choose, with its name for whoever reads the list. */
export type Weighed = Choosable & { readonly name: string };

/**
 * What the best list is chosen from: what counts as base weight and may go (what is worn goes whatever it
 * weighs), each with the jobs that something must do: what is essential, what the kit must do in the
 * conditions expected, and a pack to put it in.
 */
export function weighed({ lines, next }: Plan): Weighed[] {
  const must = new Set([...ESSENTIAL_JOBS, ...kitJobs(next)]);
  return lines
    .filter(({ item, column }) => column !== "leave" && countsAs(item) === "base")
    .map(({ item, chance, advice }) => ({
      id: item.id,
      name: item.name,
      grams: advice.grams ?? 0,
      litres: item.stow === "outside" ? 0 : (item.ratings.packed ?? 0),
      worth: expectedWorth(item.consequence, chance),
      jobs: [
        ...item.jobs.filter((job) => must.has(job)),
        ...(item.kind === "pack" ? (["carry"] as const) : []),
      ],
      needs: item.needs,
    }));
}
