import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, goTo, openPage, PHONE, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("arrow keys walk it, a key marks in place, another tab sees it", () =>
  withApp("demo", async (app) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const other = await context.newPage();
    await goTo(page, app.url);
    await goTo(other, app.url);
    await page.getByRole("gridcell", { name: "Sun shirt, Saltpan again: used" }).click();
    await page.keyboard.press("ArrowLeft");
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute("aria-label"));
    await expect.poll(focused).toBe("Sun shirt, Sunder crossing: used");
    for (let n = 0; n < 40; n++) await page.keyboard.press("ArrowDown");
    await expect.poll(focused).toMatch(/^(?!Sun shirt).*, Sunder crossing: /);
    await page.getByLabel("Find a thing").fill("sun shirt");
    await page.getByRole("gridcell", { name: "Sun shirt, Low fells: used" }).focus();
    await page.keyboard.press("h");
    await page.getByRole("gridcell", { name: "Sun shirt, Low fells: hardly used" }).waitFor();
    await other.getByRole("gridcell", { name: "Sun shirt, Low fells: hardly used" }).waitFor();
    await context.close();
  }));

test("a key never wipes what was said, is asked about where the thing was not along, and is taken back", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, app.url);
    const markOf = async (item: string, trip: string) =>
      (await exported(app)).trips.find(({ name }) => name === trip)!.marks.find((mark) => mark.item === item);
    const cell = (name: string) => page.getByRole("gridcell", { name });
    const detailed = await markOf("trail-shoes-pair-3", "Saltpan again");
    expect(detailed).toMatchObject({ use: "used", condition: 3, note: "tread thin at the ball of the foot" });
    await page.getByLabel("Find a thing").fill("pair 3");
    await cell("Trail shoes, pair 3, Saltpan again: used").focus();
    await page.keyboard.press("h");
    await expect
      .poll(() => markOf("trail-shoes-pair-3", "Saltpan again"))
      .toEqual({ ...detailed, use: "hardly" });
    await page.keyboard.press("z");
    await expect.poll(() => markOf("trail-shoes-pair-3", "Saltpan again")).toEqual(detailed);

    await page.getByLabel("Find a thing").fill("boots");
    await cell("Boots, Saltpan again: not carried").focus();
    await page.keyboard.press("u");
    await page.getByText("Boots was not on Saltpan again.").waitFor();
    expect(await markOf("boots", "Saltpan again")).toBeUndefined();
    await page.keyboard.press("u");
    await expect.poll(() => markOf("boots", "Saltpan again")).toMatchObject({ use: "used" });
    await cell("Boots, Saltpan again: used").waitFor();
    await cell("Boots, Saltpan again: used").focus();
    await page.keyboard.press("Control+z");
    await expect.poll(() => markOf("boots", "Saltpan again")).toBeUndefined();
    await page.keyboard.press("Backspace");
    await page.getByText("Nothing to take back.").waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("sorts, filters, lights a trip, and a letter after g goes places", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, app.url);
    await page.getByLabel("Sort by").selectOption("verdict");
    expect(await page.getByRole("rowheader").nth(0).innerText()).not.toBe("");
    await page.getByRole("combobox", { name: "Verdict" }).selectOption("drop");
    await page.getByText(/^\d of 82/).waitFor();
    expect(await page.getByRole("row").filter({ hasText: "keep" }).count()).toBe(0);
    await page.getByRole("button", { name: "Clear" }).click();
    await page.getByRole("button", { name: /^Hask plateau/ }).click();
    await page.getByText("on Hask plateau").waitFor();
    await page.getByRole("gridcell", { name: /^Boots, Hask plateau/ }).waitFor();
    await page.locator("body").click({ position: { x: 5, y: 5 } });
    await page.keyboard.press("g");
    await page.keyboard.press("v");
    await page.getByRole("heading", { name: "Verdicts" }).waitFor();
    await page.keyboard.press("Control+k");
    await page.keyboard.type("long quill");
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "The Long Quill" }).waitFor();
    await page.close();
  }));

test("on paper every line is drawn, not only those in view", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, app.url);
    const lines = () => page.getByRole("rowheader").count();
    await expect.poll(lines).toBeGreaterThan(20);
    expect(await lines()).toBeLessThan(40);
    await page.evaluate(() => window.dispatchEvent(new Event("beforeprint")));
    expect(await lines()).toBeGreaterThan(78);
    await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
    await expect.poll(lines).toBeLessThan(40);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("on a phone it opens on the latest trip, and the names stay in view beside it", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, app.url, PHONE);
    const right = async (name: string) => {
      const box = (await page.getByRole("gridcell", { name }).boundingBox())!;
      return box.x + box.width;
    };
    await expect.poll(() => right("Sun shirt, Saltpan again: used")).toBeLessThanOrEqual(PHONE.width);
    expect(await right("Sun shirt, Saltpan again: used")).toBeGreaterThan(PHONE.width / 2);
    const name = (await page.getByRole("rowheader", { name: /^Sun shirt/ }).boundingBox())!;
    expect(name.x).toBeGreaterThanOrEqual(0);
    expect(faults).toEqual([]);
    await page.close();
  }));
