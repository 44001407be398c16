import { known } from "../sums/there";
import { solve, type Constraint } from "yalps";
import type { ItemId, Job } from "../model";

/** A thing that may go, as the search weighs it. */
export interface Choosable {
  readonly id: ItemId;
  readonly grams: number;
  /** Room that it takes inside the pack, in litres; 0 where it is not told, or it hangs outside. */
  readonly litres: number;
  /** Grams that its owner would carry for it. */
  readonly worth: number;
  /** Critical jobs that it does. */
  readonly jobs: readonly Job[];
  readonly needs: readonly ItemId[];
  /** It goes, whatever it weighs. */
  readonly goes: boolean;
}

/** What must not be gone over; null: no bound. */
export interface Within {
  readonly grams: number;
  readonly litres: number | null;
}

export type Best =
  | {
      readonly fits: true;
      readonly taken: readonly ItemId[];
      readonly grams: number;
      readonly worth: number;
      /** Proved the best there is; else as good as was found in the time. */
      readonly proved: boolean;
    }
  | {
      readonly fits: false;
      /**
       * Critical jobs that don't fit, and the least weight that would do them all; null where the pack has no
       * room for them.
       */
      readonly jobs: readonly Job[];
      readonly least: number | null;
    };

/** Longest search, in ms: then the best found so far is told as such. */
const PATIENCE_MS = 2000;
const OPTIONS = { tolerance: 0, timeout: PATIENCE_MS, maxIterations: Infinity };

type Model = Map<string, Map<string, number>>;

/** Whole numbers: ten times a tenth of a litre is a litre, and no hair more. */
const inMillilitres = (litres: number) => Math.round(litres * 1000);

/**
 * Each thing is a choice of 0 or 1; what it needs goes along; each critical job that any of them does is done
 * by one at least.
 */
function modelOf(things: readonly Choosable[]): {
  variables: Model;
  constraints: Map<string, Constraint>;
  jobs: readonly Job[];
} {
  const there = new Set(things.map(({ id }) => id));
  const jobs = [...new Set(things.flatMap((thing) => thing.jobs))];
  const constraints = new Map<string, Constraint>();
  const variables: Model = new Map(
    things.map(({ id, grams, litres, worth, jobs: does }) => [
      id,
      new Map<string, number>([
        ["grams", grams],
        ["millilitres", inMillilitres(litres)],
        ["worth", worth],
        ...does.map((job) => [`does ${job}`, 1] as const),
      ]),
    ]),
  );
  for (const { id } of things.filter(({ goes }) => goes)) {
    known(variables, id).set(`${id} goes`, 1);
    constraints.set(`${id} goes`, { min: 1 });
  }
  for (const { id, needs } of things)
    for (const need of needs.filter((each) => there.has(each))) {
      // Taken with what it needs, or not at all: x − need ≤ 0.
      known(variables, id).set(`${id} needs ${need}`, 1);
      known(variables, need).set(`${id} needs ${need}`, -1);
      constraints.set(`${id} needs ${need}`, { max: 0 });
    }
  return { variables, constraints, jobs };
}

/**
 * The list of the most worth within a weight and a room, every critical job done and nothing without what it
 * needs: a 0-1 program, solved to its proven optimum by branch and bound. Where nothing fits, the critical
 * jobs that don't are named.
 */
export function bestWithin(things: readonly Choosable[], within: Within): Best {
  const { variables, constraints, jobs } = modelOf(things);
  const bounds: [string, Constraint][] = [["grams", { max: within.grams }]];
  if (within.litres !== null) bounds.push(["millilitres", { max: inMillilitres(within.litres) }]);
  const done = jobs.map((job): [string, Constraint] => [`does ${job}`, { min: 1 }]);
  const ask = (
    direction: "maximize" | "minimize",
    objective: string,
    more: readonly [string, Constraint][],
    also: Model = new Map(),
  ) =>
    solve(
      {
        direction,
        objective,
        constraints: new Map([...constraints, ...more]),
        variables: new Map([...variables, ...also]),
        binaries: true,
      },
      OPTIONS,
    );
  const best = ask("maximize", "worth", [...bounds, ...done]);
  if (best.status === "optimal" || best.status === "timedout") {
    if (!Number.isNaN(best.result)) {
      const ids = new Set(best.variables.flatMap(([id, value]) => (value > 0.5 ? [id] : [])));
      const taken = things.filter(({ id }) => ids.has(id));
      return {
        fits: true,
        taken: taken.map(({ id }) => id),
        grams: taken.reduce((sum, { grams }) => sum + grams, 0),
        worth: taken.reduce((sum, { worth }) => sum + worth, 0),
        proved: best.status === "optimal",
      };
    }
  }
  const lightest = ask("minimize", "grams", [...bounds.slice(1), ...done]);
  // As many of the jobs as fit: each counts once, however many things do it.
  const counted: Model = new Map(
    jobs.map((job) => [
      `job ${job}`,
      new Map([
        ["jobs", 1],
        [`does ${job}`, -1],
      ]),
    ]),
  );
  const most = ask(
    "maximize",
    "jobs",
    [...bounds, ...jobs.map((job): [string, Constraint] => [`does ${job}`, { min: 0 }])],
    counted,
  );
  const fit = new Set(most.variables.flatMap(([name, value]) => (value > 0.5 ? [name] : [])));
  return {
    fits: false,
    jobs: jobs.filter((job) => !fit.has(`job ${job}`)),
    least: lightest.status === "optimal" ? lightest.result : null,
  };
}
