"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Item, ItemId, LegId, TripId } from "@/core/model";
import { HOW_COME, newThing, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { saveCarries } from "@/data/carries";
import { store } from "@/data/connection";
import { allItems, saveItems } from "@/data/items";
import { readSettings } from "@/data/settings";
import { findTrip, saveTrips } from "@/data/trips";
import { byField, refuse, type Answer } from "@/ui/answer";

/** A thing that joined on the way: carried from a leg on (null: all the way), and whose slot it took over (null: nobody's). */
const Joined = z.object({
  line: z.string().max(200, "At most 200 letters."),
  how: z.enum(HOW_COME),
  from: LegId.nullable(),
  after: ItemId.nullable(),
});

/** Puts a thing bought or found on the way on the shelf, and in the pack of the trip from its leg on. */
export async function joinOnTheWay(trip: TripId, raw: z.input<typeof Joined>): Promise<Answer<ItemId>> {
  const joined = Joined.safeParse(raw);
  if (!joined.success) return refuse(byField(joined.error));
  const { line, how, from, after } = joined.data;
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
  const made = Item.safeParse(
    newThing(parsed, new Set(items.map(({ id }) => id)), { how, on: known.legs[at]?.starts ?? known.starts }),
  );
  if (!made.success) return refuse({ line: Object.values(byField(made.error))[0]! });
  const older = items.find(({ id }) => id === after);
  await db.transaction(async (tx) => {
    await saveItems(tx, older ? takeOver(older, made.data) : [made.data]);
    await saveCarries(tx, known.id, [
      { item: made.data.id, legs: at === 0 ? null : known.legs.slice(at).map(({ id }) => id), mark: null },
    ]);
  });
  revalidatePath("/", "layout");
  return { ok: true, value: made.data.id };
}

/** A planned trip whose days have come was walked: it can be unpacked. */
export async function setWalked(trip: TripId): Promise<void> {
  const db = await store();
  const known = await findTrip(db, TripId.parse(trip));
  if (known) await saveTrips(db, [{ ...known, planned: false }]);
  revalidatePath("/", "layout");
}
