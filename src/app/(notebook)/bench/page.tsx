import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { benchOf } from "@/core/jobs/bench";
import { servicesAhead } from "@/core/jobs/services";
import { count } from "@/core/units/speak";
import { store } from "@/data/connection";
import { allTasks } from "@/data/records/tasks";
import { Empty, PageHead } from "@/ui/page/page-head";
import { AddTask } from "./own/add-task";
import { CalendarIn } from "./calendar-in";
import { Evening } from "./evening";
import { Jobs, viewOf } from "./jobs";
import { OwnTasks } from "./own/own-tasks";
import { Services } from "./services";
import { ToBuy } from "./to-buy";

export const metadata: Metadata = { title: "Bench" };

/** The jobs to do: what the verdicts ask for, and the owner's own. */
export default async function BenchPage({ searchParams }: { searchParams: Promise<{ by?: string }> }) {
  const { by } = await searchParams;
  const { book, kit } = await readBook();
  const bench = benchOf(kit, await allTasks(await store()));
  const { jobs, tasks, buy } = bench;
  const agreed = jobs.filter((job) => job.agreed).length;
  const minutes = jobs.reduce((sum, { steps }) => sum + steps.minutes, 0);
  const active = book.items.filter(({ state }) => state === "active");
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
      <AddTask things={active.map(({ id, name }) => [id, name] as const)} />
      {tasks.length > 0 && <OwnTasks tasks={tasks} book={book} />}
      {jobs.length + tasks.length === 0 && <BenchIsClear />}
      <Evening jobs={jobs} />
      {jobs.length > 0 && <Jobs bench={bench} view={viewOf(by)} />}
      <Services services={servicesAhead(kit)} today={book.today} units={book.settings.units} />
      {buy.length > 0 && <ToBuy buy={buy} book={book} />}
      <CalendarIn />
    </>
  );
}

const sayTime = (minutes: number) =>
  minutes < 90 ? `${minutes}\u00a0minutes` : `${Math.round(minutes / 60)}\u00a0hours`;

function BenchIsClear() {
  return (
    <Empty
      title="The bench is clear"
      action={
        <Link href="/verdicts" className="btn btn-leaf">
          To the verdicts
        </Link>
      }
    >
      What the verdicts ask to be mended, served, tried or bought stands here until it is done, with its usual
      steps.
    </Empty>
  );
}
