import type { z } from "zod";

/** A record's fields and its columns are one list, the model's: a column bears its field's name. */
export interface Columns {
  /**
   * As a select lists them, quoted, of a table called so; dates as text, for the day must not shift with the
   * time zone.
   */
  readonly read: (table: string) => string;
  readonly names: string;
  /** What an upsert sets: everything but the key. */
  readonly set: string;
}

const quoted = (name: string) => `"${name}"`;

/**
 * @param dates fields kept as dates
 * @param once fields that an upsert leaves as they are: they are changed by statements of their own
 */
export function columnsOf(
  shape: z.ZodRawShape,
  {
    key,
    dates = [],
    once = [],
    without = [],
  }: {
    key: readonly string[];
    dates?: readonly string[];
    once?: readonly string[];
    without?: readonly string[];
  },
): Columns {
  const fields = Object.keys(shape).filter((field) => !without.includes(field));
  return {
    read: (table) =>
      fields
        .map((field) =>
          dates.includes(field)
            ? `${table}.${quoted(field)}::text as ${quoted(field)}`
            : `${table}.${quoted(field)}`,
        )
        .join(", "),
    names: fields.map(quoted).join(", "),
    set: fields
      .filter((field) => !key.includes(field) && !once.includes(field))
      .map((field) => `${quoted(field)} = excluded.${quoted(field)}`)
      .join(", "),
  };
}
