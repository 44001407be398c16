"use client";

import { useRouter } from "next/navigation";
import { useId, useState, useTransition } from "react";
import { tell } from "@/ui/notice/notice";
import { count, sayDay } from "@/core/units/speak";
import { refuse, whatIsWrong } from "@/ui/form/answer";
import { tellOtherTabs } from "@/ui/follow/channel";
import { previewCalendar, takeCalendar } from "./actions";

type Preview = Extract<Awaited<ReturnType<typeof previewCalendar>>, { ok: true }>["value"];

const LOST = refuse({ "": "The server can’t be reached. Nothing was changed." });

/** A calendar read back: what it would change is shown, and taken in by one press. */
export function CalendarIn() {
  const id = useId();
  const router = useRouter();
  const [busy, start] = useTransition();
  const [preview, setPreview] = useState<Preview | null>(null);
  const [wrong, setWrong] = useState("");
  const read = (file: File | undefined) =>
    start(async () => {
      if (!file) return;
      const answer = await previewCalendar(await file.text()).catch(() => LOST);
      setPreview(answer.ok ? answer.value : null);
      setWrong(whatIsWrong(answer));
    });
  const take = (tasks: readonly CalendarTask[]) =>
    start(async () => {
      const answer = await takeCalendar([...tasks]).catch(() => LOST);
      setWrong(whatIsWrong(answer));
      if (!answer.ok) return;
      setPreview(null);
      tellOtherTabs();
      router.refresh();
      tell(`${count(answer.value, "job")} taken in from the calendar`);
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
        onChange={({ target }) => read(target.files?.[0])}
      />
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="error">
          {wrong}
        </p>
      )}
      {preview && (
        <WouldChange
          // Another calendar begins with all of it ticked.
          key={preview.changes.map(({ task }) => task.id).join()}
          preview={preview}
          busy={busy}
          onTake={take}
        />
      )}
    </details>
  );
}

type CalendarTask = Preview["changes"][number]["task"];

interface WouldChangeProps {
  readonly preview: Preview;
  readonly busy: boolean;
  readonly onTake: (tasks: readonly CalendarTask[]) => void;
}

/** What it would change, each to be left out, and what it holds beside. */
function WouldChange({ preview, busy, onTake }: WouldChangeProps) {
  const [off, setOff] = useState<readonly string[]>([]);
  const taken = preview.changes.map(({ task }) => task).filter(({ id }) => !off.includes(id));
  return (
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
                  {is === "new" || !was ? "new" : sayChange(task, was)}
                  {repeats && "; it repeats, and is taken once"}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <p className="hint mt-1">{besideOf(preview)}</p>
      {taken.length > 0 && (
        <button type="button" className="btn btn-leaf mt-2" disabled={busy} onClick={() => onTake(taken)}>
          Take {count(taken.length, "job")} in
        </button>
      )}
    </div>
  );
}

const besideOf = ({ changes, same, verdicts, left }: Preview) =>
  [
    changes.length === 0 ? "Nothing in it that is not here." : "",
    same > 0 ? `${count(same, "job")} as they are here.` : "",
    verdicts > 0 ? `${count(verdicts, "job")} of the verdicts’: those follow from the log.` : "",
    left.length > 0 ? `Left out, without a day or called off: ${left.slice(0, 5).join(", ")}.` : "",
  ]
    .filter(Boolean)
    .join(" ");

const sayChange = (task: CalendarTask, was: CalendarTask) =>
  [
    task.what === was.what ? "" : `was “${was.what}”`,
    task.due === was.due ? "" : sayWasDue(was),
    task.note === was.note ? "" : "its note is another",
  ]
    .filter(Boolean)
    .join("; ");

const sayWasDue = ({ due }: CalendarTask) => (due ? `was by ${sayDay(due)}` : "had no day");
