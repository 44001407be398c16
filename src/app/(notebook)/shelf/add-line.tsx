"use client";

import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { toast } from "sonner";
import type { Item } from "@/core/model";
import { mayTakeOver, OLDER_IS, type OlderIs } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { sayMass, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { addLine, takeLineBack } from "./actions";

interface AddLineProps {
  readonly units: Units;
  /** What stands in it at the start. */
  readonly first: string;
  /** Things in use that wear: a new one of their kind may take over from one of them. */
  readonly inUse: readonly Pick<Item, "id" | "name" | "kind" | "state">[];
}

const NOBODY = "";

/** One line of typing puts a thing on the shelf; what was understood shows below as it is typed. */
export function AddLine({ units, first, inUse }: AddLineProps) {
  const router = useRouter();
  const [line, setLine] = useState(first);
  const [error, setError] = useState<string>();
  const [ask, setAsk] = useState<string>();
  const [after, setAfter] = useState(NOBODY);
  const [is, setIs] = useState<OlderIs>("worn out");
  const [busy, start] = useTransition();
  const read = parseLine(line, units.weight);
  const olders = mayTakeOver(inUse, read.kind);
  const older = olders.find(({ id }) => id === after);
  const send = (sure: boolean) =>
    start(async () => {
      const answer = await addLine(line, older ? { item: older.id, is } : null, sure).catch(() => null);
      if (!answer) return setError("Not saved: the server can’t be reached. What you typed is still here.");
      setError(answer.ok ? undefined : answer.fields.line);
      setAsk(answer.ok ? undefined : answer.ask);
      if (!answer.ok) return;
      const { id, name, older: before } = answer.value;
      setLine("");
      setAfter(NOBODY);
      tellOtherTabs();
      router.refresh();
      toast(`${name} is on the shelf`, {
        action: { label: "Undo", onClick: () => void takeLineBack(id, before).then(() => router.refresh()) },
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
          placeholder={`rain shell ${units.weight === "g" ? "312 g" : "11 oz"} lid`}
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
      {olders.length > 0 && (
        <div className="mt-1 flex flex-wrap items-end gap-2">
          <SelectField
            label="Takes over from"
            className="w-60"
            value={older ? after : NOBODY}
            onChange={(event) => setAfter(event.target.value)}
            options={[
              [NOBODY, "nobody: it is one more"],
              ...olders.map(({ id, name }) => [id, name] as const),
            ]}
          />
          {older && (
            <SelectField
              label="Which is now"
              className="w-40"
              value={is}
              onChange={(event) => setIs(event.target.value as OlderIs)}
              options={OLDER_IS}
            />
          )}
        </div>
      )}
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
