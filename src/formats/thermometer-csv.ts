import { isExists } from "date-fns";
import Papa from "papaparse";
import { parseNumber } from "@/core/units/quantity";
import type { Reading } from "@/core/weather/night-lows";
import { nth } from "@/core/sums/there";

export type ReadThermometer =
  | { readonly ok: true; readonly readings: readonly Reading[]; readonly unit: "C" | "F" }
  | {
      readonly ok: false;
      readonly why: string;
      /** The file does not say its unit: ask, and read it again. */
      readonly asks?: "unit";
    };

/**
 * ISO, or year first; or day first where a day over 12 shows it. Seconds and a zone are left out: the clock
 * is the walker's.
 */
const ISO = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})[T ]+(\d{1,2}):(\d{2})/;
const OTHER = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4})[ ,T]+(\d{1,2}):(\d{2})/;

/**
 * Reads a thermometer's log: a table with a time and a temperature in each row, in any columns, with or
 * without a header.
 *
 * @param unit of its temperatures, where the file does not say
 */
export function readThermometer(text: string, unit?: "C" | "F"): ReadThermometer {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").trim(), { skipEmptyLines: "greedy" });
  const rows = data.map((row) => row.map((cell) => cell.trim()));
  const first = rows.findIndex((row) => row.some((cell) => ISO.test(cell) || OTHER.test(cell)));
  if (first < 0)
    return { ok: false, why: "There is no time in it. Each row needs one, like 2026-05-01 22:10." };
  const when = nth(rows, first).findIndex((cell) => ISO.test(cell) || OTHER.test(cell));
  const header = rows[first - 1] ?? [];
  const named = header.findIndex((name, n) => n !== when && /temp|°|^\s*[tcf]\s*$/i.test(name));
  const warm = named >= 0 ? named : nth(rows, first).findIndex((cell, n) => n !== when && isNumber(cell));
  if (warm < 0)
    return { ok: false, why: "There is no temperature in it. Each row needs one beside its time." };
  const own = unitIn(header[warm] ?? "") ?? unitIn(nth(rows, first)[warm] ?? "");
  const takenAs = own ?? unit;
  if (!takenAs)
    return { ok: false, asks: "unit", why: "It does not say whether its temperatures are °C or °F." };
  const dayFirst = rows.slice(first).some((row) => Number(OTHER.exec(row[when] ?? "")?.[1] ?? 0) > 12);
  const readings: Reading[] = [];
  for (const [n, row] of rows.slice(first).entries()) {
    const at = timeIn(row[when] ?? "", dayFirst);
    const cell = row[warm] ?? "";
    // A reading that the logger missed is left out; anything else that is no number is told.
    if (at && /^(n\/?a|nan|--*|err.*)?$/i.test(cell)) continue;
    if (!at || !isNumber(cell))
      return { ok: false, why: `Row ${first + n + 1} can't be read: “${row.join(", ").slice(0, 60)}”.` };
    const value = parseNumber(cell.replace(/\s*(°?\s*[CF])?$/i, "")) ?? Number.NaN;
    const c = takenAs === "F" ? (value - 32) / 1.8 : value;
    if (c < -90 || c > 70)
      return {
        ok: false,
        why: `Row ${first + n + 1} says ${value} °${takenAs}: nowhere is so ${c < 0 ? "cold" : "hot"}. Is the unit right?`,
      };
    readings.push({ at, c: Math.round(c * 10) / 10 });
  }
  return { ok: true, readings, unit: takenAs };
}

const isNumber = (cell: string) => /^[-−+]?\d+([.,]\d+)?\s*(°?\s*[CF])?$/i.test(cell);

const unitIn = (text: string): "C" | "F" | null => {
  const told = /(?:°|deg|\(|\[|_|\s|\d|^)\s*([CF])\b|celsius|fahrenheit/i.exec(text);
  if (!told) return null;
  return (told[1] ?? told[0]).toUpperCase().startsWith("C") ? "C" : "F";
};

function timeIn(cell: string, dayFirst: boolean): string | null {
  const iso = ISO.exec(cell);
  const other = iso ? null : OTHER.exec(cell);
  const [year, month, day, hour, minute] = iso
    ? iso.slice(1)
    : other
      ? [other[3], ...(dayFirst ? [other[2], other[1]] : [other[1], other[2]]), other[4], other[5]]
      : [];
  if (!year || !month || !day || !hour || !minute) return null;
  const two = (text: string) => text.padStart(2, "0");
  // A day that no month has is told, and not taken for one of the next.
  const isThere = isExists(Number(year), Number(month) - 1, Number(day)) && Number(hour) < 24;
  return isThere && Number(minute) < 60 ? `${year}-${two(month)}-${two(day)}T${two(hour)}:${minute}` : null;
}
