import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, goTo, openPage, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("a trip's form says what is wrong by the field and keeps what was typed", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/trips/new`);
    await page.getByLabel("Name", { exact: true }).fill("Backwards");
    await page.getByLabel("First day").fill("2026-10-09");
    await page.getByLabel("Last day").fill("2026-10-07");
    await page.getByLabel("Distance").fill("62 furlongs");
    const save = page.getByRole("button", { name: "Save, and unpack" });
    await save.click();
    await page.getByText("“furlongs” is not a unit known here.").waitFor();
    expect(await page.getByLabel("Distance").getAttribute("aria-invalid")).toBe("true");
    await page.getByLabel("Distance").fill("62");
    await save.click();
    await page.getByText("before it starts on 9 October 2026").waitFor();
    await page.getByLabel("Last day").fill("2026-10-10");
    await page.getByLabel("Nights").fill("9");
    await save.click();
    await page.getByText("9 nights don't fit into 2 days").waitFor();
    await page.getByLabel("Nights").fill("");
    await page.getByLabel("Distance").fill("4000 km");
    await save.click();
    await page.getByText("over 200 km for each day").waitFor();
    await page.getByLabel("Distance").fill("-4 km");
    await save.click();
    await page.getByText("It can't be below zero").waitFor();
    expect(await page.getByLabel("Name", { exact: true }).inputValue()).toBe("Backwards");
    await page.locator("input[type=file]").setInputFiles({
      name: "torn.gpx",
      mimeType: "application/gpx+xml",
      buffer: Buffer.from("<gpx><trk>"),
    });
    await page.getByText(/not sound XML/).waitFor();
    await page.getByLabel("First day").fill("2026-09-13");
    await page.getByLabel("Last day").fill("2026-09-14");
    await page.getByLabel("Distance").fill("20 km");
    await save.click();
    await page.getByText("Saltpan again (12–15 September 2026) covers some of these days").waitFor();
    await page.close();
  }));

test("an item's form, too; and a unit switched keeps 9.6 oz as 9.6 oz", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/item/pillow/edit`);
    await page.getByLabel("Weight").fill("feather");
    await page.getByLabel("Price").fill("-3");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText("is not a number with a unit").waitFor();
    await page.getByText("A price can't be below zero.").waitFor();
    expect(await page.getByLabel("Weight").inputValue()).toBe("feather");
    await page.getByLabel("Weight").fill("9.6 oz");
    await page.getByLabel("Price").fill("30");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText(/pillow · 272.g · main bag/).waitFor();
    await goTo(page, `${app.url}/settings`);
    await page.getByLabel("Weight", { exact: true }).selectOption("oz");
    await page.getByLabel("Distance", { exact: true }).selectOption("mi");
    // From now on a bare number is meant in the owner's unit, wherever it is typed.
    await page.getByLabel("Your body weight").fill("170");
    await page.getByLabel("Your body weight").press("Tab");
    await expect.poll(async () => (await exported(app)).settings.body).toBe("170 lb");
    await goTo(page, `${app.url}/item/pot/edit`);
    await page.getByLabel("Weight").fill("4.5");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByRole("heading", { name: "Pot", exact: true }).waitFor();
    await expect
      .poll(async () => (await exported(app)).items.find((item) => item.id === "pot")?.weights)
      .toContainEqual(expect.objectContaining({ weight: "4.5 oz" }));
    await expect
      .poll(async () => {
        await page.goto(`${app.url}/item/pillow`);
        return page.locator("header").first().innerText();
      })
      .toMatch(/9\.6.oz/);
    expect((await exported(app)).items.find((item) => item.id === "pillow")).toMatchObject({
      weights: [{ weight: "68 g" }, { weight: "9.6 oz" }],
    });
    await page.close();
  }));

test("typed and sent before the page listens: nothing is sent, and what was typed stays and is what the page then holds", () =>
  withApp("demo", async (app) => {
    const page = await browser.newPage();
    let scripts = Promise.resolve();
    await page.route("**/_next/static/**/*.js*", async (route) => {
      await scripts;
      await route.continue();
    });
    for (const [at, label, before, typed] of [
      ["/bench", "A job of your own", "", "ask for the late ferry"],
      ["/item/air-pad/edit", "Name", "Air pad", "Air pad, patched"],
      ["/shelf", "Add a thing", "", "spork 12 g"],
    ] as const) {
      let come = () => {};
      scripts = new Promise((resolve) => {
        come = resolve;
      });
      await page.goto(app.url + at, { waitUntil: "commit" });
      const field = page.getByLabel(label, { exact: true });
      expect(await field.inputValue()).toBe(before);
      await field.fill(typed);
      await field.press("Enter");
      come();
      await page.waitForLoadState("networkidle");
      expect([new URL(page.url()).pathname, await field.inputValue()]).toEqual([at, typed]);
      await field.press("Enter");
      await page.locator("main").getByText(typed.replace(" 12 g", "")).first().waitFor();
    }
    const log = await exported(app);
    expect(log.tasks).toContainEqual(expect.objectContaining({ what: "ask for the late ferry" }));
    expect(log.items.map(({ name }) => name)).toEqual(expect.arrayContaining(["Air pad, patched"]));
    await page.close();
  }));
