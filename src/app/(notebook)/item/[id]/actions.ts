"use server";

import { Entry, ItemId, MOST_PARTS, Name, RecordId } from "@/core/model";
import { sayDay } from "@/core/units/speak";
import { removeEntry, saveEntries } from "@/data/records/entries";
import { findItem, saveItems } from "@/data/records/items";
import { fullOf } from "@/data/limits";
import { acting } from "@/app/acting";
import { refuse, type Answer } from "@/ui/form/answer";
import { readBook } from "@/app/book";
import { today } from "@/app/reading";

/**
 * Logs something that happened between trips; `raw` has the shape of an entry in a file.
 *
 * @param sure a mending from before its damage is meant so
 */
export async function logEntry(raw: Record<string, unknown>, sure = false): Promise<Answer<string>> {
  const damaged = sure ? null : await damagedAfter(raw);
  if (damaged)
    return {
      ok: false,
      fields: {},
      ask: `It was damaged on ${sayDay(damaged)}, after that day. Was it mended before?`,
    };
  return acting(async (tx) => {
    const entry = Entry.parse({ id: crypto.randomUUID(), ...raw });
    if (entry.on > today()) return refuse({ on: "That day has not come yet." });
    if (!(await findItem(tx, entry.item))) return refuse({ "": "That is no longer on the shelf." });
    const full = await fullOf(tx, "entries");
    if (full) return refuse({ "": full });
    await saveEntries(tx, [entry]);
    return { ok: true, value: entry.id };
  });
}

/** The day of the damage that still stands, where a mending is of an earlier day; null otherwise. */
async function damagedAfter(raw: unknown): Promise<string | null> {
  const mending = Entry.pick({ what: true, item: true, on: true }).safeParse(raw);
  if (!mending.success || mending.data.what !== "repair" || mending.data.on === today()) return null;
  const { item, on } = mending.data;
  const { kit } = await readBook();
  const open = kit.of(item)?.case.history.open ?? null;
  return open !== null && open.on > on ? open.on : null;
}

export async function takeEntryBack(id: string): Promise<Answer> {
  return acting(async (tx) => {
    await removeEntry(tx, RecordId.parse(id));
    return { ok: true, value: undefined };
  });
}

/** Moves a part from one thing to another, with the day that it was new. */
export async function movePart(from: ItemId, rawName: string, to: ItemId): Promise<Answer> {
  return acting(async (tx) => {
    const name = Name.parse(rawName);
    const [giver, taker] = [await findItem(tx, ItemId.parse(from)), await findItem(tx, ItemId.parse(to))];
    const part = giver?.parts.find((each) => each.name === name);
    if (!giver || !taker || !part || giver.id === taker.id)
      return refuse({ "": "That part, or thing, is no longer here." });
    if (taker.parts.some((each) => each.name === name))
      return refuse({ "": `${taker.name} has a part of that name already.` });
    if (taker.parts.length >= MOST_PARTS) return refuse({ "": `${taker.name} has as many parts as it can.` });
    await saveItems(tx, [
      { ...giver, parts: giver.parts.filter((each) => each !== part) },
      { ...taker, parts: [...taker.parts, part] },
    ]);
    return { ok: true, value: undefined };
  });
}
