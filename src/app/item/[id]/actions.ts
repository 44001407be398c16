"use server";

import { revalidatePath } from "next/cache";
import { Entry } from "@/core/model";
import { removeEntry, saveEntries } from "@/data/entries";
import { store } from "@/data/connection";
import { byField, refuse, type Answer } from "@/ui/answer";
import { today } from "../../book";

/** Logs something that happened between trips; `raw` has the shape of an entry in a file. */
export async function logEntry(raw: Record<string, unknown>): Promise<Answer<string>> {
  const entry = Entry.safeParse({ id: crypto.randomUUID(), ...raw });
  if (!entry.success) return refuse(byField(entry.error));
  if (entry.data.on > today()) return refuse({ on: "That day has not come yet." });
  await saveEntries(await store(), [entry.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: entry.data.id };
}

export async function takeEntryBack(id: string): Promise<void> {
  await removeEntry(await store(), id);
  revalidatePath("/", "layout");
}
