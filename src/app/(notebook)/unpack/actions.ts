"use server";

import { z } from "zod";
import { Text } from "@/core/units/text";
import { nanoid } from "nanoid";
import { HeardFact } from "@/core/hear/facts";
import { hear, namedOf } from "@/core/hear/hear";
import { intoDebrief } from "@/core/hear/into-debrief";
import { tripProblems } from "@/core/ledger/check/check";
import { walked } from "@/core/ledger/intended";
import { Entry, Item, ItemId, LegId, Mark, RecordId, TripHead, TripId } from "@/core/model";
import { newThing, takeOver } from "@/core/shelf/new-thing";
import { HOW_COME } from "@/core/shelf/how-come";
import { parseLine } from "@/core/shelf/parse-line";
import { withDefaults } from "@/core/trade/full-item";
import { rulesOf } from "@/core/trade/rules";
import { carriesOf, removeCarries, saveCarries } from "@/data/records/carries";
import { removeEntry, saveEntries } from "@/data/records/entries";
import type { Db } from "@/data/db";
import { refuseAfterExit } from "@/data/records/exits";
import { fullOf } from "@/data/limits";
import { allItems, removeItem, saveItems } from "@/data/records/items";
import { setTaken } from "@/data/records/lines";
import { readSettings } from "@/data/records/settings";
import { findTrip, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { byField, refuse, type Answer } from "@/ui/form/answer";

/**
 * A thing that joined on the way: carried from a leg on (null: all the way), and whose slot it took over
 * (null: nobody's).
 */
const Joined = z.object({
  line: Text.max(200, "At most 200 letters."),
  how: z.enum(HOW_COME),
  owner: Item.shape.owner,
  from: LegId.nullable(),
  after: ItemId.nullable(),
});

const noTrip = refuse({ "": "That trip is no longer here." });

/** Puts a thing bought or found on the way on the shelf, and in the pack of the trip from its leg on. */
export async function joinOnTheWay(trip: TripId, raw: z.input<typeof Joined>): Promise<Answer<ItemId>> {
  return acting(async (tx) => {
    const joined = Joined.parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    return known ? join(tx, known, joined) : noTrip;
  });
}

async function join(
  tx: Db,
  trip: TripHead,
  { line, how, owner, from, after }: z.infer<typeof Joined>,
): Promise<Answer<ItemId>> {
  const [{ units }, items] = [await readSettings(tx), await allItems(tx)];
  const parsed = parseLine(line, units.weight);
  if (parsed.name === "") return refuse({ line: "Give it a name, like: trail shoes, pair 2 620 g." });
  if (parsed.wrong) return refuse({ line: parsed.wrong });
  const at = from === null ? 0 : trip.legs.findIndex(({ id }) => id === from);
  if (at < 0) return refuse({ from: "That leg is no longer there." });
  const full = await fullOf(tx, "items");
  if (full) return refuse({ line: full });
  const made = Item.safeParse(
    newThing(parsed, new Set(items.map(({ id }) => id)), {
      how,
      owner,
      on: trip.legs[at]?.starts ?? trip.starts,
    }),
  );
  if (!made.success) return refuse({ line: Object.values(byField(made.error))[0]! });
  const older = items.find(({ id }) => id === after);
  await saveItems(tx, older ? takeOver(older, made.data) : [made.data]);
  await saveCarries(tx, trip.id, [
    {
      item: made.data.id,
      legs: at === 0 ? null : trip.legs.slice(at).map(({ id }) => id),
      shared: null,
      mark: null,
    },
  ]);
  return { ok: true, value: made.data.id };
}

/** A planned trip whose days have come was walked: it can be unpacked. */
export async function setWalked(trip: TripId): Promise<Answer> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    await saveTrips(tx, [walked(known)]);
    return { ok: true, value: undefined };
  });
}

/** What taking a line did, to take all of it back: the trip and the marks as they were, and what was added. */
const Undo = z.object({
  trip: TripHead.pick({ felt: true, boiled: true, missed: true, supplies: true }),
  marks: z.array(z.object({ item: ItemId, before: Mark.nullable(), wasAlong: z.boolean() })).max(300),
  items: z.array(ItemId).max(50),
  entries: z.array(RecordId).max(300),
});
export type Taken = z.input<typeof Undo>;

