import { PGlite } from "@electric-sql/pglite";
import { afterAll, beforeAll, beforeEach, expect, test, vi } from "vitest";
import { logOf } from "../../tests/histories";
import { Mark, type ItemId, type TripId } from "@/core/model";
import { changeCarry } from "@/data/records/carries";
import type { Store } from "@/data/db";
import { saveItems } from "@/data/records/items";
import { replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { keptWith, logIn, readLatest } from "./reading";

const shared = globalThis as typeof globalThis & { nettleStore?: Promise<Store> };
let db: Store;
/** What the database was asked since the last test. */
let asked: string[] = [];
beforeAll(async () => {
  const lite = liteStore(await PGlite.create());
  await migrate(lite);
  db = { ...lite, query: (sql, params) => (asked.push(sql), lite.query(sql, params)) };
  shared.nettleStore = Promise.resolve(db);
});
afterAll(async () => {
  delete shared.nettleStore;
  await db.close();
});

const things = ["tent", "quilt", "chair", "mug"] as ItemId[];
const FIRST = "first" as TripId;
const log = logOf({
  items: [
    { id: "tent", name: "Tent", kind: "tent" },
    { id: "quilt", name: "Quilt", kind: "quilt" },
    { id: "chair", name: "Chair", kind: "chair", weight: "500 g" },
    { id: "mug", name: "Mug", kind: "mug" },
  ],
  trips: [
    {
      id: "first",
      name: "First",
      starts: "2026-05-01",
      ends: "2026-05-03",
      distance: "30 km",
      marks: things.map((item) => ({ item, use: "used" })),
    },
  ],
});
beforeEach(async () => {
  await db.transaction((tx) => replaceLog(tx, log));
  await readLatest();
  asked = [];
});
const mark = (item: ItemId, told: object) =>
  changeCarry(db, { trip: FIRST, item, mark: Mark.parse({ use: "used", ...told }) });
const verdictsOf = async (item: ItemId) => (await readLatest()).kit.of(item)!.verdicts;

test("a change looks at the log while a page is being read, and neither waits for the other", async () => {
  let page: Promise<unknown> = Promise.resolve();
  const names = await db.transaction(async (tx) => {
    // Begun within the change, the page's reading can't go on before it ends.
    page = readLatest();
    await new Promise((resolve) => setImmediate(resolve));
    return (await logIn(tx)).items.map(({ name }) => name);
  });
  expect(names).toEqual(["Tent", "Quilt", "Chair", "Mug"]);
  await page;
});

test("where nothing has changed, nothing is read or judged: one row is asked for", async () => {
  const before = await readLatest();
  expect(await readLatest()).toBe(before);
  expect(asked).toHaveLength(2);
  expect(asked.every((sql) => sql.includes("from changed"))).toBe(true);
});

test("after a mark that thing is read and judged again, and what it can't touch is not", async () => {
  const [chair, quilt] = [await verdictsOf("chair" as ItemId), await verdictsOf("quilt" as ItemId)];
  await mark("chair" as ItemId, { use: "used", troubles: ["failed"], symptoms: ["broken"] });
  asked = [];
  expect((await verdictsOf("chair" as ItemId))[0].verb).not.toBe(chair[0].verb);
  expect(await verdictsOf("quilt" as ItemId)).toBe(quilt);
  // Of the tables, what was carried alone, and of it one thing.
  expect(asked.some((sql) => /from (item|trip|entry|ruling) /.test(sql))).toBe(false);
});

test("many who ask at once wait for one reading, and all have what was there when they asked", async () => {
  await mark("mug" as ItemId, { note: "lid lost" });
  asked = [];
  const readings = await Promise.all(Array.from({ length: 6 }, readLatest));
  expect(new Set(readings).size).toBe(1);
  expect(readings[0]!.log.trips[0]!.carries.find(({ item }) => item === "mug")?.mark?.note).toBe("lid lost");
  expect(asked.filter((sql) => sql.includes("string_agg"))).toHaveLength(1);
});

test("a thing changed, or a new day, judges all anew", async () => {
  const quilt = await verdictsOf("quilt" as ItemId);
  await saveItems(db, [{ ...log.items[3]!, name: "Cup" }]);
  expect((await readLatest()).book.item("mug" as ItemId)?.name).toBe("Cup");
  expect(await verdictsOf("quilt" as ItemId)).not.toBe(quilt);
  const today = await readLatest();
  vi.useFakeTimers({ now: Date.now() + 3 * 24 * 3600 * 1000, toFake: ["Date"] });
  try {
    const later = await readLatest();
    expect(later).not.toBe(today);
    expect(later.book.today > today.book.today).toBe(true);
  } finally {
    vi.useRealTimers();
  }
});

test("a reading that fails is its asker's to hear, and the next reads anew", async () => {
  await mark("mug" as ItemId, { note: "found" });
  const { query } = db;
  db.query = () => Promise.reject(new Error("the database is away"));
  try {
    await expect(readLatest()).rejects.toThrow("the database is away");
  } finally {
    db.query = query;
  }
  const { log: now } = await readLatest();
  expect(now.trips[0]!.carries.find(({ item }) => item === "mug")?.mark?.note).toBe("found");
});

test("work kept with a reading is done once for it, and again for the next", async () => {
  let times = 0;
  const countThings = keptWith(({ log: { items } }) => Promise.resolve([(times += 1), items.length]));
  const reading = await readLatest();
  expect(await Promise.all([countThings(reading), countThings(reading)])).toEqual([
    [1, 4],
    [1, 4],
  ]);
  await mark("mug" as ItemId, { note: "again" });
  expect(await countThings(await readLatest())).toEqual([2, 4]);
});

test("work that failed is not kept: it is done again for the same reading", async () => {
  let isAway = true;
  const ask = keptWith(() => (isAway ? Promise.reject(new Error("away")) : Promise.resolve("here")));
  const reading = await readLatest();
  await expect(ask(reading)).rejects.toThrow("away");
  isAway = false;
  expect(await ask(reading)).toBe("here");
});
