import { useState } from "react";
import type { Named } from "@/core/hear/hear";
import type { SentLine } from "@/core/model";
import { sayDay, type Units } from "@/core/units/speak";
import { Field } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { tell } from "@/ui/notice/notice";
import { Understood } from "./understood";

/** A line, whether the phone keeps it or the server has it. */
export interface ShownLine extends SentLine {
  readonly sent: boolean;
  readonly refused?: string;
}

/** Keeps a line changed; why not, where the phone refuses. */
type OnChange = (
  line: ShownLine,
  to: Pick<SentLine, "change"> & Partial<Pick<SentLine, "text">>,
) => Promise<string | null>;

interface LinesProps {
  readonly lines: readonly ShownLine[];
  readonly things: readonly Named[];
  readonly units: Units;
  readonly onChange: OnChange;
}

/** What was written, the newest first. */
export function Lines({ lines, things, units, onChange }: LinesProps) {
  return (
    <ul className="mt-2 border-t-2 border-ink" aria-label="Lines, newest first">
      {lines.map((line) => (
        <li key={line.id} className="border-b border-rule py-1.5">
          <span className="font-semibold">{line.text}</span>
          <span className="block text-sm text-muted">
            {sayDay(line.at.slice(0, 10))} · <Understood text={line.text} things={things} units={units} />
            {!line.sent && !line.refused && " · waits here"}
            {line.taken && " · in the debrief"}
          </span>
          {line.refused && <span className="block text-sting">Not kept by the server. {line.refused}</span>}
          {!line.taken && <ChangeLine line={line} onChange={onChange} />}
        </li>
      ))}
      {lines.length === 0 && (
        <li className="py-2 text-muted">
          Nothing yet. “poncho sent home”, “cold night, {units.temperature === "C" ? "2 °C" : "36 F"}, in
          quilt and jacket”, “{units.weight === "g" ? "120 g" : "4 oz"} of gas left”.
        </li>
      )}
    </ul>
  );
}

/** A line written again, or deleted; both hold without a network, and are sent once it is back. */
function ChangeLine({ line, onChange }: { readonly line: ShownLine; readonly onChange: OnChange }) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const rewrite = async () => {
    const text = typed?.trim() ?? "";
    if (text === "") return setWrong("Write something, or delete it.");
    const why = text === line.text ? null : await onChange(line, { change: "rewritten", text });
    setWrong(why ?? undefined);
    if (why === null) setTyped(undefined);
  };
  const remove = async () => {
    const why = await onChange(line, { change: "deleted" });
    if (why === null)
      tell(`“${line.text}” is deleted.`, () => void onChange(line, { change: "rewritten", text: line.text }));
    else setWrong(why);
  };
  return (
    <>
      <span className="flex gap-4">
        <button
          type="button"
          className={QUIET}
          aria-label={`Rewrite: ${line.text}`}
          aria-expanded={typed !== undefined}
          onClick={() => setTyped(typed === undefined ? line.text : undefined)}
        >
          Rewrite
        </button>
        <button
          type="button"
          className={QUIET}
          aria-label={`Delete: ${line.text}`}
          onClick={() => void remove()}
        >
          Delete
        </button>
      </span>
      {typed !== undefined && (
        <PageForm className="flex items-end gap-2" onSend={() => void rewrite()}>
          <Field
            label="The line"
            className="flex-1"
            autoFocus
            maxLength={300}
            value={typed}
            error={wrong}
            onChange={({ target }) => setTyped(target.value)}
          />
          <button className="btn btn-leaf">Save</button>
        </PageForm>
      )}
      {typed === undefined && wrong && (
        <p role="alert" className="error">
          {wrong}
        </p>
      )}
    </>
  );
}

const QUIET = "link min-h-9 text-sm pointer-coarse:min-h-11";
