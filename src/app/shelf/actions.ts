"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { isHeavy, itemProblems, oddOf, placeProblems } from "@/core/ledger/check";
import { Item, ItemId, Weighing, type ItemState } from "@/core/model";
import { newThing, OLDER_IS, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { slug } from "@/core/model/slug";
import { carriesOf } from "@/data/carries";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { readLog } from "@/data/log";
import { allItems, findItem, removeItem, saveItems } from "@/data/items";
import { fullOf } from "@/data/limits";
import { readSettings, saveSettings } from "@/data/settings";
import { askAbout, changedSince } from "@/ui/changed-since";
import { byField, refuse, type Answer } from "@/ui/answer";
import { today } from "../reading";

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
  const full = await fullOf(db, "items");
  if (full) return refuse({ line: full });
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

/**
 * Saves what the item form says; `raw` has the shape of an item in a file.
 *
 * @param seen the thing as it was when the form was opened; what was changed elsewhere since is asked about
 */
export async function saveItem(raw: unknown, sure: boolean, seen?: z.input<typeof Item>): Promise<Answer> {
  const item = Item.safeParse(raw);
  if (!item.success) return refuse(byField(item.error));
  const now = seen && !sure ? await findItem(await store(), item.data.id) : null;
  const elsewhere = seen && now ? changedSince(seen, Item.encode(now)) : [];
  if (elsewhere.length > 0) return { ok: false, fields: {}, ask: askAbout(elsewhere) };
  const [problem] = itemProblems(item.data);
  if (problem) return refuse({ [problem.path.join(".")]: problem.message });
  const ask = sure ? null : oddOf(item.data);
  if (ask) return { ok: false, fields: {}, ask };
  const db = await store();
  const [misplaced] = await misplacedIn(db, item.data);
  if (misplaced) return refuse({ [misplaced.path.join(".")]: misplaced.message });
  await saveItems(db, [item.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

async function misplacedIn(db: Db, item: Item) {
  const bags = new Map((await allItems(db)).map(({ id, bag }) => [id, bag]));
  const carried = item.state === "wished" && (await carriesOf(db, { item: item.id })).length > 0;
  return placeProblems(item, new Map([...bags, [item.id, item.bag]]), () => carried);
}

/** Retires a thing, or takes it back; its history stays. Returns the state it was in, for undo. */
export async function setState(id: ItemId, state: ItemState): Promise<ItemState | null> {
  const db = await store();
  const item = await findItem(db, ItemId.parse(id));
  if (!item || (await misplacedIn(db, { ...item, state })).length > 0) return null;
  await saveItems(db, [{ ...item, state, since: state === "active" ? null : today() }]);
  revalidatePath("/", "layout");
  return item.state;
}

/** Where a thing comes to: a lent one home, a borrowed one back to whose it is. */
export type Place = "home" | "given back";

/** Says that a thing came home, or went back to whose it is. Answers with what there was, for undo. */
export async function setPlace(id: ItemId, to: Place): Promise<Answer<z.input<typeof Item>>> {
  const db = await store();
  const item = await findItem(db, ItemId.parse(id));
  if (!item) return refuse({ "": "That is no longer on the shelf." });
  await saveItems(db, [
    to === "home"
      ? { ...item, lentTo: null }
      : { ...item, lentTo: null, state: "given back", since: today() },
  ]);
  revalidatePath("/", "layout");
  return { ok: true, value: Item.encode(item) };
}

/** Where a thing is spoken of that was never carried itself; null where nowhere. */
async function namedIn(db: Db, id: ItemId): Promise<string | null> {
  const log = await readLog(db);
  const trip = log.trips.find(
    ({ made, stay, felt, picks, carries }) =>
      [...made, ...stay, ...felt.flatMap(({ slept }) => slept)].includes(id) ||
      picks[id] !== undefined ||
      carries.some(({ mark }) => mark?.exit?.for === id),
  );
  if (trip) return `on ${trip.name}`;
  const item = log.items.find(
    ({ bag, needs, instead }) => bag === id || instead === id || needs.includes(id),
  );
  return item ? `by ${item.name}` : null;
}

/** Takes an item that never went on a trip off the shelf for good. */
async function deleteItem(id: ItemId): Promise<Answer> {
  const db = await store();
  if ((await carriesOf(db, { item: id })).length > 0)
    return refuse({ "": "It has been on trips: retire it, and its history stays." });
  const named = await namedIn(db, id);
  if (named) return refuse({ "": `It is named ${named}: retire it, and its history stays.` });
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
  const full = await fullOf(db, "items", raws.length);
  if (full) return refuse({ "": full });
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

/** Puts something on the wish list; `raw` has the shape of an item in a file, without its id. */
export async function addWish(raw: Record<string, unknown>, sure: boolean): Promise<Answer> {
  const db = await store();
  const items = await allItems(db);
  const wish = Item.safeParse({
    ...raw,
    id: slug(String(raw.name), new Set(items.map(({ id }): string => id))),
    state: "wished",
  });
  if (!wish.success)
    return refuse(
      Object.fromEntries(
        Object.entries(byField(wish.error)).map(([path, message]) => [
          path.startsWith("weights") ? "weight" : path,
          message,
        ]),
      ),
    );
  if (wish.data.instead !== null && !items.some(({ id }) => id === wish.data.instead))
    return refuse({ instead: "That is no longer on the shelf." });
  const ask = sure ? null : oddOf(wish.data);
  if (ask) return { ok: false, fields: {}, ask };
  const full = await fullOf(db, "items");
  if (full) return refuse({ name: full });
  await saveItems(db, [wish.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

const noWish = refuse({ "": "That is no longer on the wish list." });
const findWish = async (db: Db, id: ItemId) => {
  const wish = await findItem(db, ItemId.parse(id));
  return wish?.state === "wished" ? wish : null;
};

/** A wish came true: it is on the shelf, new, in the slot of what it takes the place of, which is retired or stays. Answers with what there was, for undo. */
export async function buyWish(id: ItemId, inItsPlace: boolean): Promise<Answer<z.input<typeof Item>[]>> {
  const answer = await (
    await store()
  ).transaction(async (tx): Promise<Answer<z.input<typeof Item>[]>> => {
    const wish = await findWish(tx, id);
    if (!wish) return noWish;
    const older = wish.instead && (await findItem(tx, wish.instead));
    const bought: Item = { ...wish, state: "active", instead: null, past: "new", acquired: today() };
    await saveItems(
      tx,
      older && inItsPlace ? takeOver(older, bought, { is: "retired", on: today() }) : [bought],
    );
    return { ok: true, value: [wish, ...(older ? [older] : [])].map((item) => Item.encode(item)) };
  });
  revalidatePath("/", "layout");
  return answer;
}

/** Takes a wish off the list. Answers with what there was, for undo. */
export async function takeWishBack(id: ItemId): Promise<Answer<z.input<typeof Item>[]>> {
  const db = await store();
  const wish = await findWish(db, id);
  if (!wish) return noWish;
  await removeItem(db, wish.id);
  revalidatePath("/", "layout");
  return { ok: true, value: [Item.encode(wish)] };
}

/** Puts things back to what they were. */
export async function restoreItems(raws: readonly unknown[]): Promise<void> {
  const db = await store();
  await saveItems(db, z.array(Item).parse(raws));
  revalidatePath("/", "layout");
}

/** Keeps a weight read off a scale today. Answers with what there was, for undo. */
export async function saveWeighing(id: ItemId, typed: string): Promise<Answer<z.input<typeof Item>[]>> {
  const weighing = Weighing.safeParse({ weight: typed, how: "measured", on: today() });
  if (!weighing.success) return refuse({ weight: Object.values(byField(weighing.error))[0]! });
  const db = await store();
  const answer = await db.transaction(async (tx): Promise<Answer<z.input<typeof Item>[]>> => {
    const item = await findItem(tx, ItemId.parse(id));
    if (!item) return refuse({ weight: "That thing is no longer on the shelf." });
    const weighed = { ...item, weights: [...item.weights, weighing.data] };
    const [problem] = itemProblems(weighed);
    if (problem) return refuse({ weight: problem.message });
    await saveItems(tx, [weighed]);
    return { ok: true, value: [Item.encode(item)] };
  });
  revalidatePath("/", "layout");
  return answer;
}
