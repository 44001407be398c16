"use server";

import { revalidatePath } from "next/cache";
import { Ruling, type ItemId, type Verb } from "@/core/model";
import { store } from "@/data/connection";
import { removeRuling, saveRulings } from "@/data/rulings";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook, today } from "../book";

/** Keeps what the owner decided about a verdict. Returns the ruling's id, for undo. */
export async function rule(said: { item: ItemId; verb: Verb; decision: Ruling["decision"]; reason: string; again: number | null }): Promise<Answer<string>> {
  const { judgements } = await readBook();
  const one = judgements.find(({ case: { item } }) => item.id === said.item)?.case;
  if (!one) return refuse({ "": "That thing is no longer here." });
  const ruling = Ruling.safeParse({ ...said, id: crypto.randomUUID(), on: today(), trips: one.marked.length, troubles: one.history.troubles.length });
  if (!ruling.success) return refuse(byField(ruling.error));
  await saveRulings(await store(), [ruling.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: ruling.data.id };
}

/** Takes a ruling back. */
export async function unrule(id: string): Promise<void> {
  await removeRuling(await store(), id);
  revalidatePath("/", "layout");
}
