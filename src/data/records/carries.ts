import { z } from "zod";
import { groupBy } from "@/core/sums/group";
import { mergedMark } from "@/core/model/merge-mark";
import { markOf } from "@/core/model/plain-mark";
import { Carry, ItemId, Mark, TripId, type Use } from "@/core/model";
import { columnsOf } from "../columns";
import type { Db } from "../db";
import { nth } from "@/core/sums/there";

const Row = z.object({
  ...Mark.shape,
  use: Mark.shape.use.nullable(),
  trip: TripId,
  item: ItemId,
  legs: Carry.shape.legs,
  shared: Carry.shape.shared,
});
export interface TripCarry extends Carry {
  readonly trip: TripId;
}

const COLUMNS = columnsOf(Row.shape, { key: ["trip", "item"] });

/** What was carried on one trip, or by one item; oldest trip first, then in shelf order. */
export async function carriesOf(
  db: Db,
  of: { readonly trip: TripId } | { readonly item: ItemId },
): Promise<TripCarry[]> {
  const [column, id] = "trip" in of ? ["trip", of.trip] : ["item", of.item];
  const { rows } = await db.query(
    `select ${COLUMNS.read("c")}
       from carry c join item i on i.id = c.item join trip t on t.id = c.trip
      where c.${column} = $1
      order by t.starts, t.ends, t.id, i.position`,
    [id],
  );
  return rows.map(toCarry);
}

function toCarry(row: unknown): TripCarry {
  const { trip, item, legs, shared, use, ...rest } = Row.parse(row);
  return { trip, item, legs, shared, mark: use === null ? null : { use, ...rest } };
}

/** The marks that the column `plain` has a letter for. */
const PLAIN_MARKS: ReadonlyMap<string, Mark | null> = new Map<string, Mark | null>([
  ["-", null],
  ...(["used", "hardly", "unused"] as const).flatMap((use): [string, Mark][] => [
    [nth(use, 1), Mark.parse({ use })],
    [nth(use, 1).toUpperCase(), Mark.parse({ use, why: "no call for it" })],
  ]),
]);

/**
 * What was carried of some things on every trip, by trip, in the order of `items`.
 *
 * 60 000 rows read one by one take about a second here, so the plain ones, nearly all, come packed: one text
 * an item, of a letter and a trip for each. Only those with more to say come as rows, and these in one JSON
 * text, which the driver has not to take apart.
 */
export async function allCarries(db: Db, items: readonly ItemId[]): Promise<ReadonlyMap<TripId, Carry[]>> {
  const {
    rows: [packedRows],
  } = await db.query(
    `select coalesce(json_agg(told), '[]')::text as told from (select ${COLUMNS.read("c")} from carry c where plain is null and item = any ($1)) told`,
    [items],
  );
  const told = groupBy(
    (JSON.parse(String(packedRows!.told)) as unknown[]).map(toCarry),
    (carry) => carry.item,
  );
  const packed = new Map(
    (
      await db.query(
        "select item, string_agg(plain || trip, " +
          "' ') as marks from carry where plain is not null and item = any ($1) group by item",
        [items],
      )
    ).rows.map((row) => [row.item as ItemId, String(row.marks).split(" ")]),
  );
  const byTrip = new Map<TripId, Carry[]>();
  const put = (trip: TripId, carry: Carry) => {
    const carries = byTrip.get(trip);
    if (carries) carries.push(carry);
    else byTrip.set(trip, [carry]);
  };
  for (const item of items) {
    for (const { trip, ...carry } of told.get(item) ?? []) put(trip, carry);
    for (const word of packed.get(item) ?? []) {
      const mark = PLAIN_MARKS.get(nth(word, 0));
      if (mark === undefined) throw new Error(`allCarries: no mark "${word}"`);
      put(word.slice(1) as TripId, { item, legs: null, shared: null, mark });
    }
  }
  return byTrip;
}

/** What stands in the columns of a thing that has not been marked yet. */
const UNMARKED = { ...Mark.encode(Mark.parse({ use: "used" })), use: null };

/** Puts things in the pack of a trip, with or without their marks, in place of what was known of them there. */
export async function saveCarries(db: Db, trip: TripId, carries: readonly Carry[]): Promise<void> {
  const rows = carries.map(({ item, legs, shared, mark }) => ({
    trip,
    item,
    legs,
    shared,
    ...(mark ? Mark.encode(mark) : UNMARKED),
  }));
  await db.query(
    `insert into carry (${COLUMNS.names}) select ${COLUMNS.names} from jsonb_populate_recordset(null::carry, $1::jsonb)
     on conflict (item, trip) do update set ${COLUMNS.set}`,
    [JSON.stringify(rows)],
  );
}

/** One change to what is known of a thing on a trip: its whole mark, its use alone, or that it did not go along. */
export type CarryChange = { readonly trip: TripId; readonly item: ItemId } & (
  | {
      readonly mark: Mark | null;
      /** What the screen was shown that it changed; left out: nobody else speaks. */ readonly from?: Mark | null;
    }
  | { readonly use: Use }
  | { readonly out: true }
);

/**
 * Makes one change, putting what was not in the trip's pack there; returns what was known before, null where
 * it was not carried.
 */
export async function changeCarry(db: Db, change: CarryChange): Promise<Carry | null> {
  const { trip, item } = change;
  const { rows } = await db.query(
    `select ${COLUMNS.read("c")} from carry c where c.trip = $1 and c.item = $2`,
    [trip, item],
  );
  const before = rows[0] ? toCarry(rows[0]) : null;
  if ("out" in change) await removeCarries(db, trip, [item]);
  else {
    const mark = markAfter(before?.mark ?? null, change);
    await saveCarries(db, trip, [{ item, legs: before?.legs ?? null, shared: before?.shared ?? null, mark }]);
  }
  return before;
}

function markAfter(known: Mark | null, change: Exclude<CarryChange, { readonly out: true }>): Mark | null {
  if ("use" in change) return { ...(known ?? markOf(change.use)), use: change.use };
  return change.from === undefined ? change.mark : mergedMark(known, change.from, change.mark);
}

export async function removeCarries(db: Db, trip: TripId, items: readonly ItemId[]): Promise<void> {
  await db.query("delete from carry where trip = $1 and item = any ($2)", [trip, items]);
}
