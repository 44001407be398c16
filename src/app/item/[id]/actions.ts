"use server";

import { revalidatePath } from "next/cache";
import { Entry, ItemId, MOST_PARTS } from "@/core/model";
import { sayDay } from "@/core/units/speak";
import { removeEntry, saveEntries } from "@/data/entries";
import { findItem, saveItems } from "@/data/items";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook } from "../../book";
import { today } from "../../reading";

/**
 * Logs something that happened between trips; `raw` has the shape of an entry in a file.
 *
 * @param sure a mending from before its damage is meant so
 */
export async function logEntry(raw: Record<string, unknown>, sure = false): Promise<Answer<string>> {
  const entry = Entry.safeParse({ id: crypto.randomUUID(), ...raw });
  if (!entry.success) return refuse(byField(entry.error));
  if (entry.data.on > today()) return refuse({ on: "That day has not come yet." });
  if (!(await findItem(await store(), entry.data.item)))
    return refuse({ "": "That is no longer on the shelf." });
  const damaged = sure ? null : await damagedAfter(entry.data);
  if (damaged)
    return {
      ok: false,
      fields: {},
      ask: `It was damaged on ${sayDay(damaged)}, after that day. Was it mended before?`,
    };
  const full = await fullOf(await store(), "entries");
  if (full) return refuse({ "": full });
  await saveEntries(await store(), [entry.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: entry.data.id };
}

/** The day of the damage that still stands, where a mending is of an earlier day; null otherwise. */
async function damagedAfter({ what, item, on }: Entry): Promise<string | null> {
  if (what !== "repair" || on === today()) return null;
  const { judgements } = await readBook();
  const open = judgements.find(({ case: one }) => one.item.id === item)?.case.history.open ?? null;
  return open !== null && open.on > on ? open.on : null;
}

export async function takeEntryBack(id: string): Promise<void> {
  await removeEntry(await store(), id);
  revalidatePath("/", "layout");
}

/** Moves a part from one thing to another, with the day that it was new. */
export async function movePart(from: ItemId, name: string, to: ItemId): Promise<Answer> {
  const answer = await (
    await store()
  ).transaction(async (tx): Promise<Answer> => {
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
  revalidatePath("/", "layout");
  return answer;
}
