"use server";

import { revalidatePath } from "next/cache";
import { questionsAfter } from "@/core/ask/questions";
import { Ruling, type ItemId, type ItemState, type TripId } from "@/core/model";
import { doingOf } from "@/core/reasons/doing";
import type { RuledOn } from "@/core/reasons/rulings";
import { changeCarry } from "@/data/carries";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { removeRuling, saveRulings } from "@/data/rulings";
import { findTrip, saveTrips } from "@/data/trips";
import { byField, refuse, type Answer } from "@/ui/answer";
import { readBook } from "../book";
import { today } from "../reading";
import { logEntry, takeEntryBack } from "../item/[id]/actions";
import { setState } from "../shelf/actions";

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
  const full = await fullOf(await store(), "rulings");
  if (full) return refuse({ "": full });
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

/** How to take back what was done. */
export type Undo = { readonly entry: string } | { readonly item: ItemId; readonly state: ItemState };

/**
 * Logs that a verdict has been followed: what its verb's remedy is, or that the thing has left. With a grade, 0 to 5, where it
 * asked for a look.
 */
export async function done(
  about: { item: string; verb: string; ground: string },
  grade: number | null,
): Promise<Answer<{ readonly undo: Undo; readonly says: string }>> {
  const { log, judgements } = await readBook();
  const judgement = judgements.find(({ case: { item } }) => item.id === about.item);
  const verdict = judgement?.verdicts.find(
    ({ verb, reason }) => verb === about.verb && reason === about.ground,
  );
  if (!judgement || !verdict) return refuse({ "": "That verdict no longer stands. Reload the page." });
  const { item } = judgement.case;
  const doing =
    grade === null ? doingOf(log, judgement.case, verdict) : { log: "check" as const, service: null };
  if (!doing) return refuse({ "": `Log what was done on the page of ${item.name}.` });
  if ("leaves" in doing) {
    const before = await setState(item.id, doing.leaves);
    if (before === null) return refuse({ "": `${item.name} is no longer on the shelf.` });
    return {
      ok: true,
      value: { undo: { item: item.id, state: before }, says: `${item.name}: ${doing.leaves}` },
    };
  }
  const logged = await logEntry({
    item: item.id,
    on: today(),
    what: doing.log,
    service: doing.service,
    condition: grade,
  });
  if (!logged.ok) return logged;
  return {
    ok: true,
    value: { undo: { entry: logged.value }, says: `${item.name}: ${doing.service ?? doing.log} logged` },
  };
}

/** Takes back what {@link done} did. */
export async function undone(undo: Undo): Promise<void> {
  if ("entry" in undo) await takeEntryBack(undo.entry);
  else await setState(undo.item, undo.state);
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
