"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { boiledWith, intoMark, intoNight } from "@/core/field/into-debrief";
import { parseFieldLine } from "@/core/field/parse-field-line";
import { tripProblems } from "@/core/ledger/check";
import { walked } from "@/core/ledger/intended";
import { Item, ItemId, LegId, Mark, TripId } from "@/core/model";
import { HOW_COME, newThing, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { carriesOf, saveCarries } from "@/data/carries";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import { allItems, saveItems } from "@/data/items";
import { setTaken } from "@/data/lines";
import { readSettings } from "@/data/settings";
import { findTrip, saveTrips } from "@/data/trips";
import { byField, refuse, type Answer } from "@/ui/answer";

/** A thing that joined on the way: carried from a leg on (null: all the way), and whose slot it took over (null: nobody's). */
const Joined = z.object({
  line: z.string().max(200, "At most 200 letters."),
  how: z.enum(HOW_COME),
  owner: Item.shape.owner,
  from: LegId.nullable(),
  after: ItemId.nullable(),
});

/** Puts a thing bought or found on the way on the shelf, and in the pack of the trip from its leg on. */
export async function joinOnTheWay(trip: TripId, raw: z.input<typeof Joined>): Promise<Answer<ItemId>> {
  const joined = Joined.safeParse(raw);
  if (!joined.success) return refuse(byField(joined.error));
  const { line, how, owner, from, after } = joined.data;
  const db = await store();
  const [{ units }, items, known] = [
    await readSettings(db),
    await allItems(db),
    await findTrip(db, TripId.parse(trip)),
  ];
  if (!known) return refuse({ "": "That trip is no longer here." });
  const parsed = parseLine(line, units.weight);
  if (parsed.name === "") return refuse({ line: "Give it a name, like: trail shoes, pair 2 620 g." });
  const at = from === null ? 0 : known.legs.findIndex(({ id }) => id === from);
  if (at < 0) return refuse({ from: "That leg is no longer there." });
  const full = await fullOf(db, "items");
  if (full) return refuse({ line: full });
  const made = Item.safeParse(
    newThing(parsed, new Set(items.map(({ id }) => id)), {
      how,
      owner,
      on: known.legs[at]?.starts ?? known.starts,
    }),
  );
  if (!made.success) return refuse({ line: Object.values(byField(made.error))[0]! });
  const older = items.find(({ id }) => id === after);
  await db.transaction(async (tx) => {
    await saveItems(tx, older ? takeOver(older, made.data) : [made.data]);
    await saveCarries(tx, known.id, [
      {
        item: made.data.id,
        legs: at === 0 ? null : known.legs.slice(at).map(({ id }) => id),
        shared: null,
        mark: null,
      },
    ]);
  });
  revalidatePath("/", "layout");
  return { ok: true, value: made.data.id };
}

/** A planned trip whose days have come was walked: it can be unpacked. */
export async function setWalked(trip: TripId): Promise<void> {
  await (
    await store()
  ).transaction(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (known) await saveTrips(tx, [walked(known)]);
  });
  revalidatePath("/", "layout");
}

/** What taking a line did: what was known of the thing before, to take it back. */
export interface Taken {
  readonly mark: { readonly item: ItemId; readonly before: z.input<typeof Mark> | null } | null;
}

/** Takes a line written on the way into the debrief: as a mark, a night, or a thing that joined; a note is only put aside. */
export async function takeLine(trip: TripId, id: string): Promise<Answer<Taken>> {
  const db = await store();
  const known = await findTrip(db, TripId.parse(trip));
  const line = known?.lines.find((each) => each.id === id);
  if (!known || !line) return refuse({ "": "That line is no longer here." });
  const carries = await carriesOf(db, { trip: known.id });
  const along = new Set(carries.map(({ item }) => item));
  const items = (await allItems(db)).toSorted((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)));
  const { understood } = parseFieldLine(line.text, items);
  const next = {
    ...known,
    felt: understood.as === "night" ? [...known.felt, intoNight(understood)] : known.felt,
    boiled: boiledWith(known.boiled, understood),
  };
  const [problem] = tripProblems(next);
  if (problem) return refuse({ "": problem.message });
  if (understood.as === "joined") {
    const answer = await joinOnTheWay(known.id, {
      line: understood.what,
      how: understood.how,
      owner: understood.owner,
      from: null,
      after: null,
    });
    if (!answer.ok) return answer;
  }
  const item = understood.as === "mark" || understood.as === "amount" ? understood.item : null;
  const carry = await db.transaction(async (tx) => {
    // Read here: a mark made meanwhile is added to, not put back to what it was.
    const there = (await carriesOf(tx, { trip: known.id })).find((each) => each.item === item) ?? null;
    await saveTrips(tx, [next]);
    await setTaken(tx, known.id, line.id, true);
    if (item && understood.as === "mark")
      await saveCarries(tx, known.id, [
        {
          item,
          legs: there?.legs ?? null,
          shared: there?.shared ?? null,
          mark: intoMark(there?.mark ?? null, understood, line.text, known.legs),
        },
      ]);
    else if (there?.mark)
      await saveCarries(tx, known.id, [
        { ...there, mark: { ...there.mark, note: [there.mark.note, line.text].filter(Boolean).join("; ") } },
      ]);
    return there;
  });
  revalidatePath("/", "layout");
  const before = carry?.mark ? Mark.encode(carry.mark) : null;
  return { ok: true, value: { mark: item && understood.as === "mark" ? { item, before } : null } };
}

/** A line waits again. */
export async function putLineBack(trip: TripId, id: string): Promise<void> {
  await setTaken(await store(), TripId.parse(trip), id, false);
  revalidatePath("/", "layout");
}
