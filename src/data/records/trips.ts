import { z } from "zod";
import { Leg, TripHead, type TripId } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";

// A line may come in from the way while a form that was read before it is saved: no form puts lines back to
// what they were. What was advised is kept by itself, as it is said, and so are single days.
const COLUMNS = columnsOf(TripHead.shape, {
  key: ["id"],
  dates: ["starts", "ends"],
  once: ["lines", "advised", "daily"],
  without: ["legs"],
});
const LEG = columnsOf(Leg.shape, { key: ["id"], dates: ["starts", "ends"] });

const SELECT = `
  select ${COLUMNS.read("t")},
         coalesce((select jsonb_agg(to_jsonb(told) order by told.n)
                     from (select l.n, ${LEG.read("l")} from leg l where l.trip = t.id) told), '[]') as legs
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

/** Saves trips with their legs; what was carried stays as it is, on the legs that bear the same id. */
export async function saveTrips(db: Db, trips: readonly TripHead[]): Promise<void> {
  await db.query(
    `insert into trip (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::trip, $1::jsonb)
     on conflict (id) do update set ${COLUMNS.set}`,
    [JSON.stringify(trips.map((trip) => TripHead.encode(trip)))],
  );
  const legs = trips.flatMap((trip) =>
    trip.legs.map((leg, index) => ({
      ...Leg.encode(leg),
      trip: trip.id,
      n: index + 1,
      distance_m: leg.distance.m,
      ascent_m: leg.ascent?.m ?? null,
    })),
  );
  await db.query("delete from leg where trip = any ($1)", [trips.map((trip) => trip.id)]);
  await db.query("insert into leg select * from jsonb_populate_recordset(null::leg, $1::jsonb)", [
    JSON.stringify(legs),
  ]);
}

/** Keeps what was advised as the list of a trip was made. */
export async function keepAdvised(db: Db, trip: TripId, advised: TripHead["advised"]): Promise<void> {
  await db.query("update trip set advised = $2::jsonb where id = $1", [trip, JSON.stringify(advised)]);
}

/** Keeps the weather of single days of a trip. */
export async function keepDaily(db: Db, trip: TripId, daily: TripHead["daily"]): Promise<void> {
  await db.query("update trip set daily = $2::jsonb where id = $1", [trip, JSON.stringify(daily)]);
}

export async function removeTrip(db: Db, id: TripId): Promise<void> {
  await db.query("delete from trip where id = $1", [id]);
}
