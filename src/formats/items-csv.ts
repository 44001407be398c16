import Papa from "papaparse";
import type { z } from "zod";
import { isHeavy } from "@/core/ledger/check/check";
import { ratingsIn } from "@/core/shelf/ratings-in";
import { findKind, guessKind } from "@/core/trade/words/names";
import { Day, Item, STOWS, type Item as ItemRecord } from "@/core/model";
import { ABOUT, parseMass, parseNumber, type MassUnit, type Parsed } from "@/core/units/quantity";
import { nth } from "@/core/sums/there";

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
  "worn",
  "consumable",
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];
/** For each field the number of its column, if it has one. */
export type Mapping = Readonly<Partial<Record<CsvField, number>>>;

export type CsvTable =
  | {
      readonly ok: true;
      readonly header: readonly string[];
      readonly rows: readonly (readonly string[])[];
      /** Lines before the header, which hold no things. */
      readonly start: number;
    }
  | { readonly ok: false; readonly why: string };

/** Reads a table as RFC 4180 has it; commas, semicolons and tabs are told apart by themselves. */
export function readTable(text: string): CsvTable {
  const plain = text.replace(/^\uFEFF/, "");
  // What parts the cells is guessed from the lines that hold something; the blank ones are kept, as lines are counted.
  const { delimiter } = Papa.parse<string[]>(plain, { skipEmptyLines: "greedy", preview: 50 }).meta;
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter });
  const broken = errors.find((error) => error.type === "Quotes");
  if (broken) return { ok: false, why: `Line ${(broken.row ?? 0) + 1}: a quotation mark is not closed.` };
  const start = headerIn(data);
  const [header, ...rows] = data.slice(start);
  if (!header || rows.every(isBlank))
    return {
      ok: false,
      why: "There are no rows in it. The first line names the columns, each further line is a thing.",
    };
  return { ok: true, header: header.map((name) => name.trim()), rows, start };
}

const isBlank = (row: readonly string[]) => row.every((cell) => cell.trim() === "");

/** Lines among which the one that names the columns is looked for: a list often bears a title. */
const HEAD_LINES = 12;

/** The first line that names a column for the things and one more; the first line of all where none does. */
function headerIn(lines: readonly (readonly string[])[]): number {
  const at = lines.slice(0, HEAD_LINES).findIndex((cells) => {
    const mapping = guessMapping(cells.map((cell) => cell.trim()));
    return mapping.name !== undefined && Object.keys(mapping).length > 1;
  });
  return Math.max(0, at);
}

