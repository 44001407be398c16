/** What a file of version 1 said of a mark's one trouble: what went wrong, or how it left. */
const EXITS = ["lost", "given away", "sent home", "worn out", "thrown out"];

type Json = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const each = (list: unknown, change: (record: Json) => Json): unknown =>
  Array.isArray(list) ? list.map((record: unknown) => (isRecord(record) ? change(record) : record)) : list;

/**
 * A file of an earlier version in the words of the present one; what is not understood is left for the reader to name.
 *
 * Version 1 had one trouble a mark, in which a thing that had left counted too; "froze" as yes or no; and every thing was
 * new unless it was said otherwise, so that "new" is believed only where a date says so.
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
