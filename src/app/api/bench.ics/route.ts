import { benchOf, jobId } from "@/core/jobs/bench";
import { says } from "@/core/say/verdicts/says";
import { store } from "@/data/connection";
import { allTasks } from "@/data/records/tasks";
import { jobsAsCalendar } from "@/formats/icalendar";
import { readBook } from "../../book";

/** The bench as a calendar: each job on the day it is due, or today. */
export async function GET(): Promise<Response> {
  const { book, kit } = await readBook();
  const { jobs, tasks } = benchOf(kit, await allTasks(await store()));
  const nameOf = (id: string | null) => book.items.find((item) => item.id === id)?.name;
  const by = book.next.starts ?? book.today;
  const calendar = jobsAsCalendar(
    [
      ...tasks.map(({ id, item, what, due, note }) => ({
        id,
        on: due ?? by,
        summary: [what, nameOf(item)].filter(Boolean).join(": "),
        about: note,
        undated: due === null,
      })),
      ...jobs.map(({ item, verb, verdict, advice }) => ({
        id: jobId(item.id, verb, verdict.reason),
        on: verdict.urgency === "now" ? book.today : by,
        summary: `${verb} ${item.name}`,
        about: says(advice.case, verdict),
      })),
    ],
    book.today,
  );
  return new Response(calendar, {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": 'attachment; filename="nettle-tally-bench.ics"',
    },
  });
}
