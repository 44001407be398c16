import { z } from "zod";
import { Item, type ItemId } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

const COLUMNS = columnsOf(Item.shape, { key: ["id"], dates: ["acquired", "expires", "since"] });

/** Everything owned, in the order it was put on the shelf. */
export async function allItems(db: Db): Promise<Item[]> {
  const { rows } = await db.query(`select ${COLUMNS.read("i")} from item i order by i.position`);
  return z.array(Item).parse(rows);
}

export async function findItem(db: Db, id: ItemId): Promise<Item | null> {
  const { rows } = await db.query(`select ${COLUMNS.read("i")} from item i where i.id = $1`, [id]);
  return rows[0] ? Item.parse(rows[0]) : null;
}

/** Puts items on the shelf, or what is new about them in their place. */
export async function saveItems(db: Db, items: readonly Item[]): Promise<void> {
  await db.query(
    `insert into item (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::item, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(items.map((item) => Item.encode(item)))],
  );
}

export async function removeItem(db: Db, id: ItemId): Promise<void> {
  await db.query("delete from item where id = $1", [id]);
}
