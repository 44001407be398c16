import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import type { Browser, Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, inject, test } from "vitest";
import { openPage, PHONE, startApp, type App } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** Runs `work` on an app of its own and stops it. */
async function withApp(from: "demo" | "empty", work: (app: App) => Promise<void>): Promise<void> {
  const app = await startApp(from);
  try {
    await work(app);
  } finally {
    await app.stop();
  }
}

const exported = async (app: App) => (await fetch(`${app.url}/api/log`)).json() as Promise<{ items: Record<string, unknown>[]; trips: { id: string; name: string; marks: Record<string, unknown>[]; made?: string[]; missed?: object[] }[]; rulings: Record<string, unknown>[] }>;
const saved = (page: Page) => page.getByText("every mark is saved").waitFor();
const gpx = (points: number) => `<gpx version="1.1"><trk><name>Saltpan</name><trkseg>${Array.from({ length: points }, (_, n) => `<trkpt lat="10" lon="${10 + n * 0.001}"><ele>${100 + (n % 40) * 10}</ele><time>2026-05-0${1 + Math.floor((n * 3) / points)}T08:00:00Z</time></trkpt>`).join("")}</trkseg></trk></gpx>`;

test("from an empty shelf to a verdict: the whole line, as a new walker does it", () => withApp("empty", async (app) => {
  const { page, faults } = await openPage(browser, app.url);
  await page.getByRole("link", { name: "Put the first things on the shelf" }).click();

  // Shelf: one line a thing.
  const line = page.getByLabel("Add a thing");
  for (const typed of ["rain shell 312 g outside", "folding chair 17 oz main", "first-aid kit 184 g lid", "trail shoes 620 g worn"]) {
    await line.fill(typed);
    await line.press("Enter");
    await page.getByRole("link", { name: new RegExp(`^${typed.replace(/ \d.*/, "")}$`, "i") }).waitFor();
    expect(await line.inputValue()).toBe("");
  }
  await line.fill("80 kg sock");
  await line.press("Enter");
  await page.getByText("80 kg is a lot for one thing").waitFor();
  await page.getByRole("button", { name: "Let me look" }).click();
  expect(await line.inputValue()).toBe("80 kg sock");
  await line.fill("312 g");
  await line.press("Enter");
  await page.getByText("Give it a name").waitFor();

  // Three trips; the first from a track.
  for (const month of ["05", "06", "07"]) {
    await page.goto(`${app.url}/trips/new`);
    if (month === "05") {
      await page.locator("input[type=file]").setInputFiles({ name: "walk.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from(gpx(400)) });
      await page.getByText(/400.points: 44.km/).waitFor();
      expect(await page.getByLabel("First day").inputValue()).toBe("2026-05-01");
    } else {
      await page.getByLabel("Distance").fill("62");
    }
    await page.getByLabel("Name", { exact: true }).fill(`Walk ${month}`);
    await page.getByLabel("First day").fill(`2026-${month}-01`);
    await page.getByLabel("Last day").fill(`2026-${month}-03`);
    await page.getByRole("radiogroup", { name: "rain" }).getByText("none").click();
    await page.getByRole("button", { name: month === "05" ? "Everything" : /^As on/ }).click();
    await page.getByRole("button", { name: "Save, and unpack" }).click();

    // Unpack, by keyboard: the shell unused, the kit unused, the chair unused, the shoes used.
    await page.getByText("4 of 4 left").waitFor();
    await page.keyboard.press("n");
    await page.keyboard.press("n");
    await page.keyboard.press("n");
    await page.keyboard.press("u");
    await page.getByText("All marked.").waitFor();
    await saved(page);
  }
  await page.getByRole("link", { name: "What follows from it" }).click();
  await page.getByRole("article", { name: "drop Folding chair" }).waitFor();
  const slip = page.getByRole("article", { name: "drop Folding chair" });
  expect(await slip.innerText()).toMatch(/called for on 3.trips, never used/);
  expect(await page.getByRole("article", { name: "drop First-aid kit" }).count()).toBe(0);
  expect(await page.getByRole("article", { name: /Rain shell/ }).first().innerText()).not.toMatch(/^drop/);

  // Overrule it; the ruling stands after a reload.
  await slip.getByRole("button", { name: "Overrule" }).click();
  await page.getByLabel("It stays as it is, because").fill("my back");
  await page.getByRole("dialog").getByRole("button", { name: "Overrule" }).click();
  await slip.waitFor({ state: "hidden" });
  await page.reload();
  expect(await page.getByText("Ruled on (1)").count()).toBe(1);
  expect((await exported(app)).rulings).toMatchObject([{ verb: "drop", decision: "overrule", reason: "my back", again: 2, trips: 3 }]);

  // The sheet shows it all, and the chair as kept.
  await page.goto(app.url);
  await page.getByRole("gridcell", { name: "Folding chair, Walk 07: unused, though called for" }).waitFor();
  await page.getByRole("gridcell", { name: "Rain shell, Walk 07: unused, no call for it" }).waitFor();
  expect(faults).toEqual([]);
  await page.close();
}));

describe("unpacking", () => {
  test("the demo's largest trip takes at most 1.3 key presses a thing, and no mark waits for another", () => withApp("demo", async (app) => {
    const log = await exported(app);
    const largest = log.trips.reduce((a, b) => (b.marks.length > a.marks.length ? b : a));
    const wanted = new Map(largest.marks.map((mark) => [mark.item as string, mark.use as string]));
    for (const mark of largest.marks) {
      const cleared = await fetch(`${app.url}/api/marks`, { method: "POST", body: JSON.stringify({ trip: largest.id, item: mark.item, mark: null }) });
      expect(cleared.ok).toBe(true);
    }
    const { page } = await openPage(browser, `${app.url}/unpack/${largest.id}`);
    const names = new Map(log.items.map((item) => [item.name as string, item.id as string]));
    const KEYS: Record<string, string> = { used: "u", hardly: "h", unused: "n" };
    let presses = 0;
    // Each acknowledgement is held back a while: the next key must not wait for it.
    await page.route("**/api/marks", async (route) => { await new Promise((resolve) => setTimeout(resolve, 150)); await route.continue(); });
    for (let left = largest.marks.length; left > 0;) {
      const pocket = await page.locator("li[aria-label]").evaluateAll((rows) => rows.map((row) => row.getAttribute("aria-label")!).filter((label) => label.endsWith(": not marked")).map((label) => label.replace(/: not marked$/, "")));
      const uses = pocket.map((name) => wanted.get(names.get(name)!)!);
      if (uses.length > 1 && uses.every((use) => use === "used")) {
        await page.keyboard.press("Shift+U");
        presses += 2;
        left -= uses.length;
      } else {
        await page.keyboard.press(KEYS[uses[0]!]!);
        presses += 1;
        left -= 1;
      }
      await page.getByText(left === 0 ? "All marked." : `${left} of ${largest.marks.length} left`).waitFor();
    }
    console.log(`unpacked ${largest.marks.length} things with ${presses} key presses, ${(presses / largest.marks.length).toFixed(2)} each`);
    expect(presses / largest.marks.length).toBeLessThanOrEqual(1.3);
    await saved(page);
    const after = (await exported(app)).trips.find((trip) => trip.id === largest.id)!;
    expect(new Map(after.marks.map((mark) => [mark.item, mark.use]))).toEqual(wanted);
    await page.close();
  }));

  test("failing, why, condition, call, note, exit, undo: all by keyboard, all kept", () => withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`);
    const mark = async (item: string) => { await saved(page); return (await exported(app)).trips.find((each) => each.id === trip)!.marks.find((each) => each.item === item)!; };
    const before = await mark("pack-cover");
    await page.locator("li[aria-label^='Pack cover']").waitFor();
    await page.keyboard.press("f");
    for (const digit of ["2", "5", "1", "2"]) await page.keyboard.press(digit); // damaged, poor design, patched, discomfort
    await page.keyboard.press("3");
    await page.keyboard.press("c");
    await page.keyboard.press("3"); // leave
    await page.keyboard.press("Enter");
    await page.keyboard.type("blew off the pass");
    await page.keyboard.press("Enter");
    await page.getByText("blew off the pass").waitFor();
    expect(await mark("pack-cover")).toMatchObject({ use: "used", trouble: "damaged", cause: "poor design", fix: "patched", cost: "discomfort", condition: 3, call: "leave", note: "blew off the pass" });
    for (let n = 0; n < 8; n++) await page.keyboard.press("z");
    await page.getByText("blew off the pass").waitFor({ state: "detached" });
    expect(await mark("pack-cover")).toEqual(before);
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("e");
    await page.keyboard.press("1");
    expect(await mark("rain-shell")).toMatchObject({ trouble: "lost" });
    await page.keyboard.press("?");
    await page.getByRole("dialog", { name: "Keys for unpacking" }).waitFor();
    await page.close();
  }));

  test("on a phone, by thumb: buttons wide enough, a mark a tap, look back kept", () => withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`, PHONE);
    const buttons = page.getByRole("group", { name: "Mark Rain trousers" }).getByRole("button");
    for (const button of await buttons.all()) {
      const box = (await button.boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
      expect(box.x + box.width).toBeLessThanOrEqual(390);
    }
    await buttons.getByText("hardly").tap();
    await saved(page);
    await page.getByLabel("Made the trip, 1 of 3").selectOption({ label: "Rain shell" });
    await page.getByLabel("What", { exact: true }).fill("Dry socks");
    await page.getByRole("button", { name: "Add", exact: true }).tap();
    await page.getByText("Dry socks").waitFor();
    await expect.poll(async () => (await exported(app)).trips.find((each) => each.id === trip)).toMatchObject({ made: ["rain-shell"], missed: [{ what: "Dry socks", cost: "discomfort" }] });
    expect((await exported(app)).trips.find((each) => each.id === trip)!.marks.find((each) => each.item === "rain-trousers")).toMatchObject({ use: "hardly" });
    await page.close();
  }));

  test("a mark made while the server is away waits in the browser and is sent later", () => withApp("demo", async (app) => {
    const trip = "saltpan-again-2026-09-12";
    const { page } = await openPage(browser, `${app.url}/unpack/${trip}`);
    await page.route("**/api/marks", (route) => route.abort());
    await page.keyboard.press("h");
    await page.getByText("can't be reached").waitFor();
    await page.unroute("**/api/marks");
    await page.reload();
    await page.getByText(/1.mark from before is saved now/).waitFor();
    expect((await exported(app)).trips.find((each) => each.id === trip)!.marks.find((each) => each.item === "pack-cover")).toMatchObject({ use: "hardly" });
    await page.close();
  }));
});

