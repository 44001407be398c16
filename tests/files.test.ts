import { writeFile } from "node:fs/promises";
import path from "node:path";
import writeXlsxFile from "write-excel-file/node";
import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { writeLogFile } from "@/formats/log-file";
import { madeUpLog } from "../measure/made-up-log";
import { parseMass } from "@/core/units/quantity";
import { DESK, expectAccessible, exported, goTo, openPage, withApp } from "./app";
import { PLAIN_NAMES } from "./plain-names";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

test("saved, and brought back into an empty log: nothing differs", () =>
  withApp("demo", async (from) => {
    const text = await (await fetch(`${from.url}/api/log`)).text();
    await withApp("empty", async (to) => {
      const file = path.join(inject("folder"), "all.json");
      await writeFile(file, text);
      const { page } = await openPage(browser, `${to.url}/settings`);
      await page.getByLabel("Bring it back from a file").setInputFiles(file);
      await page.getByText(/holds 86.things and 14.trips/).waitFor();
      await page.getByRole("button", { name: "Bring it in" }).click();
      await page.getByText("in place of what was here").waitFor();
      expect(await (await fetch(`${to.url}/api/log`)).text()).toBe(text);
      await page.getByLabel("Bring it back from a file").setInputFiles(file);
      await page.getByText("exactly what is here already").waitFor();
      await page.getByLabel("Bring it back from a file").setInputFiles({
        name: "torn.json",
        mimeType: "application/json",
        buffer: Buffer.from(text.slice(0, 3000)),
      });
      await page.getByText(/not sound JSON: .* at line \d+, column \d+/).waitFor();
      expect(await (await fetch(`${to.url}/api/log`)).text()).toBe(text);
      await page.close();
    });
  }));

test("a large log tells how far it has come, and stopped half way it changes nothing", () =>
  withApp("demo", async (app) => {
    const before = await (await fetch(`${app.url}/api/log`)).text();
    const file = path.join(inject("folder"), "large.json");
    await writeFile(file, writeLogFile(madeUpLog(300, 150)));
    const { page } = await openPage(browser, `${app.url}/settings`);
    await page.getByLabel("Bring it back from a file").setInputFiles(file);
    await page.getByText(/holds 300.things and 150.trips/).waitFor();
    await page.getByRole("button", { name: "Put it in place of everything here" }).click();
    await page.getByText(/^\d+ of 150.trips are in/).waitFor();
    await page.getByRole("button", { name: "Stop" }).click();
    await page.getByText("Stopped. Nothing was changed.").waitFor();
    expect(await (await fetch(`${app.url}/api/log`)).text()).toBe(before);
    await page.close();
  }));

/** A weight as people type them, and what it is in grams. */
const TYPED: readonly ((grams: number) => readonly [typed: string, grams: number])[] = [
  (grams) => [`${grams} g`, grams],
  (grams) => [`${grams}`, grams],
  (grams) => [`${(grams / 1000).toFixed(3).replace(".", ",")} kg`, grams],
  (grams) => [`~${grams}g`, grams],
  (grams) => [`${grams} g (claimed)`, grams],
  (grams) => [`${Math.round(grams / 28.35)} oz`, Math.round(grams / 28.35) * 28.349523],
  (grams) => [`1 lb ${Math.round(grams / 90)}`, 453.59237 + Math.round(grams / 90) * 28.349523],
  () => ["n/a", 0],
];

