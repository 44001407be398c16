import Papa from "papaparse";
import readSheets, { type CellValue } from "read-excel-file/web-worker";
import { MOST_CELLS } from "@/formats/limits";

const two = (n: number) => String(n).padStart(2, "0");
/** A cell as it would be typed; a day as 2026-05-03, whatever the sheet shows it as. */
const typed = (cell: CellValue | null): string =>
  cell instanceof Date
    ? `${cell.getUTCFullYear()}-${two(cell.getUTCMonth() + 1)}-${two(cell.getUTCDate())}`
    : String(cell ?? "");

/** Reads the values of a spreadsheet's first sheet that has any; its formulas are not run. */
self.onmessage = async ({ data: file }: MessageEvent<File>) => {
  try {
    const sheets = await readSheets(file);
    const rows = sheets.map(({ data }) => data).find((sheet) => sheet.some((row) => row.some(Boolean)));
    if (!rows) throw new Error("There is nothing in it.");
    if (rows.reduce((sum, row) => sum + row.length, 0) > MOST_CELLS)
      throw new Error("It has more cells than a list of gear.");
    self.postMessage({ text: Papa.unparse(rows.map((row) => row.map(typed))) });
  } catch (error) {
    const why = error instanceof Error && /\.$/.test(error.message) ? error.message : "It can’t be read.";
    self.postMessage({ why });
  }
};
