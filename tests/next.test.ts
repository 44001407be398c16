import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, openPage, PHONE, saved, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("the circle: planned, packed, walked, unpacked, judged, and planned anew without what was dropped", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`);
    await page.getByText(/None is planned: this is for one as usual/).waitFor();
    await page.getByText(/^No trusted way to treat water: the first filter \(It froze wet/).waitFor();
    // Nothing can be moved before there is a trip to keep it.
    expect(await page.getByRole("button", { name: /^Leave / }).count()).toBe(0);

    // Say what it will be: in winter, with a low that the quilt is too thin for.
    await page.getByRole("link", { name: "Plan a trip" }).click();
    await page.getByLabel("Name", { exact: true }).fill("Vask in the snow");
    await page.getByLabel("First day").fill("2090-01-09");
    await page.getByLabel("Last day").fill("2090-01-12");
    await page.getByLabel("Distance").fill("44");
    await page.getByLabel("Coldest night expected").fill("freezing");
    await page.getByRole("radiogroup", { name: "bugs" }).getByText("none").click();
    await page.getByRole("radiogroup", { name: "freezing" }).getByText("some").click();
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByText("Write the temperature as a number.").waitFor();
    await page.getByLabel("Coldest night expected").fill("-4");
    await page.getByLabel("Longest stretch without water").fill("18");
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByRole("heading", { name: "Vask in the snow" }).waitFor();

    // The list: the winter bag for these nights, the nets at home, what is agreed or judged left.
    const column = (name: string) => page.getByRole("region", { name, exact: true });
    const stands = (name: string, thing: string) =>
      column(name).getByRole("link", { name: thing, exact: true });
    await stands("Take", "Winter bag").waitFor();
    await stands("Leave", "Quilt").waitFor();
    await column("Leave").getByText("No bugs expected.").first().waitFor();
    await stands("Not ready", "Two-pole tent").waitFor();
    await stands("Leave", "Second pot").waitFor();
    const figures = (await page.getByRole("main").innerText()).replace(/[\u00a0\u202f]/g, " ");
    expect(figures).toMatch(/Winter bag at −4 °C: \d+ % for a cold night/);
    expect(figures).toMatch(/water\s+\d\.\d L for the longest dry stretch/);
    expect(figures).toMatch(
      /Trail shoes, pair 3: \d+ % to give out on the way, if so most likely after about \d+ km/,
    );

    // Moved by button and by key; the figure follows at once, and it is still so after a reload.
    const base = () => page.getByText("base weight", { exact: true }).locator("xpath=..").innerText();
    const before = await base();
    await page.getByRole("button", { name: "Take Folding chair" }).click();
    await stands("Take", "Folding chair").waitFor();
    await expect.poll(base).not.toBe(before);
    await page.getByRole("button", { name: "Leave Towel" }).focus();
    await page.keyboard.press("l");
    await stands("Leave", "Towel").waitFor();
    const plan = async () => (await exported(app)).trips.find(({ id }) => id.startsWith("vask-in-the-snow"))!;
    await expect.poll(async () => (await plan()).picks).toEqual({ "folding-chair": "take", towel: "leave" });
    await page.reload({ waitUntil: "networkidle" });
    await stands("Take", "Folding chair").waitFor();
    await stands("Leave", "Towel").waitFor();
    await page.getByRole("button", { name: "Leave Folding chair" }).click();
    await stands("Leave", "Folding chair").waitFor();
    await expect.poll(async () => (await plan()).picks).toEqual({ towel: "leave" });

    // The best list within a weight: proved, or why there is none; what falls out is left by one press.
    const best = page.getByRole("region", { name: "The best list within a weight" });
    await best.getByLabel("Base weight at most").fill("feather");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/is not a number with a unit/).waitFor();
    await best.getByLabel("Base weight at most").fill("1 kg");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/No list of that weight does it: .*The least that would do them all is/).waitFor();
    await best.getByLabel("Base weight at most").fill("7");
    await best.getByRole("button", { name: "Find it" }).click();
    await best.getByText(/no list of that weight is worth more/).waitFor();
    expect(Number((await best.locator("b").first().innerText()).replace(/\D/g, ""))).toBeLessThanOrEqual(
      7000,
    );
    await best.getByText(/^Falls out: /).waitFor();

    // It becomes the trip's list with one press.
    await page.getByRole("button", { name: /^Make this the trip’s list/ }).click();
    await page.getByRole("button", { name: "This is the trip’s list" }).waitFor();
    const items = (await plan()).marks.map(({ item }) => item);
    expect(items).toContain("winter-bag");
    expect(items).not.toContain("towel");
    const list = await (await fetch(`${app.url}/api/list/${(await plan()).id}`)).text();
    expect(list).toContain("- [ ] Winter bag");

    // Walked: its days are past, and it is offered; one thing was too much of it.
    const log = await exported(app);
    const walked = log.trips.map((trip) =>
      trip.id === log.trips.find(({ name }) => name === "Vask in the snow")!.id
        ? { ...trip, starts: "2026-11-20", ends: "2026-11-22" }
        : trip,
    );
    const sent = await fetch(`${app.url}/api/log?replace`, {
      method: "POST",
      body: JSON.stringify({ ...log, trips: walked }),
    });
    expect(sent.ok, await sent.clone().text()).toBe(true);
    await page.goto(`${app.url}/unpack`, { waitUntil: "networkidle" });
    await page.getByRole("button", { name: /^Walked: unpack it ?: Vask in the snow/ }).click();
    await page.getByText(/^\d+ of \d+ left$/).waitFor();
    await page.keyboard.press("n");
    await saved(page);
    const first = (await plan()).marks.find(({ use }) => use === "unused")!;
    expect(first).toBeDefined();

    // And the next plan starts from there.
    await page.goto(`${app.url}/next`, { waitUntil: "networkidle" });
    await page.getByText(/None is planned/).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("on a phone, and on an empty shelf", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`, PHONE);
    await page.getByText("Put things on the shelf and enter a trip").waitFor();
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.close();
  }));
