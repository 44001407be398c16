"use server";

import { revalidatePath } from "next/cache";
import { questionsAfter } from "@/core/ask/questions";
import { Ruling, type TripId } from "@/core/model";
import type { RuledOn } from "@/core/reasons/rulings";
import { changeCarry } from "@/data/carries";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { removeRuling, saveRulings } from "@/data/rulings";
import { findTrip, saveTrips } from "@/data/trips";
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

/** Puts the answer to a question where it belongs: into the mark that it asks about. */
export async function answerQuestion(id: string, answer: number): Promise<Answer> {
  const { surveyed, judgements } = await readBook();
  const question = questionsAfter(surveyed, judgements).find((each) => each.id === id);
  const given = question?.answers[answer];
  if (!question || !given) return refuse({ "": "That question no longer stands. Reload the page." });
  const { item, trip } = question;
  const db = await store();
  await db.transaction(async (tx) => {
    await changeCarry(tx, { trip, item, mark: given.mark });
    await wave(tx, trip, id);
  });
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Waves a question away: it is not asked again for that trip. */
export async function waveQuestion(id: string): Promise<Answer> {
  const { book } = await readBook();
  const last = book.outings.at(-1);
  if (!last) return refuse({ "": "That question no longer stands. Reload the page." });
  await (await store()).transaction((tx) => wave(tx, last.trip.id, id));
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

async function wave(db: Db, id: TripId, question: string): Promise<void> {
  const trip = await findTrip(db, id);
  if (trip && !trip.waved.includes(question))
    await saveTrips(db, [{ ...trip, waved: [...trip.waved, question] }]);
}

/** Takes a ruling back. */
export async function unrule(id: string): Promise<void> {
  await removeRuling(await store(), id);
  revalidatePath("/", "layout");
}
