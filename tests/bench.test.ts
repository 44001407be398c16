import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, openPage, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("a job is done where it is read, with its reading and cost, and taken back; the owner's own are ticked", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/bench`);
    const job = (name: string) =>
      page.getByRole("listitem").filter({ has: page.getByRole("link", { name, exact: true }) });
    const entries = async (item: string) =>
      (await exported(app)).entries.filter((entry) => entry.item === item);
    const before = (await entries("second-filter")).length;
    await job("Second filter")
      .getByRole("button", { name: /^How, .*service Second filter/ })
      .click();
    await job("Second filter").getByText("Soak it for half an hour.").waitFor();
    await job("Second filter").getByLabel("Litres a minute through it").fill("fast");
    await job("Second filter").getByRole("button", { name: /^Done/ }).click();
    await page.getByText("Write the reading as a number.").waitFor();
    expect(await job("Second filter").getByLabel("Litres a minute through it").inputValue()).toBe("fast");
    await job("Second filter").getByLabel("Litres a minute through it").fill("1.4");
    await job("Second filter").getByLabel("Cost").fill("3,50");
    await job("Second filter").getByRole("button", { name: /^Done/ }).click();
    await page.getByText("Second filter: service logged").waitFor();
    expect((await entries("second-filter")).at(-1)).toMatchObject({
      what: "service",
      cost: 3.5,
      reading: { what: "flow", value: 1.4 },
    });
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Second filter" })
      .getByRole("button", { name: "Undo" })
      .click();
    await expect.poll(async () => (await entries("second-filter")).length).toBe(before);

    // Agreed on its slip, it stands here as agreed.
    await page.goto(`${app.url}/verdicts`, { waitUntil: "networkidle" });
    await page
      .getByRole("article", { name: "replace Air pad" })
      .getByRole("button", { name: "Agree" })
      .click();
    await page
      .getByText(/^You ruled on .*: agree\.$/)
      .first()
      .waitFor();
    await page.goto(`${app.url}/bench`, { waitUntil: "networkidle" });
    await job("Air pad").getByText("agreed", { exact: true }).waitFor();
    await page.getByRole("row", { name: /Thick pad.*on the wish list.*Air pad.*495.*€165/ }).waitFor();

    // The owner's own.
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText("Give it a name.").waitFor();
    await page.getByLabel("A job of your own").fill("Shorten the strap");
    await page.getByLabel("on", { exact: true }).selectOption({ label: "Pack" });
    await page.getByLabel("by", { exact: true }).fill("2026-01-10");
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText("by 10 January 2026").waitFor();
    const calendar = await (await fetch(`${app.url}/api/bench.ics`)).text();
    expect(calendar).toContain("SUMMARY:Shorten the strap: Pack");
    expect(calendar).toContain("DTSTART;VALUE=DATE:20260110");
    await page.getByRole("button", { name: /^Done ?: Shorten the strap/ }).click();
    await expect
      .poll(async () => (await exported(app)).tasks)
      .toMatchObject([{ what: "Shorten the strap", item: "pack", done: expect.any(String) }]);
    await page.getByText("by 10 January 2026").waitFor({ state: "detached" });
    await page.getByRole("link", { name: "by what they want" }).click();
    await page
      .getByRole("heading", { name: /^Wants / })
      .first()
      .waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("ready: a look is ticked, what is not right is on the bench at once", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/ready`);
    await page.getByText(/looks to go/).waitFor();
    await page.getByRole("button", { name: /^Sound ?: Quilt/ }).click();
    await page.getByText("Quilt: looked at").waitFor();
    await expect
      .poll(async () => (await exported(app)).entries.filter((entry) => entry.item === "quilt").at(-1))
      .toMatchObject({ what: "check" });
    await page.getByRole("button", { name: /^Not right ?: Gas stove/ }).click();
    await page.getByText("it is on the bench").waitFor();
    await page.goto(`${app.url}/bench`, { waitUntil: "networkidle" });
    await page.getByRole("link", { name: "Gas stove", exact: true }).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));
