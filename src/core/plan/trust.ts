import type { Job, Trip } from "../model";
import type { Judgement, Verdict } from "../reasons/judge";
import { isRoutine } from "../reasons/service";
import { VERBS } from "../reasons/verbs";
import { ESSENTIAL_JOBS, JOB_RULES } from "../trade/jobs";

/** An essential job that nothing does as it should. */
export interface Gap {
  readonly job: Job;
  /** What is owned for it, and not to be trusted. */
  readonly doubted: readonly Doubted[];
}

/** A thing that is not to be trusted before something is done about it. */
interface Doubted {
  readonly judgement: Judgement;
  /** Null: it is not at home. */
  readonly first: Verdict | null;
}

/** What is to be done about a thing before a trip, and was not overruled or put off. */
export const firstToDo = ({ verdicts }: Judgement): Verdict | null =>
  verdicts.find(
    (verdict) =>
      VERBS[verdict.verb].first &&
      !verdict.done &&
      !isRoutine(verdict) &&
      (verdict.urgency === "now" || verdict.urgency === "before next trip") &&
      (verdict.ruling === null || verdict.ruling.decision === "agree"),
  ) ?? null;

const isTrusted = (judgement: Judgement) =>
  judgement.case.item.lentTo === null && firstToDo(judgement) === null;

/** Essential jobs that nothing trusted does of what goes along. What the way offers takes them off the list. */
export function gapsIn(
  judgements: readonly Judgement[],
  goes: (judgement: Judgement) => boolean,
  offers: Trip["offers"] = {},
): Gap[] {
  return [...ESSENTIAL_JOBS].flatMap((job): Gap[] => {
    const offer = JOB_RULES[job]!.doneBy;
    if (offer && (offers[offer] ?? "none") !== "none") return [];
    const owned = judgements.filter(
      ({ case: { item, standing } }) => standing !== "gone" && item.jobs.includes(job),
    );
    const along = owned.filter(goes);
    // Many a list leaves out what its owner does not call gear: only what goes and is not ready is a gap.
    if (along.length === 0 || along.some(isTrusted)) return [];
    return [
      {
        job,
        doubted: owned
          .filter((judgement) => !isTrusted(judgement))
          .map((judgement) => ({ judgement, first: firstToDo(judgement) })),
      },
    ];
  });
}
