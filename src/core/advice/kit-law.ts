import type { NextOuting } from "../ledger/next-outing";
import type { Job, Trigger } from "../model";
import { isOffered } from "../trade/jobs";

/**
 * Jobs that something must do on a trip, whatever each thing by itself is told: the verdicts are about single
 * things, and are followed together. By what calls for them; nothing: on every trip, or every night out.
 * Common practice, no source, but for the ten essential systems, which are commonly taught.
 */
const KIT_JOBS: readonly { readonly job: Job; readonly by?: readonly Trigger[]; readonly nights?: true }[] = [
  { job: "shelter", nights: true },
  { job: "sleep warm", nights: true },
  { job: "pad", nights: true },
  { job: "light", nights: true },
  { job: "stay warm", by: ["cold", "freezing", "wind"] },
  { job: "stay dry", by: ["rain"] },
  { job: "traction", by: ["snow or ice"] },
  { job: "treat water" },
  { job: "find the way" },
  { job: "call for help" },
  { job: "first aid" },
];

/** The jobs of a kit on a trip, for the conditions expected: what nobody foresees counts as coming, but for ice. */
export function kitJobs(next: Pick<NextOuting, "nights" | "strength" | "offers">): readonly Job[] {
  const comes = (trigger: Trigger) =>
    (next.strength(trigger) ?? (trigger === "snow or ice" ? "none" : "some")) !== "none";
  return KIT_JOBS.filter(({ job, by, nights }) => {
    if (isOffered(job, next.offers)) return false;
    if (nights && next.nights === 0) return false;
    return by === undefined || by.some(comes);
  }).map(({ job }) => job);
}
