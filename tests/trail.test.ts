import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, goTo, type Lent, openPage, PHONE, windowOf, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const TRIP = "saltpan-again-2026-09-12";
interface Line {
  readonly text: string;
  readonly taken?: boolean;
}
const tripOf = async (app: Lent) =>
  (await exported(app)).trips.find(({ id }) => id === TRIP)! as unknown as {
    lines?: Line[];
    felt?: object[];
    marks: { item: string; use?: string; note?: string; troubles?: string[] }[];
  };
const linesOf = async (app: Lent) => ((await tripOf(app)).lines ?? []).map(({ text }) => text);

/** How many lines the phone keeps for itself; run in the page. */
const linesOnPhone = () =>
  new Promise<number>((resolve, reject) => {
    const opening = indexedDB.open("nettle-trail");
    opening.onerror = () => reject(new Error("linesOnPhone: no store"));
    opening.onsuccess = () => {
      const counted = opening.result.transaction("lines").objectStore("lines").count();
      counted.onsuccess = () => {
        opening.result.close();
        resolve(counted.result);
      };
    };
  });

test("on the way, with the network cut: a line is understood as it is typed, kept on the phone, and sent once it is back", () =>
  withApp("demo", async (app) => {
    const context = await browser.newContext(windowOf(PHONE));
    const page = await context.newPage();
    await goTo(page, `${app.url}/trail`);
    const field = page.getByLabel("What happened");
    const keep = page.getByRole("button", { name: "Keep it" });
    await field.fill("torch died, km 41");
    await page.getByText("Second head torch: failed, at 41 km").waitFor();
    await keep.tap();
    await expect.poll(() => linesOf(app)).toEqual(["torch died, km 41"]);
    expect(await field.inputValue()).toBe("");
    await expectAccessible(page);

    // The network gone: the page opens again as it was, and takes lines.
    await page.getByText("This page opens without a network.").waitFor();
    // What was sent is the server's to show, and the page that is kept shows it too.
    await expect.poll(() => page.evaluate(linesOnPhone)).toBe(0);
    // A window that is opened anew may be online for a moment before it is cut off: what it sends then is cut off too.
    await context.route("**/api/lines", (route) => route.abort());
    await context.setOffline(true);
    await page.reload({ waitUntil: "load" });
    await field.fill("cold night, 2 °C, in quilt and fleece");
    await page.getByText("A night that felt cold, down to 2 °C, in Quilt and Fleece").waitFor();
    await keep.tap();
    await field.fill("ferry only on Tuesdays");
    await keep.tap();
    await page.getByText("2 lines on this phone, sent when the server answers.").waitFor();
    // It outlives the page.
    await page.reload({ waitUntil: "load" });
    await page.getByText("ferry only on Tuesdays").waitFor();
    await page.getByText("2 lines on this phone").waitFor();
    await page.getByText("torch died, km 41", { exact: true }).waitFor();
    expect(await linesOf(app)).toEqual(["torch died, km 41"]);
    // A line is written again, one deleted and brought back, one deleted: all of it waits, and is sent.
    await page.getByRole("button", { name: "Rewrite: ferry only on Tuesdays" }).tap();
    await page.getByLabel("The line").fill("ferry only on Mondays");
    await page.getByRole("button", { name: "Save" }).tap();
    await page.getByText("ferry only on Mondays").waitFor();
    await page.getByRole("button", { name: "Delete: ferry only on Mondays" }).tap();
    await page.getByRole("button", { name: "Undo" }).tap();
    await page.getByText("ferry only on Mondays", { exact: true }).waitFor();
    await page.getByRole("button", { name: "Delete: torch died, km 41" }).tap();
    await page.getByText("torch died, km 41", { exact: true }).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Undo" }).tap();
    await page.getByText("torch died, km 41", { exact: true }).waitFor();
    await field.fill("a slip of the thumb");
    await keep.tap();
    await page.getByRole("button", { name: "Delete: a slip of the thumb" }).tap();
    await page.getByText("a slip of the thumb", { exact: true }).waitFor({ state: "detached" });
    // What one looks up on the way is there too: the legs in numbers, and the pack, ticked at a stop and kept on the phone.
    await page.getByText("The way in numbers").tap();
    await page
      .getByText(/^\d+.km · /)
      .first()
      .waitFor();
    await page.getByText(/^In the pack: have I got it\? 0 of/).tap();
    await page.getByRole("checkbox", { name: /^Quilt/ }).check();
    await page.getByText(/^In the pack: have I got it\? 1 of/).waitFor();
    await page.reload({ waitUntil: "load" });
    await page.getByText(/^In the pack: have I got it\? 1 of/).waitFor();
    // All that the page keeps for itself is small.
    const kept = await page.evaluate(async () => {
      const caches_ = await Promise.all((await caches.keys()).map((name) => caches.open(name)));
      const answers = (
        await Promise.all(
          caches_.map(async (cache) => Promise.all((await cache.keys()).map((key) => cache.match(key)))),
        )
      ).flat();
      const packed = async (answer: Response | undefined) => {
        const stream = answer?.body?.pipeThrough(new CompressionStream("gzip"));
        return stream ? (await new Response(stream).arrayBuffer()).byteLength : 0;
      };
      return (await Promise.all(answers.map(packed))).reduce((sum, bytes) => sum + bytes, 0);
    });
    console.log(`the trail page keeps ${Math.round(kept / 1024)} KB, packed`);
    expect(kept).toBeLessThan(400 * 1024);

    await context.unroute("**/api/lines");
    await context.setOffline(false);
    await page.getByText("Every line is saved.").waitFor();
    await expect
      .poll(() => linesOf(app))
      .toEqual(["torch died, km 41", "cold night, 2 °C, in quilt and fleece", "ferry only on Mondays"]);
    await context.close();

    // At home, each is one press.
    const before = await tripOf(app);
    const { page: home, faults } = await openPage(browser, `${app.url}/unpack/${TRIP}`);
    await home.getByRole("button", { name: "Take it: torch died, km 41" }).click();
    const torch = async () => (await tripOf(app)).marks.find(({ item }) => item === "second-head-torch");
    await expect.poll(torch).toMatchObject({ use: "used", troubles: ["failed"], at: { distance: "41 km" } });
    expect((await torch())?.note).toMatch(/torch died, km 41$/);
    await home.locator("[data-sonner-toast]").getByRole("button", { name: "Undo" }).click();
    await expect.poll(torch).toEqual(before.marks.find(({ item }) => item === "second-head-torch"));
    await home.getByRole("button", { name: /^Take it: cold night/ }).click();
    await expect
      .poll(async () => (await tripOf(app)).felt?.at(-1))
      .toMatchObject({ low: 2, felt: "cold", slept: ["quilt", "fleece"] });
    // A line that was misread is put right by its pieces.
    await home
      .getByRole("button", { name: /^Put right: Second head torch/ })
      .first()
      .click();
    const form = home.getByRole("group", { name: "Put it right" });
    await form.getByLabel("Which thing").selectOption("clip-light");
    await form.getByLabel("Trouble").selectOption("damaged");
    await form.getByRole("button", { name: "Done" }).click();
    await home.getByRole("checkbox", { name: /^Clip light: damaged/ }).waitFor();
    await home.getByRole("button", { name: "Take it: torch died, km 41" }).click();
    const clip = async () => (await tripOf(app)).marks.find(({ item }) => item === "clip-light");
    await expect.poll(async () => (await clip())?.troubles).toEqual(["damaged"]);
    expect((await tripOf(app)).lines?.find(({ text }) => text === "torch died, km 41")).toMatchObject({
      told: [{ about: "thing", item: "clip-light", trouble: "damaged" }],
    });
    // Undo brings the mark and the line back, once.
    await home
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Clip light" })
      .getByRole("button")
      .first()
      .click();
    await expect.poll(async () => (await clip())?.troubles ?? []).toEqual([]);
    await home.getByRole("button", { name: "Take it: torch died, km 41" }).waitFor();
    // One that was mistyped is written again; one is deleted, and back.
    await home.getByRole("button", { name: "Rewrite: ferry only on Mondays" }).click();
    await home.getByLabel("The line").fill("");
    await home.getByRole("button", { name: "Save" }).click();
    await home.getByText("Write something.").waitFor();
    await home.getByLabel("The line").fill("ferry only on Wednesdays");
    await home.getByRole("button", { name: "Save" }).click();
    await home.getByRole("button", { name: "Delete: ferry only on Wednesdays" }).click();
    await home
      .getByRole("button", { name: "Delete: ferry only on Wednesdays" })
      .waitFor({ state: "detached" });
    await home
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Line deleted" })
      .getByRole("button")
      .first()
      .click();
    await home.getByRole("button", { name: "Put aside: ferry only on Wednesdays" }).click();
    await expect.poll(async () => (await tripOf(app)).lines?.at(-1)).toMatchObject({ taken: true });
    await home.getByText(/lines taken or put aside/).click();
    await home.getByText("A note, kept as it is").waitFor();
    // Read again, it waits; taken back, it is what it was taken as.
    const night = async () => (await tripOf(app)).lines?.find(({ text }) => text.startsWith("cold night"));
    const taken = await night();
    await home.getByRole("button", { name: /^Read again: cold night/ }).click();
    await expect.poll(night).toMatchObject({ taken: false });
    await home
      .locator("[data-sonner-toast]")
      .filter({ hasText: "waits again" })
      .getByRole("button")
      .first()
      .click();
    await expect.poll(night).toEqual(taken);
    await home.getByRole("button", { name: /^Take it: torch/ }).waitFor();
    await expect.poll(() => home.getByRole("button", { name: /^(Take it: cold|Put aside)/ }).count()).toBe(0);
    expect(faults).toEqual([]);
    await home.close();
  }));

