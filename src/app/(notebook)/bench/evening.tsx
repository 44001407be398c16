import type { BenchJob } from "@/core/jobs/bench";
import { count, listWords } from "@/core/units/speak";
import { Section } from "@/ui/page/section";

/** What fits an evening, in minutes. */
const AN_EVENING = 180;

/** The first jobs at home that an evening holds, in their order; what is longer than what is left waits. */
function eveningOf(jobs: readonly BenchJob[]): BenchJob[] {
  const laid: BenchJob[] = [];
  let left = AN_EVENING;
  for (const job of jobs)
    if (job.place === "home" && job.steps.minutes > 0 && job.steps.minutes <= left) {
      laid.push(job);
      left -= job.steps.minutes;
    }
  return laid;
}

/** An evening at the table: what lies on it, how long each takes, and what has to be there. */
export function Evening({ jobs }: { jobs: readonly BenchJob[] }) {
  const laid = eveningOf(jobs);
  if (laid.length < 2) return null;
  const minutes = laid.reduce((sum, { steps }) => sum + steps.minutes, 0);
  const materials = [...new Set(laid.flatMap(({ steps }) => steps.materials))];
  return (
    <Section
      title="An evening at the table"
      note={`${count(laid.length, "job")}, about ${count(minutes, "minute")}`}
      look="mb-6"
    >
      <ol className="mt-2 flex flex-wrap gap-1 sm:flex-nowrap" aria-label="In this order">
        {laid.map(({ item, verb, steps }) => (
          <li
            key={`${item.id} ${verb}`}
            className="min-w-24 border-t-4 border-stem bg-leaf-soft px-2 py-1"
            style={{ flexGrow: steps.minutes, flexBasis: 0 }}
          >
            <span className="block leading-tight font-semibold">{item.name}</span>
            <span className="text-sm text-muted">
              {verb}, {count(steps.minutes, "minute")}
            </span>
          </li>
        ))}
      </ol>
      {materials.length > 0 && <p className="mt-1 text-sm">On the table: {listWords(materials, "and")}.</p>}
    </Section>
  );
}
