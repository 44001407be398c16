import { Settings } from "@/core/model";
import type { Db } from "./db";

/** The owner's choices; the defaults until one is made. */
export async function readSettings(db: Db): Promise<Settings> {
  const { rows } = await db.query("select units, school, currency from settings");
  return Settings.parse(rows[0] ?? {});
}

export async function saveSettings(db: Db, { units, school, currency }: Settings): Promise<void> {
  await db.query(
    `insert into settings (one, units, school, currency) values (true, $1::jsonb, $2, $3)
     on conflict (one) do update set units = excluded.units, school = excluded.school, currency = excluded.currency`,
    [JSON.stringify(units), school, currency],
  );
}
