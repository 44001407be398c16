import type { Job, Trip } from "../model";
import type { Advice, Verdict } from "./advise";
import { ESSENTIAL_JOBS, isOffered } from "../trade/jobs";

/** An essential job that nothing does as it should. */
export interface Gap {
  readonly job: Job;
  /** What is owned for it, and not to be trusted. */
  readonly doubted: readonly Doubted[];
}

/** A thing that is not to be trusted before something is done about it. */
interface Doubted {
  readonly advice: Advice;
  /** Null: it is not at home. */
  readonly first: Verdict | null;
}

const isTrusted = ({ case: { item }, first }: Advice) => item.lentTo === null && first === null;

/** Essential jobs that nothing trusted does of what goes along. What the way offers takes them off the list. */
export function gapsIn(
  things: readonly Advice[],
  goes: (advice: Advice) => boolean,
  offers: Trip["offers"] = {},
): Gap[] {
  return [...ESSENTIAL_JOBS].flatMap((job): Gap[] => {
    if (isOffered(job, offers)) return [];
    const owned = things.filter(
      ({ case: { item, standing } }) => standing !== "gone" && item.jobs.includes(job),
    );
    const along = owned.filter(goes);
    // Many a list leaves out what its owner does not call gear: only what goes and is not ready is a gap.
    if (along.length === 0 || along.some(isTrusted)) return [];
    return [
      {
        job,
        doubted: owned
          .filter((advice) => !isTrusted(advice))
          .map((advice) => ({ advice, first: advice.first })),
      },
    ];
  });
}
