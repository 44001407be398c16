import { doneBy } from "@/core/advice/doing";
import { askOutcome } from "@/core/say/verdicts/questions";
import { byMaterial, type Bench, type BenchJob } from "@/core/jobs/bench";
import { CAUTIONS } from "@/core/say/cautions";
import { says } from "@/core/say/verdicts/says";
import { Choices } from "@/ui/page/choices";
import { JobCard, type JobData } from "./job-card";

const VIEWS = [
  ["thing", "by thing"],
  ["job", "by what they want"],
  ["place", "by place"],
] as const;
type View = (typeof VIEWS)[number][0];

export const viewOf = (asked: string | undefined): View =>
  VIEWS.find(([name]) => name === asked)?.[0] ?? "thing";

const PLACES = [
  ["home", "At home"],
  ["near home", "Out, near home"],
  ["shop", "In a shop"],
  ["post", "By post: under warranty"],
] as const;

/** What the verdicts ask to be done, sorted as one asks for it. */
export function Jobs({ bench, view }: { bench: Bench; view: View }) {
  return (
    <>
      <Choices
        label="How it is sorted"
        look="no-print"
        chosen={view}
        choices={VIEWS.map(([key, words]) => ({
          key,
          words,
          href: key === "thing" ? "/bench" : `/bench?by=${key}`,
        }))}
      />
      {groupsOf(view, bench).map(([name, group]) => (
        <section key={name} className="mb-5">
          {name && <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">{name}</h2>}
          <ul className="grid gap-x-8 lg:grid-cols-2">
            {group.map((job) => (
              <JobCard key={job.item.id + job.verb + job.verdict.reason} job={dataOf(job)} />
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}

function groupsOf(view: View, { jobs }: Bench): (readonly [string, readonly BenchJob[]])[] {
  if (view === "job") return byMaterial(jobs).map(([material, group]) => [`Wants ${material}`, group]);
  if (view === "place")
    return PLACES.map(([place, name]) => [name, jobs.filter((job) => job.place === place)] as const).filter(
      ([, group]) => group.length > 0,
    );
  return [["", jobs]];
}

const dataOf = ({ item, advice, verdict, verb, agreed, claim, steps }: BenchJob): JobData => ({
  item: item.id,
  name: item.name,
  verb,
  ground: verdict.reason,
  urgency: verdict.urgency,
  agreed,
  says: says(advice.case, verdict),
  claim,
  steps: steps.steps,
  materials: steps.materials,
  minutes: steps.minutes,
  measures: steps.measures ?? null,
  outcome: doneBy(verdict) === "outcome" ? askOutcome(verb) : null,
  caution: verdict.caution ? CAUTIONS[verdict.caution] : null,
});
