"use server";

import { isAlong } from "@/core/plan/columns";
import { Name, RecordId, SavedKit, Trip, TripId } from "@/core/model";
import { listFrom, picksFor, purposeOf } from "@/core/plan/kits/which-kit";
import { fullOf } from "@/data/limits";
import { allKits, removeKit, saveKits } from "@/data/records/kits";
import { findTrip, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { readBook } from "@/app/book";
import { plansOf } from "@/app/plans";
import { refuse, refuseAs, type Answer } from "@/ui/form/answer";
import { aheadOf } from "../ahead";
import { kitsAhead } from "./kits-data";

const noKit = refuse({ "": "That kit is no longer here. Reload the page." });
const noTrip = refuse({ "": "That trip is no longer here." });

/** Keeps a list by a name: that of a walk, by its trip, or the one of the trip ahead. Answers its id. */
export async function keepKit(rawName: string, from: string): Promise<Answer<string>> {
  const name = Name.safeParse(rawName);
  if (!name.success) return refuseAs("name", name.error);
  const reading = await readBook();
  const { log, book } = reading;
  const trip = log.trips.find(({ id }) => id === TripId.safeParse(from).data);
  if (from !== "next" && !trip) return refuse({ from: "That trip is no longer here." });
  const ahead = aheadOf(log.trips, book.today)[0] ?? null;
  const items = trip
    ? trip.carries.map(({ item }) => item)
    : (await plansOf(reading))(ahead).lines.flatMap(({ item, column }) => (isAlong(column) ? [item.id] : []));
  if (items.length === 0) return refuse({ from: "Nothing is on that list yet." });
  const kit = SavedKit.parse({
    id: crypto.randomUUID(),
    name: name.data,
    items,
    ...((trip ?? ahead) && purposeOf((trip ?? ahead)!)),
  });
  const kept = await acting(async (tx) => {
    const full = await fullOf(tx, "kits");
    if (full) return refuse({ "": full });
    if ((await allKits(tx)).some((each) => each.name.toLowerCase() === kit.name.toLowerCase()))
      return refuse({ name: `There is a kit “${kit.name}” already: give this one another name.` });
    await saveKits(tx, [kit]);
    return { ok: true, value: kit.id };
  });
  return kept;
}

/** Keeps a kit as it was changed, or puts back one that was taken off; answers what it was before. */
export async function saveKit(raw: Record<string, unknown>): Promise<Answer<SavedKit | null>> {
  return acting(async (tx) => {
    const kit = SavedKit.parse(raw);
    if (kit.items.length === 0) return refuse({ items: "Leave at least one thing in it." });
    const before = (await allKits(tx)).find(({ id }) => id === kit.id) ?? null;
    const full = before ? null : await fullOf(tx, "kits");
    if (full) return refuse({ "": full });
    await saveKits(tx, [{ ...kit, items: [...new Set(kit.items)] }]);
    return { ok: true, value: before };
  });
}

/** Takes a kit off; answers what it was, to be put back. */
export async function deleteKit(rawId: string): Promise<Answer<SavedKit>> {
  return acting(async (tx) => {
    const kit = (await allKits(tx)).find(({ id }) => id === RecordId.parse(rawId));
    if (!kit) return noKit;
    await removeKit(tx, kit.id);
    return { ok: true, value: kit };
  });
}

/**
 * Makes the list of a trip to come that of a kit, changed as the trip asks; answers what its owner had moved
 * before.
 */
export async function takeKit(rawTrip: string, rawKit: string): Promise<Answer<Trip["picks"]>> {
  const reading = await readBook();
  const trip = reading.log.trips.find(({ id }) => id === TripId.safeParse(rawTrip).data);
  if (!trip?.planned) return noTrip;
  const { held } = await kitsAhead(trip, reading);
  const kit = held.find((each) => each.kit.id === rawKit);
  if (!kit) return noKit;
  const picks = picksFor(listFrom(kit), (await plansOf(reading))(trip));
  return acting(async (tx) => {
    const known = await findTrip(tx, trip.id);
    if (!known) return noTrip;
    await saveTrips(tx, [{ ...known, picks }]);
    return { ok: true, value: known.picks };
  });
}

/** Puts back what its owner had moved on the list of a trip to come. */
export async function putBackPicks(rawTrip: string, raw: Trip["picks"]): Promise<Answer> {
  return acting(async (tx) => {
    const picks = Trip.shape.picks.parse(raw);
    const known = await findTrip(tx, TripId.parse(rawTrip));
    if (!known) return noTrip;
    await saveTrips(tx, [{ ...known, picks }]);
    return { ok: true, value: undefined };
  });
}
