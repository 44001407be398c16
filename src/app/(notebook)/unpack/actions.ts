"use server";

import { z } from "zod";
import { Text } from "@/core/units/text";
import { boiledWith, intoMark, intoNight } from "@/core/field/into-debrief";
import { parseFieldLine } from "@/core/field/parse-field-line";
import { tripProblems } from "@/core/ledger/check";
import { walked } from "@/core/ledger/intended";
import { Item, ItemId, LegId, Mark, RecordId, TripId, type TripHead } from "@/core/model";
import { HOW_COME, newThing, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { carriesOf, saveCarries } from "@/data/carries";
import type { Db } from "@/data/db";
import { refuseAfterExit } from "@/data/exits";
import { fullOf } from "@/data/limits";
import { allItems, saveItems } from "@/data/items";
import { setTaken } from "@/data/lines";
import { readSettings } from "@/data/settings";
import { findTrip, saveTrips } from "@/data/trips";
import { acting } from "@/app/acting";
import { byField, refuse, type Answer } from "@/ui/answer";

/** A thing that joined on the way: carried from a leg on (null: all the way), and whose slot it took over (null: nobody's). */
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

/** What taking a line did: what was known of the thing before, to take it back. */
export interface Taken {
  readonly mark: { readonly item: ItemId; readonly before: z.input<typeof Mark> | null } | null;
}

/** Takes a line written on the way into the debrief: as a mark, a night, or a thing that joined; a note is only put aside. */
export async function takeLine(trip: TripId, id: string): Promise<Answer<Taken>> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    const line = known?.lines.find((each) => each.id === id);
    if (!known || !line) return refuse({ "": "That line is no longer here." });
    const carries = await carriesOf(tx, { trip: known.id });
    const along = new Set(carries.map(({ item }) => item));
    const items = (await allItems(tx)).toSorted((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)));
    const { understood } = parseFieldLine(line.text, items);
    const next = {
      ...known,
      felt: understood.as === "night" ? [...known.felt, intoNight(understood)] : known.felt,
      boiled: boiledWith(known.boiled, understood),
    };
    const [problem] = tripProblems(next);
    if (problem) return refuse({ "": problem.message });
    if (understood.as === "joined") {
      const { what, how, owner } = understood;
      const answer = await join(tx, known, { line: what, how, owner, from: null, after: null });
      if (!answer.ok) return answer;
    }
    const item = understood.as === "mark" || understood.as === "amount" ? understood.item : null;
    const there = carries.find((each) => each.item === item) ?? null;
    await saveTrips(tx, [next]);
    await setTaken(tx, known.id, line.id, true);
    if (item && understood.as === "mark") {
      await saveCarries(tx, known.id, [
        {
          item,
          legs: there?.legs ?? null,
          shared: there?.shared ?? null,
          mark: intoMark(there?.mark ?? null, understood, line.text, known.legs),
        },
      ]);
      await refuseAfterExit(tx, [item]);
    } else if (there?.mark)
      await saveCarries(tx, known.id, [
        { ...there, mark: { ...there.mark, note: [there.mark.note, line.text].filter(Boolean).join("; ") } },
      ]);
    const before = there?.mark ? Mark.encode(there.mark) : null;
    return { ok: true, value: { mark: item && understood.as === "mark" ? { item, before } : null } };
  });
}

/** A line waits again. */
export async function putLineBack(trip: TripId, id: string): Promise<Answer> {
  return acting(async (tx) => {
    await setTaken(tx, TripId.parse(trip), RecordId.parse(id), false);
    return { ok: true, value: undefined };
  });
}
