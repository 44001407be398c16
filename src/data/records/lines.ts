import { Line, MOST_LINES, type TripId } from "@/core/model";
import { inOrder } from "@/core/sums/days";
import type { Db } from "../db";
import { Refused } from "../refused";

/**
 * Adds lines to those of a trip, each once, whatever how often it is sent; false where there is no such trip.
 * @throws Refused where it has no room for more
 */
export async function addLines(db: Db, trip: TripId, lines: readonly Line[]): Promise<boolean> {
  const { rows } = await db.query("select lines from trip where id = $1 for update", [trip]);
  if (!rows[0]) return false;
  const known = Line.array().parse(rows[0].lines);
  const ids = new Set(known.map(({ id }) => id));
  const all = [...known, ...lines.filter(({ id }) => !ids.has(id))].sort((a, b) => inOrder(a.at, b.at));
  if (all.length > MOST_LINES) throw new Refused("That trip has as many lines as it can hold.");
  await db.query("update trip set lines = $2::jsonb where id = $1", [trip, JSON.stringify(all)]);
  return true;
}

/** Says of a line whether it has been taken into the debrief. */
export async function setTaken(db: Db, trip: TripId, id: string, taken: boolean): Promise<void> {
  await db.query(
    `update trip set lines = coalesce((
       select jsonb_agg(case when line ->> 'id' = $2 then line || jsonb_build_object('taken', $3::boolean) else line end order by n)
         from jsonb_array_elements(lines) with ordinality as told (line, n)), '[]')
      where id = $1`,
    [trip, id, taken],
  );
}
