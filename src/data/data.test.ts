import { PGlite } from "@electric-sql/pglite";
import fc from "fast-check";
import { spawn } from "node:child_process";
import { mkdir, mkdtemp, readFile, rm, utimes, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { demoLog } from "../../demo/log";
import { anyFile, anyMark, logOf } from "../../tests/histories";
import { carriedOn } from "@/core/ledger/book";
import { outingOf } from "@/core/ledger/outing";
import {
  Entry,
  Item,
  Leg,
  LegId,
  SentLine,
  Mark,
  Ruling,
  Settings,
  Trip,
  type Carry,
  type ItemId,
  type WholeLog,
  type TripId,
} from "@/core/model";
import { readLogFile, writeLogFile } from "@/formats/log-file";
import { carriesOf, changeCarry, removeCarries, saveCarries } from "./records/carries";
import type { Db, Store } from "./db";
import { removeItem, saveItems } from "./records/items";
import { changeLine, takeInLines } from "./records/lines";
import { lockFolder } from "./lock";
import { changedSince, readChanges } from "./changes";
import { readLog, readWholeLog, replaceLog, rereadLog } from "./records/log";
import { migrate } from "./migrate";
import { saveRulings } from "./records/rulings";
import { readSettings, saveSettings } from "./records/settings";
import { liteStore } from "./store";
import { findTrip, removeTrip, saveTrips } from "./records/trips";

let store: Store;
beforeAll(async () => {
  store = liteStore(await PGlite.create());
  await migrate(store);
});
afterAll(() => store.close());

const ROLLED_BACK = new Error("rolled back");

/** Runs `work` on these records and leaves nothing behind. */
async function withLog(log: WholeLog, work: (db: Db) => Promise<void>): Promise<void> {
  await store
    .transaction(async (tx) => {
      await replaceLog(tx, log);
      await work(tx);
      throw ROLLED_BACK;
    })
    .catch((error: unknown) => {
      if (error !== ROLLED_BACK) throw error;
    });
}

const trip = (id: string, starts: string, ends: string, ...items: string[]) => ({
  id,
  name: id,
  starts,
  ends,
  distance: "30 km",
  marks: items.map((item) => ({ item, use: "used" })),
});
const small = () =>
  logOf({
    items: [
      { id: "mug", name: "Mug", kind: "mug" },
      { id: "pot", name: "Pot", kind: "pot" },
      { id: "spoon", name: "Spoon", kind: "cutlery" },
    ],
    trips: [
      trip("later", "2026-06-01", "2026-06-03", "pot", "mug"),
      trip("first", "2026-05-01", "2026-05-03", "mug"),
    ],
  });
const [MUG, SPOON, FIRST] = ["mug" as ItemId, "spoon" as ItemId, "first" as TripId];

describe("what is kept is what is read", () => {
  test("any history", async () => {
    await fc.assert(
      fc.asyncProperty(anyFile, async (file) => {
        const log = logOf(file);
        await withLog(log, async (db) => expect(await readWholeLog(db)).toEqual(log));
      }),
      { numRuns: 25 },
    );
  });

  test("the demo, with its readings, rulings, nights and what came home; the oldest first", async () => {
    const log = demoLog();
    const oldest = <T extends { id: string }>(records: readonly T[], dayOf: (record: T) => string) =>
      [...records].sort((a, b) => (dayOf(a) + a.id < dayOf(b) + b.id ? -1 : 1));
    const inOrder = {
      ...log,
      trips: oldest(log.trips, (walk) => walk.starts),
      entries: oldest(log.entries, (entry) => entry.on),
      rulings: oldest(log.rulings, (ruling) => ruling.on),
    };
    await withLog(log, async (db) => expect(await readWholeLog(db)).toEqual(inOrder));
  });

  test("a ruling is on a thing, or on something to add, and never on both or neither", async () => {
    const ruled = logOf({
      items: [{ id: "mug", name: "Mug", kind: "mug" }],
      rulings: [
        { id: "a", item: "mug", verb: "drop", decision: "agree", on: "2026-06-01" },
        {
          id: "b",
          what: "Sit mat",
          verb: "add",
          decision: "overrule",
          reason: "soft ground",
          again: 2,
          on: "2026-06-02",
          trips: 3,
          troubles: 2,
        },
      ],
    });
    await withLog(ruled, async (db) => expect(await readWholeLog(db)).toEqual(ruled));
    for (const both of [
      { item: MUG, what: "Sit mat" },
      { item: null, what: null },
    ]) {
      await expect(
        withLog(ruled, (db) => saveRulings(db, [{ ...ruled.rulings[0]!, id: "c", ...both }])),
      ).rejects.toThrow(/ruling_on_one/);
    }
  });

  test("any mark: the plain ones, kept as a letter, and those with more to say", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.option(anyMark),
        fc.option(fc.constant<LegId[]>([LegId.parse("leg-1")])),
        fc.option(
          fc.record({
            with: fc.constant("Companion"),
            part: fc.constantFrom(0, 0.5, 1),
            legs: fc.constant<LegId[] | null>(null),
          }),
        ),
        async (said, legs, shared) => {
          const mark = said && Mark.parse(said);
          await withLog(small(), async (db) => {
            await saveCarries(db, FIRST, [{ item: MUG, legs, shared, mark }]);
            const log = await readWholeLog(db);
            expect(log.trips.find(({ id }) => id === FIRST)!.carries).toEqual([
              { item: MUG, legs, shared, mark },
            ]);
            expect(await carriesOf(db, { trip: FIRST })).toEqual([
              { trip: FIRST, item: MUG, legs, shared, mark },
            ]);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  test("settings: the defaults until one is made, then what was made of them", async () => {
    await withLog(small(), async (db) => {
      expect(await readSettings(db)).toEqual(Settings.parse({}));
      const own = Settings.parse({
        school: "wary",
        units: { weight: "oz" },
        body: "150 lb",
        schools: { wary: { dropLine: 0.2 } },
        kinds: { boots: { median: 2e6, limits: { tread: 2 } } },
      });
      await saveSettings(db, own);
      expect(await readSettings(db)).toEqual(own);
    });
  });
});

describe("marks and packs", () => {
  test("a mark is set, changed and cleared; a thing not yet in the pack is put there", () =>
    withLog(small(), async (db) => {
      const markOf = async (item: ItemId) =>
        (await carriesOf(db, { trip: FIRST })).find((carry) => carry.item === item)?.mark;
      await changeCarry(db, {
        trip: FIRST,
        item: SPOON,
        mark: Mark.parse({ use: "unused", why: "forgot it" }),
      });
      expect(await markOf(SPOON)).toMatchObject({ use: "unused", why: "forgot it" });
      await changeCarry(db, { trip: FIRST, item: SPOON, mark: Mark.parse({ use: "used" }) });
      expect(await markOf(SPOON)).toMatchObject({ use: "used", why: null });
      await changeCarry(db, { trip: FIRST, item: SPOON, mark: null });
      expect(await markOf(SPOON)).toBeNull();
    }));

  test("a mark leaves the legs that it was carried on as they were", () =>
    withLog(small(), async (db) => {
      await saveCarries(db, FIRST, [{ item: MUG, legs: [LegId.parse("leg-1")], shared: null, mark: null }]);
      await changeCarry(db, { trip: FIRST, item: MUG, mark: Mark.parse({ use: "hardly" }) });
      expect(await carriesOf(db, { trip: FIRST })).toMatchObject([
        { legs: ["leg-1"], mark: { use: "hardly" } },
      ]);
    }));

  test("an item's carries come oldest trip first, a trip's in the order of the shelf", () =>
    withLog(small(), async (db) => {
      expect((await carriesOf(db, { item: MUG })).map((carry) => carry.trip)).toEqual(["first", "later"]);
      expect((await carriesOf(db, { trip: "later" as TripId })).map(({ item }) => item)).toEqual([
        "mug",
        "pot",
      ]);
    }));

  test("what is taken off a list, with its mark, is gone; the rest stays", () =>
    withLog(small(), async (db) => {
      await removeCarries(db, "later" as TripId, [MUG]);
      expect((await readWholeLog(db)).trips.map(({ carries }) => carries.map(({ item }) => item))).toEqual([
        ["mug"],
        ["pot"],
      ]);
    }));

  test("a line that comes in while a trip's form is open is not put back by its saving; each line is once, and is taken alone", () =>
    withLog(small(), async (db) => {
      const read = (await findTrip(db, FIRST))!;
      const line = (id: string, at: string, change: "rewritten" | "deleted" | null = null) =>
        SentLine.parse({ id, at, text: `line ${id}${change ?? ""}`, change });
      await takeInLines(db, FIRST, [line("b", "2026-05-02T10:00:00Z")]);
      await takeInLines(db, FIRST, [line("a", "2026-05-01T10:00:00Z"), line("b", "2026-05-02T10:00:00Z")]);
      await saveTrips(db, [{ ...read, note: "saved from an old form" }]);
      await changeLine(db, FIRST, "b", (each) => ({ ...each, taken: true }));
      const now = (await findTrip(db, FIRST))!;
      expect(now.note).toBe("saved from an old form");
      expect(now.lines.map(({ id, taken }) => [id, taken])).toEqual([
        ["a", false],
        ["b", true],
      ]);
      // What is in the debrief already is no phone's any more.
      await takeInLines(
        db,
        FIRST,
        ["a", "b"].map((id) => line(id, "2026-05-02T10:00:00Z", "rewritten")),
      );
      await takeInLines(db, FIRST, [line("b", "2026-05-02T10:00:00Z", "deleted")]);
      expect((await findTrip(db, FIRST))!.lines.map(({ text }) => text)).toEqual([
        "line arewritten",
        "line b",
      ]);
      expect((await changeLine(db, FIRST, "a", () => null))?.text).toBe("line arewritten");
      expect((await findTrip(db, FIRST))!.lines.map(({ id }) => id)).toEqual(["b"]);
      expect(await changeLine(db, FIRST, "a", (each) => each)).toBeNull();
      expect(await takeInLines(db, "nowhere" as TripId, [line("c", "2026-05-01T10:00:00Z")])).toBe(false);
    }));

  test("a trip taken away takes its marks along, and so does an item", () =>
    withLog(small(), async (db) => {
      await removeTrip(db, FIRST);
      await removeItem(db, MUG);
      const log = await readWholeLog(db);
      expect(log.items.map(({ id }) => id)).toEqual(["pot", "spoon"]);
      expect(log.trips.map(({ id, carries }) => [id, carries.map(({ item }) => item)])).toEqual([
        ["later", ["pot"]],
      ]);
    }));

  test("a trip saved again keeps what was carried, and has its new legs alone", () =>
    withLog(small(), async (db) => {
      const { ...before } = (await findTrip(db, FIRST))!;
      await saveTrips(db, [
        {
          ...before,
          name: "Renamed",
          legs: [...before.legs, { ...before.legs[0]!, id: LegId.parse("leg-2"), name: "back" }],
        },
      ]);
      expect(await findTrip(db, FIRST)).toMatchObject({
        name: "Renamed",
        legs: [{ name: "" }, { name: "back" }],
      });
      await saveTrips(db, [{ ...before, name: "Renamed" }]);
      expect((await findTrip(db, FIRST))!.legs).toHaveLength(1);
      expect(await carriesOf(db, { trip: FIRST })).toHaveLength(1);
      expect(await findTrip(db, "nowhere" as TripId)).toBeNull();
    }));

  test("an item saved again keeps its place on the shelf", () =>
    withLog(small(), async (db) => {
      const [mug] = (await readWholeLog(db)).items;
      await saveItems(db, [{ ...mug!, name: "Tin mug" }]);
      expect((await readWholeLog(db)).items.map(({ name }) => name)).toEqual(["Tin mug", "Pot", "Spoon"]);
    }));

  test("what the tables themselves refuse: no pieces, an end before the start, a mark on nothing", () =>
    withLog(small(), async (db) => {
      // Each in a savepoint: a refusal ends a transaction.
      const refused = async (sql: string) => {
        await db.query("savepoint s");
        const told = await db.query(sql).then(
          () => "",
          (error: Error) => error.message,
        );
        await db.query("rollback to savepoint s");
        return told;
      };
      expect(await refused("update item set pieces = 0")).toMatch(/check constraint/);
      expect(await refused("update trip set ends = date '2020-01-01'")).toMatch(/check constraint/);
      expect(await refused("insert into carry (trip, item) values ('first', 'anvil')")).toMatch(
        /foreign key/,
      );
    }));
});

describe("what has changed since a log was read", () => {
  const WRITES: readonly (readonly [string, string, readonly string[]])[] = [
    ["a thing saved", "update item set note = 'x' where id = 'mug'", ["item"]],
    [
      "a thing taken away, with all that hangs on it",
      "delete from item where id = 'mug'",
      ["item", "carry mug", "entry", "ruling", "task"],
    ],
    ["a trip saved", "update trip set note = 'x' where id = 'first'", ["trip"]],
    ["a leg put in", "update leg set name = 'x'", ["trip"]],
    ["a mark", "update carry set note = 'x' where item = 'mug' and trip = 'first'", ["carry mug"]],
    ["a thing unpacked", "delete from carry where item = 'mug'", ["carry mug"]],
    ["settings", "delete from settings", ["settings"]],
    ["a track", "delete from track", []],
  ];
  test.each(WRITES)("%s", (_, sql, parts) =>
    withLog(small(), async (db) => {
      const log = await readLog(db);
      const before = await readChanges(db);
      await db.query(sql);
      const changed = changedSince(before, await readChanges(db));
      expect([...changed].sort()).toEqual([...parts].sort());
      expect(await rereadLog(db, log, changed)).toEqual(await readLog(db));
    }),
  );

  test("any log in the place of any other: what is read again of it is what is there", () =>
    fc.assert(
      fc.asyncProperty(anyFile, anyFile, async (file, other) => {
        await withLog(logOf(file), async (db) => {
          const log = await readLog(db);
          const before = await readChanges(db);
          await replaceLog(db, logOf(other));
          const again = await rereadLog(db, log, changedSince(before, await readChanges(db)));
          expect(again).toEqual(await readLog(db));
        });
      }),
      { numRuns: 10 },
    ));
});

describe("legs keep their identity", () => {
  const walk = () =>
    logOf({
      items: [{ id: "mug", name: "Mug", kind: "mug" }],
      trips: [
        {
          id: "w",
          name: "Walk",
          starts: "2026-05-01",
          ends: "2026-05-10",
          legs: ["out", "over", "back"].map((id, n) => ({
            id,
            name: id,
            distance: `${20 + n} km`,
            nights: 3,
          })),
          marks: [{ item: "mug", use: "used", legs: ["out", "back"] }],
        },
      ],
    });

  test("put in another order, or with one taken out, what was carried stays on its own legs", () =>
    withLog(walk(), async (db) => {
      const before = (await findTrip(db, "w" as TripId))!;
      const [out, over, back] = before.legs;
      await saveTrips(db, [{ ...before, legs: [back!, out!] }]);
      expect((await carriesOf(db, { item: MUG }))[0]!.legs).toEqual(["out", "back"]);
      expect((await findTrip(db, "w" as TripId))!.legs.map(({ id }) => id)).toEqual(["back", "out"]);
      await saveTrips(db, [{ ...before, legs: [over!, out!, back!] }]);
      const [carry] = (await readWholeLog(db)).trips[0]!.carries;
      expect(carried(carry!, (await readWholeLog(db)).trips[0]!)).toBeCloseTo(20_000 + 22_000, 6);
    }));

  const carried = (carry: Carry, trip: Trip) => carriedOn(outingOf(trip), carry).metres;
});

test("every field of the model has its column, and is kept", async () => {
  const columns = async (table: string) =>
    new Set(
      (
        await store.query("select column_name from information_schema.columns where table_name = $1", [table])
      ).rows.map((row) => String(row.column_name)),
    );
  const has = async (table: string, shape: object, ...without: string[]) => {
    const there = await columns(table);
    expect(Object.keys(shape).filter((field) => !without.includes(field) && !there.has(field))).toEqual([]);
  };
  await has("item", Item.shape);
  await has("trip", Trip.shape, "legs", "carries");
  await has("leg", Leg.shape);
  await has("carry", Mark.shape);
  await has("entry", Entry.shape);
  await has("ruling", Ruling.shape);
});

test("a log in which every field is said is kept whole", () => {
  const said = logOf(EVERYTHING);
  expect(readLogFile(writeLogFile(said))).toEqual({ ok: true, log: said, mended: [] });
  return withLog(said, async (db) => expect(await readWholeLog(db)).toEqual(said));
});

const EVERYTHING = {
  items: [
    {
      id: "tent",
      name: "Tent",
      kind: "tent",
      jobs: ["shelter"],
      triggers: ["rain"],
      stow: "main",
      load: "base",
      cover: false,
      consequence: "danger",
      wears: "nights",
      pieces: 2,
      weights: [
        { weight: "1.2 kg", how: "claimed" },
        { weight: "1184 g", how: "measured", on: "2026-01-04" },
      ],
      past: "known",
      opening: { distance: "12 km", nights: 3, days: 1 },
      acquired: "2025-03-01",
      altered: { on: "2026-02-01", what: "shorter guys" },
      price: 300,
      warranty: "life",
      warrantyCovers: "wear",
      expires: "2031-01-01",
      state: "active",
      since: "2025-03-01",
      slot: "shelter",
      model: "Two-pole",
      set: "winter",
      needs: ["poles"],
      parts: [{ name: "Slider", renewed: "2026-01-01", note: "left" }],
      ratings: {
        label: { celsius: -2, means: "limit" },
        rValue: 4.2,
        wattHours: 74,
        litres: 1.5,
        volume: 40,
        comfortableLoad: "12 kg",
        lumens: 300,
        packed: 6.5,
        empty: "98 g",
      },
      currency: "kr",
      instead: "poles",
      note: "green",
    },
    { id: "poles", name: "Poles", kind: "poles" },
    { id: "sack", name: "Sack", kind: "dry bag", stow: "bag", bag: "tent" },
  ],
  trips: [
    {
      id: "w",
      name: "Walk",
      starts: "2026-05-01",
      ends: "2026-05-10",
      nights: 9,
      cut: true,
      legs: [
        {
          id: "a",
          name: "Out",
          distance: "20 km",
          ascent: "300 m",
          terrain: "mud",
          starts: "2026-05-01",
          ends: "2026-05-04",
          nights: 3,
          conditions: { rain: "strong" },
          offers: { beds: "some" },
        },
      ],
      conditions: { sun: "some" },
      offers: { sockets: "strong" },
      felt: [{ low: 3, felt: "cool", slept: ["tent"] }],
      supplies: [{ what: "Gas", unit: "g", out: 230, back: 20, sort: "fuel", reserve: 10 }],
      foreseen: { low: -4, dry: "22 km", resupply: 5 },
      picks: { tent: "take", poles: "leave" },
      boiled: 9.5,
      scale: { weight: "11.4 kg", holds: "no supplies" },
      missed: [{ what: "Hat", job: "head warm", cost: "nuisance" }],
      made: ["tent"],
      stay: ["poles"],
      waved: ["grade tent"],
      note: "windy",
      marks: [
        {
          item: "tent",
          use: "used",
          legs: ["a"],
          troubles: ["nuisance", "failed"],
          symptoms: ["torn"],
          complaints: [{ what: "too heavy", on: "rock" }],
          exit: { how: "swapped", for: "sack" },
          why: "cover",
          cause: "weather",
          at: { leg: "a", distance: "12 km" },
          where: "the saddle",
          fix: "patched",
          cost: "a day",
          condition: 2,
          reading: { what: "tread", value: 2.5 },
          days: 4,
          pieces: 2,
          enough: 1,
          left: 0.5,
          frost: "unknown",
          call: "fix",
          note: "split",
        },
      ],
    },
  ],
  entries: [
    {
      id: "e",
      item: "poles",
      on: "2026-06-01",
      what: "damage",
      distance: "3 km",
      nights: 1,
      cost: 5,
      condition: 3,
      reading: { what: "tread", value: 1 },
      symptoms: ["bent"],
      frost: "kept",
      note: "shed",
    },
  ],
  rulings: [
    {
      id: "r",
      item: "poles",
      verb: "repair",
      ground: "open trouble",
      decision: "later",
      reason: "busy",
      again: 2,
      on: "2026-06-02",
      trips: 1,
      troubles: 1,
    },
  ],
  tasks: [
    {
      id: "k",
      item: "tent",
      what: "Sew on the hook",
      place: "post",
      due: "2026-12-01",
      done: "2026-11-20",
      note: "left side",
    },
  ],
};

describe("older data", () => {
  test("control characters that were kept are taken out of every text, and times beyond any calendar out of tracks", async () => {
    const old = liteStore(await PGlite.create());
    await migrate(old);
    await old.query("delete from migration where n >= 13");
    const log = readLogFile(
      JSON.stringify({
        format: "nettle-tally",
        version: 2,
        items: [{ id: "mug", name: "Mug", kind: "mug", note: "\\u0001 is typed", parts: [{ name: "lid" }] }],
        trips: [{ id: "walk", name: "Walk", starts: "2026-05-01", ends: "2026-05-02", distance: "9 km" }],
      }),
    );
    if (!log.ok) throw new Error();
    await old.transaction((tx) => replaceLog(tx, log.log));
    await old.query("update item set name = E'M\\x01ug', parts = $1::jsonb", [
      JSON.stringify([{ name: "li\u0001d\f", note: "\\f", renewed: null }]),
    ]);
    const track = {
      clock: 0,
      metres: 9,
      ascent: 0,
      descent: 0,
      movingSeconds: 9,
      slopes: null,
      toblerSeconds: null,
      starts: null,
      ends: null,
    };
    await old.query("insert into track values ('walk', $1::jsonb)", [
      JSON.stringify({
        ...track,
        trip: "walk",
        points: [
          [0, 1, 1, null, 1e15, 0],
          [9, 1, 1, null, 1_750_000_000, 0],
        ],
      }),
    ]);
    await migrate(old);
    const { items, tracks } = await readWholeLog(old);
    expect(items).toMatchObject([
      { name: "Mug", note: "\\u0001 is typed", parts: [{ name: "lid", note: "\\f" }] },
    ]);
    expect(tracks[0]!.points.map(([, , , , seconds]) => seconds)).toEqual([null, 1_750_000_000]);
    await old.close();
  });

  test("a folder of the first version is carried forward with all that is in it, once", async () => {
    const old = liteStore(await PGlite.create());
    const files = [
      "0001-log.sql",
      "0002-own-numbers.sql",
      "0003-told-marks.sql",
      "0004-ruling-on-addition.sql",
    ];
    for (const file of files) await old.exec(await readFile(`src/data/migrations/${file}`, "utf8"));
    await old.exec("create table migration (n int primary key, name text not null)");
    for (const [n, file] of files.entries())
      await old.query("insert into migration values ($1, $2)", [n + 1, file]);
    await old.exec(await readFile("tests/carried-forward/folder-v1.sql", "utf8"));
    await migrate(old);
    await migrate(old);
    expect(await readWholeLog(old)).toMatchObject({
      settings: {
        school: "lean",
        currency: "£",
        units: { weight: "oz" },
        body: { typed: "150 lb" },
        wholeList: false,
      },
      items: [
        { id: "mug", past: "known", weights: [{ weight: { typed: "1.8 oz" }, how: "claimed", on: null }] },
        {
          id: "tent",
          past: "new",
          warranty: "2026-05-01",
          weights: [{ weight: { typed: "2 lb 3 oz" }, how: "measured" }],
        },
        { id: "filter", past: "unknown", weights: [] },
      ],
      trips: [
        {
          name: "Old walk",
          stay: ["mug"],
          legs: [
            { id: "leg-1", name: "Out" },
            { id: "leg-2" },
            { id: "leg-3", distance: { typed: "18 mi" } },
          ],
          carries: [
            { item: "mug", legs: null, shared: null, mark: { use: "unused", why: "no call for it" } },
            {
              item: "tent",
              legs: ["leg-1", "leg-3"],
              mark: {
                troubles: ["damaged"],
                exit: null,
                where: "the saddle",
                condition: 3,
                note: "Pole split.",
              },
            },
            {
              item: "filter",
              legs: ["leg-2"],
              mark: { troubles: [], exit: { how: "given away", for: null }, frost: "froze" },
            },
          ],
        },
      ],
      entries: [{ on: "2024-06-01", note: "splinted", symptoms: [], frost: null }],
      rulings: [{ on: "2024-06-02", ground: null, decision: "overrule" }],
    });
    await old.close();
  });

  test("a file of the first version is read in the words of the second", async () => {
    const read = readLogFile(await readFile("tests/carried-forward/file-v1.json", "utf8"));
    expect(read).toMatchObject({
      ok: true,
      log: {
        items: [
          { id: "shoes-1", past: "known", weights: [{ weight: { typed: "21.9 oz" }, how: "claimed" }] },
          { id: "shoes-2", past: "new" },
          { id: "filter", past: "known" },
          { id: "jacket", warranty: "2027-03-01", warrantyCovers: "defects" },
        ],
        trips: [
          {
            legs: [{ id: "leg-1" }, { id: "leg-2" }, { id: "leg-3" }],
            carries: [
              {
                legs: ["leg-1", "leg-2"],
                mark: {
                  troubles: [],
                  exit: { how: "worn out" },
                  cause: "worn",
                  where: "Spine hut",
                  note: "Sole through.",
                },
              },
              { legs: ["leg-3"] },
              { mark: { troubles: ["nuisance"], exit: null, frost: "froze" } },
              { legs: ["leg-2"], mark: { exit: { how: "sent home" }, days: 4 } },
            ],
          },
        ],
        rulings: [{ ground: null }],
      },
    });
  });
});

describe("the hold on a data folder", () => {
  /** A folder as one process left it: who held it, and a lock that gave no sign for some seconds. */
  const heldBy = async (holder: string | null, silentFor = 60) => {
    const folder = await mkdtemp(path.join(tmpdir(), "nettle-lock-"));
    const lock = path.join(folder, "lock");
    await mkdir(lock);
    const before = new Date(Date.now() - silentFor * 1000);
    await utimes(lock, before, before);
    if (holder !== null) await writeFile(path.join(folder, "holder"), holder);
    return folder;
  };
  const DEAD = `${2 ** 22 + 1} 1`;
  const bornAt = async (pid: number) => {
    const stat = await readFile(`/proc/${pid}/stat`, "utf8");
    return stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19]!;
  };

  test("one that is alive and too busy to give a sign keeps it; one that was killed does not, nor does another of its number", async () => {
    const other = spawn("sleep", ["60"]);
    const folder = await heldBy(`${other.pid} ${await bornAt(other.pid!)}`);
    await expect(lockFolder(folder)).rejects.toThrow(/already open/);
    const reused = await heldBy(`${other.pid} 1`);
    await (
      await lockFolder(reused)
    )();
    other.kill("SIGKILL");
    await new Promise((resolve) => other.on("exit", resolve));
    await (
      await lockFolder(folder)
    )();
    for (const each of [folder, reused]) await rm(each, { recursive: true });
  });

  test("of a holder that was killed it is taken at once, and by one of two that start together", async () => {
    const folder = await heldBy(DEAD, 0);
    const started = performance.now();
    const both = await Promise.allSettled([lockFolder(folder), lockFolder(folder)]);
    // The lock is no older than this test: nobody waited for it to go stale.
    expect(performance.now() - started).toBeLessThan(2000);
    expect(both.map(({ status }) => status).sort()).toEqual(["fulfilled", "rejected"]);
    for (const each of both) if (each.status === "fulfilled") await each.value();
    await rm(folder, { recursive: true });
  });

  test("one that was killed as it opened the folder, or on another machine, is waited for; one that gives signs there keeps it", async () => {
    const [unnamed, elsewhere, living] = await Promise.all([
      heldBy(null),
      heldBy(`${DEAD} another-machine`),
      heldBy(`${DEAD} another-machine`, 0),
    ]);
    const signs = setInterval(() => void utimes(path.join(living, "lock"), new Date(), new Date()), 500);
    await Promise.all([
      lockFolder(unnamed).then((release) => release()),
      lockFolder(elsewhere).then((release) => release()),
      expect(lockFolder(living)).rejects.toThrow(/already open/),
    ]);
    clearInterval(signs);
    for (const each of [unnamed, elsewhere, living]) await rm(each, { recursive: true });
  });
});
