import { spawn } from "node:child_process";
import { cp, mkdtemp, readdir, readFile, rm, truncate, writeFile } from "node:fs/promises";
import path from "node:path";
import { expect, inject, test } from "vitest";
import { openStore } from "@/data/store";
import { exported, startApp } from "./app";
import { answers, freePort, launch } from "./launch";

// When the disk is the enemy: full, or damaged.

/** What a program says and how it ends. */
const ran = (args: readonly string[], folder: string) =>
  new Promise<{ code: number | null; said: string }>((resolve) => {
    const child = spawn(process.execPath, args, {
      env: { ...process.env, NETTLE_DATA: folder, NODE_ENV: "production", PORT: "0" },
      stdio: ["ignore", "pipe", "pipe"],
    });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (part) => (said += String(part)));
    child.on("exit", (code) => resolve({ code, said }));
  });

const fill = async (folder: string, names: RegExp) => {
  for (const name of await readdir(folder))
    if (names.test(name)) await writeFile(path.join(folder, name), Buffer.alloc(16_384, 7));
};
const DAMAGES: readonly (readonly [string, (pg: string) => Promise<unknown>])[] = [
  ["pg_control cut short", (pg) => truncate(path.join(pg, "global", "pg_control"), 100)],
  ["the log of changes gone", (pg) => rm(path.join(pg, "pg_wal"), { recursive: true })],
  ["the version's file gone", (pg) => rm(path.join(pg, "PG_VERSION"))],
  ["the catalogue written over", (pg) => fill(path.join(pg, "base", "5"), /^(1259|1249|1255)$/)],
  ["the tables written over", (pg) => fill(path.join(pg, "base", "5"), /^(1[6-9]|[2-9]\d)\d{3}$/)],
];

/** The demo's folder, damaged in one way. */
async function damagedFolder(of: string, damage: (pg: string) => Promise<unknown>): Promise<string> {
  const folder = await mkdtemp(path.join(inject("folder"), "damaged-"));
  await cp(of, folder, { recursive: true });
  await damage(path.join(folder, "pg"));
  return folder;
}

test("a damaged log says what happened and where its newest copy is, and comes back from it; what was damaged stays beside it", async () => {
  const app = await startApp("demo");
  const before = await (await fetch(`${app.url}/api/log`)).text();
  await app.stop();
  // Known for damage whatever it is; the last of them is only met when the log is read.
  for (const [what, damage] of DAMAGES.slice(0, -1))
    await expect(openStore({ folder: await damagedFolder(app.folder, damage) }), what).rejects.toThrow(
      /^The log in .* is damaged and can’t be opened\.$/,
    );
  const folder = await damagedFolder(app.folder, DAMAGES.at(-1)![1]);
  const refused = await ran(["build/serve.mjs"], folder);
  expect(refused).toMatchObject({ code: 5 });
  expect(refused.said).toMatch(/The log in .* is damaged and can’t be opened\./);
  expect(refused.said).toMatch(/The newest copy of it is of \d+ \w+ \d{4}, \d\d:\d\d \(\d+ KB\): day-/);
  expect(refused.said).toContain("npm start -- --restore");
  expect(refused.said).not.toMatch(/Aborted|ASSERTIONS|\n\s+at /);

  const listed = await ran(["scripts/start.mjs", "--restore"], folder);
  expect(listed.said).toMatch(/^ {2}1 {2}\d+ \w+ \d{4}, \d\d:\d\d \(\d+ KB\): day-.*\.json$/m);
  expect(await ran(["scripts/start.mjs", "--restore", "7"], folder)).toMatchObject({ code: 1 });
  expect(await ran(["scripts/start.mjs", "--restore", "1"], folder)).toMatchObject({ code: 0 });
  const again = await startApp({ folder });
  expect(await (await fetch(`${again.url}/api/log`)).text()).toBe(before);
  await again.stop("SIGKILL");
  expect((await readdir(folder)).filter((name) => name.startsWith("pg-before-"))).toHaveLength(1);
});

