import { z } from "zod";
import { Entry } from "@/core/model";
import type { Db } from "./db";

/** What happened between trips, oldest first. */
export async function allEntries(db: Db): Promise<Entry[]> {
  const { rows } = await db.query(`select id, item, happened::text as "on", what, distance, nights, cost, condition, reading, note from entry order by happened, id`);
  return z.array(Entry).parse(rows);
}

export async function saveEntries(db: Db, entries: readonly Entry[]): Promise<void> {
  const rows = entries.map((entry) => {
    const { on, ...rest } = Entry.encode(entry);
    return { ...rest, happened: on, distance_m: entry.distance?.m ?? null };
  });
  await db.query(
    `insert into entry (id, item, happened, what, distance, distance_m, nights, cost, condition, reading, note)
     select id, item, happened, what, distance, distance_m, nights, cost, condition, reading, note from jsonb_populate_recordset(null::entry, $1::jsonb)
     on conflict (id) do update set happened = excluded.happened, what = excluded.what, distance = excluded.distance,
       distance_m = excluded.distance_m, nights = excluded.nights, cost = excluded.cost,
       condition = excluded.condition, reading = excluded.reading, note = excluded.note`,
    [JSON.stringify(rows)],
  );
}

export async function removeEntry(db: Db, id: string): Promise<void> {
  await db.query("delete from entry where id = $1", [id]);
}
