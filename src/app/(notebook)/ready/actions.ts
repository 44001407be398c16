"use server";

import { z } from "zod";
import { Entry, ItemId, MOST, RecordId } from "@/core/model";
import { fullOf } from "@/data/limits";
import { removeEntry, saveEntries } from "@/data/records/entries";
import { allItems } from "@/data/records/items";
import { acting } from "@/app/acting";
import { today } from "@/app/reading";
import { refuse, type Answer } from "@/ui/form/answer";

const Items = z.array(ItemId).min(1).max(MOST.items);
const Entries = z.array(RecordId).max(MOST.items);

/** Logs of several things at once that they were looked at, and sound; answers the entries, for undo. */
export async function allSound(raw: readonly string[]): Promise<Answer<readonly string[]>> {
  return acting(async (tx) => {
    const those = new Set(Items.parse(raw));
    const here = (await allItems(tx)).filter(({ id }) => those.has(id));
    if (here.length < those.size)
      return refuse({ "": "Something of these is no longer on the shelf. Reload the page." });
    const full = await fullOf(tx, "entries", here.length);
    if (full) return refuse({ "": full });
    const entries = here.map(({ id }) =>
      Entry.parse({ id: crypto.randomUUID(), item: id, on: today(), what: "check" }),
    );
    await saveEntries(tx, entries);
    return { ok: true, value: entries.map(({ id }) => id) };
  });
}

/** Takes back that several things were looked at. */
export async function takeLooksBack(raw: readonly string[]): Promise<Answer> {
  return acting(async (tx) => {
    for (const id of Entries.parse(raw)) await removeEntry(tx, id);
    return { ok: true, value: undefined };
  });
}
