"use client";

import { useState } from "react";
import type { Item } from "@/core/model";
import type { ParsedLine } from "@/core/shelf/parse-line";
import { OLDER_IS, type OlderIs } from "@/core/shelf/how-come";
import { sayMass, type Units } from "@/core/units/speak";
import { Field, SelectField } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { useLoaded } from "@/ui/use-loaded";
import { useAddLine } from "./use-add-line";

type InUse = Pick<Item, "id" | "name" | "kind" | "state">;

interface AddLineProps {
  readonly units: Units;
  /** What stands in it at the start. */
  readonly first: string;
  /** Things in use that wear: a new one of their kind may take over from one of them. */
  readonly inUse: readonly InUse[];
}

const NOBODY = "";

/** What a line is read by: the trade's table of kinds, which comes with the first letter. */
const READER = () => import("@/core/shelf/read-line");

/** One line of typing puts a thing on the shelf; what was understood shows below as it is typed. */
export function AddLine({ units, first, inUse }: AddLineProps) {
  const [line, setLine] = useState(first);
  const [after, setAfter] = useState(NOBODY);
  const [is, setIs] = useState<OlderIs>("worn out");
  const { error, ask, busy, send, forget } = useAddLine(() => {
    setLine("");
    setAfter(NOBODY);
  });
  const reader = useLoaded(READER, line !== "");
  const read = reader?.parseLine(line, units.weight);
  const olders = read && reader ? reader.mayTakeOver(inUse, read.kind) : [];
  const older = olders.find(({ id }) => id === after);
  const add = (sure: boolean) => send(line, older ? { item: older.id, is } : null, sure);
  return (
    <PageForm className="mb-6 max-w-2xl" onSend={() => add(false)}>
      <div className="flex items-end gap-2">
        <Field
          label="Add a thing"
          value={line}
          onChange={({ target }) => {
            setLine(target.value);
            forget();
          }}
          error={error}
          autoComplete="off"
          placeholder={`rain shell ${units.weight === "g" ? "312 g" : "11 oz"} lid`}
          className="flex-1"
        />
        <button className="btn btn-leaf mb-px btn-tall" disabled={busy}>
          Add
        </button>
      </div>
      <p className="hint mt-1 min-h-6" aria-live="polite">
        {line.trim() === "" || !read
          ? "Name and weight, then where it rides; the rest can wait."
          : sayRead(read, units)}
      </p>
      {olders.length > 0 && (
        <TakesOver olders={olders} older={older} is={is} onAfter={setAfter} onIs={setIs} />
      )}
      {ask && (
        <p
          role="alert"
          className="mt-1 flex flex-wrap items-center gap-2 border-l-4 border-catkin-strong pl-3"
        >
          {ask}
          <button type="button" className="btn" onClick={() => add(true)}>
            Yes, add it
          </button>
          <button type="button" className="btn btn-plain" onClick={forget}>
            Let me look
          </button>
        </p>
      )}
    </PageForm>
  );
}

const sayRead = ({ name, weight, claimed, stow, kind, pieces }: ParsedLine, units: Units) =>
  [
    name || "no name yet",
    weight ? sayMass(weight.g, units) + (claimed ? " claimed" : "") : "no weight yet",
    stow ? STOW_NAMES[stow].toLowerCase() : "place as its kind",
    `kind: ${kind}`,
    ...(pieces > 1 ? [`set of ${pieces}`] : []),
  ].join(" · ");

interface TakesOverProps {
  readonly olders: readonly InUse[];
  readonly older: InUse | undefined;
  readonly is: OlderIs;
  readonly onAfter: (id: string) => void;
  readonly onIs: (is: OlderIs) => void;
}

/** Whose place the new one takes, and what has become of that. */
function TakesOver({ olders, older, is, onAfter, onIs }: TakesOverProps) {
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      <SelectField
        label="Takes over from"
        className="w-60"
        value={older?.id ?? NOBODY}
        onChange={({ target }) => onAfter(target.value)}
        options={[[NOBODY, "nobody: it is one more"], ...olders.map(({ id, name }) => [id, name] as const)]}
      />
      {older && (
        <SelectField
          label="Which is now"
          className="w-40"
          value={is}
          onChange={({ target }) => OLDER_IS.filter((each) => each === target.value).forEach(onIs)}
          options={OLDER_IS}
        />
      )}
    </div>
  );
}
