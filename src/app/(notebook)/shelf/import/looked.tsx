import { useMemo } from "react";
import { count } from "@/core/units/speak";
import { Columns } from "./columns";
import { BadRows, Doubts, OfTheList } from "./doubts";
import { mayKeep, mended, readList, type ReadList, type Shelf, type Table } from "./list-read";
import type { ListState } from "./list-state";
import { Preview } from "./preview";

interface LookedProps {
  readonly state: ListState;
  readonly table: Table;
  readonly shelf: Shelf;
  readonly busy: boolean;
  readonly onChange: (state: ListState) => void;
  readonly onKeep: (read: ReadList) => void;
}

/** The list as it is read: its columns, what is doubtful of it, and what it comes to. */
export function Looked({ state, table, shelf: { owned, unit }, busy, onChange, onKeep }: LookedProps) {
  const read = useMemo(() => readList(state, table, { owned, unit }), [state, table, owned, unit]);
  return (
    <>
      <Columns
        header={table.header}
        mapping={read.mapping}
        onMap={(chosen) => onChange({ ...state, chosen })}
      />
      <BadRows rows={read.bad} />
      <OfTheList state={state} onChange={onChange} />
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
