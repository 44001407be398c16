"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { ItemId, Moved, TripId } from "@/core/model";
import { carriesOf, removeCarries, saveCarries } from "@/data/carries";
import { store } from "@/data/connection";
import { allItems, findItem } from "@/data/items";
import { findTrip, saveTrips } from "@/data/trips";
import { refuse, type Answer } from "@/ui/answer";

const noTrip = refuse({ "": "That trip or thing is no longer here." });

/** Keeps where the owner moved a thing on the list of a trip to come; null: it stands where it stands by itself. */
export async function move(trip: TripId, item: ItemId, to: Moved | null): Promise<Answer> {
  const moved = Moved.nullable().parse(to);
  const thing = ItemId.parse(item);
  const isThere = await (
    await store()
  ).transaction(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known || !(await findItem(tx, thing))) return false;
    const others = Object.entries(known.picks).filter(([id]) => id !== thing);
    const picks = Object.fromEntries(moved ? [...others, [thing, moved]] : others);
    await saveTrips(tx, [{ ...known, picks }]);
    return true;
  });
  if (!isThere) return noTrip;
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Makes a list that of a trip to come: what is on it goes along, what was listed and is not any more comes off, unless it is marked. */
export async function packList(trip: TripId, raw: readonly string[]): Promise<Answer> {
  const items = z.array(ItemId).max(2000).parse(raw);
  const answer = await (
    await store()
  ).transaction(async (tx): Promise<Answer> => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const shelf = new Set((await allItems(tx)).filter(({ state }) => state !== "wished").map(({ id }) => id));
    const before = await carriesOf(tx, { trip: known.id });
    const listed = new Set(items.filter((item) => shelf.has(item)));
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
    return { ok: true, value: undefined };
  });
  revalidatePath("/", "layout");
  return answer;
}

/** Leaves several things out of the list of a trip to come, by the owner's word. */
export async function leaveOut(trip: TripId, raw: readonly string[]): Promise<Answer> {
  const items = z.array(ItemId).max(2000).parse(raw);
  const isThere = await (
    await store()
  ).transaction(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return false;
    const shelf = new Set((await allItems(tx)).map(({ id }) => id));
    const left = Object.fromEntries(
      items.filter((item) => shelf.has(item)).map((item) => [item, "leave" as const]),
    );
    await saveTrips(tx, [{ ...known, picks: { ...known.picks, ...left } }]);
    return true;
  });
  if (!isThere) return noTrip;
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}
