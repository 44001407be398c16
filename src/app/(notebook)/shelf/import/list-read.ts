import {
  guessMapping,
  readItems,
  readTable,
  unitOfList,
  type CsvField,
  type CsvRow,
  type Mapping,
} from "@/formats/items-csv";
import type { ListState } from "./list-state";

export const mended = (state: ListState, line: number, field: CsvField, value: string): ListState => ({
  ...state,
  mends: new Map(state.mends).set(line, { ...state.mends.get(line), [field]: value }),
});

/** Where the list goes: what is on the shelf already, and the unit of a bare number. */
export interface Shelf {
  readonly owned: readonly string[];
  readonly unit: "g" | "oz";
}

/** The table that was given, or why it is none; null: there is no text yet. */
export const tableOf = (text: string) => (text.trim() === "" ? null : readTable(text));
export type Table = Extract<ReturnType<typeof readTable>, { ok: true }>;

/** What the list comes to. */
export interface ReadList {
  readonly mapping: Mapping;
  /** The weight of several pieces is that of each. */
  readonly each: boolean;
  readonly listUnit: ReturnType<typeof unitOfList>;
  /** All that may go in; without what looks like a heading, until that is asked for. */
  readonly rows: readonly CsvRow[];
  readonly aside: readonly CsvRow[];
  readonly several: readonly CsvRow[];
  readonly bad: readonly CsvRow[];
  readonly twice: readonly CsvRow[];
  readonly heavy: readonly CsvRow[];
  readonly good: readonly NonNullable<CsvRow["item"]>[];
}

export function readList(state: ListState, table: Table, { owned, unit }: Shelf): ReadList {
  const { chosen, claimed, past, mends, asides, doubles } = state;
  const mapping = chosen ?? guessMapping(table.header);
  const heading = mapping.weight === undefined ? "" : (table.header[mapping.weight] ?? "");
  const each = state.each ?? /\beach\b|per piece|apiece/i.test(heading);
  const all =
    mapping.name === undefined
      ? []
      : readItems(table.header, table.rows, mapping, new Set(owned), unit, {
          start: table.start,
          each,
          claimed,
          past,
          mends,
        });
  const rows = all.filter(({ aside, item }) => aside === null || (asides && item !== null));
  const taken = rows.filter(({ item, double }) => item !== null && (doubles || !double));
  return {
    mapping,
    each,
    listUnit: unitOfList(table.header, table.rows, mapping),
    rows,
    aside: all.filter(({ aside }) => aside !== null),
    several: rows.filter((row) => row.several),
    bad: rows.filter(({ problem }) => problem !== null),
    twice: rows.filter(({ problem, double }) => problem === null && double),
    heavy: taken.filter((row) => row.heavy),
    good: taken.flatMap(({ item }) => item ?? []),
  };
}

/** It may go in: nothing of it is unread, and what is doubtful was looked at. */
export const mayKeep = ({ bad, good, heavy }: ReadList, { sure }: ListState): boolean =>
  bad.length === 0 && good.length > 0 && (heavy.length === 0 || sure);