describe("the sheet", () => {
  test("arrow keys walk it, a key marks in place, another tab sees it", () => withApp("demo", async (app) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const other = await context.newPage();
    await page.goto(app.url, { waitUntil: "networkidle" });
    await other.goto(app.url, { waitUntil: "networkidle" });
    await page.getByRole("gridcell", { name: "Sun shirt, Saltpan again: used" }).click();
    await page.keyboard.press("ArrowLeft");
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute("aria-label"));
    await expect.poll(focused).toBe("Sun shirt, Sunder crossing: used");
    for (let n = 0; n < 40; n++) await page.keyboard.press("ArrowDown");
    await expect.poll(focused).toMatch(/^(?!Sun shirt).*, Sunder crossing: /);
    await page.getByPlaceholder("type to find").fill("sun shirt");
    await page.getByRole("gridcell", { name: "Sun shirt, Low fells: used" }).focus();
    await page.keyboard.press("h");
    await page.getByRole("gridcell", { name: "Sun shirt, Low fells: hardly used" }).waitFor();
    await other.getByRole("gridcell", { name: "Sun shirt, Low fells: hardly used" }).waitFor();
    await context.close();
  }));

  test("sorts, filters, lights a trip, and a letter after g goes places", () => withApp("demo", async (app) => {
    const { page } = await openPage(browser, app.url);
    await page.getByLabel("Sort by").selectOption("verdict");
    expect(await page.getByRole("rowheader").nth(0).innerText()).not.toBe("");
    await page.getByRole("combobox", { name: "Verdict" }).selectOption("drop");
    await page.getByText(/^7 of 78|^6 of 78|^5 of 78/).waitFor();
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
});

describe("files", () => {
  test("saved, and brought back into an empty log: nothing differs", () => withApp("demo", async (from) => {
    const text = await (await fetch(`${from.url}/api/log`)).text();
    await withApp("empty", async (to) => {
      const file = path.join(inject("folder"), "all.json");
      await writeFile(file, text);
      const { page } = await openPage(browser, `${to.url}/settings`);
      await page.getByLabel("Bring it back from a file").setInputFiles(file);
      await page.getByText(/holds 78.things and 14.trips/).waitFor();
      await page.getByRole("button", { name: "Bring it in" }).click();
      await page.getByText("in place of what was here").waitFor();
      expect(await (await fetch(`${to.url}/api/log`)).text()).toBe(text);
      await page.getByLabel("Bring it back from a file").setInputFiles(file);
      await page.getByText("exactly what is here already").waitFor();
      await page.getByLabel("Bring it back from a file").setInputFiles({ name: "torn.json", mimeType: "application/json", buffer: Buffer.from(text.slice(0, 3000)) });
      await page.getByText(/not sound JSON: .* at line \d+, column \d+/).waitFor();
      expect(await (await fetch(`${to.url}/api/log`)).text()).toBe(text);
      await page.close();
    });
  }));

  test("a list in any column order comes in whole or not at all, its doubles left out", () => withApp("demo", async (app) => {
    const { page } = await openPage(browser, `${app.url}/shelf/import`);
    const pasted = page.getByLabel("Or paste it here");
    await pasted.fill("where;weight (oz);thing\nlid;0.5;Ear plugs\nmain;soft;Pillow case\noutside;11;Rain shell");
    await page.getByText('Line 3 (Pillow case): weight “soft”').waitFor();
    expect(await page.getByRole("button", { name: /on the shelf$/ }).isDisabled()).toBe(true);
    await pasted.fill("where;weight (oz);thing\nlid;0.5;Ear plugs\nmain;2;Pillow case\noutside;11;Rain shell");
    await page.getByText("already here (Rain shell)").waitFor();
    await page.getByRole("button", { name: /Put 2.things on the shelf/ }).click();
    await page.getByRole("link", { name: "Ear plugs", exact: true }).waitFor();
    const items = (await exported(app)).items;
    expect(items).toHaveLength(80);
    expect(items.find((item) => item.name === "Ear plugs")).toMatchObject({ weight: "0.5 oz", stow: "lid" });
    const csv = await (await fetch(`${app.url}/api/shelf.csv`)).text();
    expect(csv.split("\r\n")).toHaveLength(82);
    await page.close();
  }));
});

describe("bad input", () => {
  test("a trip's form says what is wrong by the field and keeps what was typed", () => withApp("demo", async (app) => {
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
    await page.getByText("before it starts on 2026-10-09").waitFor();
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
    await page.locator("input[type=file]").setInputFiles({ name: "torn.gpx", mimeType: "application/gpx+xml", buffer: Buffer.from("<gpx><trk>") });
    await page.getByText(/not sound XML/).waitFor();
    await page.getByLabel("First day").fill("2026-09-13");
    await page.getByLabel("Last day").fill("2026-09-14");
    await page.getByLabel("Distance").fill("20 km");
    await save.click();
    await page.getByText("Saltpan again (2026-09-12 to 2026-09-15) covers some of these days").waitFor();
    await page.close();
  }));

  test("an item's form, too; and a unit switched keeps 9.6 oz as 9.6 oz", () => withApp("demo", async (app) => {
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
    await page.goto(`${app.url}/settings`);
    await page.getByLabel("Weight", { exact: true }).selectOption("oz");
    await page.getByLabel("Distance", { exact: true }).selectOption("mi");
    await expect.poll(async () => { await page.goto(`${app.url}/item/pillow`); return page.locator("header").first().innerText(); }).toMatch(/9\.6.oz/);
    expect((await exported(app)).items.find((item) => item.id === "pillow")).toMatchObject({ weight: "9.6 oz" });
    await page.close();
  }));
});

test("the demo's file, by hand at the command line, gives the same leading verdicts as the screen", () => withApp("demo", async (app) => {
  const { execFile } = await import("node:child_process");
  const file = path.join(inject("folder"), "assess.json");
  await writeFile(file, await (await fetch(`${app.url}/api/log`)).text());
  const run = (...args: string[]) => new Promise<{ code: number | null; out: string; err: string }>((resolve) => {
    execFile(process.execPath, ["scripts/run.mjs", "scripts/assess.ts", ...args], { maxBuffer: 1 << 26 }, (error, out, err) => resolve({ code: error ? Number(error.code) : 0, out, err }));
  });
  const { out } = await run(file);
  const told = JSON.parse(out) as { name: string; verdict: string; verdicts: { wouldChange: string; evidence: object[] }[] }[];
  expect(told).toHaveLength(78);
  expect(told.every((item) => item.verdicts.length > 0 && item.verdicts.every((verdict) => verdict.wouldChange && verdict.evidence.length > 0))).toBe(true);
  const { page } = await openPage(browser, `${app.url}/verdicts`);
  for (const item of told.filter((each) => each.verdict === "drop" || each.verdict === "replace")) {
    expect(await page.getByRole("article", { name: `${item.verdict} ${item.name}`, exact: true }).count(), item.name).toBe(1);
  }
  await page.close();
  const lean = JSON.parse((await run(file, "--school", "lean")).out) as typeof told;
  const drops = (list: typeof told) => list.filter((item) => item.verdict === "drop").map((item) => item.name);
  expect(drops(lean)).toEqual(expect.arrayContaining(drops(told)));
  expect(await run(file, "--school", "strict")).toMatchObject({ code: 2, out: "", err: expect.stringContaining("no school “strict”") });
  await writeFile(file, (await readFile(file, "utf8")).replace('"format"', '"form'));
  expect(await run(file)).toMatchObject({ code: 2, err: expect.stringMatching(/line \d+, column \d+/) });
}));
