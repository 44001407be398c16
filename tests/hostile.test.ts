import { request } from "node:http";
import { readdir } from "node:fs/promises";
import path from "node:path";
import type { Browser } from "playwright-core";
import { attackFor } from "../measure/hostile/attack-for";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { exported, openPage, startApp, type App } from "./app";
import { openBrowser } from "./launch";

// What an attacker, a slip of the hand or bad luck sends: a sentence in answer, never the server's failure.

let browser: Browser;
let app: App;
beforeAll(async () => {
  [browser, app] = await Promise.all([openBrowser(), startApp("demo")]);
});
afterAll(async () => {
  await browser.close();
  await app.stop();
});

/** A request with headers that a browser would not let a page set. */
function raw(
  method: string,
  url: string,
  headers: Record<string, string>,
): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    const sent = request(new URL(url, app.url), { method, headers }, (answer) => {
      let body = "";
      answer.on("data", (part: Buffer) => (body += part.toString()));
      answer.on("end", () => resolve({ status: answer.statusCode!, body }));
    });
    sent.on("error", reject);
    sent.end();
  });
}

const send = (log: unknown, how = "look") =>
  fetch(`${app.url}/api/log?${how}`, {
    method: "POST",
    body: typeof log === "string" ? log : JSON.stringify(log),
  });
const problemsOf = async (log: unknown) => {
  const answer = await send(log);
  expect(answer.status).toBe(422);
  return ((await answer.json()) as { problems: string[] }).problems.join("\n");
};
const logWith = (more: object) => ({ format: "nettle-tally", version: 2, ...more });

test("only the names it listens on are answered, on every path, and only pages of its own may write", async () => {
  for (const at of ["/", "/favicon.icoX", "/_next/staticX", "/icon.svgX", "/nowhere"]) {
    const { status, body } = await raw("GET", at, { host: "evil.example" });
    expect([at, status]).toEqual([at, 403]);
    expect(body).not.toContain("Saltpan");
  }
  for (const origin of ["null", "garbage", "http://evil.example"]) {
    const { status } = await raw("POST", "/api/marks", { origin });
    expect([origin, status]).toEqual([origin, 403]);
  }
});

test("an address that cannot be one is not found, in the app's own words and under its content policy", async () => {
  for (const at of [
    "/item/a%20b",
    `/item/${"x".repeat(81)}`,
    "/unpack/no%20trip",
    "/item/nothing",
    "/nowhere",
  ]) {
    const answer = await fetch(`${app.url}${at}`);
    expect([at, answer.status]).toEqual([at, 404]);
    expect(answer.headers.get("content-security-policy")).toContain("default-src 'self'");
  }
  expect(await raw("GET", "/trips/%E0%A4%A", {})).toEqual({ status: 400, body: "That is no address." });
  const { page } = await openPage(browser, `${app.url}/item/nothing`);
  await page.getByText("Nothing in the log has this address").waitFor();
  await page.getByRole("link", { name: "To the tally" }).click();
  await page.getByRole("grid").waitFor();
  await page.close();
});

test("what no store can hold is refused by its field", async () => {
  const item = (more: object) => logWith({ items: [{ name: "Pot", kind: "pot", ...more }] });
  expect(await problemsOf(item({ name: "P\u0000t" }))).toMatch(
    /items.*name: It holds a character that can't be kept/,
  );
  expect(await problemsOf(item({ note: "half \ud83d" }))).toMatch(/note: It holds a character/);
  expect(await problemsOf(item({ id: "a/\u0000" }))).toMatch(/id: It holds a character/);
  const trip = (more: object) =>
    logWith({ trips: [{ name: "A", starts: "2026-05-01", ends: "2026-05-03", distance: "20 km", ...more }] });
  expect(await problemsOf(trip({ starts: "0000-01-01" }))).toMatch(/Look at the year/);
  expect(await problemsOf(trip({ nights: 2 ** 40 }))).toMatch(/nights/);
  expect(await problemsOf(logWith({ settings: { body: "0 kg" } }))).toMatch(/Between 20 and 300 kg/);
  expect(await problemsOf("[".repeat(60_000))).toMatch(/brackets go deeper/);
  expect(await problemsOf('{"a":'.repeat(60_000))).toMatch(/brackets go deeper/);
  const mark = await fetch(`${app.url}/api/marks`, {
    method: "POST",
    body: JSON.stringify([
      { trip: "saltpan-again-2026-09-12", item: "quilt", mark: { use: "used", note: "\u0000" } },
    ]),
  });
  expect(mark.status).toBe(400);
  expect(((await mark.json()) as { why: string }).why).toMatch(/It holds a character that can't be kept/);
});

test("a file of 60 MB is read to its end; one that says it is over 192 MB is told so before it is sent", async () => {
  const filled = (megabytes: number) =>
    JSON.stringify(logWith({ items: [] })) + " ".repeat(megabytes * 1024 * 1024);
  const fits = await send(filled(60));
  expect([fits.status, await fits.json()]).toMatchObject([200, { items: 0 }]);
  const over = await raw("POST", "/api/log?look", { "content-length": String(193 * 1024 * 1024) });
  expect(over.status).toBe(413);
  expect(over.body).toContain("That is larger than 192 MB, the most that is taken here.");
});

test("a trip whose name is not Latin is unpacked like any other, and copies of what was replaced do not pile up", async () => {
  // A walk and its things are enough to replace: what is looked at is how many copies stay.
  const whole = await exported(app);
  const log = { ...whole, trips: whole.trips.slice(-1), tracks: [] };
  const walked = {
    id: "北の島-2026",
    name: "北の島",
    starts: "2026-10-03",
    ends: "2026-10-05",
    distance: "30 km",
  };
  const more = { ...log, trips: [...log.trips, { ...walked, marks: [{ item: "quilt" }] }] };
  for (let n = 0; n < 13; n++) expect((await send(n % 2 ? log : more, "replace")).status).toBe(200);
  const copies = await readdir(path.join(app.folder, "copies"));
  expect(copies.length).toBeGreaterThanOrEqual(10);
  expect(copies.length).toBeLessThanOrEqual(11);
  const { page, faults } = await openPage(browser, `${app.url}/unpack`);
  await page.getByRole("heading", { name: "Unpack 北の島" }).waitFor();
  await page.locator("li:focus").waitFor();
  await page.keyboard.press("u");
  await page.getByText("All marked.").waitFor();
  await page.goto(`${app.url}/trips`);
  await page.getByRole("link", { name: "北の島" }).click();
  await page.getByRole("heading", { name: "北の島" }).waitFor();
  expect(faults).toEqual([]);
  await page.close();
});

// Each attack once: `npm run hostile` goes on for as long as it is told.
test("kills in marks and imports, second processes, bodies and addresses that nobody should send: nothing lost, nothing torn, no failure", async () => {
  const outcomes = await attackFor(1, 7, inject("demoSnapshot"));
  expect(outcomes.flatMap(({ name, faults }) => faults.map((fault) => `${name}: ${fault}`))).toEqual([]);
  expect(outcomes.every(({ rounds, tries }) => rounds > 0 && tries > 0)).toBe(true);
});
