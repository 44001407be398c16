import { z } from "zod";
import { Track, type TripId } from "@/core/model";
import type { Db } from "../db";

/** A trip's track; null where it has none. */
export async function findTrack(db: Db, trip: TripId): Promise<Track | null> {
  const { rows } = await db.query("select track from track where trip = $1", [trip]);
  return rows[0] ? Track.parse(rows[0].track) : null;
}

/** Every track, in the order of their trips: large, and read only to be saved to a file. */
export async function allTracks(db: Db): Promise<Track[]> {
  const { rows } = await db.query(
    "select track from track join trip t on t.id = track.trip order by t.starts, t.ends, t.id",
  );
  return z.array(Track).parse(rows.map(({ track }) => track));
}

/** Keeps tracks, each in the place of the one that its trip had. */
export async function saveTracks(db: Db, tracks: readonly Track[]): Promise<void> {
  await db.query(
    `insert into track (trip, track) select told ->> 'trip', told from jsonb_array_elements($1::jsonb) told
     on conflict (trip) do update set track = excluded.track`,
    [JSON.stringify(tracks)],
  );
}