const WORDS: Readonly<Record<CsvField, RegExp>> = {
  name: /^((item|thing|gear|product)s? ?)?(name|item|thing|gear|title|what|what (is )?it( is)?|piece of (gear|kit)|my (gear|kit))$/i,
  kind: /^(kind|type|category|class)$/i,
  weight: /weight|mass|^wt\b|grams?|^g$|ounces?|^oz$|^kg$|\((k?g|oz|lbs?|grams?)\)|^each\b|how heavy/i,
  unit: /units?$/i,
  stow: /stow|where|place|pocket|location|rides/i,
  pieces: /pieces|^pcs\b|qty|quantity|count|number|^amount$|how many|^no\.?$|^n$|^#$/i,
  price: /price|cost|paid|€|\$|£/i,
  acquired: /acquired|bought|date|since|^when\b|got it/i,
  state: /^(state|status)$/i,
  note: /note|comment|remark|description|desc/i,
  worn: /^worn\b/i,
  consumable: /^consum/i,
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

/** Cells of a row that are mended in the preview, in place of what the list has. */
export type Mends = ReadonlyMap<number, Readonly<Partial<Record<CsvField, string>>>>;

/** What one row comes to. Lines count from 1, the header being line 1. */
export interface CsvRow {
  readonly line: number;
  readonly name: string;
  /** As it is written, or as it is read where it can be. */
  readonly weight: string;
  /** In the shape of an item in a file, without its id. */
  readonly item: Omit<ReturnType<typeof Item.encode>, "id"> | null;
  readonly problem: string | null;
  readonly double: boolean;
  /** What it is instead of a thing: left out unless it is asked for. */
  readonly aside: "heading" | "total" | null;
  /** Several pieces with one weight: of each, or of all? */
  readonly several: boolean;
  /** More than one thing weighs: to be asked about, not refused. */
  readonly heavy: boolean;
  /** Its weight as it was read, of all pieces; null where there is none. */
  readonly grams: number | null;
  /** A date that could not be read: its words are kept in the note. */
  readonly unread: string | null;
}

/** What a list is read with: what is what in it, and what was said of it since. */
interface Reading {
  readonly header: readonly string[];
  readonly mapping: Mapping;
  /** The unit of a bare number: its column's, or the owner's. */
  readonly bareUnit: MassUnit;
  readonly dayOrder: ReturnType<typeof dayOrder>;
  /** The weight of several is that of each. */
  readonly each: boolean;
  /** All weights are the makers' own. */
  readonly claimed: boolean;
  /** Whether all of it is new, or how far it has gone. */
  readonly past: ItemRecord["past"];
}

/** What a cell holds, mended or as it came; blank for what people put where they know nothing. */
type CellOf = (field: CsvField) => string;

/**
 * Reads the rows as items. A weight without a unit takes that of its column's name, of the unit column, or `bareUnit`.
 *
 * @param owned names on the shelf already, in lower case
 * @param list its first line; whether the weight of several is that of each, whether all weights are the makers',
 *   how far all of it has gone, and cells mended since, by line
 */
export function readItems(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  mapping: Mapping,
  owned: ReadonlySet<string>,
  bareUnit: "g" | "oz",
  {
    start = 0,
    each = false,
    claimed = false,
    past = "known",
    mends,
  }: {
    readonly start?: number;
    readonly each?: boolean;
    readonly claimed?: boolean;
    readonly past?: ItemRecord["past"];
    readonly mends?: Mends;
  } = {},
): CsvRow[] {
  const at = (row: readonly string[], field: CsvField) =>
    mapping[field] === undefined ? "" : (row[mapping[field]] ?? "");
  const reading: Reading = {
    header,
    mapping,
    bareUnit: unitNamed(header, mapping) ?? bareUnit,
    dayOrder: dayOrder(rows.map((row) => at(row, "acquired"))),
    each,
    claimed,
    past,
  };
  const seen = new Set(owned);
  const last = rows.findLastIndex((row) => !isBlank(row));
  return rows.flatMap((row, n): CsvRow | [] => {
    if (isBlank(row)) return [];
    const line = start + n + 2;
    const mended = mends?.get(line) ?? {};
    const cell: CellOf = (field) => {
      const text = (mended[field] ?? at(row, field)).trim();
      return field !== "name" && field !== "note" && NOTHING.test(text) ? "" : text;
    };
    const name = cell("name");
    const double = seen.has(name.toLowerCase());
    seen.add(name.toLowerCase());
    const aside = asideOf(row, name, mapping, n === last);
    const read =
      name === ""
        ? unread(aside ? null : "It has no name.")
        : readRow(cell, mended.kind !== undefined, reading);
    return {
      line,
      name,
      weight: read.item?.weights?.at(-1)?.weight?.toString() ?? cell("weight"),
      double,
      aside,
      ...read,
    };
  });
}

type ReadRow = Omit<CsvRow, "line" | "name" | "weight" | "double" | "aside">;

const unread = (problem: string | null): ReadRow => ({
  item: null,
  problem,
  several: false,
  heavy: false,
  grams: null,
  unread: null,
});

/** A thing of a list has no id yet. */
const Listed = Item.omit({ id: true });

/** One row as an item, or what is wrong with the first cell that can't be read. */
function readRow(cell: CellOf, isKindMended: boolean, reading: Reading): ReadRow {
  const pieces = piecesIn(cell("pieces"));
  const weighed = weightIn(cell, pieces, reading);
  if (!weighed.ok) return unread(weighed.why);
  const day = cell("acquired");
  const bought = dayIn(day, reading.dayOrder);
  const kind = cell("kind");
  const itsKind = kindIn(cell, isKindMended, reading);
  const stow = cell("stow").toLowerCase();
  const made = Listed.safeParse({
    name: cell("name"),
    weights: weighed.value,
    kind: itsKind,
    ratings: ratingsIn(cell("name"), itsKind),
    past: reading.past,
    stow: STOWS.find((each) => stow.startsWith(each)) ?? null,
    pieces,
    load: loadIn(cell),
    price: sumOfMoney(cell("price")),
    acquired: bought,
    state: cell("state").toLowerCase() || "active",
    note: [
      cell("note"),
      kind && !findKind(kind) ? `kind in the list: ${kind}` : "",
      // A date that can't be read costs its cell, not the list: its words are kept.
      day && bought === null ? `acquired: ${day}` : "",
    ]
      .filter(Boolean)
      .join("; "),
  });
  if (!made.success) return unread(wrongIn(made.error, cell));
  const weight = made.data.weights.at(-1)?.weight ?? null;
  return {
    item: Listed.encode(made.data),
    problem: null,
    grams: weight?.g ?? null,
    unread: day && bought === null ? day : null,
    heavy: isHeavy(weight),
    several: pieces > 1 && weight !== null,
  };
}

function wrongIn({ issues }: z.core.$ZodError, cell: CellOf): string {
  const [issue] = issues;
  const field = CSV_FIELDS.find((each) => each === issue?.path[0]);
  const where = field ? `${issue?.path.join(" ")} “${cell(field)}”` : issue?.path.join(" ");
  return `${where}: ${issue?.message}`;
}

/** The weight of all pieces, as an item of a file has it; none where the cell is blank. */
function weightIn(
  cell: CellOf,
  pieces: number,
  { bareUnit, each, claimed }: Reading,
): Parsed<{ weight: string; how?: "claimed" }[]> {
  const { text, isClaimed } = plainWeight(cell("weight"));
  if (text === "") return { ok: true, value: [] };
  const unit = cell("unit").toLowerCase();
  const mass = parseMass(/[a-z]/i.test(text) || unit === "" ? text : `${text} ${unit}`, bareUnit);
  if (!mass.ok) return { ok: false, why: `weight “${text}${unit ? ` ${unit}` : ""}”: ${mass.why}` };
  const ofAll = `${Math.round(mass.value.g * pieces * 10) / 10} g`;
  const weight = each && pieces > 1 ? ofAll : mass.value.typed;
  return { ok: true, value: [isClaimed || claimed ? { weight, how: "claimed" } : { weight }] };
}

/** A column of kinds is meant as such; of a list's own headings ("kitchen") the name tells more. */
function kindIn(cell: CellOf, isMended: boolean, { header, mapping }: Reading): string {
  const guessed = guessKind(cell("name")).id;
  const isOurs = isMended || /^kind$/i.test(mapping.kind === undefined ? "" : (header[mapping.kind] ?? ""));
  if (!isOurs && guessed !== "other") return guessed;
  return findKind(cell("kind"))?.id ?? guessed;
}

const loadIn = (cell: CellOf) => {
  if (isTicked(cell("worn"))) return "worn";
  return isTicked(cell("consumable")) ? "consumable" : null;
};

/** What people put where they know nothing. */
const NOTHING = /^(n\/?a|\?+|[-–—]+|tb[cda]|none|nil|unknown|not known|not weighed)$/i;

const ROUGHLY = new RegExp(`^\\s*${ABOUT}\\s*`, "i");

/** A weight without what is only said about it: "~340", "approx. 340 g", "340 g (claimed)". */
function plainWeight(text: string): { readonly text: string; readonly isClaimed: boolean } {
  const isClaimed = /\b(claimed|listed|spec|maker|as sold)\b/i.test(text);
  const plain = text
    .replace(/\((?:[^()]*)\)/g, "")
    .replace(/\b(claimed|listed|weighed|measured|each)\b/gi, "")
    .replace(ROUGHLY, "")
    .trim();
  return { text: plain, isClaimed };
}

type DayOrder = "day first" | "month first";
const NUMERIC_DAY = /^(\d{1,2})[/.-](\d{1,2})[/.-](\d{4}|\d{2})$/;

/** In which order a column writes its days: as its cells settle it (21/09 does); where none does, the day first. */
function dayOrder(cells: readonly string[]): DayOrder {
  const told = cells.map((cell) => NUMERIC_DAY.exec(cell.trim())).filter((match) => match !== null);
  const isMonthFirst =
    told.some((match) => Number(match[2]) > 12) && !told.some((match) => Number(match[1]) > 12);
  return isMonthFirst ? "month first" : "day first";
}

/** A day as it is written in a list; null where it can't be read, or is none. */
function dayIn(text: string, order: DayOrder): string | null {
  if (Day.safeParse(text).success) return text;
  const numeric = NUMERIC_DAY.exec(text);
  if (numeric) {
    const [, first, second, year] = numeric;
    const [day, month] = order === "day first" ? [first!, second!] : [second!, first!];
    return asDay(year!, month, day);
  }
  const worded =
    /^(\d{1,2})(?:st|nd|rd|th)?\s+([a-z]{3,9})\.?,?\s+(\d{4})$/i.exec(text) ??
    /^()([a-z]{3,9})\.?\s+(\d{4})$/i.exec(text);
  const month = worded ? MONTHS.indexOf(nth(worded, 2).slice(0, 3).toLowerCase()) + 1 : 0;
  return worded && month > 0 ? asDay(nth(worded, 3), String(month), worded[1] || "1") : null;
}
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

function asDay(year: string, month: string, day: string): string | null {
  const whole = `${year.length === 2 ? `20${year}` : year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
  return Day.safeParse(whole).success ? whole : null;
}

/** The unit that the column of weights bears in its name. */
const unitNamed = (header: readonly string[], mapping: Mapping) =>
  /\b(kg|g|oz|lb)\b/i
    .exec(mapping.weight === undefined ? "" : (header[mapping.weight] ?? ""))?.[1]
    ?.toLowerCase() as "kg" | "g" | "oz" | "lb" | undefined;

/**
 * The owner's unit that a list is written in: by its column's name, else by most of its weights; null where
 * none is told.
 */
export function unitOfList(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  mapping: Mapping,
): "g" | "oz" | null {
  const named = unitNamed(header, mapping);
  if (named) return named === "g" || named === "kg" ? "g" : "oz";
  const cells = rows.map((row) =>
    [mapping.weight, mapping.unit]
      .map((column) => (column === undefined ? "" : (row[column] ?? "")))
      .join(" "),
  );
  const metric = cells.filter((cell) => /\b(k?g|grams?|kilos?)\b|\d\s*k?g\b/i.test(cell)).length;
  const imperial = cells.filter((cell) => /(oz|ounces?|lbs?|pounds?)\b/i.test(cell)).length;
  if (metric === imperial) return null;
  return metric > imperial ? "g" : "oz";
}

/** Said of a row that adds others up. */
const TOTAL = /^(grand |sub-?|base |pack |big (three|3) )?(total|sum|subtotal|weight)s?\b|\btotals?:?$/i;

/** A heading has a name and nothing else; a total says so, or stands last with figures and no name. */
function asideOf(row: readonly string[], name: string, mapping: Mapping, isLast: boolean): CsvRow["aside"] {
  const others = row.map((cell) => cell.trim()).filter((cell, n) => n !== mapping.name && cell !== "");
  if (TOTAL.test(name) || (name === "" && others.some((cell) => TOTAL.test(cell)))) return "total";
  if (name === "") return isLast && others.length > 0 && others.every(isFigure) ? "total" : null;
  return others.length === 0 && mapping.weight !== undefined ? "heading" : null;
}

const isFigure = (cell: string) => /^[\d.,\s]+[a-z]{0,5}$/i.test(cell);

/** How many pieces: "3", "x3", "2 pcs"; a pair is one thing. NaN where it is no number. */
function piecesIn(text: string): number {
  const plain = text.trim().toLowerCase();
  if (plain === "") return 1;
  const match = /^[x×]?\s*(\d+(?:[.,]0+)?)\s*(?:[x×]|pcs?|pieces?|pairs?|pr|sets?|ea)?\.?$/.exec(plain);
  return match ? Number.parseInt(nth(match, 1), 10) : Number.NaN;
}

const isTicked = (text: string) => /^(x|y|yes|true|1|✓|✔|worn|consumable)$/i.test(text.trim());

/** A sum of money without its sign: "€1,200.50"; null where the cell is blank. */
const sumOfMoney = (text: string) => parseNumber(text.replace(/[^\d.,-]/g, ""));

/** What a spreadsheet would run: the package's own pattern misses a cell that goes on in a second line. */
export const FORMULA = /^[=+\-@\t\r\n]/;

/** Writes the shelf as a table. A cell that a spreadsheet would run as a formula is made harmless. */
export function writeItems(items: readonly ItemRecord[]): string {
  return `${Papa.unparse(
    {
      fields: CSV_FIELDS.filter((field) => !["unit", "worn", "consumable"].includes(field)),
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
