import { mkdtemp } from "node:fs/promises";
import path from "node:path";
import { expect, inject, test } from "vitest";
import { openStore } from "@/data/store";
import { exported, startApp } from "./app";
import { launch } from "./launch";

// `kill -9` in mid-stream, in an import and as it starts: `measure/hostile`, which `hostile.test` runs.

test("a second process on its folder is told so in one sentence; with its terminal gone nothing spins; asked to end it closes cleanly, and the next start has it all", async () => {
  const app = await startApp("demo");
  const second = launch(app.folder, 0);
  let told = "";
  second.stderr!.on("data", (chunk) => {
    told += String(chunk);
  });
  const code = await new Promise((resolve) => second.on("exit", resolve));
  expect(code).toBe(3);
  expect(told.trim().split("\n")).toEqual([
    expect.stringMatching(/^Nettle Tally is already open on .*process \d+/),
  ]);
  const marks = (body: string) => fetch(`${app.url}/api/marks`, { method: "POST", body });
  const ofNothing = [{ trip: "none", item: "none", mark: { use: "used" } }];
  expect((await marks(JSON.stringify(ofNothing))).status).toBe(409);
  expect((await marks("{")).status).toBe(400);
  app.process.stdout?.destroy();
  app.process.stderr?.destroy();
  // The framework says of each of these that it knows no such action.
  for (let n = 0; n < 3; n++)
    await fetch(`${app.url}/shelf`, {
      method: "POST",
      headers: { "next-action": "0".repeat(42) },
      body: "[]",
    });
  const alive = await fetch(`${app.url}/api/alive`, { signal: AbortSignal.timeout(20_000) });
  expect(alive.status).toBe(204);
  const before = await exported(app);
  expect(await app.stop("SIGTERM")).toBe(0);
  const again = await startApp({ folder: app.folder });
  expect(await exported(again)).toEqual(before);
  expect(await again.stop("SIGINT")).toBe(0);
});

test("data of a later version is refused with a sentence", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "later-"));
  const store = await openStore({ folder, snapshot: inject("emptySnapshot") });
  await store.query("insert into migration (n, name) values (9999, 'later')");
  await store.close();
  await expect(openStore({ folder })).rejects.toThrow(/written by a later Nettle Tally/);
});

test("an action is one transaction: where one row is bad, none is kept", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "whole-"));
  const store = await openStore({ folder, snapshot: inject("emptySnapshot") });
  await expect(
    store.transaction(async (tx) => {
      await tx.query("insert into settings (one, units, school, currency) values (true, '{}', 'even', '€')");
      await tx.query(
        "insert into entry (id, item, happened, what, nights, note) values ('e', 'nothing', '2026-01-01', 'wash', 0, '')",
      );
    }),
  ).rejects.toThrow();
  expect((await store.query("select * from settings")).rows).toEqual([]);
  await store.close();
});
