import type { Log, TripHead, WholeLog } from "@/core/model";
import { allCarries, saveCarries } from "./carries";
import { carriedIn } from "../changes";
import type { Db } from "../db";
import { allEntries, saveEntries } from "./entries";
import { allItems, saveItems } from "./items";
import { allKits, saveKits } from "./kits";
import { allRulings, saveRulings } from "./rulings";
import { readSettings, saveSettings } from "./settings";
import { allTasks, saveTasks } from "./tasks";
import { allTracks, saveTracks } from "./tracks";
import { allTrips, saveTrips } from "./trips";

/** The log, for judging. */
export async function readLog(db: Db): Promise<Log> {
  const settings = await readSettings(db);
  const items = await allItems(db);
  const carries = await allCarries(
    db,
    items.map((item) => item.id),
  );
  const trips = (await allTrips(db)).map((trip) => ({ ...trip, carries: carries.get(trip.id) ?? [] }));
  return {
    settings,
    items,
    trips,
    entries: await allEntries(db),
    rulings: await allRulings(db),
    tasks: await allTasks(db),
    kits: await allKits(db),
  };
}

/** The log as it is now, where some parts have changed since it was read: the rest is not read again. */
export async function rereadLog(db: Db, before: Log, parts: ReadonlySet<string>): Promise<Log> {
  const items = parts.has("item") ? await allItems(db) : before.items;
  const heads: readonly TripHead[] = parts.has("trip") ? await allTrips(db) : before.trips;
  const changed = new Set(carriedIn(parts));
  const carries = await allCarries(db, [...changed]);
  const known = new Map(before.trips.map((trip) => [trip.id, trip.carries]));
  const place = new Map(items.map(({ id }, n) => [id, n]));
  return {
    items,
    settings: parts.has("settings") ? await readSettings(db) : before.settings,
    entries: parts.has("entry") ? await allEntries(db) : before.entries,
    rulings: parts.has("ruling") ? await allRulings(db) : before.rulings,
    tasks: parts.has("task") ? await allTasks(db) : before.tasks,
    kits: parts.has("kit") ? await allKits(db) : before.kits,
    trips: heads.map((head) => ({
      ...head,
      carries: [
        ...(known.get(head.id) ?? []).filter(({ item }) => !changed.has(item)),
        ...(carries.get(head.id) ?? []),
      ]
        .filter(({ item }) => place.has(item))
        .sort((a, b) => place.get(a.item)! - place.get(b.item)!),
    })),
  };
}

/** The log and its tracks, for saving to a file. */
export const readWholeLog = async (db: Db): Promise<WholeLog> => ({
  ...(await readLog(db)),
  tracks: await allTracks(db),
});

/** Called with how many trips are in, and of how many; what it throws ends the work. */
type Tell = (done: number, of: number) => Promise<void>;

/** Adds a log to what is there. Run it in a transaction. */
export async function addLog(db: Db, log: WholeLog, tell: Tell = async () => {}): Promise<void> {
  await saveItems(db, log.items);
  await saveTrips(db, log.trips);
  for (const [n, trip] of log.trips.entries()) {
    if (trip.carries.length) await saveCarries(db, trip.id, trip.carries);
    await tell(n + 1, log.trips.length);
  }
  await saveEntries(db, log.entries);
  await saveRulings(db, log.rulings);
  await saveTasks(db, log.tasks);
  await saveKits(db, log.kits);
  await saveTracks(db, log.tracks);
}

/** Puts a log in the place of everything there. Run it in a transaction. */
export async function replaceLog(db: Db, log: WholeLog, tell?: Tell): Promise<void> {
  for (const table of ["track", "kit", "task", "ruling", "entry", "carry", "leg", "trip", "item"])
    await db.query(`delete from ${table}`);
  await addLog(db, log, tell);
  await saveSettings(db, log.settings);
}
