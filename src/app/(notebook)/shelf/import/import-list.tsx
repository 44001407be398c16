"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState, useTransition } from "react";
import { tell } from "@/ui/notice/notice";
import { count } from "@/core/units/speak";
import { CSV_LIMIT } from "@/formats/limits";
import { whatIsWrong } from "@/ui/form/answer";
import { TextField } from "@/ui/form/field";
import { tellOtherTabs } from "@/ui/other-tabs";
import { importItems } from "../actions";
import { Columns } from "./columns";
import { BadRows, Doubts } from "./doubts";
import {
  mayKeep,
  mended,
  NO_LIST,
  otherList,
  readList,
  tableOf,
  type ListState,
  type ReadList,
  type Shelf,
  type Table,
} from "./list-state";
import { Preview } from "./preview";

/** Choose, map, look, keep: all of the good rows go in together, or none do. */
export function ImportList({ owned, unit }: Shelf) {
  const router = useRouter();
  const [state, setState] = useState(NO_LIST);
  const [failed, setFailed] = useState<string>();
  const [busy, start] = useTransition();
  const table = useMemo(() => tableOf(state), [state]);
  const another = (text: string) => {
    setFailed(undefined);
    setState(otherList(state, text));
  };
  const choose = async (file: File | undefined) => {
    if (!file) return another(state.text);
    if (file.size <= CSV_LIMIT) return another(await file.text());
    setFailed(`${file.name} is larger than ${CSV_LIMIT / 1024 / 1024} MB. Is it a list of gear?`);
  };
  const keep = ({ good, listUnit }: ReadList) =>
    start(async () => {
      const answer = await importItems([...good], state.takeUnit ? listUnit : null);
      if (!answer.ok) return setFailed(whatIsWrong(answer));
      tellOtherTabs();
      tell(`${count(answer.value, "thing")} put on the shelf`);
      router.push("/shelf");
    });
  return (
    <div className="max-w-4xl space-y-6">
      <div>
        <label className="label" htmlFor="list-file">
          A CSV file
        </label>
        <input
          id="list-file"
          type="file"
          accept=".csv,text/csv,text/plain"
          className="field"
          onChange={({ target }) => void choose(target.files?.[0])}
        />
      </div>
      <TextField
        label="Or paste it here"
        value={state.text}
        rows={5}
        onChange={({ target }) => another(target.value)}
        placeholder={"name,weight,where\nRain shell,312 g,outside"}
        error={failed ?? (table && !table.ok ? table.why : undefined)}
        spellCheck={false}
      />
      {table?.ok && (
        <Looked
          state={state}
          table={table}
          shelf={{ owned, unit }}
          busy={busy}
          onChange={setState}
          onKeep={keep}
        />
      )}
    </div>
  );
}

interface LookedProps {
  readonly state: ListState;
  readonly table: Table;
  readonly shelf: Shelf;
  readonly busy: boolean;
  readonly onChange: (state: ListState) => void;
  readonly onKeep: (read: ReadList) => void;
}

/** The list as it is read: its columns, what is doubtful of it, and what it comes to. */
function Looked({ state, table, shelf: { owned, unit }, busy, onChange, onKeep }: LookedProps) {
  const read = useMemo(() => readList(state, table, { owned, unit }), [state, table, owned, unit]);
  return (
    <>
      <Columns
        header={table.header}
        mapping={read.mapping}
        onMap={(chosen) => onChange({ ...state, chosen })}
      />
      <BadRows rows={read.bad} />
      <Doubts read={read} state={state} onChange={onChange} />
      {read.rows.length > 0 && (
        <Preview
          rows={read.rows}
          doubles={state.doubles}
          onMend={(line, field, value) => onChange(mended(state, line, field, value))}
        />
      )}
      {read.listUnit && read.listUnit !== unit && (
        <label className="flex items-start gap-2 border-l-4 border-rule-strong pl-4">
          <input
            type="checkbox"
            className="mt-1 size-5"
            checked={state.takeUnit}
            onChange={({ target }) => onChange({ ...state, takeUnit: target.checked })}
          />
          <span>
            This list is in {read.listUnit === "oz" ? "ounces and pounds" : "grams and kilos"}. Tick this to
            have all weights said so from now on.
          </span>
        </label>
      )}
      <button
        type="button"
        className="btn btn-leaf"
        disabled={busy || !mayKeep(read, state)}
        onClick={() => onKeep(read)}
      >
        Put {count(read.good.length, "thing")} on the shelf
      </button>
    </>
  );
}
