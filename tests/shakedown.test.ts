import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, goTo, openPage, PHONE, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("before a big walk: the outing that settles most, what held said and taken back, a night out planned from here", () =>
  withApp("today", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next`);
    await page
      .getByRole("region", { name: "Not sure to hold" })
      .getByRole("link", { name: "The outing near home that settles most" })
      .click();
    const said = page.getByRole("status").first();
    await said.getByText(/would likely settle/).waitFor();
    await page.getByLabel("Near home is").selectOption("Vask");
    await page.getByRole("button", { name: "Ask the desk" }).click();
    await page.waitForURL(/place=Vask/);
    await page
      .getByText(/(no )?rain expected/)
      .first()
      .waitFor();
    await expectAccessible(page);

    const tried = page.getByRole("group", { name: "Two-pole tent, tried" });
    await tried.getByRole("button", { name: "It held" }).click();
    await tried.waitFor({ state: "detached" });
    await page
      .getByRole("region", { name: /^What held/ })
      .getByText("Two-pole tent")
      .waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await tried.waitFor();
    await tried.getByRole("button", { name: "It did not" }).click();
    await expect
      .poll(async () =>
        (await exported(app)).entries.some(({ what, condition }) => what === "check" && condition === 2),
      )
      .toBe(true);

    const row = page.getByRole("row").filter({ hasText: "An evening in the garden" });
    await row.getByRole("button", { name: "Put it on the bench" }).click();
    await page.waitForURL(/\/bench$/);
    await page.getByText(/^An evening in the garden, before Vask/).waitFor();
    await goTo(page, `${app.url}/next/shakedown?place=Vask`);
    await page
      .getByRole("row")
      .filter({ hasText: /^A night out/ })
      .getByRole("button", { name: "Plan it" })
      .click();
    await page.waitForURL(/\/next\?trip=shakedown/);
    await page.getByRole("heading", { level: 1, name: /^Shakedown before Vask/ }).waitFor();
    const made = (await exported(app)).trips.find(({ name }) => name.startsWith("Shakedown before"));
    expect(made).toMatchObject({
      planned: true,
      conditions: expect.objectContaining({ rain: expect.any(String) }),
    });
    // The walk that it is for is still the one that is settled.
    await page.goto(`${app.url}/next/shakedown`);
    await page.getByText(/^before Vask in the dark/).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("with nothing planned it says so; asked for what is not there, it answers for what is; on a phone it fits", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(
      browser,
      `${app.url}/next/shakedown?trip=nowhere&place=${encodeURIComponent("../Vask")}`,
      PHONE,
    );
    await page.getByRole("heading", { name: "No walk is planned" }).waitFor();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
    expect(faults).toEqual([]);
    await page.close();
  }));
