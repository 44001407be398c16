import { BLANK_NIGHT } from "@/core/ledger/nights";
import type { Felt, FeltNight, ItemId, Spoil } from "@/core/model";
import { FELTS } from "@/core/model/lists";
import { daysAfter } from "@/core/sums/days";
import { temperatureText, type Units } from "@/core/units/speak";
import { readLow } from "./nights-typed";

/** One night of the grid, as it stands typed. */
export interface NightRow {
  readonly on: string;
  readonly low: string;
  readonly felt: Felt | "";
  readonly roof: boolean;
  readonly spoilt: Spoil | "";
  /** null: in what is usual. */
  readonly slept: readonly ItemId[] | null;
}

const BLANK_ROW = { low: "", felt: "", roof: false, spoilt: "", slept: null } as const;

const isBlank = ({ low, felt, roof, spoilt }: NightRow) => !low.trim() && !felt && !roof && !spoilt;

/** A row for each night from a trip's first day on, with what is told of it already. */
export function rowsOf(felt: readonly FeltNight[], starts: string, nights: number, units: Units): NightRow[] {
  const told = new Map(felt.map((night) => [night.on, night]));
  return Array.from({ length: nights }, (_, n): NightRow => {
    const on = daysAfter(starts, n);
    const night = told.get(on);
    if (!night) return { ...BLANK_ROW, on };
    return {
      on,
      low: night.low === null ? "" : temperatureText(night.low, units),
      felt: night.felt ?? "",
      roof: night.roof,
      spoilt: night.spoilt ?? "",
      slept: night.slept,
    };
  });
}

/** A row with something typed or chosen in it. */
export const withRow = (rows: readonly NightRow[], n: number, more: Partial<NightRow>): NightRow[] =>
  rows.map((row, at) => (at === n ? { ...row, ...more } : row));

/** What a row says, said of every night after it up to the next that is told already. */
export function filledDown(rows: readonly NightRow[], n: number): NightRow[] {
  const from = rows[n];
  if (!from) return [...rows];
  const next = rows.findIndex((row, at) => at > n && !isBlank(row));
  const end = next < 0 ? rows.length : next;
  return rows.map((row, at) => (at > n && at < end ? { ...from, on: row.on } : row));
}

/** Lines pasted into a row: a night each, from it on, a low and a feeling where one is named ("-2 cool"). */
export function pastedInto(rows: readonly NightRow[], n: number, text: string): NightRow[] {
  const lines = text.trimEnd().split(/\r?\n/);
  return rows.map((row, at) => {
    const line = lines[at - n];
    if (at < n || line === undefined || !line.trim()) return row;
    const felt = FELTS.find((word) => new RegExp(`\\b${word}\\b`, "i").test(line));
    const low = (felt ? line.replace(new RegExp(`\\b${felt}\\b`, "i"), "") : line).trim();
    return { ...row, ...(low && { low }), ...(felt && { felt }) };
  });
}

type ReadRows =
  | { readonly ok: true; readonly felt: FeltNight[] }
  | { readonly ok: false; readonly wrong: ReadonlyMap<number, string> };

/**
 * The nights that a trip's grid tells, with those told without a day as they were.
 *
 * @param usual what a night is slept in where its row does not say
 */
export function readRows(
  rows: readonly NightRow[],
  felt: readonly FeltNight[],
  usual: readonly ItemId[],
  units: Units,
): ReadRows {
  const lows = rows.map((row) => readLow(row.low, units));
  const wrong = new Map(lows.flatMap((low, n) => (low.ok ? [] : [[n, low.why] as const])));
  if (wrong.size) return { ok: false, wrong };
  const days = new Set(rows.map(({ on }) => on));
  const outside = felt.filter(({ on }) => on === null || !days.has(on));
  const told = rows.flatMap((row, n): FeltNight[] => {
    const low = lows[n];
    if (isBlank(row) || !low?.ok) return [];
    return [
      {
        ...BLANK_NIGHT,
        on: row.on,
        low: low.value,
        felt: row.felt || null,
        roof: row.roof,
        spoilt: row.spoilt || null,
        slept: [...(row.slept ?? usual)],
      },
    ];
  });
  return { ok: true, felt: [...outside, ...told] };
}
