import { PGlite } from "@electric-sql/pglite";
import fc from "fast-check";
import { readFile } from "node:fs/promises";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { demoLog } from "../../demo/log";
import { anyFile, logOf } from "../../tests/histories";
import { Cause, Mark, OwnerCall, Settings, Trouble, Use, WhyUnused, type ItemId, type Log, type TripId } from "@/core/model";
import { carriesOf, removeCarries, saveCarries, saveMark } from "./carries";
import type { Db, Store } from "./db";
import { removeItem, saveItems } from "./items";
import { readLog, replaceLog } from "./log";
import { migrate } from "./migrate";
import { saveRulings } from "./rulings";
import { readSettings, saveSettings } from "./settings";
import { liteStore } from "./store";
import { findTrip, removeTrip, saveTrips } from "./trips";

let store: Store;
beforeAll(async () => {
  store = liteStore(await PGlite.create());
  await migrate(store);
}, 120_000);
afterAll(() => store.close());

const ROLLED_BACK = new Error("rolled back");

/** Runs `work` on these records and leaves nothing behind. */
async function withLog(log: Log, work: (db: Db) => Promise<void>): Promise<void> {
  await store.transaction(async (tx) => {
    await replaceLog(tx, log);
    await work(tx);
    throw ROLLED_BACK;
  }).catch((error: unknown) => { if (error !== ROLLED_BACK) throw error; });
}

const trip = (id: string, starts: string, ends: string, ...items: string[]) => ({ id, name: id, starts, ends, distance: "30 km", marks: items.map((item) => ({ item, use: "used" })) });
const small = () => logOf({
  items: [{ id: "mug", name: "Mug", kind: "mug" }, { id: "pot", name: "Pot", kind: "pot" }, { id: "spoon", name: "Spoon", kind: "cutlery" }],
  trips: [trip("later", "2026-06-01", "2026-06-03", "pot", "mug"), trip("first", "2026-05-01", "2026-05-03", "mug")],
});
const [MUG, SPOON, FIRST] = ["mug" as ItemId, "spoon" as ItemId, "first" as TripId];

