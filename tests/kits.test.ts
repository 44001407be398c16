import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, goTo, openPage, PHONE, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("kits: which one fits the trip ahead, taken and put back, changed, kept from a walk, set beside another", () =>
  withApp("today", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`);
    const section = page.getByRole("region", { name: "Which of your kits?" });
    await section.getByText(/“Frost”/).waitFor();
    await section.getByRole("link").click();
    await page.getByRole("heading", { level: 2, name: "Frost" }).waitFor();
    const cards = page.getByRole("listitem").filter({ has: page.getByRole("heading", { level: 2 }) });
    expect(await cards.getByRole("heading").allInnerTexts()).toEqual([
      expect.stringMatching(/^Frost/),
      expect.stringMatching(/^Long light/),
    ]);
    await cards.nth(0).getByText("Fits this trip best.").waitFor();
    await cards
      .nth(1)
      .getByText(/^Too cold for −5\s°C/)
      .waitFor();
    await cards.nth(1).getByText("Winter bag for Quilt").waitFor();
    await expectAccessible(page);

    const picks = async () =>
      (await exported(app)).trips.find(({ name }) => /^Vask in/.test(name))!.picks ?? {};
    const before = await picks();
    await page.getByRole("button", { name: "Take it so changed Long light" }).click();
    await expect.poll(picks).not.toEqual(before);
    await page.getByRole("button", { name: "Undo" }).click();
    await expect.poll(picks).toEqual(before);

    // Changed: what is wrong stands by its field, and what was ticked is still ticked.
    await page.getByRole("link", { name: "Change Long light" }).click();
    await page.getByLabel("Coldest night it is for").fill("warm");
    await page.getByLabel("Paperback").uncheck();
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.getByText(/Write the temperature as a number|is not a temperature/).waitFor();
    expect(await page.getByLabel("Paperback").isChecked()).toBe(false);
    await page.getByLabel("Coldest night it is for").fill("41 F");
    await page.getByLabel("April").check();
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.waitForURL(/\/next\/kits$/);
    await cards
      .nth(1)
      .getByText(/^April to September/)
      .waitFor();
    await page.reload();
    const light = (await exported(app)).kits!.find(({ name }) => name === "Long light")!;
    expect(light).toMatchObject({ low: 5, months: expect.arrayContaining([4]) });
    expect(light.items).not.toContain("paperback");

    // Kept from a walk; a name that is there already is refused, and stays typed.
    await goTo(page, `${app.url}/trips/vask-shore-2024-07-27`);
    await page.getByRole("link", { name: "Keep it as a kit" }).click();
    await page.getByLabel("as the kit").fill("frost");
    await page.getByRole("button", { name: "Keep it" }).click();
    await page.getByText("There is a kit “frost” already").waitFor();
    await page.getByLabel("as the kit").fill("Shore in July");
    await page.getByRole("button", { name: "Keep it" }).click();
    const shore = cards.filter({ hasText: "Shore in July" });
    await shore.getByText(/^June to September/).waitFor();
    await shore.getByRole("button", { name: "Take off the kit Shore in July" }).click();
    await shore.waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Undo" }).click();
    await shore.waitFor();

    // Walked over one's days, and set beside another.
    await shore.getByRole("link", { name: "Day by day Shore in July" }).click();
    await page.getByRole("link", { name: "The kit “Shore in July”" }).waitFor();
    await goTo(page, `${app.url}/trips/compare`);
    await page.getByLabel("This list").selectOption({ label: "the kit “Frost”" });
    await page.waitForURL(/a=kit/);
    await page.getByLabel("against that one").selectOption({ label: "the kit “Long light”" });
    await page.getByText(/^Long light is .* lighter\.$/).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("with no kit kept it says what one is for; of nothing on the list none is made; on a phone it fits", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next/kits`, PHONE);
    await page.getByText(/^A kit is a list that you keep by name/).waitFor();
    await page.getByLabel("as the kit").fill("Winter");
    await page.getByRole("button", { name: "Keep it" }).click();
    await page.getByText("Nothing is on that list yet.").waitFor();
    expect(await page.getByLabel("as the kit").inputValue()).toBe("Winter");
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(PHONE.width);
    expect(faults).toEqual([]);
    await page.close();
  }));
