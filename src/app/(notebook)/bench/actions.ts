"use server";

import { z } from "zod";
import { doingOf } from "@/core/advice/doing";
import { Entry, ItemId, RecordId, Task, Verb } from "@/core/model";
import { benchOf, jobId } from "@/core/jobs/bench";
import { fromCalendar, type FromCalendar } from "@/core/jobs/from-calendar";
import { Text } from "@/core/units/text";
import { findItem } from "@/data/records/items";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import { allTasks, removeTask, saveTasks } from "@/data/records/tasks";
import { byField, refuse, refuseAs, type Answer } from "@/ui/form/answer";
import { acting } from "@/app/acting";
import { readBook } from "@/app/book";
import { readApart } from "@/app/read-apart";
import { today } from "@/app/reading";
import { logEntry } from "../item/[id]/actions";
import { done, type Undo } from "../verdicts/actions";

const About = z.object({ item: ItemId, verb: Verb, ground: Text.max(80) });
const noJob = refuse({ "": "That job no longer stands. Reload the page." });

/** Logs that a job is done, with what it cost, what was measured, and a note. */
export async function doJob(
  rawAbout: z.input<typeof About>,
  said: { cost: number | null; reading: { what: string; value: number } | null; note: string },
): Promise<Answer<{ readonly undo: Undo; readonly says: string }>> {
  const about = About.safeParse(rawAbout);
  if (!about.success) return noJob;
  const told = Entry.pick({ cost: true, reading: true, note: true }).safeParse(said);
  if (!told.success) {
    const fields = byField(told.error);
    return refuse(
      Object.fromEntries(
        Object.entries(fields).map(([path, message]) => [path.replace(/^reading\..*/, "reading"), message]),
      ),
    );
  }
  const { log, kit } = await readBook();
  const advice = kit.of(about.data.item);
  const verdict = advice?.verdicts.find(
    ({ verb, reason }) => verb === about.data.verb && reason === about.data.ground,
  );
  if (!advice || !verdict) return noJob;
  const doing = doingOf(log, advice.case, verdict);
  // What leaves is retired, as on its slip; what is logged is logged with what was said of it.
  if (!doing || "leaves" in doing) return done(about.data, null);
  const { item } = advice.case;
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
  return acting(async (tx) => {
    const task = Task.parse({ id: crypto.randomUUID(), ...raw });
    if (task.item !== null && !(await findItem(tx, task.item)))
      return refuse({ item: "That is no longer on the shelf." });
    const isKnown = (await allTasks(tx)).some(({ id }) => id === task.id);
    const full = isKnown ? null : await fullOf(tx, "tasks");
    if (full) return refuse({ "": full });
    await saveTasks(tx, [task]);
    return { ok: true, value: undefined };
  });
}

/** Ticks a job of the owner's own as done today, or takes the tick back. */
export async function tickTask(task: Task, isDone: boolean): Promise<Answer> {
  return saveTask({ ...task, done: isDone ? today() : null });
}

export async function deleteTask(id: string): Promise<Answer> {
  return acting(async (tx) => {
    await removeTask(tx, RecordId.parse(id));
    return { ok: true, value: undefined };
  });
}

/** A file's text, which may hold whatever it likes until it has been read. */
const Calendar = z.string("That is no calendar.");

/** What a calendar would change, before anything is changed. */
export async function previewCalendar(
  raw: string,
): Promise<Answer<FromCalendar & { readonly left: readonly string[] }>> {
  const text = Calendar.safeParse(raw);
  if (!text.success) return refuseAs("file", text.error);
  const read = await readApart("calendar", text.data);
  if (!read.ok) return refuse({ file: read.why });
  const { book, kit } = await readBook();
  const tasks = await allTasks(await store());
  const { jobs } = benchOf(kit, tasks);
  const preview = fromCalendar(read.days, tasks, {
    nameOf: (id) => book.items.find((item) => item.id === id)?.name,
    jobs: new Set(jobs.map(({ item, verb, verdict }) => jobId(item.id, verb, verdict.reason))),
  });
  return { ok: true, value: { ...preview, left: read.left } };
}

/** Takes the jobs that were ticked in; all of them, or none. */
export async function takeCalendar(raw: readonly unknown[]): Promise<Answer<number>> {
  return acting(async (tx) => {
    const tasks = z.array(Task).max(2000).safeParse(raw);
    if (!tasks.success) return refuseAs("file", tasks.error);
    const known = new Set((await allTasks(tx)).map(({ id }) => id));
    const full = await fullOf(tx, "tasks", tasks.data.filter(({ id }) => !known.has(id)).length);
    if (full) return refuse({ "": full });
    await saveTasks(tx, tasks.data);
    return { ok: true, value: tasks.data.length };
  });
}
