// What TypeScript knows of a record or a list and its own library forgets; the only place that says so.

/** The keys of a record that is written out in full, by their own type. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[];

/** Its keys with their values. */
export const entriesOf = <K extends string, V>(record: Readonly<Partial<Record<K, V>>>): [K, V][] =>
  Object.entries(record) as [K, V][];

/** A record of what each key comes to. */
export const recordOf = <K extends string, V>(entries: Iterable<readonly [K, V]>): Record<K, V> =>
  Object.fromEntries(entries) as Record<K, V>;

/** Is it one of these? */
export const isOneOf = <T>(all: readonly T[], value: unknown): value is T =>
  all.some((each) => each === value);
