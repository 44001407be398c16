"use server";

import type { z } from "zod";
import { hear, namedOf } from "@/core/hear/hear";
import { HeardFact, Line, LineText, RecordId, TripId, type TripHead } from "@/core/model";
import { withDefaults } from "@/core/trade/full-item";
import { rulesOf } from "@/core/trade/rules";
import type { Db } from "@/data/db";
import { carriesOf } from "@/data/records/carries";
import { allItems } from "@/data/records/items";
import { changeLine, takeInLines } from "@/data/records/lines";
import { readSettings } from "@/data/records/settings";
import { findTrip } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { refuse, refuseAs, type Answer } from "@/ui/form/answer";
import { HeardOf, take, takeBack, Undo, type Taken } from "./taking";

const noTrip = refuse({ "": "That trip is no longer here." });
const noLine = refuse({ "": "That line is no longer here." });

/**
 * Takes a line written on the way into the debrief; a note is only put aside.
 * @param facts what the owner made of it; null: as it is heard
 */
export async function takeLine(
  trip: TripId,
  id: string,
  facts: readonly HeardFact[] | null = null,
): Promise<Answer<Taken>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    const line = known?.lines.find((each) => each.id === id);
    if (!known || !line) return noLine;
    const told = facts ? HeardFact.array().max(40).parse(facts) : await heardIn(tx, known, line.text);
    await changeLine(tx, known.id, line.id, (each) => ({ ...each, taken: true, told }));
    return take(
      tx,
      known,
      told.map((fact) => ({ fact, text: line.text })),
      dayOf(line.at, known),
    );
  });
}

async function heardIn(tx: Db, trip: TripHead, text: string): Promise<HeardFact[]> {
  const [carries, items, settings] = [
    await carriesOf(tx, { trip: trip.id }),
    await allItems(tx),
    await readSettings(tx),
  ];
  const along = new Set(carries.map(({ item }) => item));
  const { kindOf } = rulesOf(settings);
  const things = items.map((item) => namedOf(withDefaults(item, kindOf(item)), along.has(item.id)));
  return hear(text, things).flatMap(({ heard }) => heard.map(({ fact }) => fact));
}

/** The day that a line was written on, where that is a day of the trip. */
function dayOf(at: string, { starts, ends }: Pick<TripHead, "starts" | "ends">): string | null {
  const day = at.slice(0, 10);
  return starts <= day && day <= ends ? day : null;
}

/** A line waits again; with what taking it did, all of that is taken back. What the line was is the answer. */
export async function putLineBack(
  trip: TripId,
  id: string,
  undo: unknown,
): Promise<Answer<z.input<typeof Line>>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const back = Undo.nullable().parse(undo ?? null);
    const was = await changeLine(tx, known.id, RecordId.parse(id), (each) => ({
      ...each,
      taken: false,
      told: null,
    }));
    if (!was) return noLine;
    if (back) await takeBack(tx, known, back);
    return { ok: true, value: was };
  });
}

/** A line as it should have been written; what it was is the answer. */
export async function rewriteLine(trip: TripId, id: string, typed: string): Promise<Answer<string>> {
  return acting(async (tx) => {
    const text = LineText.safeParse(typed);
    if (!text.success) return refuseAs("text", text.error);
    const was = await changeLine(tx, TripId.parse(trip), RecordId.parse(id), (each) => ({
      ...each,
      text: text.data,
    }));
    return was ? { ok: true, value: was.text } : noLine;
  });
}

/** Takes a line away; the answer puts it back. */
export async function removeLine(trip: TripId, id: string): Promise<Answer<z.input<typeof Line>>> {
  return acting(async (tx) => {
    const was = await changeLine(tx, TripId.parse(trip), RecordId.parse(id), () => null);
    return was ? { ok: true, value: was } : noLine;
  });
}

/** A line is there again as it was, whether it was taken away or only changed. */
export async function putLineThere(trip: TripId, line: z.input<typeof Line>): Promise<Answer> {
  return acting(async (tx) => {
    const [id, was] = [TripId.parse(trip), Line.parse(line)];
    const isThere =
      (await changeLine(tx, id, was.id, () => was)) ??
      (await takeInLines(tx, id, [{ ...was, change: null }]));
    return isThere ? { ok: true, value: undefined } : noTrip;
  });
}

/** Takes facts that were heard in a talk into the debrief, all at once. */
export async function takeTalk(trip: TripId, raw: z.input<typeof HeardOf>): Promise<Answer<Taken>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    return known ? take(tx, known, HeardOf.parse(raw), null) : noTrip;
  });
}

/** All that taking a talk did is taken back. */
export async function takeTalkBack(trip: TripId, undo: unknown): Promise<Answer> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    await takeBack(tx, known, Undo.parse(undo));
    return { ok: true, value: undefined };
  });
}
