import { Line, type TripId } from "@/core/model";
import type { Db } from "./db";

/** Adds lines to those of a trip, each once, whatever how often it is sent; false where there is no such trip. */
export async function addLines(db: Db, trip: TripId, lines: readonly Line[]): Promise<boolean> {
  const { rows } = await db.query("select lines from trip where id = $1 for update", [trip]);
  if (!rows[0]) return false;
  const known = Line.array().parse(rows[0].lines);
  const ids = new Set(known.map(({ id }) => id));
  const all = [...known, ...lines.filter(({ id }) => !ids.has(id))].sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : 0,
  );
  await saveLines(db, trip, all);
  return true;
}

/** Puts a trip's lines in place of those it had. */
export async function saveLines(db: Db, trip: TripId, lines: readonly Line[]): Promise<void> {
  await db.query("update trip set lines = $2::jsonb where id = $1", [trip, JSON.stringify(lines)]);
}
