"use client";

import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { toast } from "sonner";
import { parseLine } from "@/core/shelf/parse-line";
import { sayMass, type Units } from "@/core/units/speak";
import { Field } from "@/ui/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { addLine, deleteItem } from "./actions";

/** One line of typing puts a thing on the shelf; what was understood shows below as it is typed. `first`: what stands in it at the start. */
export function AddLine({ units, first }: { units: Units; first: string }) {
  const router = useRouter();
  const [line, setLine] = useState(first);
  const [error, setError] = useState<string>();
  const [ask, setAsk] = useState<string>();
  const [busy, start] = useTransition();
  const read = parseLine(line, units.weight);
  const send = (sure: boolean) =>
    start(async () => {
      const answer = await addLine(line, sure);
      setError(answer.ok ? undefined : answer.fields.line);
      setAsk(answer.ok ? undefined : answer.ask);
      if (!answer.ok) return;
      const { id, name } = answer.value;
      setLine("");
      tellOtherTabs();
      router.refresh();
      toast(`${name} is on the shelf`, {
        action: { label: "Undo", onClick: () => void deleteItem(id).then(() => router.refresh()) },
      });
    });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        send(false);
      }}
      className="mb-6 max-w-2xl"
      noValidate
    >
      <div className="flex items-end gap-2">
        <Field
          label="Add a thing"
          value={line}
          onChange={(event) => {
            setLine(event.target.value);
            setError(undefined);
            setAsk(undefined);
          }}
          error={error}
          autoComplete="off"
          placeholder="rain shell 312 g lid"
          className="flex-1"
        />
        <button className="btn btn-leaf mb-px !min-h-10" disabled={busy}>
          Add
        </button>
      </div>
      <p className="hint mt-1 min-h-6" aria-live="polite">
        {line.trim() === ""
          ? "Name, weight and place, in any order; the rest can wait."
          : `${read.name || "no name yet"} · ${read.weight ? sayMass(read.weight.g, units) : "no weight yet"} · ${read.stow ? STOW_NAMES[read.stow].toLowerCase() : "place as its kind"} · kind: ${read.kind}${read.pieces > 1 ? ` · set of ${read.pieces}` : ""}`}
      </p>
      {ask && (
        <p
          role="alert"
          className="mt-1 flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3"
        >
          {ask}
          <button type="button" className="btn" onClick={() => send(true)}>
            Yes, add it
          </button>
          <button type="button" className="btn btn-plain" onClick={() => setAsk(undefined)}>
            Let me look
          </button>
        </p>
      )}
    </form>
  );
}