/** Takes a line written on the way into the debrief, with all that it says; a note is only put aside. */
export async function takeLine(trip: TripId, id: string): Promise<Answer<Taken>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    const line = known?.lines.find((each) => each.id === id);
    if (!known || !line) return refuse({ "": "That line is no longer here." });
    const [carries, items, settings] = [
      await carriesOf(tx, { trip: known.id }),
      await allItems(tx),
      await readSettings(tx),
    ];
    const along = new Set(carries.map(({ item }) => item));
    const { kindOf } = rulesOf(settings);
    const things = items.map((item) => namedOf(withDefaults(item, kindOf(item)), along.has(item.id)));
    const told = hear(line.text, things).flatMap(({ heard }) =>
      heard.map(({ fact }) => ({ fact, text: line.text })),
    );
    await setTaken(tx, known.id, line.id, true);
    return take(tx, known, told, dayOf(line.at, known));
  });
}

/** What the owner took of what was heard of a whole debrief, each with the sentence that it stands on. */
const HeardOf = z
  .array(z.object({ fact: HeardFact, text: Text.max(2000) }))
  .min(1)
  .max(600);

/** Takes facts that were heard in a talk into the debrief, all at once. */
export async function takeTalk(trip: TripId, raw: z.input<typeof HeardOf>): Promise<Answer<Taken>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    return known ? take(tx, known, HeardOf.parse(raw), null) : noTrip;
  });
}

async function take(
  tx: Db,
  known: TripHead,
  facts: z.infer<typeof HeardOf>,
  on: string | null,
): Promise<Answer<Taken>> {
  const carries = await carriesOf(tx, { trip: known.id });
  const told = intoDebrief(facts, { trip: known, carries }, on);
  const next = { ...known, ...told.trip };
  const [problem] = tripProblems(next);
  if (problem) return refuse({ "": problem.message });
  const added: ItemId[] = [];
  for (const { how, what, for: after, from } of told.joined) {
    const answer = await join(tx, known, {
      line: what,
      how: how === "given" ? "found" : how,
      owner: how === "borrowed" ? from : null,
      from: null,
      after,
    });
    if (!answer.ok) return refuse({ "": Object.values(answer.fields)[0]! });
    added.push(answer.value);
  }
  await saveTrips(tx, [next]);
  const there = new Map(carries.map((carry) => [carry.item, carry]));
  await saveCarries(
    tx,
    known.id,
    [...told.marks].map(([item, mark]) => ({
      item,
      legs: there.get(item)?.legs ?? null,
      shared: there.get(item)?.shared ?? null,
      mark,
    })),
  );
  const entries = told.done.map(({ item, what, text }) =>
    Entry.parse({ id: nanoid(), item, on: on ?? known.ends, what, note: text }),
  );
  await saveEntries(tx, entries);
  await refuseAfterExit(tx, [...told.marks.keys()]);
  return {
    ok: true,
    value: {
      trip: Undo.shape.trip.encode(known),
      marks: [...told.marks.keys()].map((item) => {
        const before = there.get(item)?.mark ?? null;
        return { item, before: before && Mark.encode(before), wasAlong: there.has(item) };
      }),
      items: added,
      entries: entries.map((entry) => entry.id),
    },
  };
}

/** The day that a line was written on, where that is a day of the trip. */
function dayOf(at: string, { starts, ends }: Pick<TripHead, "starts" | "ends">): string | null {
  const day = at.slice(0, 10);
  return starts <= day && day <= ends ? day : null;
}

/** A line waits again; with what taking it did, all of that is taken back. */
export async function putLineBack(trip: TripId, id: string, undo: unknown): Promise<Answer> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const back = Undo.nullable().parse(undo ?? null);
    await setTaken(tx, known.id, RecordId.parse(id), false);
    if (back) await takeBack(tx, known, back);
    return { ok: true, value: undefined };
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

async function takeBack(tx: Db, known: TripHead, back: z.infer<typeof Undo>): Promise<void> {
  await saveTrips(tx, [{ ...known, ...back.trip }]);
  const carries = new Map((await carriesOf(tx, { trip: known.id })).map((carry) => [carry.item, carry]));
  await saveCarries(
    tx,
    known.id,
    back.marks.flatMap(({ item, before, wasAlong }) => {
      const carry = wasAlong ? carries.get(item) : undefined;
      return carry ? [{ ...carry, mark: before }] : [];
    }),
  );
  await removeCarries(tx, known.id, [
    ...back.marks.filter(({ wasAlong }) => !wasAlong).map(({ item }) => item),
    ...back.items,
  ]);
  for (const entry of back.entries) await removeEntry(tx, entry);
  for (const item of back.items) await removeItem(tx, item);
}
