"use client";

import type { Task } from "@/core/model";
import { sayDay } from "@/core/units/speak";
import { useDoing } from "@/ui/use-doing";
import { deleteTask, saveTask, tickTask } from "../actions";

/** A job of the owner's own: ticked when it is done, with undo. */
export function TaskLine({ task, thing, late }: { task: Task; thing: string | null; late: boolean }) {
  const { busy, run } = useDoing();
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
      <span className="flex-1">
        <b>{task.what}</b>
        <span className="ml-2 text-sm text-muted">{[thing, task.place].filter(Boolean).join(", ")}</span>
        {task.due && (
          <span className={`ml-2 text-sm ${late ? "text-sting" : "text-muted"}`}>by {sayDay(task.due)}</span>
        )}
      </span>
      <button
        type="button"
        className="btn btn-small"
        disabled={busy}
        onClick={() =>
          run(() => tickTask(task, true), {
            says: () => `${task.what}: done`,
            undo: () => tickTask(task, false),
          })
        }
      >
        Done<span className="sr-only">: {task.what}</span>
      </button>
      <button
        type="button"
        className="btn btn-plain"
        disabled={busy}
        onClick={() =>
          run(() => deleteTask(task.id), {
            says: () => `${task.what}: taken off`,
            undo: () => saveTask({ ...task }),
          })
        }
      >
        Take off<span className="sr-only"> {task.what}</span>
      </button>
    </li>
  );
}
