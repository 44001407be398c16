import { count } from "@/core/units/speak";

/** What a file of version 1 said of a mark's one trouble: what went wrong, or how it left. */
const EXITS = ["lost", "given away", "sent home", "worn out", "thrown out"];

type Json = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const each = (list: unknown, change: (record: Json) => Json): unknown =>
  Array.isArray(list) ? list.map((record: unknown) => (isRecord(record) ? change(record) : record)) : list;

/**
 * A file of an earlier version in the words of the present one; what is not understood is left for the reader
 * to name.
 *
 * Version 1 had one trouble a mark, in which a thing that had left counted too; "froze" as yes or no; and
 * every thing was new unless it was said otherwise, so that "new" is believed only where a date says so.
 */
export function carriedForward(file: unknown): unknown {
  if (!isRecord(file) || file.version !== 1) return file;
  return {
    ...file,
    version: 2,
    items: each(file.items, (item) =>
      item.past === "new" && !item.acquired ? { ...item, past: "known" } : item,
    ),
    trips: each(file.trips, (trip) => ({ ...trip, marks: each(trip.marks, markForward) })),
  };
}

function markForward({ trouble, froze, ...mark }: Json): Json {
  return {
    ...mark,
    ...(typeof trouble === "string" &&
      (EXITS.includes(trouble) ? { exit: { how: trouble } } : { troubles: [trouble] })),
    ...(typeof froze === "boolean" && { frost: froze ? "froze" : "kept" }),
  };
}

/** Control characters, and two that are none, which earlier versions kept in texts and no XML can hold. */
const CONTROLS = /[\u0001-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;
/** One of them as JSON has it: escaped, or, of the two, as it is. */
const MAY_HOLD = /\\u(?:00[01][0-9a-f]|fff[ef])|\\[bf]|[\ufffe\uffff]/i;

/** A file without control characters in its texts; what was taken out is told. */
export function withoutControls(text: string, file: unknown): { file: unknown; told: readonly string[] } {
  if (!MAY_HOLD.test(text)) return { file, told: [] };
  let cleaned = 0;
  const clean = (value: unknown): unknown => {
    if (typeof value === "string") {
      const plain = value.replace(CONTROLS, "");
      if (plain !== value) cleaned += 1;
      return plain;
    }
    if (Array.isArray(value)) return value.map(clean);
    return isRecord(value)
      ? Object.fromEntries(Object.entries(value).map(([field, held]) => [field, clean(held)]))
      : value;
  };
  const plain = clean(file);
  return {
    file: plain,
    told: cleaned > 0 ? [`Characters that can’t be shown were taken out of ${count(cleaned, "text")}.`] : [],
  };
}
