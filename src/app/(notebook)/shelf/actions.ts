"use server";

import { z } from "zod";
import { isHeavy, itemProblems, oddOf, placeProblems } from "@/core/ledger/check/check";
import { namedAt } from "@/core/ledger/named";
import { Item, ItemId, ItemState, MOST_WEIGHTS, Weighing } from "@/core/model";
import { OLDER_IS } from "@/core/shelf/how-come";
import { newThing, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { slug } from "@/core/model/slug";
import { guessKind } from "@/core/trade/words/names";
import { Text } from "@/core/units/text";
import { carriesOf } from "@/data/records/carries";
import type { Db } from "@/data/db";
import { allItems, findItem, removeItem, saveItems } from "@/data/records/items";
import { fullOf } from "@/data/limits";
import { readSettings, saveSettings } from "@/data/records/settings";
import { acting } from "@/app/acting";
import { logIn, today } from "@/app/reading";
import { askAbout, changedSince } from "@/ui/follow/changed-since";
import { byField, refuse, refuseAs, type Answer } from "@/ui/form/answer";

/** Whom a new thing takes over from, and what became of that. */
const TakesOver = z.object({ item: ItemId, is: z.enum(OLDER_IS) });
/** A line of typing, longer than any thing takes. */
const Typed = Text.max(300, "At most 300 letters.");

const gone = refuse({ "": "That is no longer on the shelf." });
type Was = z.input<typeof Item>;

/**
 * Puts one typed line on the shelf, in the place of an older thing where it takes over from one. Answers with
 * what was there of that one, for undo.
 */
export async function addLine(
  line: string,
  after: z.input<typeof TakesOver> | null,
  sure: boolean,
): Promise<Answer<{ id: ItemId; name: string; older: Was | null }>> {
  return acting(async (tx) => {
    const { units } = await readSettings(tx);
    const typed = Typed.safeParse(line);
    if (!typed.success) return refuseAs("line", typed.error);
    const parsed = parseLine(typed.data, units.weight);
    if (parsed.name === "") return refuse({ line: "Give it a name, like: rain shell 312 g lid." });
    if (parsed.wrong) return refuse({ line: parsed.wrong });
    const taken = await allItems(tx);
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
    const full = await fullOf(tx, "items");
    if (full) return refuse({ line: full });
    const made = Item.safeParse(
      newThing(
        parsed,
        new Set(taken.map((item) => item.id)),
        older ? { how: "bought", on: today() } : undefined,
      ),
    );
    if (!made.success) return refuseAs("line", made.error);
    await saveItems(
      tx,
      older && takesOver ? takeOver(older, made.data, { is: takesOver.is, on: today() }) : [made.data],
    );
    return {
      ok: true,
      value: { id: made.data.id, name: made.data.name, older: older && Item.encode(older) },
    };
  });
}

/** Takes back a line just added, and what it did to the thing it took over from. */
export async function takeLineBack(id: ItemId, older: Was | null): Promise<Answer> {
  return acting(async (tx) => {
    const taken = await takeOff(tx, ItemId.parse(id));
    if (taken.ok && older) await saveItems(tx, [Item.parse(older)]);
    return taken;
  });
}

/** Takes a thing that never went on a trip off the shelf for good, unless something names it. */
async function takeOff(tx: Db, id: ItemId): Promise<Answer> {
  if ((await carriesOf(tx, { item: id })).length > 0)
    return refuse({ "": "It has been on trips: retire it, and its history stays." });
  const named = namedAt(await logIn(tx), id);
  if (named) return refuse({ "": `It is named ${named}: retire it, and its history stays.` });
  await removeItem(tx, id);
  return { ok: true, value: undefined };
}

/**
 * Saves what the item form says; `raw` has the shape of an item in a file.
 *
 * @param seen the thing as it was when the form was opened; what was changed elsewhere since is asked about
 */
export async function saveItem(raw: unknown, sure: boolean, seen?: Was): Promise<Answer> {
  return acting(async (tx) => {
    const item = Item.parse(raw);
    const now = seen && !sure ? await findItem(tx, item.id) : null;
    const elsewhere = seen && now ? changedSince(seen, Item.encode(now)) : [];
    if (elsewhere.length > 0) return { ok: false, fields: {}, ask: askAbout(elsewhere) };
    const [problem] = [...itemProblems(item), ...(await misplacedIn(tx, item))];
    if (problem) return refuse({ [problem.path.join(".")]: problem.message });
    const ask = sure ? null : oddOf(item);
    if (ask) return { ok: false, fields: {}, ask };
    const full = (await findItem(tx, item.id)) ? null : await fullOf(tx, "items");
    if (full) return refuse({ name: full });
    await saveItems(tx, [item]);
    return { ok: true, value: undefined };
  });
}

async function misplacedIn(tx: Db, item: Item) {
  const bags = new Map((await allItems(tx)).map(({ id, bag }) => [id, bag]));
  const carried = item.state === "wished" && (await carriesOf(tx, { item: item.id })).length > 0;
  return placeProblems(item, new Map([...bags, [item.id, item.bag]]), () => carried);
}

/** Retires a thing, or takes it back; its history stays. Answers with the state it was in, for undo. */
export async function setState(id: ItemId, state: ItemState): Promise<Answer<ItemState>> {
  return acting(async (tx) => {
    const item = await findItem(tx, ItemId.parse(id));
    if (!item) return gone;
    const next: Item = {
      ...item,
      state: ItemState.parse(state),
      since: state === "active" ? null : today(),
    };
    const [problem] = await misplacedIn(tx, next);
    if (problem) return refuse({ "": problem.message });
    await saveItems(tx, [next]);
    return { ok: true, value: item.state };
  });
}

const Place = z.enum(["home", "given back"]);
/** Where a thing comes to: a lent one home, a borrowed one back to whose it is. */
export type Place = z.infer<typeof Place>;

/** Says that a thing came home, or went back to whose it is. Answers with what there was, for undo. */
export async function setPlace(id: ItemId, to: Place): Promise<Answer<Was>> {
  return acting(async (tx) => {
    const item = await findItem(tx, ItemId.parse(id));
    if (!item) return gone;
    await saveItems(tx, [
      Place.parse(to) === "home"
        ? { ...item, lentTo: null }
        : { ...item, lentTo: null, state: "given back", since: today() },
    ]);
    return { ok: true, value: Item.encode(item) };
  });
}

const Unit = z.enum(["g", "oz"]).nullable();

/**
 * Puts imported items on the shelf: all of them, or none. From then on weights are said in `unit`, where one
 * is given.
 */
export async function importItems(
  raws: readonly unknown[],
  unit: z.input<typeof Unit>,
): Promise<Answer<number>> {
  return acting(async (tx) => {
    const rows = z.array(z.unknown()).parse(raws);
    const full = await fullOf(tx, "items", rows.length);
    if (full) return refuse({ "": full });
    const ids = new Set((await allItems(tx)).map((item): string => item.id));
    const items: Item[] = [];
    for (const [n, raw] of rows.entries()) {
      const item = Item.omit({ id: true }).safeParse(raw);
      if (!item.success) return refuse({ "": `Row ${n + 1}: ${Object.values(byField(item.error))[0]}` });
      const id = slug(item.data.name, ids);
      ids.add(id);
      items.push({ ...item.data, id: ItemId.parse(id) });
    }
    await saveItems(tx, items);
    const inUnit = Unit.parse(unit);
    if (inUnit) {
      const settings = await readSettings(tx);
      await saveSettings(tx, { ...settings, units: { ...settings.units, weight: inUnit } });
    }
    return { ok: true, value: items.length };
  });
}

/** Puts something on the wish list; `raw` has the shape of an item in a file, without its id. */
export async function addWish(raw: Record<string, unknown>, sure: boolean): Promise<Answer> {
  return acting(async (tx) => {
    const items = await allItems(tx);
    const named = Item.pick({ name: true }).parse(raw);
    const wish = Item.safeParse({
      ...raw,
      // Left blank, its name tells.
      kind: raw.kind || guessKind(named.name).id,
      id: slug(named.name, new Set(items.map(({ id }): string => id))),
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
    const full = await fullOf(tx, "items");
    if (full) return refuse({ name: full });
    await saveItems(tx, [wish.data]);
    return { ok: true, value: undefined };
  });
}

const noWish = refuse({ "": "That is no longer on the wish list." });
const findWish = async (tx: Db, id: ItemId) => {
  const wish = await findItem(tx, ItemId.parse(id));
  return wish?.state === "wished" ? wish : null;
};

/**
 * A wish came true: it is on the shelf, new, in the slot of what it takes the place of, which is retired or
 * stays. Answers with what there was, for undo.
 */
export async function buyWish(id: ItemId, inItsPlace: boolean): Promise<Answer<Was[]>> {
  return acting(async (tx) => {
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
}

/** Takes a wish off the list. Answers with what there was, for undo. */
export async function takeWishBack(id: ItemId): Promise<Answer<Was[]>> {
  return acting(async (tx) => {
    const wish = await findWish(tx, id);
    if (!wish) return noWish;
    const taken = await takeOff(tx, wish.id);
    return taken.ok ? { ok: true, value: [Item.encode(wish)] } : taken;
  });
}

/** Puts things back to what they were. */
export async function restoreItems(raws: readonly unknown[]): Promise<Answer> {
  return acting(async (tx) => {
    await saveItems(tx, z.array(Item).parse(raws));
    return { ok: true, value: undefined };
  });
}

/** Keeps a weight read off a scale today. Answers with what there was, for undo. */
export async function saveWeighing(id: ItemId, typed: string): Promise<Answer<Was[]>> {
  return acting(async (tx) => {
    const weighing = Weighing.safeParse({ weight: typed, how: "measured", on: today() });
    if (!weighing.success) return refuseAs("weight", weighing.error);
    const item = await findItem(tx, ItemId.parse(id));
    if (!item) return refuse({ weight: "That thing is no longer on the shelf." });
    // Of a thing weighed again and again the latest stay.
    const weights = [...item.weights, weighing.data].slice(-MOST_WEIGHTS);
    const weighed = { ...item, weights };
    const [problem] = itemProblems(weighed);
    if (problem) return refuse({ weight: problem.message });
    await saveItems(tx, [weighed]);
    return { ok: true, value: [Item.encode(item)] };
  });
}
