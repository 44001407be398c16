import { MOST } from "@/core/model";
import type { Db } from "./db";
import { nth } from "@/core/sums/there";

const NAMES: Readonly<Record<keyof typeof MOST, readonly [table: string, things: string]>> = {
  items: ["item", "things"],
  trips: ["trip", "trips"],
  entries: ["entry", "entries"],
  rulings: ["ruling", "rulings"],
  tasks: ["task", "jobs of your own"],
  kits: ["kit", "kits"],
};

/** Why so many more of a sort can't be kept: a log holds as many as its file may. Null where there is room. */
export async function fullOf(db: Db, sort: keyof typeof MOST, more = 1): Promise<string | null> {
  const [table, things] = NAMES[sort];
  const { rows } = await db.query(`select count(*)::int as n from ${table}`);
  const room = MOST[sort] - Number(nth(rows, 0).n);
  return more <= room
    ? null
    : `A log holds ${MOST[sort]} ${things} at most, and this one has room for ${room} more.`;
}
