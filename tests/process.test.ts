import { mkdtemp } from "node:fs/promises";
import path from "node:path";
import { expect, inject, test } from "vitest";
import { openStore } from "@/data/store";
import { exported, startApp } from "./app";
import { launch } from "./launch";

const TRIP = "the-long-quill-2025-06-07";

test("kill -9 in the middle of a stream of marks: every acknowledged one is there after the restart", async () => {
  const app = await startApp("demo");
  // What never left: a mark on what had left before is refused.
  const items = (await exported(app)).trips
    .find((trip) => trip.id === TRIP)!
    .marks.filter(({ exit }) => exit === undefined)
    .map(({ item }) => item as string);
  const acknowledged = new Map<string, string>();
  const stream = (async () => {
    for (let n = 0; ; n++) {
      const item = items[n % items.length]!;
      const note = `mark ${n}`;
      const answer = await fetch(`${app.url}/api/marks`, {
        method: "POST",
        body: JSON.stringify([{ trip: TRIP, item, mark: { use: "used", note } }]),
      }).catch(() => null);
      if (!answer?.ok) return;
      acknowledged.set(item, note);
      if (n === 60) void app.stop("SIGKILL");
    }
  })();
  await stream;
  expect(acknowledged.size).toBeGreaterThan(30);
  const again = await startApp({ folder: app.folder });
  const { trips } = await exported(again);
  const kept = new Map(trips.find((trip) => trip.id === TRIP)!.marks.map((mark) => [mark.item, mark.note]));
  for (const [item, note] of acknowledged) expect(kept.get(item)).toBe(note);
  await again.stop();
});

test("a second process on the same folder is told so in one sentence and ends; the first is undisturbed", async () => {
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
  expect((await fetch(`${app.url}/api/log`)).ok).toBe(true);
  expect(await app.stop()).toBe(0);
});

test("stopped by a signal it closes cleanly, and the next start has it all", async () => {
  const app = await startApp("empty");
  expect(
    (
      await fetch(`${app.url}/api/marks`, {
        method: "POST",
        body: JSON.stringify([{ trip: "none", item: "none", mark: { use: "used" } }]),
      })
    ).status,
  ).toBe(409);
  expect((await fetch(`${app.url}/api/marks`, { method: "POST", body: "{" })).status).toBe(400);
  expect(await app.stop("SIGTERM")).toBe(0);
  const again = await startApp({ folder: app.folder });
  expect(await again.stop("SIGINT")).toBe(0);
});

test("with its terminal gone it goes on: what it would say goes nowhere, and nothing spins", async () => {
  const app = await startApp("demo");
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
  expect(await app.stop()).toBe(0);
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
