import { PGlite } from "@electric-sql/pglite";
import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { afterAll, beforeAll, beforeEach, expect, test, vi } from "vitest";
import { logOf } from "../../tests/histories";
import type { Store } from "@/data/db";
import { readWholeLog, replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { readLogFile } from "@/formats/log-file";
import { keepCopyBefore, keepDailyCopy } from "./copies";

const shared = globalThis as typeof globalThis & { nettleStore?: Promise<Store> };
let db: Store;
let copies: string;
beforeAll(async () => {
  db = liteStore(await PGlite.create());
  await migrate(db);
  shared.nettleStore = Promise.resolve(db);
});
afterAll(async () => {
  delete shared.nettleStore;
  vi.unstubAllEnvs();
  await db.close();
});
beforeEach(async () => {
  const folder = await mkdtemp(path.join(tmpdir(), "nettle-copies-"));
  vi.stubEnv("NETTLE_DATA", folder);
  copies = path.join(folder, "copies");
  return () => rm(folder, { recursive: true });
});

const mug = logOf({ items: [{ id: "mug", name: "Mug", kind: "mug" }] });
const empty = logOf({ items: [] });
const put = (log: typeof mug) => db.transaction((tx) => replaceLog(tx, log));
const kept = () => readdir(copies).catch((): string[] => []);
/** As many copies as in so many months, the first and the sixteenth of each. */
async function older(sort: "before" | "day", months: number): Promise<void> {
  await mkdir(copies, { recursive: true });
  for (let n = 0; n < months; n += 1)
    for (const day of ["01", "16"])
      await writeFile(path.join(copies, `${sort}-2020-${String(n + 1).padStart(2, "0")}-${day}.json`), "{}");
}

test("a day has one copy, which is the log as it was at its end, and can be read again", async () => {
  await put(mug);
  await keepDailyCopy();
  await put(logOf({ items: [{ id: "mug", name: "Cup", kind: "mug" }] }));
  await keepDailyCopy();
  const names = await kept();
  expect(names).toEqual([`day-${new Date().toISOString().slice(0, 10)}.json`]);
  const read = readLogFile(await readFile(path.join(copies, names[0]!), "utf8"));
  expect(read).toMatchObject({ ok: true, log: { items: [{ name: "Cup" }] } });
});

test("of an empty log none is made", async () => {
  await put(empty);
  await keepDailyCopy();
  expect(await kept()).toEqual([]);
});

test("what a file takes the place of is kept each time, beside the copies of the days", async () => {
  await put(mug);
  await keepDailyCopy();
  await keepCopyBefore(await readWholeLog(db));
  await new Promise((resolve) => setTimeout(resolve, 5));
  await keepCopyBefore(await readWholeLog(db));
  expect((await kept()).map((name) => name.split("-")[0]).sort()).toEqual(["before", "before", "day"]);
});

test("the newest ten stay, and the last of each month; of each sort by itself, and nothing else is touched", async () => {
  await older("day", 12);
  await older("before", 12);
  await writeFile(path.join(copies, "mine.json"), "{}");
  await put(mug);
  await keepDailyCopy();
  const names = await kept();
  // Today's and nine of the newest, which are those of five months; of the seven before, the last of each.
  const days = names.filter((name) => name.startsWith("day-"));
  expect(days).toHaveLength(10 + 7);
  expect(days.filter((name) => name.endsWith("-01.json")).map((name) => name.slice(4, 11))).toEqual([
    "2020-09",
    "2020-10",
    "2020-11",
    "2020-12",
  ]);
  for (let month = 1; month <= 12; month += 1)
    expect(days).toContain(`day-2020-${String(month).padStart(2, "0")}-16.json`);
  expect(names.filter((name) => name.startsWith("before-"))).toHaveLength(10 + 7);
  expect(names).toContain("mine.json");
  expect(names.filter((name) => name.endsWith(".next"))).toEqual([]);
});
