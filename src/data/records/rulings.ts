import { z } from "zod";
import { Ruling } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

const COLUMNS = columnsOf(Ruling.shape, { key: ["id"], dates: ["on"] });

/** What the owner decided, oldest first. */
export async function allRulings(db: Db): Promise<Ruling[]> {
  const { rows } = await db.query(`select ${COLUMNS.read("r")} from ruling r order by r."on", r.id`);
  return z.array(Ruling).parse(rows);
}

export async function saveRulings(db: Db, rulings: readonly Ruling[]): Promise<void> {
  await db.query(
    `insert into ruling (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::ruling, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(rulings)],
  );
}

export async function removeRuling(db: Db, id: string): Promise<void> {
  await db.query("delete from ruling where id = $1", [id]);
}