describe("what is kept is what is read", () => {
  test("any history", async () => {
    await fc.assert(fc.asyncProperty(anyFile, async (file) => {
      const log = logOf(file);
      await withLog(log, async (db) => expect(await readLog(db)).toEqual(log));
    }), { numRuns: 25 });
  });

  test("the demo, with its readings, rulings, nights and what came home; the oldest first", async () => {
    const log = demoLog();
    const oldest = <T extends { id: string }>(records: readonly T[], dayOf: (record: T) => string) => [...records].sort((a, b) => (dayOf(a) + a.id < dayOf(b) + b.id ? -1 : 1));
    const inOrder = { ...log, trips: oldest(log.trips, (walk) => walk.starts), entries: oldest(log.entries, (entry) => entry.on), rulings: oldest(log.rulings, (ruling) => ruling.on) };
    await withLog(log, async (db) => expect(await readLog(db)).toEqual(inOrder));
  });

  test("a ruling is on a thing, or on something to add, and never on both or neither", async () => {
    const ruled = logOf({
      items: [{ id: "mug", name: "Mug", kind: "mug" }],
      rulings: [{ id: "a", item: "mug", verb: "drop", decision: "agree", on: "2026-06-01" }, { id: "b", what: "Sit mat", verb: "add", decision: "overrule", reason: "soft ground", again: 2, on: "2026-06-02", trips: 3, troubles: 2 }],
    });
    await withLog(ruled, async (db) => expect(await readLog(db)).toEqual(ruled));
    for (const both of [{ item: MUG, what: "Sit mat" }, { item: null, what: null }]) {
      await expect(withLog(ruled, (db) => saveRulings(db, [{ ...ruled.rulings[0]!, id: "c", ...both }]))).rejects.toThrow(/ruling_on_one/);
    }
  });

  test("any mark: the plain ones, kept as a letter, and those with more to say", async () => {
    const maybe = <T>(values: readonly T[]) => fc.option(fc.constantFrom(...values));
    const anyMark = fc.record({
      use: fc.constantFrom(...Use.options), trouble: maybe(Trouble.options), why: maybe(WhyUnused.options), cause: maybe(Cause.options), where: fc.constantFrom("", "at the ford"),
      fix: maybe(["patched", "swapped", "went without"] as const), cost: maybe(["nothing", "a day"] as const), condition: maybe([0, 3, 5]), reading: maybe([{ what: "tread", value: 2.5 }]),
      days: maybe([0.5, 12]), pieces: maybe([0, 2]), froze: maybe([true, false]), call: maybe(OwnerCall.options), note: fc.constantFrom("", "it’s “fine”; drop table carry"),
    }).map((mark) => Mark.parse(mark));
    await fc.assert(fc.asyncProperty(fc.option(anyMark), fc.option(fc.constant<number[]>([1])), async (mark, legs) => {
      await withLog(small(), async (db) => {
        await saveCarries(db, FIRST, [{ item: MUG, legs, mark }]);
        const log = await readLog(db);
        expect(log.trips.find(({ id }) => id === FIRST)!.carries).toEqual([{ item: MUG, legs, mark }]);
        expect(await carriesOf(db, { trip: FIRST })).toEqual([{ trip: FIRST, item: MUG, legs, mark }]);
      });
    }), { numRuns: 60 });
  });

  test("settings: the defaults until one is made, then what was made of them", async () => {
    await withLog(small(), async (db) => {
      expect(await readSettings(db)).toEqual(Settings.parse({}));
      const own = Settings.parse({ school: "wary", units: { weight: "oz" }, body: "150 lb", schools: { wary: { dropLine: 0.2 } }, kinds: { boots: { median: 2e6, limits: { tread: 2 } } } });
      await saveSettings(db, own);
      expect(await readSettings(db)).toEqual(own);
    });
  });
});

