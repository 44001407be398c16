import { Settings } from "@/core/model";
import type { Db } from "../db";

/** The owner's choices; the defaults until one is made. */
export async function readSettings(db: Db): Promise<Settings> {
  const { rows } = await db.query("select units, school, currency, numbers from settings");
  const { numbers, ...rest } = rows[0] ?? {};
  return Settings.parse({ ...(numbers as object | undefined), ...rest });
}

export async function saveSettings(db: Db, settings: Settings): Promise<void> {
  const { units, school, currency, ...numbers } = Settings.encode(settings);
  await db.query(
    `insert into settings (one, units, school, currency, numbers) values (true, $1::jsonb, $2, $3, $4::jsonb)
     on conflict (one) do update set units = excluded.units, school = excluded.school, currency = excluded.currency, numbers = excluded.numbers`,
    [JSON.stringify(units), school, currency, JSON.stringify(numbers)],
  );
}