test("a full disk: what comes is refused in a sentence and can be sent again, nothing acknowledged is lost, and with room it goes on", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "full-"));
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  // A small file system that this process alone sees, and that goes with it.
  const child = spawn(
    "unshare",
    [
      "--user",
      "--map-root-user",
      "--mount",
      "sh",
      "-c",
      'mount -t tmpfs -o size=220m tmpfs "$1" && exec "$0" build/serve.mjs',
      process.execPath,
      folder,
    ],
    {
      env: {
        ...process.env,
        NODE_ENV: "production",
        PORT: String(port),
        NETTLE_DATA: folder,
        NETTLE_HOST: "127.0.0.1",
        NETTLE_SNAPSHOT: inject("demoSnapshot"),
      },
      stdio: ["ignore", "ignore", "pipe"],
    },
  );
  let failed = "";
  child.stderr.on("data", (part) => (failed += String(part)));
  try {
    await answers(url, child);
    const app = { url } as Parameters<typeof exported>[0];
    const trip = (await exported(app)).trips.find(({ marks }) => marks.length > 20)!;
    const items = trip.marks.filter(({ exit }) => exit === undefined).map(({ item }) => String(item));
    const mark = async (n: number) => {
      const answer = await fetch(`${url}/api/marks`, {
        method: "POST",
        body: JSON.stringify([
          { trip: trip.id, item: items[n % items.length], mark: { use: "used", note: `mark ${n}` } },
        ]),
      });
      return { status: answer.status, told: (await answer.json()) as { why?: string } };
    };
    const acknowledged = new Map<string, string>();
    const marks = async (from: number, to: number) => {
      for (let n = from; n < to; n += 1) {
        const { status, told } = await mark(n);
        if (status === 200) acknowledged.set(items[n % items.length]!, `mark ${n}`);
        else
          expect({ status, why: told.why }).toEqual({
            status: 507,
            why: expect.stringMatching(/^The disk is full: nothing was saved/),
          });
      }
    };
    await marks(0, 10);
    expect(acknowledged.size).toBe(10);
    // Something else takes all the room, to the last byte.
    const hog = path.join("/proc", String(child.pid), "root", folder, "hog");
    await writeFile(hog, Buffer.alloc(400 * 1024 * 1024)).catch(() => undefined);
    await marks(10, 20);
    expect(acknowledged.size).toBe(10);
    const page = await fetch(`${url}/verdicts`);
    expect(page.status).toBe(200);
    const log = await (await fetch(`${url}/api/log`)).text();
    const look = await fetch(`${url}/api/log?add`, { method: "POST", body: log });
    expect(look.status).toBe(507);
    await rm(hog);
    await marks(20, 30);
    const kept = new Map(
      (await exported(app)).trips
        .find(({ id }) => id === trip.id)!
        .marks.map(({ item, note }) => [item, note]),
    );
    expect([...acknowledged].filter(([item, note]) => kept.get(item) !== note)).toEqual([]);
    expect([...acknowledged.values()]).toContain("mark 29");
  } finally {
    child.kill("SIGKILL");
  }
  expect(failed).toBe("");
});

test("without a copy it says so, and how to start anew", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "copyless-"));
  const port = await freePort();
  const child = launch(folder, port, inject("emptySnapshot"));
  await answers(`http://127.0.0.1:${port}`, child);
  await new Promise((resolve) => child.on("exit", resolve).kill("SIGKILL"));
  await truncate(path.join(folder, "pg", "global", "pg_control"), 10);
  const refused = await ran(["build/serve.mjs"], folder);
  expect(refused.code).toBe(5);
  expect(refused.said).toMatch(/There is no copy of it\. Leave the folder as it is, and start with another/);
  expect((await readFile(path.join(folder, "pg", "PG_VERSION"), "utf8")).trim()).toMatch(/^\d+$/);
});
