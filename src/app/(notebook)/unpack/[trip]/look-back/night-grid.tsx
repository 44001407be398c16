"use client";

import { ArrowDownToLine } from "lucide-react";
import { useState, type ClipboardEvent } from "react";
import type { FeltNight, ItemId } from "@/core/model";
import { FELTS, SPOILS } from "@/core/model/lists";
import { sayDay, sayShortDay, type Units } from "@/core/units/speak";
import { oneOf } from "@/ui/form/field";
import { PageForm } from "@/ui/form/page-form";
import { filledDown, pastedInto, readRows, rowsOf, withRow, type NightRow } from "./night-rows";

interface NightGridProps {
  readonly felt: readonly FeltNight[];
  readonly nights: number;
  readonly starts: string;
  /** What a night is slept in where its row does not say. */
  readonly usual: readonly ItemId[];
  readonly units: Units;
  readonly onKeep: (felt: FeltNight[]) => void;
}

/** A row a night: typed, filled down, or pasted as lines from wherever they were noted. */
export function NightGrid({ felt, nights, starts, usual, units, onKeep }: NightGridProps) {
  const [rows, setRows] = useState(() => rowsOf(felt, starts, nights, units));
  const [wrong, setWrong] = useState<ReadonlyMap<number, string>>(new Map());
  const keep = () => {
    const read = readRows(rows, felt, usual, units);
    setWrong(read.ok ? new Map() : read.wrong);
    if (!read.ok) return;
    if (read.felt.length <= nights) return onKeep(read.felt);
    const undated = felt.filter(({ on }) => on === null).length;
    setWrong(
      new Map([
        [
          0,
          `${read.felt.length} nights of ${nights}: ${undated} stand above without a day. Remove those first.`,
        ],
      ]),
    );
  };
  return (
    <PageForm className="mt-2" onSend={keep}>
      <p className="hint">
        Lows may be pasted as lines, a night each; the arrow says the same of the nights below.
      </p>
      <ol className="mt-1">
        {rows.map((row, n) => (
          <GridRow
            key={row.on}
            row={row}
            units={units}
            wrong={wrong.get(n)}
            onChange={(more) => setRows(withRow(rows, n, more))}
            onFill={() => setRows(filledDown(rows, n))}
            onPaste={(event) => {
              const text = event.clipboardData.getData("text");
              if (!text.includes("\n")) return;
              event.preventDefault();
              setRows(pastedInto(rows, n, text));
            }}
          />
        ))}
      </ol>
      <button className="btn btn-leaf mt-2">Keep these nights</button>
    </PageForm>
  );
}

interface GridRowProps {
  readonly row: NightRow;
  readonly units: Units;
  readonly wrong: string | undefined;
  readonly onChange: (more: Partial<NightRow>) => void;
  readonly onFill: () => void;
  readonly onPaste: (event: ClipboardEvent) => void;
}

function GridRow({ row, units, wrong, onChange, onFill, onPaste }: GridRowProps) {
  const day = sayDay(row.on);
  const error = `night-${row.on}-wrong`;
  return (
    <li className="grid grid-cols-[6.5rem_5.5rem_1fr_auto] items-center gap-x-2 border-b border-rule py-1 sm:grid-cols-[7rem_6rem_6rem_auto_10rem_auto]">
      <span className="text-sm">{sayShortDay(row.on)}</span>
      <input
        aria-label={`Coldest, night of ${day}, °${units.temperature}`}
        className="field"
        placeholder={`°${units.temperature}`}
        inputMode="text"
        value={row.low}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong ? error : undefined}
        onChange={({ target }) => onChange({ low: target.value })}
        onPaste={onPaste}
      />
      <select
        aria-label={`Felt, night of ${day}`}
        className="field"
        value={row.felt}
        onChange={({ target }) => onChange({ felt: oneOf(FELTS, target.value) ?? "" })}
      >
        <option value="">felt …</option>
        {FELTS.map((felt) => (
          <option key={felt}>{felt}</option>
        ))}
      </select>
      <button
        type="button"
        className="btn btn-plain btn-tall min-w-11 sm:order-last"
        onClick={onFill}
        title="The same below"
      >
        <ArrowDownToLine aria-hidden="true" className="size-4" />
        <span className="sr-only">Say the same of the nights after {day}</span>
      </button>
      <label className="col-start-2 flex min-h-10 items-center gap-2 text-sm sm:col-start-auto pointer-coarse:min-h-11">
        <input
          type="checkbox"
          className="size-4 accent-leaf"
          checked={row.roof}
          onChange={({ target }) => onChange({ roof: target.checked })}
        />
        <span>
          <span className="sr-only">Night of {day}: </span>under a roof
        </span>
      </label>
      <select
        aria-label={`What else than the bed spoilt the night of ${day}`}
        className="field col-span-2 sm:col-span-1"
        value={row.spoilt}
        onChange={({ target }) => onChange({ spoilt: oneOf(SPOILS, target.value) ?? "" })}
      >
        <option value="">not spoilt</option>
        {SPOILS.map((spoil) => (
          <option key={spoil}>{spoil}</option>
        ))}
      </select>
      {wrong && (
        <p id={error} className="error col-span-full">
          {wrong}
        </p>
      )}
    </li>
  );
}
