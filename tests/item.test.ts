import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, exported, openPage, PHONE, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("damage, a repair, the proof of it: an item's page follows, and each step can be taken back", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/item/boots`);
    const slip = (verb: string) => page.getByRole("article", { name: `${verb} Boots` });
    await slip("repair").waitFor();
    await page.getByLabel("Cost", { exact: true }).fill("-3");
    await page.getByRole("button", { name: "Log it" }).click();
    await page.getByText("can't be below zero").waitFor();
    expect(await page.getByLabel("Cost", { exact: true }).inputValue()).toBe("-3");
    await page.getByLabel("Cost", { exact: true }).fill("12,50");
    await page.getByLabel("Note", { exact: true }).fill("tongue stitched");
    await page.getByRole("button", { name: "Log it" }).click();
    await slip("prove").waitFor();
    expect((await exported(app)).entries.find(({ note }) => note === "tongue stitched")).toMatchObject({
      item: "boots",
      what: "repair",
      cost: 12.5,
    });

    await page.getByRole("button", { name: /^Remove repair of/ }).click();
    await slip("repair").waitFor();
    // Its own notice, which lies in front of the one before.
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "removed" })
      .getByRole("button", { name: "Undo" })
      .click();
    await slip("prove").waitFor();
    await page.reload();
    await slip("prove").waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));

test("its wear is told in words beside the chart, its slot by who held it before", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/item/trail-shoes-pair-3`);
    const chart = page.getByRole("img", { name: /^Wear by trip/ });
    expect(await chart.getAttribute("aria-label")).toMatch(
      /^Wear by trip, 645.km so far\. It most likely ends between \d+.km and .*km\.$/,
    );
    expect((await chart.boundingBox())!.height).toBeGreaterThan(100);
    await page.getByRole("heading", { name: /Also in the slot/ }).waitFor();
    await page.getByRole("link", { name: "Trail shoes, pair 1" }).waitFor();
    await page.getByRole("list", { name: "Its strokes, oldest trip first" }).getByRole("link").last().click();
    await page.getByRole("heading", { name: "Saltpan again" }).waitFor();
    await page.close();
  }));

