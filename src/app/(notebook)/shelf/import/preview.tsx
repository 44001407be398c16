"use client";

import { useState, type KeyboardEvent, type ReactNode } from "react";
import type { Stow } from "@/core/model";
import { STOWS } from "@/core/model/lists";
import { groupBy, partition } from "@/core/sums/group";
import { KINDS } from "@/core/trade/kinds";
import { findKind } from "@/core/trade/words/names";
import { count, sayMass } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import type { CsvField, CsvRow } from "@/formats/items-csv";

/** Rows shown at a time: a page of more is slow to draw and read by nobody. */
const SHOWN = 500;

/** What was typed stands in its own unit; what it was read as, in grams. */
const GRAMS = { weight: "g", distance: "km", temperature: "C" } as const;

const KIND_NAMES = KINDS.map(({ id }) => id).toSorted();

interface PreviewProps {
  readonly rows: readonly CsvRow[];
  readonly doubles: boolean;
  readonly onMend: (line: number, field: CsvField, value: string) => void;
}

/** What the list comes to, a row a thing. A cell is mended in place: press it, and it can be typed in. */
export function Preview({ rows, doubles, onMend }: PreviewProps) {
  // What can't be read stands first: it is what has to be mended. The rest lies in its pockets.
  const [wrong, right] = partition(rows, ({ problem }) => problem !== null);
  const byPocket = groupBy(right.slice(0, Math.max(0, SHOWN - wrong.length)), pocketOf);
  const pockets = STOWS.flatMap((stow) => {
    const lie = byPocket.get(stow) ?? [];
    return lie.length > 0 ? [{ stow, lie }] : [];
  });
  return (
    <div>
      <p className="hint mb-1">Press a name, a weight, a kind or a place to mend it.</p>
      <div
        className="max-h-[28rem] overflow-auto border-y border-rule"
        tabIndex={0}
        role="region"
        aria-label="What it comes to"
      >
        <table className="w-full text-[0.95rem]">
          <thead className="sticky top-0 bg-paper text-left text-sm text-muted">
            <tr>
              <th className="py-1 font-normal">line</th>
              <th className="font-normal">thing</th>
              <th className="px-3 font-normal">weight</th>
              <th className="font-normal">kind</th>
              <th className="font-normal">rides</th>
            </tr>
          </thead>
          <tbody>
            {wrong.slice(0, SHOWN).map((row) => (
              <PreviewRow key={row.line} row={row} isOut={row.double && !doubles} onMend={onMend} />
            ))}
          </tbody>
          {pockets.map(({ stow, lie }) => (
            <tbody key={stow}>
              <tr className="border-t-2 border-rule-strong">
                <th colSpan={5} scope="rowgroup" className="py-1 text-left font-head">
                  {STOW_NAMES[stow]}{" "}
                  <span className="font-sans text-sm font-normal text-muted">{sayPocket(lie)}</span>
                </th>
              </tr>
              {lie.map((row) => (
                <PreviewRow key={row.line} row={row} isOut={row.double && !doubles} onMend={onMend} />
              ))}
            </tbody>
          ))}
        </table>
      </div>
      {rows.length > SHOWN && <p className="hint mt-1">… and {rows.length - SHOWN} more rows.</p>}
    </div>
  );
}

/** Where it rides: as the list says, else as its kind does. */
const pocketOf = ({ item }: CsvRow): Stow => item?.stow ?? findKind(item?.kind ?? "other")?.stow ?? "main";

const sayPocket = (lie: readonly CsvRow[]) =>
  `${count(lie.length, "thing")}, ${sayMass(
    lie.reduce((sum, { grams }) => sum + (grams ?? 0), 0),
    GRAMS,
  )}`;

interface PreviewRowProps extends Pick<PreviewProps, "onMend"> {
  readonly row: CsvRow;
  /** It is here already, and stays out. */
  readonly isOut: boolean;
}

function PreviewRow({ row, isOut, onMend }: PreviewRowProps) {
  const out = isOut ? "text-muted line-through" : "";
  return (
    <tr className={`border-t border-rule ${row.problem ? "text-sting" : out}`}>
      <td className="num py-0.5 pr-3">{row.line}</td>
      <td className="pr-3">
        <Cell row={row} field="name" value={row.name} onMend={onMend} />
        {row.problem && <span className="block text-sm">{row.problem}</span>}
        {row.unread && (
          <span className="block text-sm text-stem">
            “{row.unread}” is no date that can be read: kept in its note.
          </span>
        )}
      </td>
      <td className="num px-3">
        <Cell row={row} field="weight" value={row.weight} onMend={onMend} />
        {row.grams !== null && !/^\d+ g$/.test(row.weight) && (
          <span className="block text-sm text-muted">read as {sayMass(row.grams, GRAMS)}</span>
        )}
      </td>
      <td className="pr-3">
        <Cell row={row} field="kind" value={row.item?.kind ?? ""} of={KIND_NAMES} onMend={onMend} />
      </td>
      <td className="pr-3">
        <Cell row={row} field="stow" value={row.item?.stow ?? ""} of={STOWS} onMend={onMend}>
          as its kind
        </Cell>
      </td>
    </tr>
  );
}

interface CellProps extends Pick<PreviewProps, "onMend"> {
  readonly row: CsvRow;
  readonly field: CsvField;
  readonly value: string;
  /** All that it may be; left out: anything that is typed. */
  readonly of?: readonly string[];
  /** Said where it is blank. */
  readonly children?: ReactNode;
}

/** One cell: its text until it is pressed, then a field, or a choice where there are only so many. */
function Cell({ row: { line, name }, field, value, of, onMend, children = "–" }: CellProps) {
  const [open, setOpen] = useState(false);
  const label = `${field} of line ${line}${name && field !== "name" ? `, ${name}` : ""}`;
  if (!open)
    return (
      <button
        type="button"
        aria-label={`${label}: ${value || (typeof children === "string" ? children : "") || "blank"}`}
        className="min-h-7 w-full text-left hover:underline pointer-coarse:min-h-11"
        onClick={() => setOpen(true)}
      >
        {value || children}
      </button>
    );
  const keep = (typed: string) => {
    setOpen(false);
    if (typed !== value) onMend(line, field, typed);
  };
  const shared = {
    autoFocus: true,
    defaultValue: value,
    className: "field !min-h-7 !py-0",
    "aria-label": label,
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key === "Escape") setOpen(false);
    },
  };
  return of ? (
    <select {...shared} onChange={(event) => keep(event.target.value)} onBlur={() => setOpen(false)}>
      {!of.includes(value) && <option value={value}>{value || "–"}</option>}
      {of.map((each) => (
        <option key={each}>{each}</option>
      ))}
    </select>
  ) : (
    <input
      {...shared}
      onFocus={(event) => event.target.select()}
      onBlur={(event) => keep(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep(event.currentTarget.value);
        else shared.onKeyDown(event);
      }}
    />
  );
}