test("a phone that keeps nothing says so, and what was typed stays; a line twice sent is one; a trip gone is told", () =>
  withApp("demo", async (app) => {
    const context = await browser.newContext(windowOf(PHONE));
    const page = await context.newPage();
    await page.addInitScript(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException("no room", "QuotaExceededError");
      };
    });
    await goTo(page, `${app.url}/trail`);
    await page.getByText("This browser keeps nothing for this page").waitFor();
    await page.getByLabel("What happened").fill("poncho sent home");
    await page.getByRole("button", { name: "Keep it" }).tap();
    await page.getByText("This phone can't keep the line: it is full.").waitFor();
    expect(await page.getByLabel("What happened").inputValue()).toBe("poncho sent home");
    await context.close();

    const send = (trip: string, text: string, id = "line-1", what: string | null = null) =>
      fetch(`${app.url}/api/lines`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ trip, lines: [{ id, at: "2026-09-13T10:00:00Z", text, change: what }] }),
      });
    expect((await send(TRIP, "boiled 1.2 L")).status).toBe(200);
    expect((await send(TRIP, "boiled 1.2 L")).status).toBe(200);
    expect(await linesOf(app)).toEqual(["boiled 1.2 L"]);
    // Changed on the phone since, whatever had come of it before; sent twice it is one change, and the old is not back.
    const change = (id: string, text: string, what: string) => send(TRIP, text, id, what);
    await change("line-1", "boiled 1.4 L", "rewritten");
    await change("line-9", "never seen before", "rewritten");
    await change("line-8", "nor this", "deleted");
    await send(TRIP, "boiled 1.2 L");
    expect(await linesOf(app)).toEqual(["boiled 1.4 L", "never seen before"]);
    await change("line-9", "never seen before", "deleted");
    await change("line-9", "never seen before", "deleted");
    expect(await linesOf(app)).toEqual(["boiled 1.4 L"]);
    expect((await change("line-1", "boiled 1.4 L", "burnt")).status).toBe(400);
    expect(await (await send("no-such-trip", "x")).json()).toEqual({ why: "That trip is no longer here." });
    expect((await send(TRIP, "x".repeat(301), "line-2")).status).toBe(400);
    expect((await send(TRIP, "a\0b", "line-3")).status).toBe(400);
  }));
