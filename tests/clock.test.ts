import path from "node:path";
import { mkdtemp, readFile } from "node:fs/promises";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import type { Browser } from "playwright-core";
import { goTo } from "./app";
import { answers, freePort, launch, openBrowser } from "./launch";

// Dates of trips never move, whatever the clocks say: of the server, of the browser, put back, or changed in the night.

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const DAY_MS = 24 * 3600 * 1000;
const SHIFTED = { NODE_OPTIONS: `--import ${path.resolve("tests/set-clock.mjs")}` };

async function serving(folder: string, env: Record<string, string>) {
  const port = await freePort();
  const child = launch(folder, port, inject("demoSnapshot"), env);
  const url = `http://127.0.0.1:${port}`;
  await answers(url, child);
  const ended = new Promise((resolve) => child.on("exit", resolve));
  return { url, stop: () => (child.kill(), ended), log: async () => (await fetch(`${url}/api/log`)).text() };
}

test("a trip over the change of clocks, saved from a browser half a world away: its days are as typed, in every zone", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "zones-"));
  // Ahead of the browser by 25 hours.
  const app = await serving(folder, { TZ: "Pacific/Kiritimati" });
  const before = JSON.parse(await app.log()) as { trips: { id: string; starts: string; ends: string }[] };
  const context = await browser.newContext({ timezoneId: "Pacific/Pago_Pago" });
  const page = await context.newPage();
  await goTo(page, `${app.url}/trips/new`);
  await page.getByLabel("Name", { exact: true }).fill("Over the change");
  // 29 March 2026: clocks go forward in much of Europe (Directive 2000/84/EC, from memory).
  await page.getByLabel("First day").fill("2026-03-28");
  await page.getByLabel("Last day").fill("2026-03-30");
  await page.getByLabel("Distance").fill("20 km");
  await page.getByRole("button", { name: /^Save/ }).click();
  const walked = async () =>
    (JSON.parse(await app.log()) as typeof before).trips.find(({ id }) => id.startsWith("over-the-change"));
  await expect.poll(walked).toMatchObject({ starts: "2026-03-28", ends: "2026-03-30" });
  const saved = await app.log();
  const days = ({ id, starts, ends }: (typeof before.trips)[number]) => [id, starts, ends].join(" ");
  expect((JSON.parse(saved) as typeof before).trips.map(days)).toEqual(
    expect.arrayContaining(before.trips.map(days)),
  );
  await context.close();
  await app.stop();
  for (const TZ of ["America/St_Johns"]) {
    const again = await serving(folder, { TZ });
    expect(await again.log(), TZ).toBe(saved);
    await again.stop();
  }
});

test("with the date set back a year, or on to the next, it opens, says the same of what was walked, and keeps what comes", async () => {
  const folder = await mkdtemp(path.join(inject("folder"), "set-back-"));
  const log = await readFile(inject("demoFile"), "utf8");
  for (const days of [-365, 366]) {
    const app = await serving(folder, { ...SHIFTED, CLOCK_OFF_MS: String(days * DAY_MS) });
    for (const at of ["/", "/verdicts", "/next", "/ready"])
      expect((await fetch(app.url + at)).status, `${at}, ${days} days off`).toBe(200);
    expect(await app.log()).toBe(log);
    const trip = (JSON.parse(log) as { trips: { id: string; marks: { item: string }[] }[] }).trips[0]!;
    const mark = { trip: trip.id, item: trip.marks[0]!.item, use: "used" };
    expect(
      (await fetch(`${app.url}/api/marks`, { method: "POST", body: JSON.stringify([mark]) })).status,
    ).toBe(200);
    await app.stop();
  }
});
