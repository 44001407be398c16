"use server";

import { z } from "zod";
import { ItemId, Moved, Settings, TripId } from "@/core/model";
import { carriesOf, removeCarries, saveCarries } from "@/data/records/carries";
import type { Db } from "@/data/db";
import { allItems } from "@/data/records/items";
import { findTrip, keepAdvised, saveTrips } from "@/data/records/trips";
import { readSettings, saveSettings } from "@/data/records/settings";
import { acting } from "@/app/acting";
import { advisedFor } from "@/app/plans";
import { refuse, refuseAs, type Answer } from "@/ui/form/answer";

const noTrip = refuse({ "": "That trip or thing is no longer here." });
const Items = z.array(ItemId).max(2000);
const owned = async (tx: Db) =>
  new Set((await allItems(tx)).filter(({ state }) => state !== "wished").map(({ id }) => id));

/**
 * Keeps where the owner moved a thing, and all that is of one set with it, on the list of a trip to come; null: it
 * stands where it stands by itself.
 */
export async function move(trip: TripId, item: ItemId, to: Moved | null): Promise<Answer> {
  return acting(async (tx) => {
    const moved = Moved.nullable().parse(to);
    const thing = ItemId.parse(item);
    const known = await findTrip(tx, TripId.parse(trip));
    const shelf = (await allItems(tx)).filter(({ state }) => state !== "wished");
    const first = shelf.find(({ id }) => id === thing);
    if (!known || !first) return noTrip;
    const together = shelf.filter(({ id, set }) => id === thing || (set !== null && set === first.set));
    const those = new Set<string>(together.map(({ id }) => id));
    const others = Object.entries(known.picks).filter(([id]) => !those.has(id));
    const now = moved ? [...those].map((id) => [id, moved] as const) : [];
    await saveTrips(tx, [{ ...known, picks: Object.fromEntries([...others, ...now]) }]);
    return { ok: true, value: undefined };
  });
}

/**
 * Makes a list that of a trip to come: what is on it goes along, what was listed and is not any more comes
 * off, unless it is marked. What is advised as it is made is kept with it.
 */
export async function packList(trip: TripId, raw: readonly string[]): Promise<Answer> {
  const advised = await advisedFor(trip);
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const shelf = await owned(tx);
    const listed = new Set(Items.parse(raw).filter((item) => shelf.has(item)));
    const before = await carriesOf(tx, { trip: known.id });
    const off = before.filter(({ item, mark }) => !listed.has(item) && mark === null);
    await removeCarries(
      tx,
      known.id,
      off.map(({ item }) => item),
    );
    const there = new Set(before.map(({ item }) => item));
    await saveCarries(
      tx,
      known.id,
      [...listed]
        .filter((item) => !there.has(item))
        .map((item) => ({ item, legs: null, shared: null, mark: null })),
    );
    if (advised) await keepAdvised(tx, known.id, advised);
    return { ok: true, value: undefined };
  });
}

/** Keeps what the owner never leaves without; answers what it was. */
export async function keepNever(raw: readonly string[]): Promise<Answer<readonly string[]>> {
  return acting(async (tx) => {
    const settings = await readSettings(tx);
    const never = Settings.shape.never.safeParse(raw);
    if (!never.success) return refuseAs("", never.error);
    await saveSettings(tx, { ...settings, never: [...new Set(never.data)] });
    return { ok: true, value: settings.never };
  });
}

/** Leaves several things out of the list of a trip to come, to make the weight that its owner named. */
export async function leaveOut(trip: TripId, raw: readonly string[]): Promise<Answer> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const shelf = await owned(tx);
    const left = Object.fromEntries(
      Items.parse(raw)
        .filter((item) => shelf.has(item))
        .map((item) => [item, "for the weight" as const]),
    );
    await saveTrips(tx, [{ ...known, picks: { ...known.picks, ...left } }]);
    return { ok: true, value: undefined };
  });
}
