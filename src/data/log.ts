import type { Log, WholeLog } from "@/core/model";
import { allCarries, saveCarries } from "./carries";
import type { Db } from "./db";
import { allEntries, saveEntries } from "./entries";
import { allItems, saveItems } from "./items";
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
  };
}

/** The log and its tracks, for saving to a file. */
export const readWholeLog = async (db: Db): Promise<WholeLog> => ({
  ...(await readLog(db)),
  tracks: await allTracks(db),
});

/** Adds a log to what is there. Run it in a transaction. */
export async function addLog(db: Db, log: WholeLog): Promise<void> {
  await saveItems(db, log.items);
  await saveTrips(db, log.trips);
  for (const trip of log.trips) if (trip.carries.length) await saveCarries(db, trip.id, trip.carries);
  await saveEntries(db, log.entries);
  await saveRulings(db, log.rulings);
  await saveTasks(db, log.tasks);
  await saveTracks(db, log.tracks);
}

/** Puts a log in the place of everything there. Run it in a transaction. */
export async function replaceLog(db: Db, log: WholeLog): Promise<void> {
  for (const table of ["track", "task", "ruling", "entry", "carry", "leg", "trip", "item"])
    await db.query(`delete from ${table}`);
  await addLog(db, log);
  await saveSettings(db, log.settings);
}
