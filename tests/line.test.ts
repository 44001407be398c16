import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { exported, openPage, saved, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

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
    await page.locator("li:focus").waitFor();
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
