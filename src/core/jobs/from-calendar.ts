import { Task } from "../model";
import { cutTo } from "../model/slug";

/** A day in a calendar: one that the bench put there, or another. */
export interface CalendarDay {
  readonly uid: string;
  readonly on: string;
  readonly summary: string;
  readonly about: string;
  /** It comes again and again, and only its first day is meant. */
  readonly repeats: boolean;
  /** The day that it was put on for want of one; null: it had one of its own. */
  readonly undated: string | null;
}

/** What taking in a calendar would do to the owner's own jobs. */
interface TaskChange {
  readonly is: "new" | "changed";
  readonly task: Task;
  readonly was: Task | null;
  readonly repeats: boolean;
}

export interface FromCalendar {
  readonly changes: readonly TaskChange[];
  /** Days that say what the bench has already. */
  readonly same: number;
  /** Days of jobs that the verdicts ask for: those follow from the log, and are not changed by a calendar. */
  readonly verdicts: number;
}

const OURS = "@nettle-tally";

/**
 * The id under which a calendar's day is a job: the bench's own, or one made from the day's name, the same
 * each time.
 */
const taskIdOf = (uid: string): string =>
  uid.endsWith(OURS) ? uid.slice(0, -OURS.length) : cutTo(80, uid.replaceAll(/\s+/g, "-"));

/**
 * Days of a calendar beside the owner's own jobs: one edited there is changed here, a new one is a new job,
 * and none is doubled however often the file is read.
 *
 * @param nameOf the name of a thing, as it stands behind a job in the calendar
 * @param jobs ids of what the verdicts ask for
 */
export function fromCalendar(
  days: readonly CalendarDay[],
  tasks: readonly Task[],
  {
    nameOf,
    jobs,
  }: { readonly nameOf: (item: string) => string | undefined; readonly jobs: ReadonlySet<string> },
): FromCalendar {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const once = [...new Map(days.map((day) => [taskIdOf(day.uid), day])).entries()];
  const changes: TaskChange[] = [];
  let same = 0;
  let verdicts = 0;
  for (const [id, day] of once) {
    const was = byId.get(id) ?? null;
    if (!was && jobs.has(id)) {
      verdicts += 1;
      continue;
    }
    const task = Task.parse({
      ...(was ?? { id }),
      what:
        cutTo(120, withoutThing(day.summary, was?.item ? nameOf(was.item) : undefined)) ||
        "a day in the calendar",
      due: day.undated === day.on ? (was?.due ?? null) : day.on,
      note: cutTo(4000, day.about),
    });
    const isSame = was !== null && was.what === task.what && was.due === task.due && was.note === task.note;
    if (isSame) same += 1;
    else changes.push({ is: was ? "changed" : "new", task, was, repeats: day.repeats });
  }
  return { changes, same, verdicts };
}

/** "sew on the hook: Pack" is the job "sew on the hook" on the pack. */
const withoutThing = (summary: string, thing: string | undefined) =>
  thing !== undefined && summary.endsWith(`: ${thing}`)
    ? summary.slice(0, -(thing.length + 2)).trim()
    : summary.trim();
