import Papa from "papaparse";
import { isHeavy } from "@/core/ledger/check";
import { findKind, guessKind } from "@/core/trade/names";
import { Item, STOWS, type Item as ItemRecord } from "@/core/model";
import { parseMass } from "@/core/units/quantity";

/** Columns that a list may have, in the order they are written. */
export const CSV_FIELDS = [
  "name",
  "kind",
  "weight",
  "unit",
  "stow",
  "pieces",
  "price",
  "acquired",
  "state",
  "note",
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];
/** For each field the number of its column, if it has one. */
export type Mapping = Readonly<Partial<Record<CsvField, number>>>;

/** Largest list read, in bytes. */
export const CSV_LIMIT = 5 * 1024 * 1024;

export type CsvTable =
  | { readonly ok: true; readonly header: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly why: string };

/** Reads a table as RFC 4180 has it; commas, semicolons and tabs are told apart by themselves. */
export function readTable(text: string): CsvTable {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const broken = errors.find((error) => error.type === "Quotes");
  if (broken) return { ok: false, why: `Line ${(broken.row ?? 0) + 1}: a quotation mark is not closed.` };
  const [header, ...rows] = data;
  if (!header || rows.length === 0)
    return {
      ok: false,
      why: "There are no rows in it. The first line names the columns, each further line is a thing.",
    };
  return { ok: true, header: header.map((name) => name.trim()), rows };
}

const WORDS: Readonly<Record<CsvField, RegExp>> = {
  name: /^((item|thing|gear|product)s? ?)?(name|item|thing|gear|title|what)$/i,
  kind: /^(kind|type|category|class)$/i,
  weight: /weight|mass|^wt\b|grams?|^g$|ounces?|^oz$|^kg$/i,
  unit: /units?$/i,
  stow: /stow|where|place|pocket|location|rides/i,
  pieces: /pieces|qty|quantity|count|number|^n$/i,
  price: /price|cost|paid/i,
  acquired: /acquired|bought|date|since/i,
  state: /^(state|status)$/i,
  note: /note|comment|remark|description|desc/i,
};

/** Which column holds what, guessed from their names. */
export function guessMapping(header: readonly string[]): Mapping {
  const taken = new Set<number>();
  return Object.fromEntries(
    (["unit", ...CSV_FIELDS.filter((field) => field !== "unit")] as const).flatMap((field) => {
      const column = header.findIndex((name, n) => !taken.has(n) && WORDS[field].test(name));
      if (column < 0) return [];
      taken.add(column);
      return [[field, column]];
    }),
  );
}

/** What one row comes to. Lines count from 1, the header being line 1. */
export interface CsvRow {
  readonly line: number;
  readonly name: string;
  /** In the shape of an item in a file, without its id. */
  readonly item: Omit<ReturnType<typeof Item.encode>, "id"> | null;
  readonly problem: string | null;
  readonly double: boolean;
  /** More than one thing weighs: to be asked about, not refused. */
  readonly heavy: boolean;
}

/**
 * Reads the rows as items. A weight without a unit takes that of its column's name, of the unit column, or `bareUnit`.
 *
 * @param owned names on the shelf already, in lower case
 */
export function readItems(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  mapping: Mapping,
  owned: ReadonlySet<string>,
  bareUnit: "g" | "oz",
): CsvRow[] {
  const seen = new Set(owned);
  const named = /\b(kg|g|oz|lb)\b/i
    .exec(mapping.weight === undefined ? "" : (header[mapping.weight] ?? ""))?.[1]
    ?.toLowerCase() as "kg" | "g" | "oz" | "lb" | undefined;
  return rows.map((row, n): CsvRow => {
    const cell = (field: CsvField) =>
      mapping[field] === undefined ? "" : (row[mapping[field]] ?? "").trim();
    const name = cell("name");
    const double = seen.has(name.toLowerCase());
    seen.add(name.toLowerCase());
    const told = (item: CsvRow["item"], problem: string | null, heavy = false): CsvRow => ({
      line: n + 2,
      name,
      item,
      problem,
      double,
      heavy,
    });
    if (name === "") return told(null, "It has no name.");
    const weight = cell("weight");
    const unit = cell("unit").toLowerCase();
    const mass =
      weight === ""
        ? null
        : parseMass(/[a-z]/i.test(weight) || unit === "" ? weight : `${weight} ${unit}`, named ?? bareUnit);
    if (mass && !mass.ok) return told(null, `weight “${weight}${unit ? ` ${unit}` : ""}”: ${mass.why}`);
    const kind = cell("kind");
    const stow = cell("stow").toLowerCase();
    const price = plainNumber(cell("price"));
    const made = Item.omit({ id: true }).safeParse({
      name,
      weights: mass?.ok ? [{ weight: mass.value.typed }] : [],
      kind: (kind && findKind(kind)?.id) || guessKind(name).id,
      stow: STOWS.find((each) => stow.startsWith(each)) ?? null,
      pieces: cell("pieces") === "" ? 1 : Number(cell("pieces")),
      price: price === "" ? null : Number(price),
      acquired: cell("acquired") || null,
      state: cell("state").toLowerCase() || "active",
      note: [cell("note"), kind && !findKind(kind) ? `kind in the list: ${kind}` : ""]
        .filter(Boolean)
        .join("; "),
    });
    if (!made.success) {
      const { path, message } = made.error.issues[0]!;
      return told(null, `${path.join(" ")} “${cell(path[0] as CsvField)}”: ${message}`);
    }
    return told(
      Item.omit({ id: true }).encode(made.data),
      null,
      isHeavy(made.data.weights.at(-1)?.weight ?? null),
    );
  });
}

/** A sum of money without its sign: "€1,200.50", "1.200,50" and "1200,50" are all read; a comma before three digits parts thousands. */
function plainNumber(text: string): string {
  const bare = text.replace(/[^\d.,-]/g, "");
  if (/^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(bare)) return bare.replaceAll(",", "");
  return (/^-?\d{1,3}(\.\d{3})+,\d+$/.test(bare) ? bare.replaceAll(".", "") : bare).replace(",", ".");
}

/** What a spreadsheet would run: the package's own pattern misses a cell that goes on in a second line. */
const FORMULA = /^[=+\-@\t\r\n]/;

/** Writes the shelf as a table. A cell that a spreadsheet would run as a formula is made harmless. */
export function writeItems(items: readonly ItemRecord[]): string {
  return `${Papa.unparse(
    {
      fields: CSV_FIELDS.filter((field) => field !== "unit"),
      data: items.map(({ name, kind, weights, stow, pieces, price, acquired, state, note }) => [
        name,
        kind,
        weights.at(-1)?.weight.typed ?? "",
        stow ?? "",
        pieces,
        price ?? "",
        acquired ?? "",
        state,
        note,
      ]),
    },
    { newline: "\r\n", escapeFormulae: FORMULA },
  )}\r\n`;
}
