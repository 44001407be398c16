"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { doingOf } from "@/core/reasons/doing";
import { Entry, Task } from "@/core/model";
import { benchOf, jobId } from "@/core/jobs/bench";
import { fromCalendar, type FromCalendar } from "@/core/jobs/from-calendar";
import { readCalendar } from "@/formats/icalendar";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import { allTasks, removeTask, saveTasks } from "@/data/tasks";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook } from "../book";
import { today } from "../reading";
import { logEntry } from "../item/[id]/actions";
import { done, type Undo } from "../verdicts/actions";

/** Logs that a job is done, with what it cost, what was measured, and a note. */
export async function doJob(
  about: { item: string; verb: string; ground: string },
  said: { cost: number | null; reading: { what: string; value: number } | null; note: string },
): Promise<Answer<{ readonly undo: Undo; readonly says: string }>> {
  const told = Entry.pick({ cost: true, reading: true, note: true }).safeParse(said);
  if (!told.success) {
    const fields = byField(told.error);
    return refuse(
      Object.fromEntries(
        Object.entries(fields).map(([path, message]) => [path.replace(/^reading\..*/, "reading"), message]),
      ),
    );
  }
  const { log, judgements } = await readBook();
  const judgement = judgements.find(({ case: { item } }) => item.id === about.item);
  const verdict = judgement?.verdicts.find(
    ({ verb, reason }) => verb === about.verb && reason === about.ground,
  );
  if (!judgement || !verdict) return refuse({ "": "That job no longer stands. Reload the page." });
  const doing = doingOf(log, judgement.case, verdict);
  // What leaves is retired, as on its slip; what is logged is logged with what was said of it.
  if (!doing || "leaves" in doing) return done(about, null);
  const { item } = judgement.case;
  const logged = await logEntry({
    ...told.data,
    item: item.id,
    on: today(),
    what: doing.log,
    service: doing.service,
  });
  if (!logged.ok) return logged;
  return {
    ok: true,
    value: { undo: { entry: logged.value }, says: `${item.name}: ${doing.service ?? doing.log} logged` },
  };
}

/** Keeps a job of the owner's own, new or changed. */
export async function saveTask(raw: Record<string, unknown>): Promise<Answer> {
  const task = Task.safeParse({ id: crypto.randomUUID(), ...raw });
  if (!task.success) return refuse(byField(task.error));
  const { book } = await readBook();
  if (task.data.item !== null && !book.item(task.data.item))
    return refuse({ item: "That is no longer on the shelf." });
  const full = raw.id === undefined ? await fullOf(await store(), "tasks") : null;
  if (full) return refuse({ "": full });
  await saveTasks(await store(), [task.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Ticks a job of the owner's own as done today, or takes the tick back. */
export const tickTask = async (task: Task, isDone: boolean): Promise<Answer> =>
  saveTask({ ...task, done: isDone ? today() : null });

export async function deleteTask(id: string): Promise<Answer> {
  await removeTask(await store(), id);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** What a calendar would change, before anything is changed. */
export async function previewCalendar(
  text: string,
): Promise<Answer<FromCalendar & { readonly left: readonly string[] }>> {
  const read = readCalendar(text);
  if (!read.ok) return refuse({ file: read.why });
  const { book, judgements, toAdd } = await readBook();
  const tasks = await allTasks(await store());
  const { jobs } = benchOf(book, judgements, toAdd, tasks);
  const preview = fromCalendar(read.days, tasks, {
    nameOf: (id) => book.items.find((item) => item.id === id)?.name,
    jobs: new Set(jobs.map(({ item, verb, verdict }) => jobId(item.id, verb, verdict.reason))),
  });
  return { ok: true, value: { ...preview, left: read.left } };
}

/** Takes the jobs that were ticked in; all of them, or none. */
export async function takeCalendar(raw: readonly unknown[]): Promise<Answer<number>> {
  const tasks = z.array(Task).max(2000).safeParse(raw);
  if (!tasks.success) return refuse({ file: Object.values(byField(tasks.error))[0]! });
  const full = await fullOf(await store(), "tasks", tasks.data.length);
  if (full) return refuse({ "": full });
  await saveTasks(await store(), tasks.data);
  revalidatePath("/", "layout");
  return { ok: true, value: tasks.data.length };
}
