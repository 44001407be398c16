import { z } from "zod";
import { Ruling } from "@/core/model";
import type { Db } from "./db";

/** What the owner decided, oldest first. */
export async function allRulings(db: Db): Promise<Ruling[]> {
  const { rows } = await db.query(`select id, item, what, verb, decision, reason, again, ruled::text as "on", trips, troubles from ruling order by ruled, id`);
  return z.array(Ruling).parse(rows);
}

export async function saveRulings(db: Db, rulings: readonly Ruling[]): Promise<void> {
  const rows = rulings.map(({ on, ...rest }) => ({ ...rest, ruled: on }));
  await db.query(
    `insert into ruling select * from jsonb_populate_recordset(null::ruling, $1::jsonb)
     on conflict (id) do update set decision = excluded.decision, reason = excluded.reason, again = excluded.again`,
    [JSON.stringify(rows)],
  );
}

export async function removeRuling(db: Db, id: string): Promise<void> {
  await db.query("delete from ruling where id = $1", [id]);
}
