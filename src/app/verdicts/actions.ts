"use server";

import { revalidatePath } from "next/cache";
import { Ruling } from "@/core/model";
import type { RuledOn } from "@/core/verdict/rulings";
import { store } from "@/data/connection";
import { removeRuling, saveRulings } from "@/data/rulings";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook, today } from "../book";

/** Keeps what the owner decided about a verdict. Returns the ruling's id, for undo. */
export async function rule(
  about: RuledOn,
  said: Pick<Ruling, "decision" | "reason" | "again">,
): Promise<Answer<string>> {
  const counts = await countsOf(about);
  if (!counts) return refuse({ "": "That verdict no longer stands. Reload the page." });
  const ruling = Ruling.safeParse({
    verb: "add",
    ...about,
    ...said,
    ...counts,
    id: crypto.randomUUID(),
    on: today(),
  });
  if (!ruling.success) return refuse(byField(ruling.error));
  await saveRulings(await store(), [ruling.data]);
  revalidatePath("/", "layout");
  return { ok: true, value: ruling.data.id };
}

/** How much there was to go by when it is ruled on: what comes after is news. */
async function countsOf(about: RuledOn): Promise<Pick<Ruling, "trips" | "troubles"> | null> {
  const { book, judgements, toAdd } = await readBook();
  if ("what" in about) {
    const addition = toAdd.find(({ what }) => what === about.what);
    return addition ? { trips: book.outings.length, troubles: addition.times } : null;
  }
  const one = judgements.find(({ case: { item } }) => item.id === about.item)?.case;
  return one ? { trips: one.marked.length, troubles: one.history.troubles.length } : null;
}

/** Takes a ruling back. */
export async function unrule(id: string): Promise<void> {
  await removeRuling(await store(), id);
  revalidatePath("/", "layout");
}
