import { z } from "zod";
import type { ItemId } from "@/core/model";
import { Item } from "@/core/model";
import type { Db } from "./db";

/** Named as the model names them, dates as text. */
const COLUMNS = `id, name, kind, jobs, triggers, stow, bag, weight, weighed, load, cover, consequence, wears, pieces, past, opening,
  acquired::text as acquired, price, warranty::text as warranty, expires::text as expires, state, since::text as since, slot, note`;

/** Everything owned, in the order it was put on the shelf. */
export async function allItems(db: Db): Promise<Item[]> {
  const { rows } = await db.query(`select ${COLUMNS} from item order by position`);
  return z.array(Item).parse(rows);
}

export async function findItem(db: Db, id: ItemId): Promise<Item | null> {
  const { rows } = await db.query(`select ${COLUMNS} from item where id = $1`, [id]);
  return rows[0] ? Item.parse(rows[0]) : null;
}

/** Puts items on the shelf, or what is new about them in their place. */
export async function saveItems(db: Db, items: readonly Item[]): Promise<void> {
  const rows = items.map((item) => ({ ...Item.encode(item), weight_g: item.weight?.g ?? null }));
  await db.query(
    `insert into item (id, name, kind, jobs, triggers, stow, bag, weight, weight_g, weighed, load, cover, consequence, wears, pieces, past,
                       opening, acquired, price, warranty, expires, state, since, slot, note)
     select id, name, kind, jobs, triggers, stow, bag, weight, weight_g, weighed, load, cover, consequence, wears, pieces, past,
            opening, acquired, price, warranty, expires, state, since, slot, note
       from jsonb_populate_recordset(null::item, $1::jsonb)
     on conflict (id) do update set
       name = excluded.name, kind = excluded.kind, jobs = excluded.jobs, triggers = excluded.triggers, stow = excluded.stow, bag = excluded.bag,
       weight = excluded.weight, weight_g = excluded.weight_g, weighed = excluded.weighed, load = excluded.load, cover = excluded.cover,
       consequence = excluded.consequence, wears = excluded.wears, pieces = excluded.pieces, past = excluded.past, opening = excluded.opening,
       acquired = excluded.acquired, price = excluded.price, warranty = excluded.warranty, expires = excluded.expires, state = excluded.state,
       since = excluded.since, slot = excluded.slot, note = excluded.note`,
    [JSON.stringify(rows)],
  );
}

export async function removeItem(db: Db, id: ItemId): Promise<void> {
  await db.query("delete from item where id = $1", [id]);
}
