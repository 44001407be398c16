"use server";

import { z } from "zod";
import { questionsAfter, type Question, type Told } from "@/core/ask/questions";
import {
  Condition,
  ItemId,
  ItemState,
  MOST_WAVED,
  Name,
  RecordId,
  Ruling,
  Verb,
  type TripId,
} from "@/core/model";
import { doingOf } from "@/core/advice/doing";
import type { RuledOn } from "@/core/model";
import { Text } from "@/core/units/text";
import { changeCarry } from "@/data/records/carries";
import { fullOf } from "@/data/limits";
import type { Db } from "@/data/db";
import { saveEntries } from "@/data/records/entries";
import { removeRuling, saveRulings } from "@/data/records/rulings";
import { findTrip, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { byField, refuse, refuseAs, type Answer } from "@/ui/form/answer";
import { readBook } from "@/app/book";
import { today } from "@/app/reading";
import { logEntry, takeEntryBack } from "../item/[id]/actions";
import { setState } from "../shelf/actions";

const About = z.object({ item: ItemId, verb: Verb, ground: Text.max(80) });
const OnVerdict = z.union([About, z.object({ what: Name })]);
const Said = Ruling.pick({ decision: true, reason: true, again: true });

/** Keeps what the owner decided about a verdict. Returns the ruling's id, for undo. */
export async function rule(
  rawAbout: z.input<typeof OnVerdict>,
  rawSaid: z.input<typeof Said>,
): Promise<Answer<string>> {
  const [about, said] = [OnVerdict.safeParse(rawAbout), Said.safeParse(rawSaid)];
  if (!about.success) return noVerdict;
  if (!said.success) return refuse(byField(said.error));
  const counts = await countsOf(about.data);
  if (!counts) return noVerdict;
  return acting(async (tx) => {
    const ruling = Ruling.parse({
      verb: "add",
      ...about.data,
      ...said.data,
      ...counts,
      id: crypto.randomUUID(),
      on: today(),
    });
    const full = await fullOf(tx, "rulings");
    if (full) return refuse({ "": full });
    await saveRulings(tx, [ruling]);
    return { ok: true, value: ruling.id };
  });
}

const noVerdict = refuse({ "": "That verdict no longer stands. Reload the page." });

/** How much there was to go by when it is ruled on: what comes after is news. */
async function countsOf(about: RuledOn): Promise<Pick<Ruling, "trips" | "troubles"> | null> {
  const { book, kit } = await readBook();
  if ("what" in about) {
    const addition = kit.toAdd.find(({ what }) => what === about.what);
    return addition ? { trips: book.outings.length, troubles: addition.times } : null;
  }
  const one = kit.of(about.item)?.case;
  return one ? { trips: one.marked.length, troubles: one.history.troubles.length } : null;
}

const Undo = z.union([z.object({ entry: RecordId }), z.object({ item: ItemId, state: ItemState })]);
/** How to take back what was done. */
export type Undo = z.infer<typeof Undo>;

/**
 * Logs that a verdict has been followed: what its verb's remedy is, or that the thing has left. With a grade,
 * 0 to 5, where it asked for a look.
 */
export async function done(
  rawAbout: z.input<typeof About>,
  rawGrade: number | null,
): Promise<Answer<{ readonly undo: Undo; readonly says: string }>> {
  const [about, grade] = [About.safeParse(rawAbout), Condition.nullable().safeParse(rawGrade)];
  if (!about.success) return noVerdict;
  if (!grade.success) return refuseAs("condition", grade.error);
  const { log, kit } = await readBook();
  const advice = kit.of(about.data.item);
  const verdict = advice?.verdicts.find(
    ({ verb, reason }) => verb === about.data.verb && reason === about.data.ground,
  );
  if (!advice || !verdict) return noVerdict;
  const { item } = advice.case;
  const doing =
    grade.data === null ? doingOf(log, advice.case, verdict) : { log: "check" as const, service: null };
  if (!doing) return refuse({ "": `Log what was done on the page of ${item.name}.` });
  if ("leaves" in doing) {
    const left = await setState(item.id, doing.leaves);
    return left.ok
      ? {
          ok: true,
          value: { undo: { item: item.id, state: left.value }, says: `${item.name}: ${doing.leaves}` },
        }
      : left;
  }
  const logged = await logEntry({
    item: item.id,
    on: today(),
    what: doing.log,
    service: doing.service,
    condition: grade.data,
  });
  if (!logged.ok) return logged;
  return {
    ok: true,
    value: { undo: { entry: logged.value }, says: `${item.name}: ${doing.service ?? doing.log} logged` },
  };
}

/** Takes back what {@link done} did. */
export async function undone(raw: Undo): Promise<Answer<unknown>> {
  const undo = Undo.safeParse(raw);
  if (!undo.success) return refuse(byField(undo.error));
  return "entry" in undo.data ? takeEntryBack(undo.data.entry) : setState(undo.data.item, undo.data.state);
}

const noQuestion = refuse({ "": "That question no longer stands. Reload the page." });

/**
 * Puts the answer to a question where it belongs: into the mark that it asks about, the trip's weather, or the
 * thing's entries.
 */
export async function answerQuestion(id: string, answer: number): Promise<Answer> {
  const { kit } = await readBook();
  const question = questionsAfter(kit).find((each) => each.id === id);
  const given = question?.answers[answer];
  if (!question || !given) return noQuestion;
  return acting(async (tx) => {
    const kept = await keepAnswer(tx, question, given.told);
    return kept.ok ? wave(tx, question.trip, id) : kept;
  });
}

async function keepAnswer(tx: Db, { item, trip: id }: Question, told: Told): Promise<Answer> {
  if (told.kind === "mark") await changeCarry(tx, { trip: id, item, mark: told.mark });
  if (told.kind === "entry") {
    const full = await fullOf(tx, "entries");
    if (full) return refuse({ "": full });
    await saveEntries(tx, [{ ...told.entry, id: crypto.randomUUID() }]);
  }
  if (told.kind === "counted") {
    const trip = await findTrip(tx, id);
    if (!trip) return noQuestion;
    await saveTrips(tx, [{ ...trip, counted: { ...trip.counted, [told.trigger]: told.days } }]);
  }
  return { ok: true, value: undefined };
}

/** Waves a question away: it is not asked again for that trip. */
export async function waveQuestion(id: string): Promise<Answer> {
  const { book, kit } = await readBook();
  const last = book.outings.at(-1);
  if (!last || !questionsAfter(kit).some((each) => each.id === id)) return noQuestion;
  return acting((tx) => wave(tx, last.trip.id, id));
}

async function wave(tx: Db, id: TripId, question: string): Promise<Answer> {
  const trip = await findTrip(tx, id);
  if (!trip) return noQuestion;
  // Of many that were waved away the latest stay away.
  const waved = [...trip.waved.filter((each) => each !== question), question].slice(-MOST_WAVED);
  await saveTrips(tx, [{ ...trip, waved }]);
  return { ok: true, value: undefined };
}

/** Takes a ruling back. */
export async function unrule(id: string): Promise<Answer> {
  return acting(async (tx) => {
    await removeRuling(tx, RecordId.parse(id));
    return { ok: true, value: undefined };
  });
}
