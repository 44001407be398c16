import type { Kit } from "@/core/advice/kit";
import { benchOf } from "@/core/jobs/bench";
import type { Log } from "@/core/model";
import { daysBetween } from "@/core/sums/days";
import type { Waits } from "@/ui/edge/navigation";

/** What waits on the pages of the notebook. */
export function waitsOf(log: Log, kit: Kit): Waits {
  const carries = log.trips.filter(({ planned }) => !planned).flatMap((trip) => trip.carries);
  const { jobs, tasks } = benchOf(kit, log.tasks);
  const { starts } = kit.book.next;
  return {
    "/trail": {
      n: log.trips.flatMap(({ lines }) => lines).filter(({ taken }) => !taken).length,
      what: "lines to take",
    },
    "/unpack": { n: carries.filter(({ mark }) => mark === null).length, what: "not marked yet" },
    "/verdicts": { n: kit.pressing, what: "to act on" },
    "/bench": { n: jobs.length + tasks.length, what: "jobs" },
    "/next": {
      n: starts ? Math.max(0, daysBetween(kit.book.today, starts)) : 0,
      what: "until it starts",
      isQuiet: true,
    },
  };
}
