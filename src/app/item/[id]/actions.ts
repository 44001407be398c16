"use server";

import { revalidatePath } from "next/cache";
import { Entry } from "@/core/model";
import { sayDay } from "@/core/units/speak";
import { removeEntry, saveEntries } from "@/data/entries";
import { findItem } from "@/data/items";
import { store } from "@/data/connection";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook, today } from "../../book";

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
