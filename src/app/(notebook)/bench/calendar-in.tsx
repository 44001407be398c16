"use client";

import { useRouter } from "next/navigation";
import { useId, useState, useTransition } from "react";
import { toast } from "sonner";
import { count, sayDay } from "@/core/units/speak";
import { tellOtherTabs } from "@/ui/other-tabs";
import { previewCalendar, takeCalendar } from "./actions";

type Preview = Extract<Awaited<ReturnType<typeof previewCalendar>>, { ok: true }>["value"];

/** A calendar read back: what it would change is shown, and taken in by one press. */
export function CalendarIn() {
  const id = useId();
  const router = useRouter();
  const [busy, start] = useTransition();
  const [preview, setPreview] = useState<Preview | null>(null);
  const [off, setOff] = useState<readonly string[]>([]);
  const [wrong, setWrong] = useState("");
  const lost = "The server can’t be reached. Nothing was changed.";
  const read = (file: File | undefined) =>
    start(async () => {
      if (!file) return;
      const answer = await previewCalendar(await file.text()).catch(() => null);
      setOff([]);
      setPreview(answer?.ok ? answer.value : null);
      setWrong(answer ? (answer.ok ? "" : Object.values(answer.fields)[0]!) : lost);
    });
  const taken = preview?.changes.filter(({ task }) => !off.includes(task.id)) ?? [];
  const take = () =>
    start(async () => {
      const answer = await takeCalendar(taken.map(({ task }) => task)).catch(() => null);
      if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0]! : lost);
      setPreview(null);
      tellOtherTabs();
      router.refresh();
      toast(`${count(answer.value, "job")} taken in from the calendar`);
    });
  return (
    <details className="no-print mt-8">
      <summary className="py-1">Take in a calendar</summary>
      <label htmlFor={id} className="label">
        An iCalendar file
      </label>
      <input
        id={id}
        type="file"
        accept=".ics,text/calendar"
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        onChange={(event) => read(event.target.files?.[0])}
      />
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="error">
          {wrong}
        </p>
      )}
      {preview && (
        <div className="mt-2 max-w-3xl">
          <ul>
            {preview.changes.map(({ is, task, was, repeats }) => (
              <li key={task.id} className="border-b border-rule py-1">
                <label className="flex min-h-8 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4"
                    checked={!off.includes(task.id)}
                    onChange={({ target }) =>
                      setOff(target.checked ? off.filter((each) => each !== task.id) : [...off, task.id])
                    }
                  />
                  <span>
                    <b>{task.what}</b> {task.due && `by ${sayDay(task.due)}`}{" "}
                    <span className="text-sm text-muted">
                      {is === "new" ? "new" : sayChange(task, was!)}
                      {repeats && "; it repeats, and is taken once"}
                    </span>
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <p className="hint mt-1">
            {[
              preview.changes.length === 0 ? "Nothing in it that is not here." : "",
              preview.same > 0 ? `${count(preview.same, "job")} as they are here.` : "",
              preview.verdicts > 0
                ? `${count(preview.verdicts, "job")} of the verdicts’: those follow from the log.`
                : "",
              preview.left.length > 0
                ? `Left out, without a day or called off: ${preview.left.slice(0, 5).join(", ")}.`
                : "",
            ]
              .filter(Boolean)
              .join(" ")}
          </p>
          {taken.length > 0 && (
            <button type="button" className="btn btn-leaf mt-2" disabled={busy} onClick={take}>
              Take {count(taken.length, "job")} in
            </button>
          )}
        </div>
      )}
    </details>
  );
}

type Told = Preview["changes"][number]["task"];
const sayChange = (task: Told, was: Told) =>
  [
    task.what === was.what ? "" : `was “${was.what}”`,
    task.due === was.due ? "" : was.due ? `was by ${sayDay(was.due)}` : "had no day",
    task.note === was.note ? "" : "its note is another",
  ]
    .filter(Boolean)
    .join("; ");
