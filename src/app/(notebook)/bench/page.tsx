import type { Metadata } from "next";
import Link from "next/link";
import { benchOf, byMaterial, type Bench, type BenchJob } from "@/core/jobs/bench";
import { daysAfter } from "@/core/ledger/days";
import { servicesAhead } from "@/core/jobs/services";
import { CAUTIONS } from "@/core/say/cautions";
import { sayMoney } from "@/core/say/money";
import { says } from "@/core/say/says";
import { sayServiceCount, sayWear } from "@/core/say/words";
import { count, sayDay, sayMass } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page-head";
import { itemPath } from "@/ui/paths";
import { store } from "@/data/connection";
import { allTasks } from "@/data/tasks";
import { readBook } from "@/app/book";
import { AddTask } from "./add-task";
import { CalendarIn } from "./calendar-in";
import { JobCard, type JobData } from "./job-card";
import { ServiceTable } from "./service-table";
import { TaskLine } from "./task-line";

export const metadata: Metadata = { title: "Bench" };

const VIEWS = [
  ["thing", "by thing"],
  ["job", "by what they want"],
  ["place", "by place"],
] as const;
type View = (typeof VIEWS)[number][0];
const PLACES = [
  ["home", "At home"],
  ["near home", "Out, near home"],
  ["shop", "In a shop"],
  ["post", "By post: under warranty"],
] as const;

/** The jobs to do: what the verdicts ask for, and the owner's own. */
export default async function BenchPage({ searchParams }: { searchParams: Promise<{ by?: string }> }) {
  const { by } = await searchParams;
  const view: View = VIEWS.find(([name]) => name === by)?.[0] ?? "thing";
  const { book, kit } = await readBook();
  const { units, currency } = book.settings;
  const bench = benchOf(kit, await allTasks(await store()));
  const { jobs, tasks, buy } = bench;
  const services = servicesAhead(kit);
  const agreed = jobs.filter((job) => job.agreed).length;
  const nameOf = (id: string | null) => book.items.find((item) => item.id === id)?.name ?? null;
  const minutes = jobs.reduce((sum, { steps }) => sum + steps.minutes, 0);
  return (
    <>
      <PageHead
        title="Bench"
        actions={
          <>
            <Link href="/ready" prefetch={false} className="btn">
              Ready for the season?
            </Link>
            <a href="/api/bench.ics" download className="btn">
              As a calendar
            </a>
          </>
        }
      >
        {count(jobs.length + tasks.length, "job")}
        {agreed > 0 && `, ${agreed} agreed to`}
        {minutes > 0 && `; about ${sayTime(minutes)} of your own time`}
      </PageHead>
      <AddTask
        things={book.items
          .filter(({ state }) => state === "active")
          .map(({ id, name }) => [id, name] as const)}
      />
      {tasks.length > 0 && (
        <section className="mb-6">
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Your own</h2>
          <ul>
            {tasks.map((task) => (
              <TaskLine
                key={task.id}
                task={task}
                thing={nameOf(task.item)}
                late={task.due !== null && task.due < book.today}
              />
            ))}
          </ul>
        </section>
      )}
      {jobs.length === 0 && tasks.length === 0 && (
        <Empty
          title="The bench is clear"
          action={
            <Link href="/verdicts" className="btn btn-leaf">
              To the verdicts
            </Link>
          }
        >
          What the verdicts ask to be mended, served, tried or bought stands here until it is done, with its
          usual steps.
        </Empty>
      )}
      {jobs.length > 0 && (
        <>
          <p
            className="no-print mb-3 flex gap-4 border-b border-rule pb-2"
            role="group"
            aria-label="How it is sorted"
          >
            {VIEWS.map(([name, words]) => (
              <Link
                key={name}
                prefetch={false}
                href={name === "thing" ? "/bench" : `/bench?by=${name}`}
                aria-current={name === view ? "page" : undefined}
                className={name === view ? "font-bold" : "link"}
              >
                {words}
              </Link>
            ))}
          </p>
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
      )}
      {services.length > 0 && (
        <section className="mt-6">
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">
            Services, by their count{" "}
            <span className="font-sans text-sm font-normal text-muted">
              due, or so by the end of the next trip
            </span>
          </h2>
          <ServiceTable
            today={book.today}
            rows={services.map(({ item, what, since, every, unit, last, standing }) => ({
              item: item.id,
              name: item.name,
              what,
              counted:
                unit.of === "own"
                  ? `${sayServiceCount(since, unit.in, units)} of ${sayServiceCount(every, unit.in, units)}`
                  : `${sayWear(since, unit.in, units)} of ${sayWear(every, unit.in, units)}`,
              last: last ? `last on ${sayDay(last)}` : "none logged yet",
              part: since / every,
              standing,
              own: unit.of === "own",
            }))}
          />
        </section>
      )}
      {buy.length > 0 && (
        <section className="mt-6">
          <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">To buy</h2>
          <table className="w-full max-w-3xl text-[0.95rem]">
            <thead className="text-left text-sm text-muted">
              <tr>
                <th className="font-normal">what</th>
                <th className="font-normal">in the place of</th>
                <th className="text-right font-normal">weighs</th>
                <th className="text-right font-normal">price</th>
                <th className="text-right font-normal">comes</th>
              </tr>
            </thead>
            <tbody>
              {buy.map(({ name, present, wish, price, currency: in_ }) => (
                <tr key={name} className="border-t border-rule">
                  <td className="py-1">
                    {wish ? name : present ? `another ${present.kind}` : name}
                    {wish && <span className="ml-2 text-sm text-muted">on the wish list</span>}
                  </td>
                  <td>
                    {present ? (
                      <Link prefetch={false} href={itemPath(present.id)} className="hover:underline">
                        {present.name}
                      </Link>
                    ) : (
                      <span className="text-muted">nothing: it was missed</span>
                    )}
                  </td>
                  <td className="num text-right">{sayWeights(wish?.weight?.g, present?.weight?.g)}</td>
                  <td className="num text-right">
                    {price === null ? "–" : sayMoney(price, in_ ?? currency)}
                    {!wish && present?.price === null && <span className="text-muted"> usual</span>}
                  </td>
                  <td className="text-right">{comes(wish?.delivery ?? null)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <CalendarIn />
    </>
  );

  /** When it comes, if it is ordered today, and whether that is before the trip that is planned. */
  function comes(days: number | null) {
    if (days === null) return <span className="text-muted">–</span>;
    const day = daysAfter(book.today, days);
    return book.next.starts !== null && day >= book.next.starts ? (
      <b className="text-sting">
        {sayDay(day)}: too late for {book.next.name}
      </b>
    ) : (
      sayDay(day)
    );
  }

  function sayWeights(now: number | undefined, before: number | undefined): string {
    if (now === undefined) return before === undefined ? "–" : `was ${sayMass(before, units)}`;
    return before === undefined
      ? sayMass(now, units)
      : `${sayMass(now, units)}, was ${sayMass(before, units)}`;
  }
}

const sayTime = (minutes: number) =>
  minutes < 90 ? `${minutes}\u00a0minutes` : `${Math.round(minutes / 60)}\u00a0hours`;

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
  caution: verdict.caution ? CAUTIONS[verdict.caution] : null,
});
