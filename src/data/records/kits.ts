import { z } from "zod";
import { SavedKit } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

const COLUMNS = columnsOf(SavedKit.shape, { key: ["id"] });

/** The lists kept by name, in the order of their names. */
export async function allKits(db: Db): Promise<SavedKit[]> {
  const { rows } = await db.query(`select ${COLUMNS.read("k")} from kit k order by lower(k.name), k.id`);
  return z.array(SavedKit).parse(rows);
}

export async function saveKits(db: Db, kits: readonly SavedKit[]): Promise<void> {
  await db.query(
    `insert into kit (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::kit, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(kits)],
  );
}

export async function removeKit(db: Db, id: string): Promise<void> {
  await db.query("delete from kit where id = $1", [id]);
}