describe("marks and packs", () => {
  test("a mark is set, changed and cleared; a thing not yet in the pack is put there", () => withLog(small(), async (db) => {
    const markOf = async (item: ItemId) => (await carriesOf(db, { trip: FIRST })).find((carry) => carry.item === item)?.mark;
    await saveMark(db, { trip: FIRST, item: SPOON, mark: Mark.parse({ use: "unused", why: "forgot it" }) });
    expect(await markOf(SPOON)).toMatchObject({ use: "unused", why: "forgot it" });
    await saveMark(db, { trip: FIRST, item: SPOON, mark: Mark.parse({ use: "used" }) });
    expect(await markOf(SPOON)).toMatchObject({ use: "used", why: null });
    await saveMark(db, { trip: FIRST, item: SPOON, mark: null });
    expect(await markOf(SPOON)).toBeNull();
  }));

  test("a mark leaves the legs that it was carried on as they were", () => withLog(small(), async (db) => {
    await saveCarries(db, FIRST, [{ item: MUG, legs: [1], mark: null }]);
    await saveMark(db, { trip: FIRST, item: MUG, mark: Mark.parse({ use: "hardly" }) });
    expect(await carriesOf(db, { trip: FIRST })).toMatchObject([{ legs: [1], mark: { use: "hardly" } }]);
  }));

  test("an item's carries come oldest trip first, a trip's in the order of the shelf", () => withLog(small(), async (db) => {
    expect((await carriesOf(db, { item: MUG })).map((carry) => carry.trip)).toEqual(["first", "later"]);
    expect((await carriesOf(db, { trip: "later" as TripId })).map(({ item }) => item)).toEqual(["mug", "pot"]);
  }));

  test("what is taken off a list, with its mark, is gone; the rest stays", () => withLog(small(), async (db) => {
    await removeCarries(db, "later" as TripId, [MUG]);
    expect((await readLog(db)).trips.map(({ carries }) => carries.map(({ item }) => item))).toEqual([["mug"], ["pot"]]);
  }));

  test("a trip taken away takes its marks along, and so does an item", () => withLog(small(), async (db) => {
    await removeTrip(db, FIRST);
    await removeItem(db, MUG);
    const log = await readLog(db);
    expect(log.items.map(({ id }) => id)).toEqual(["pot", "spoon"]);
    expect(log.trips.map(({ id, carries }) => [id, carries.map(({ item }) => item)])).toEqual([["later", ["pot"]]]);
  }));

  test("a trip saved again keeps what was carried, and has its new legs alone", () => withLog(small(), async (db) => {
    const { ...before } = (await findTrip(db, FIRST))!;
    await saveTrips(db, [{ ...before, name: "Renamed", legs: [...before.legs, { ...before.legs[0]!, name: "back" }] }]);
    expect(await findTrip(db, FIRST)).toMatchObject({ name: "Renamed", legs: [{ name: "" }, { name: "back" }] });
    await saveTrips(db, [{ ...before, name: "Renamed" }]);
    expect((await findTrip(db, FIRST))!.legs).toHaveLength(1);
    expect(await carriesOf(db, { trip: FIRST })).toHaveLength(1);
    expect(await findTrip(db, "nowhere" as TripId)).toBeNull();
  }));

  test("an item saved again keeps its place on the shelf", () => withLog(small(), async (db) => {
    const [mug] = (await readLog(db)).items;
    await saveItems(db, [{ ...mug!, name: "Tin mug" }]);
    expect((await readLog(db)).items.map(({ name }) => name)).toEqual(["Tin mug", "Pot", "Spoon"]);
  }));

  test("what the tables themselves refuse: a negative weight, an end before the start, a mark on nothing", () => withLog(small(), async (db) => {
    // Each in a savepoint: a refusal ends a transaction.
    const refused = async (sql: string) => {
      await db.query("savepoint s");
      const told = await db.query(sql).then(() => "", (error: Error) => error.message);
      await db.query("rollback to savepoint s");
      return told;
    };
    expect(await refused("update item set weight_g = -1")).toMatch(/check constraint/);
    expect(await refused("update trip set ends = date '2020-01-01'")).toMatch(/check constraint/);
    expect(await refused("insert into carry (trip, item) values ('first', 'anvil')")).toMatch(/foreign key/);
  }));
});

describe("older data", () => {
  test("written by the first version, it is carried forward with all that is in it, once", async () => {
    const old = liteStore(await PGlite.create());
    await old.exec(await readFile("src/data/migrations/0001-log.sql", "utf8"));
    await old.exec(`create table migration (n int primary key, name text not null); insert into migration values (1, '0001-log.sql');
      insert into settings (units, school, currency) values ('{"weight":"oz","distance":"mi","temperature":"F"}', 'lean', '£');
      insert into item (id, name, kind, weighed, pieces, past, state, note) values ('mug', 'Mug', 'mug', 'measured', 1, 'new', 'active', '');
      insert into trip (id, name, starts, ends, planned, cut, conditions, felt, supplies, missed, made, stay, note) values ('t', 'Old walk', '2024-05-01', '2024-05-02', false, false, '{}', '[]', '[]', '[]', '{}', '{}', '');
      insert into leg values ('t', 1, '', '30 km', 30000, null, null, 'mixed');
      insert into carry (trip, item, use, condition) values ('t', 'mug', 'used', 4);
      insert into entry (id, item, happened, what, nights, note) values ('e', 'mug', '2024-06-01', 'check', 0, 'sound');`);
    await migrate(old);
    await migrate(old);
    expect(await readLog(old)).toMatchObject({
      settings: { school: "lean", currency: "£", units: { weight: "oz" }, kinds: {}, body: null },
      items: [{ id: "mug" }], trips: [{ name: "Old walk", carries: [{ item: "mug", mark: { use: "used", condition: 4 } }] }], entries: [{ note: "sound", condition: null, reading: null }],
    });
    await old.close();
  }, 120_000);
});