test("retired by mistake and taken back; retired for good, its history stays, and it is no longer packed", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/shelf`);
    await page.getByRole("button", { name: "Retire Umbrella" }).click();
    await page.getByText("Umbrella is retired; its history stays").waitFor();
    await page.getByRole("link", { name: "Umbrella", exact: true }).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("link", { name: "Umbrella", exact: true }).waitFor();
    await page.getByRole("button", { name: "Retire Umbrella" }).click();
    await page.getByRole("link", { name: "Umbrella", exact: true }).waitFor({ state: "detached" });
    await page.goto(`${app.url}/shelf?gone`);
    await page.getByRole("link", { name: "Umbrella", exact: true }).click();
    await page.getByText(/^Retired on .*: nothing to buy\.$/).waitFor();
    expect(
      await page.getByRole("list", { name: "Its strokes, oldest trip first" }).getByRole("listitem").count(),
    ).toBeGreaterThan(2);
    await page.goto(`${app.url}/trips/new`);
    await page.getByRole("button", { name: "Everything" }).click();
    expect(await page.getByLabel("Umbrella", { exact: true }).count()).toBe(0);
    await page.close();
  }));

test("agreed, put off, taken back: rulings by thumb, and nothing asks twice", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/verdicts`, PHONE);
    const chair = page.getByRole("article", { name: "drop Folding chair" });
    await chair.getByRole("button", { name: "Agree" }).tap();
    await page.getByText("Folding chair: agreed").waitFor();
    expect(await page.getByText(/^Ruled on/).count(), "agreed: it stays in its lane").toBe(0);
    const cable = page.getByRole("article", { name: "drop Second cable" });
    await cable.getByRole("button", { name: "Later" }).tap();
    await page.getByText("Ruled on (1)").waitFor();
    expect(
      (await exported(app)).rulings.map(({ item, decision }) => `${String(item)} ${String(decision)}`).sort(),
    ).toEqual(["folding-chair agree", "second-cable later"]);
    await page.reload();
    await page.getByText("Ruled on (1)").waitFor();
    await chair.getByRole("button", { name: "Take my ruling back on Folding chair" }).tap();
    await chair.getByRole("button", { name: "Agree" }).waitFor();
    await expectAccessible(page);
    expect((await exported(app)).rulings).toMatchObject([{ item: "second-cable", decision: "later" }]);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("what was missed is a slip like the others: argued, done without, taken back, and bought by one line", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
    const mat = page
      .getByRole("region", { name: "When convenient" })
      .getByRole("article", { name: "add Sit mat" });
    await mat.getByText("The whole argument").click();
    await mat.getByText("One bought and on the shelf: then it is settled.").waitFor();
    await mat.getByRole("link", { name: "The Long Quill" }).waitFor();
    await mat.getByRole("button", { name: "Overrule" }).click();
    await page.getByLabel("I do without it, because").fill("the ground is soft");
    await page.getByRole("dialog").getByRole("button", { name: "Overrule" }).click();
    await page.getByText("Ruled on (1)").click();
    await page.getByText(/You ruled on .*: overrule, “the ground is soft”/).waitFor();
    expect((await exported(app)).rulings).toMatchObject([
      { what: "Sit mat", verb: "add", decision: "overrule", again: 2, trips: 14, troubles: 2 },
    ]);
    await page.getByRole("button", { name: "Take my ruling back on Sit mat" }).click();
    await mat.getByRole("link", { name: "Put one on the shelf" }).click();
    await page.waitForURL(/\/shelf/);
    await expect.poll(() => page.getByLabel("Add a thing").inputValue()).toBe("Sit mat");
    await page.getByLabel("Add a thing").press("End");
    await page.getByLabel("Add a thing").pressSequentially(" 60 g");
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText("Sit mat is on the shelf").waitFor();
    await page.goto(`${app.url}/verdicts`);
    await mat.getByText(/the sit mat is on the shelf. Take it along/).waitFor();
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("two tabs: a form older than what is kept says so before it takes its place", () =>
  withApp("demo", async (app) => {
    const open = async (at: string) => (await openPage(browser, `${app.url}${at}`)).page;
    for (const [at, field, kept] of [
      [
        "/item/boots/edit",
        "Pieces",
        async () => (await exported(app)).items.find(({ id }) => id === "boots")!,
      ],
      [
        "/trips/low-fells-2025-08-30/edit",
        "Name",
        async () => (await exported(app)).trips.find(({ id }) => id === "low-fells-2025-08-30")!,
      ],
    ] as const) {
      const [older, newer] = [await open(at), await open(at)];
      await newer.getByLabel("Note", { exact: true }).fill("said in the other tab");
      await newer.getByRole("button", { name: "Save", exact: true }).click();
      await expect
        .poll(async () => (await kept()) as unknown)
        .toMatchObject({ note: "said in the other tab" });
      await older.getByLabel(field, { exact: true }).fill(field === "Pieces" ? "2" : "Low fells again");
      await older.getByRole("button", { name: "Save", exact: true }).click();
      await older.getByText("It was changed elsewhere since this form was opened (note).").waitFor();
      // Nothing is done until it is answered, and what was typed stands.
      expect((await kept()) as unknown).toMatchObject({ note: "said in the other tab" });
      expect(await older.getByLabel(field, { exact: true }).inputValue()).not.toBe("");
      await older.getByRole("button", { name: "Yes, save it" }).click();
      await expect
        .poll(async () => (await kept()) as unknown)
        .toMatchObject(field === "Pieces" ? { pieces: 2 } : { name: "Low fells again" });
      await Promise.all([older.close(), newer.close()]);
    }
  }));
