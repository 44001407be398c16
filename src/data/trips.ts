import { z } from "zod";
import type { TripId } from "@/core/model";
import { Leg, Trip } from "@/core/model";
import type { Db } from "./db";

/** A trip without what was carried on it. */
export type TripHead = Omit<Trip, "carries">;
const TripHead = Trip.omit({ carries: true });

const SELECT = `
  select t.id, t.name, t.starts::text as starts, t.ends::text as ends, t.nights, t.planned, t.cut, t.conditions, t.felt, t.supplies, t.missed, t.made, t.stay, t.note,
         coalesce((select jsonb_agg(jsonb_build_object('name', l.name, 'distance', l.distance, 'ascent', l.ascent, 'terrain', l.terrain) order by l.n)
                     from leg l where l.trip = t.id), '[]') as legs
    from trip t`;

/** Oldest first. */
export async function allTrips(db: Db): Promise<TripHead[]> {
  const { rows } = await db.query(`${SELECT} order by t.starts, t.ends, t.id`);
  return z.array(TripHead).parse(rows);
}

export async function findTrip(db: Db, id: TripId): Promise<TripHead | null> {
  const { rows } = await db.query(`${SELECT} where t.id = $1`, [id]);
  return rows[0] ? TripHead.parse(rows[0]) : null;
}

/** Saves trips with their legs; what was carried stays as it is. */
export async function saveTrips(db: Db, trips: readonly TripHead[]): Promise<void> {
  const rows = trips.map((trip) => TripHead.encode(trip));
  await db.query(
    `insert into trip (id, name, starts, ends, nights, planned, cut, conditions, felt, supplies, missed, made, stay, note)
     select id, name, starts, ends, nights, planned, cut, conditions, felt, supplies, missed, made, stay, note
       from jsonb_populate_recordset(null::trip, $1::jsonb)
     on conflict (id) do update set
       name = excluded.name, starts = excluded.starts, ends = excluded.ends, nights = excluded.nights, planned = excluded.planned, cut = excluded.cut,
       conditions = excluded.conditions, felt = excluded.felt, supplies = excluded.supplies, missed = excluded.missed, made = excluded.made,
       stay = excluded.stay, note = excluded.note`,
    [JSON.stringify(rows)],
  );
  const legs = trips.flatMap((trip) => trip.legs.map((leg, index) => ({
    ...Leg.encode(leg), trip: trip.id, n: index + 1, distance_m: leg.distance.m, ascent_m: leg.ascent?.m ?? null,
  })));
  await db.query("delete from leg where trip = any ($1)", [trips.map((trip) => trip.id)]);
  await db.query("insert into leg select * from jsonb_populate_recordset(null::leg, $1::jsonb)", [JSON.stringify(legs)]);
}

export async function removeTrip(db: Db, id: TripId): Promise<void> {
  await db.query("delete from trip where id = $1", [id]);
}
