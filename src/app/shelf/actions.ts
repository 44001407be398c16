"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { isHeavy } from "@/core/ledger/check";
import { Item, ItemId, type ItemState } from "@/core/model";
import { newThing, OLDER_IS, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { slug } from "@/core/model/slug";
import { carriesOf } from "@/data/carries";
import { store } from "@/data/connection";
import { allItems, findItem, removeItem, saveItems } from "@/data/items";
import { readSettings, saveSettings } from "@/data/settings";
import { byField, refuse, type Answer } from "@/ui/answer";
import { today } from "../book";

/** Whom a new thing takes over from, and what became of that. */
const TakesOver = z.object({ item: ItemId, is: z.enum(OLDER_IS) });

/** Puts one typed line on the shelf, in the place of an older thing where it takes over from one. Answers with what was there of that one, for undo. */
export async function addLine(
  line: string,
  after: z.input<typeof TakesOver> | null,
  sure: boolean,
): Promise<Answer<{ id: ItemId; name: string; older: z.input<typeof Item> | null }>> {
  const db = await store();
  const { units } = await readSettings(db);
  const parsed = parseLine(line, units.weight);
  if (parsed.name === "") return refuse({ line: "Give it a name, like: rain shell 312 g lid." });
  if (parsed.wrong) return refuse({ line: parsed.wrong });
  const taken = await allItems(db);
  const takesOver = TakesOver.nullable().parse(after);
  const older = taken.find((item) => item.id === takesOver?.item) ?? null;
  const twin = taken.find(
    (item) =>
      item.state === "active" && item !== older && item.name.toLowerCase() === parsed.name.toLowerCase(),
  );
  if (!sure && twin)
    return { ok: false, fields: {}, ask: `“${twin.name}” is on the shelf already. Add another?` };
  if (!sure && isHeavy(parsed.weight))
    return { ok: false, fields: {}, ask: `${parsed.weight?.typed} is a lot for one thing. Is that right?` };
  const made = Item.safeParse(
    newThing(
      parsed,
      new Set(taken.map((item) => item.id)),
      older ? { how: "bought", on: today() } : undefined,
    ),
  );
  if (!made.success) return refuse({ line: Object.values(byField(made.error))[0]! });
  await saveItems(
    db,
    older && takesOver ? takeOver(older, made.data, { is: takesOver.is, on: today() }) : [made.data],
  );
  revalidatePath("/", "layout");
  return {
    ok: true,
    value: { id: made.data.id, name: made.data.name, older: older && Item.encode(older) },
  };
}

/** Takes back a line just added, and what it did to the thing it took over from. */
export async function takeLineBack(id: ItemId, older: z.input<typeof Item> | null): Promise<Answer> {
  const answer = await deleteItem(id);
  return answer.ok && older ? saveItem(older, true) : answer;
}

/** Saves what the item form says; `raw` has the shape of an item in a file. */
export async function saveItem(raw: unknown, sure: boolean): Promise<Answer> {
  const item = Item.safeParse(raw);
  if (!item.success) return refuse(byField(item.error));
  if (!sure && isHeavy(item.data.weights.at(-1)?.weight ?? null))
    return {
      ok: false,
      fields: {},
      ask: `${item.data.weights.at(-1)?.weight.typed} is a lot for one thing. Is that right?`,
    };
  const db = await store();
  if (item.data.bag !== null && !(await findItem(db, item.data.bag)))
    return refuse({ bag: "That bag is no longer on the shelf." });
  await saveItems(db, [item.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Retires a thing, or takes it back; its history stays. Returns the state it was in, for undo. */
export async function setState(id: ItemId, state: ItemState): Promise<ItemState | null> {
  const db = await store();
  const item = await findItem(db, ItemId.parse(id));
  if (!item) return null;
  await saveItems(db, [{ ...item, state, since: state === "active" ? null : today() }]);
  revalidatePath("/", "layout");
  return item.state;
}

/** Takes an item that never went on a trip off the shelf for good. */
async function deleteItem(id: ItemId): Promise<Answer> {
  const db = await store();
  if ((await carriesOf(db, { item: id })).length > 0)
    return refuse({ "": "It has been on trips: retire it, and its history stays." });
  await removeItem(db, ItemId.parse(id));
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Puts imported items on the shelf: all of them, or none. From then on weights are said in `unit`, where one is given. */
export async function importItems(
  raws: readonly unknown[],
  unit: "g" | "oz" | null,
): Promise<Answer<number>> {
  const db = await store();
  const ids = new Set((await allItems(db)).map((item): string => item.id));
  const items: Item[] = [];
  for (const [n, raw] of raws.entries()) {
    const item = Item.omit({ id: true }).safeParse(raw);
    if (!item.success) return refuse({ "": `Row ${n + 1}: ${Object.values(byField(item.error))[0]}` });
    const id = slug(item.data.name, ids);
    ids.add(id);
    items.push({ ...item.data, id: ItemId.parse(id) });
  }
  await db.transaction(async (tx) => {
    await saveItems(tx, items);
    if (!unit) return;
    const settings = await readSettings(tx);
    await saveSettings(tx, { ...settings, units: { ...settings.units, weight: unit } });
  });
  revalidatePath("/", "layout");
  return { ok: true, value: items.length };
}
