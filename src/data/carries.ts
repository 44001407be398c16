import { z } from "zod";
import { Carry, ItemId, Mark, TripId } from "@/core/model";
import { groupBy } from "@/core/ledger/group";
import type { Db } from "./db";

const Row = z.object({
  ...Mark.shape, use: Mark.shape.use.nullable(),
  trip: TripId, item: ItemId, legs: Carry.shape.legs,
});
export interface TripCarry extends Carry {
  readonly trip: TripId;
}

const COLUMNS = `trip, item, legs, use, trouble, why, cause, place as "where", fix, cost, condition, reading, days, pieces, froze, call, note`;

/** What was carried on one trip, or by one item; oldest trip first, then in shelf order. */
export async function carriesOf(db: Db, of: { readonly trip: TripId } | { readonly item: ItemId }): Promise<TripCarry[]> {
  const [column, id] = "trip" in of ? ["trip", of.trip] : ["item", of.item];
  const { rows } = await db.query(
    `select ${COLUMNS.replace(/\b(trip|item|note|cost|pieces)\b/g, "c.$1")}
       from carry c join item i on i.id = c.item join trip t on t.id = c.trip
      where c.${column} = $1
      order by t.starts, t.ends, t.id, i.position`,
    [id],
  );
  return rows.map(toCarry);
}

function toCarry(row: unknown): TripCarry {
  const { trip, item, legs, use, ...rest } = Row.parse(row);
  return { trip, item, legs, mark: use === null ? null : { use, ...rest } };
}

/** One letter for a mark that says nothing beyond its use and a plain reason; capitals, for "no call for it". */
const PLAIN_MARKS: ReadonlyMap<string, Mark | null> = new Map<string, Mark | null>([
  ["-", null],
  ...(["used", "hardly", "unused"] as const).flatMap((use): [string, Mark][] => [
    [use[1]!, Mark.parse({ use })],
    [use[1]!.toUpperCase(), Mark.parse({ use, why: "no call for it" })],
  ]),
]);

/**
 * Everything carried on every trip, by trip.
 *
 * 60 000 rows read one by one take about a second here, so the plain ones, nearly all, come packed: one text an item,
 * of a trip's number and a letter for each. Only those with more to say come as rows.
 */
export async function allCarries(db: Db): Promise<ReadonlyMap<TripId, Carry[]>> {
  const plain = `c.legs is null and c.trouble is null and (c.why is null or c.why = 'no call for it') and c.cause is null and c.place = '' and c.fix is null
    and c.cost is null and c.condition is null and c.reading is null and c.days is null and c.pieces is null and c.froze is null and c.call is null and c.note = ''`;
  const trips = (await db.query("select id from trip order by starts, ends, id")).rows.map((row) => TripId.parse(row.id));
  const { rows: packed } = await db.query(
    `with numbered as (select id, row_number() over (order by starts, ends, id) - 1 as n from trip)
     select c.item, string_agg(t.n || case when c.use is null then '-'
                                           when c.why is null then case c.use when 'used' then 's' when 'hardly' then 'a' else 'n' end
                                           else case c.use when 'used' then 'S' when 'hardly' then 'A' else 'N' end end, ' ') as marks
       from carry c join numbered t on t.id = c.trip
      where ${plain}
      group by c.item`,
  );
  const { rows: told } = await db.query(`select ${COLUMNS} from carry c where not (${plain})`);
  const carries = groupBy(told.map(toCarry), (carry) => carry.trip);
  const byTrip = new Map<TripId, Carry[]>(trips.map((trip) => [trip, (carries.get(trip) ?? []).map(({ item, legs, mark }) => ({ item, legs, mark }))]));
  for (const row of packed) {
    const item = row.item as ItemId;
    for (const word of String(row.marks).split(" ")) {
      const mark = PLAIN_MARKS.get(word.at(-1)!);
      if (mark === undefined) throw new Error(`allCarries: no mark "${word}"`);
      byTrip.get(trips[Number(word.slice(0, -1))]!)!.push({ item, legs: null, mark });
    }
  }
  return byTrip;
}

/** Puts things in the pack of a trip, with or without their marks, in place of what was known of them there. */
export async function saveCarries(db: Db, trip: TripId, carries: readonly Carry[]): Promise<void> {
  const rows = carries.map(({ item, legs, mark }) => {
    const { where, ...rest } = mark ?? { where: "", note: "" };
    return { trip, item, legs, place: where, ...rest };
  });
  await db.query(
    `insert into carry select * from jsonb_populate_recordset(null::carry, $1::jsonb)
     on conflict (item, trip) do update set
       legs = excluded.legs, use = excluded.use, trouble = excluded.trouble, why = excluded.why, cause = excluded.cause, place = excluded.place, fix = excluded.fix,
       cost = excluded.cost, condition = excluded.condition, reading = excluded.reading, days = excluded.days, pieces = excluded.pieces,
       froze = excluded.froze, call = excluded.call, note = excluded.note`,
    [JSON.stringify(rows)],
  );
}

/** Sets or clears one mark; an item not yet in the trip's pack is put there. */
export async function saveMark(db: Db, { trip, item, mark }: { trip: TripId; item: ItemId; mark: Mark | null }): Promise<void> {
  const { rows } = await db.query("select legs from carry where trip = $1 and item = $2", [trip, item]);
  await saveCarries(db, trip, [{ item, legs: Carry.shape.legs.parse(rows[0]?.legs ?? null), mark }]);
}

export async function removeCarries(db: Db, trip: TripId, items: readonly ItemId[]): Promise<void> {
  await db.query("delete from carry where trip = $1 and item = any ($2)", [trip, items]);
}
