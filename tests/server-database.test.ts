import type { ChildProcess } from "node:child_process";
import { mkdtemp } from "node:fs/promises";
import path from "node:path";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { demoLog } from "../demo/log";
import { writeLogFile } from "@/formats/log-file";
import { answers, end, freePort, launch } from "./launch";
import { startPostgres, type Postgres } from "./postgres";

/** The same app on a PostgreSQL server, which several processes of it may use at once. */

let server: Postgres;
const running: ChildProcess[] = [];
beforeAll(async () => {
  server = await startPostgres();
});
afterAll(async () => {
  await Promise.all(running.map(end));
  await server.kill();
});

async function onServer() {
  const folder = await mkdtemp(path.join(inject("folder"), "server-"));
  const port = await freePort();
  const child = launch(folder, port, undefined, { DATABASE_URL: server.url });
  running.push(child);
  const url = `http://127.0.0.1:${port}`;
  return { url, child, ready: answers(url, child) };
}

interface Told {
  readonly trips: readonly { id: string; marks: readonly { item: string; note?: string }[] }[];
}
const told = async (url: string) => (await (await fetch(`${url}/api/log`)).json()) as Told;
const TRIP = "the-long-quill-2025-06-07";

/** Marks things one after the other until told to stop; the notes that were acknowledged, by thing: the last of each counts. */
function stream(url: string, items: readonly string[], name: string) {
  const acknowledged = new Map<string, string>();
  let isOver = false;
  const done = (async () => {
    for (let n = 0; !isOver; n += 1) {
      const item = items[n % items.length]!;
      const note = `${name} ${n}`;
      const answer = await fetch(`${url}/api/marks`, {
        method: "POST",
        body: JSON.stringify([{ trip: TRIP, item, mark: { use: "used", note } }]),
      }).catch(() => null);
      if (answer?.ok) acknowledged.set(item, note);
      else await new Promise((resolve) => setTimeout(resolve, 50));
    }
  })();
  return {
    acknowledged,
    stop: async () => {
      isOver = true;
      await done;
    },
  };
}

/** What was acknowledged is there; or what was sent after it and lost its answer only. */
async function expectKept(url: string, { acknowledged }: ReturnType<typeof stream>) {
  const marks = (await told(url)).trips.find(({ id }) => id === TRIP)!.marks;
  for (const [item, note] of acknowledged) {
    const kept = marks.find((mark) => mark.item === item)?.note ?? "";
    const [name, n] = [note.slice(0, note.lastIndexOf(" ")), Number(note.split(" ").at(-1))];
    expect(kept.startsWith(name), `${item}: ${kept}`).toBe(true);
    expect(Number(kept.split(" ").at(-1)), item).toBeGreaterThanOrEqual(n);
  }
  expect(acknowledged.size).toBeGreaterThan(0);
}

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test("on a PostgreSQL server: two start at once, the whole line, kill -9 of the app and of the server, two at work on one trip", async () => {
  // Both find no tables, and both bring them.
  const [one, two] = await Promise.all([onServer(), onServer()]);
  await Promise.all([one.ready, two.ready]);
  const { rows } = await server.query("select count(*)::int as n from migration");
  expect(rows[0].n).toBeGreaterThan(5);

  // In at the one, judged and out at the other, to the letter.
  const demo = writeLogFile(demoLog());
  expect((await fetch(`${one.url}/api/log?replace`, { method: "POST", body: demo })).status).toBe(200);
  const [here, there] = await Promise.all(
    [one, two].map(async ({ url }) => (await fetch(`${url}/api/log`)).text()),
  );
  expect(there).toBe(here);
  expect((await told(two.url)).trips).toHaveLength(demoLog().trips.length);
  expect(await (await fetch(`${two.url}/verdicts`)).text()).toContain("It froze wet on Hask plateau");
  const items = demoLog()
    .trips.find(({ id }) => id === TRIP)!
    .carries.filter(({ mark }) => mark && !mark.exit)
    .map(({ item }): string => item);

  // Two at work on one trip, marks and the look back in one another's way: nothing is lost.
  const marking = [
    stream(one.url, items.slice(0, 8), "one"),
    stream(two.url, items.slice(8, 16), "two"),
  ] as const;
  await wait(1500);
  await Promise.all(marking.map(({ stop }) => stop()));
  for (const each of marking) await expectKept(one.url, each);
  // Each keeps what it has read and judged, and hears of what the other changed.
  const [byOne, byTwo] = marking.map(({ acknowledged }) => [...acknowledged][0]!) as [
    [string, string],
    [string, string],
  ];
  const page = async ({ url }: { url: string }, item: string) => (await fetch(`${url}/item/${item}`)).text();
  expect(await page(two, byOne[0])).toContain(byOne[1]);
  expect(await page(one, byTwo[0])).toContain(byTwo[1]);

  // The app killed in mid-stream; the other goes on, and what was acknowledged is there.
  const cut = stream(one.url, items.slice(0, 8), "cut");
  await wait(700);
  one.child.kill("SIGKILL");
  await cut.stop();
  await expectKept(two.url, cut);

  // The server killed in mid-stream and started again: the app finds it by itself.
  const lost = stream(two.url, items.slice(8, 16), "lost");
  await wait(700);
  await server.kill();
  await wait(300);
  expect((await fetch(`${two.url}/api/marks`, { method: "POST", body: "[]" })).status).toBe(400);
  await server.start();
  const before = lost.acknowledged.size;
  await wait(1500);
  await lost.stop();
  expect(lost.acknowledged.size).toBeGreaterThanOrEqual(before);
  await expectKept(two.url, lost);
  const three = await onServer();
  await three.ready;
  await expectKept(three.url, lost);
});
