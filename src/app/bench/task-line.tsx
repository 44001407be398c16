"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { toast } from "sonner";
import type { Task } from "@/core/model";
import { sayDay } from "@/core/units/speak";
import { tellOtherTabs } from "@/ui/other-tabs";
import { deleteTask, saveTask, tickTask } from "./actions";

/** A job of the owner's own: ticked when it is done, with undo. */
export function TaskLine({ task, thing, late }: { task: Task; thing: string | null; late: boolean }) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const run = (action: () => Promise<unknown>, says: string, back: () => Promise<unknown>) =>
    start(async () => {
      const failed = await action().then(
        () => false,
        () => true,
      );
      if (failed) return void toast.error("Not saved: the server can’t be reached.");
      tellOtherTabs();
      router.refresh();
      toast(says, { action: { label: "Undo", onClick: () => void back().then(() => router.refresh()) } });
    });
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
          run(
            () => tickTask(task, true),
            `${task.what}: done`,
            () => tickTask(task, false),
          )
        }
      >
        Done<span className="sr-only">: {task.what}</span>
      </button>
      <button
        type="button"
        className="btn btn-plain"
        disabled={busy}
        onClick={() =>
          run(
            () => deleteTask(task.id),
            `${task.what}: taken off`,
            () => saveTask({ ...task }),
          )
        }
      >
        Take off<span className="sr-only"> {task.what}</span>
      </button>
    </li>
  );
}