test("a messy sheet of 120 things: nine kinds in ten are right, and no weight is wrong", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/shelf/import`, DESK);
    const things = PLAIN_NAMES.slice(0, 120).map(([name, kind], n) => {
      const [typed, grams] = TYPED[n % TYPED.length]!(100 + 7 * n);
      return { name, kind, typed, grams, bought: n % 3 ? `${(n % 28) + 1}/0${(n % 9) + 1}/2023` : "?" };
    });
    await page.getByLabel("Or paste it here").fill(
      ["My kit 2023;;;", "What;How heavy;Bought;Where it lives"]
        .concat(things.map(({ name, typed, bought }) => `${name};${typed};${bought};cellar`))
        .concat(["Total;31 kg;;"])
        .join("\n"),
    );
    await page.getByRole("button", { name: /Put 120.things on the shelf/ }).click();
    await page.getByText(/120.things put on the shelf/).waitFor();
    const { items } = await exported(app);
    expect(items).toHaveLength(120);
    const byName = new Map(items.map((item) => [item.name, item]));
    const gramsIn = (item: (typeof items)[number]) => {
      const [first] = (item.weights ?? []) as { weight: string }[];
      const read = first ? parseMass(first.weight, "g") : null;
      return read?.ok ? read.value.g : 0;
    };
    expect(
      things
        .filter(({ name, grams }) => Math.abs(gramsIn(byName.get(name)!) - grams) > 0.5)
        .map(({ name }) => name),
    ).toEqual([]);
    expect(
      things.filter(({ name, kind }) => byName.get(name)!["kind"] === kind).length,
    ).toBeGreaterThanOrEqual(108);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("a list in any column order comes in whole or not at all, its doubles left out", () =>
  withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/shelf/import`);
    const pasted = page.getByLabel("Or paste it here");
    await pasted.fill(
      "where;weight (oz);thing\nlid;0.5;Ear plugs\nmain;soft;Pillow case\noutside;11;Rain shell",
    );
    await page.getByText("Line 3 (Pillow case): weight “soft”").waitFor();
    expect(await page.getByRole("button", { name: /on the shelf$/ }).isDisabled()).toBe(true);
    await pasted.fill("where;weight (oz);thing\nlid;0.5 kg;Ear plugs\nmain;80 kg;Pillow case");
    await page.getByText("Pillow case: 80 kg. That is a lot for one thing.").waitFor();
    expect(await page.getByRole("button", { name: /on the shelf$/ }).isDisabled()).toBe(true);
    await pasted.fill(
      "where;weight (oz);thing\nlid;0.5;Ear plugs\nmain;2;Pillow case\noutside;11;Rain shell",
    );
    await page.getByText("already here (Rain shell)").waitFor();
    await page.getByRole("button", { name: /Put 2.things on the shelf/ }).click();
    await page.getByRole("link", { name: "Ear plugs", exact: true }).waitFor();
    // A spreadsheet: its values are read, a day as a day; one that is none says so.
    const sheet = path.join(inject("folder"), "gear.xlsx");
    await writeXlsxFile([
      ["What", "Weight (g)", "Bought"].map((value) => ({ value })),
      [
        { value: "Tin whistle" },
        { value: 41 },
        { value: new Date(Date.UTC(2024, 4, 3)), format: "yyyy-mm-dd" },
      ],
    ]).toFile(sheet);
    const broken = path.join(inject("folder"), "broken.xlsx");
    await writeFile(broken, "no spreadsheet at all");
    await page.goto(`${app.url}/shelf/import`);
    await page.getByLabel("A CSV file or a spreadsheet").setInputFiles(broken);
    await page.getByText(/broken.xlsx: .*Save it as CSV/).waitFor();
    await page.getByLabel("A CSV file or a spreadsheet").setInputFiles(sheet);
    await page.getByText("The weights are").waitFor();
    await page.getByRole("radio", { name: "the makers’, never weighed" }).check();
    await expectAccessible(page);
    await page.getByRole("button", { name: /Put 1.thing on the shelf/ }).click();
    await page.getByRole("link", { name: "Tin whistle", exact: true }).waitFor();
    const { items } = await exported(app);
    expect(items.find((item) => item.name === "Tin whistle")).toMatchObject({
      weights: [{ weight: "41 g", how: "claimed" }],
      acquired: "2024-05-03",
    });
    expect(items).toHaveLength(89);
    expect(items.find((item) => item.name === "Ear plugs")).toMatchObject({
      weights: [{ weight: "0.5 oz" }],
      stow: "lid",
    });
    const csv = await (await fetch(`${app.url}/api/shelf.csv`)).text();
    expect(csv.split("\r\n")).toHaveLength(91);
    await page.close();
  }));

test("from an empty notebook: the demo is looked at, and left again in one press that asks; a copy is kept", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, app.url);
    await page.getByRole("button", { name: "Look at the demo" }).click();
    await page.getByText("An invented walker’s notebook").waitFor();
    const { items, settings } = await exported(app);
    expect(items.length).toBeGreaterThan(50);
    expect(settings).toMatchObject({ demo: true });
    await page.getByRole("button", { name: "Leave it, and begin my own" }).click();
    await page.getByRole("button", { name: "Stay" }).click();
    await page.getByRole("button", { name: "Leave it, and begin my own" }).click();
    await page.getByRole("button", { name: "Empty it" }).click();
    await page.getByRole("heading", { name: "This will be your tally sheet" }).waitFor();
    expect(await exported(app)).toMatchObject({ items: [], trips: [] });
    // What is one's own is never taken for the demo's.
    await goTo(page, `${app.url}/shelf`);
    await page.getByLabel(/^Add/).first().fill("mug 60 g");
    await page.keyboard.press("Enter");
    await expect.poll(async () => (await exported(app)).items.length).toBe(1);
    await page.goto(app.url);
    await page.getByText("No trips yet").waitFor();
    expect(await page.getByRole("button", { name: "Leave it, and begin my own" }).count()).toBe(0);
    expect(faults).toEqual([]);
    await page.close();
  }));
