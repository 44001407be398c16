import { z } from "zod";
import { Entry } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

const COLUMNS = columnsOf(Entry.shape, { key: ["id", "item"], dates: ["on"] });

/** What happened between trips, oldest first. */
export async function allEntries(db: Db): Promise<Entry[]> {
  const { rows } = await db.query(`select ${COLUMNS.read("e")} from entry e order by e."on", e.id`);
  return z.array(Entry).parse(rows);
}

export async function saveEntries(db: Db, entries: readonly Entry[]): Promise<void> {
  await db.query(
    `insert into entry (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::entry, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(entries.map((entry) => Entry.encode(entry)))],
  );
}

export async function removeEntry(db: Db, id: string): Promise<void> {
  await db.query("delete from entry where id = $1", [id]);
}
