import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, openPage, saved, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const gpx = (points: number) =>
  `<gpx version="1.1"><trk><name>Saltpan</name><trkseg>${Array.from({ length: points }, (_, n) => `<trkpt lat="10" lon="${10 + n * 0.001}"><ele>${100 + (n % 40) * 10}</ele><time>2026-05-0${1 + Math.floor((n * 3) / points)}T08:00:00Z</time></trkpt>`).join("")}</trkseg></trk></gpx>`;

test("from an empty shelf to a verdict: the whole line, as a new walker does it", () =>
  withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, app.url);
    await page.getByRole("link", { name: "Type the first things" }).click();

    // Shelf: one line a thing.
    const line = page.getByLabel("Add a thing");
    for (const typed of [
      "rain shell 312 g outside",
      "folding chair 17 oz main",
      "first-aid kit 184 g lid",
      "trail shoes 620 g worn",
    ]) {
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
        await page.locator("input[type=file]").setInputFiles({
          name: "walk.gpx",
          mimeType: "application/gpx+xml",
          buffer: Buffer.from(gpx(400)),
        });
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
      for (const [key, then] of [
        ["n", "3 of 4 left"],
        ["n", "2 of 4 left"],
        ["n", "1 of 4 left"],
        ["u", "All marked."],
      ] as const) {
        await page.keyboard.press(key);
        await page.getByText(then).waitFor();
      }
      await saved(page);
    }
    await page
      .getByRole("navigation")
      .getByRole("link", { name: /^Verdicts.*[1-9]/ })
      .first()
      .waitFor();
    await page.getByRole("link", { name: "What follows from it" }).click();
    await page.getByRole("article", { name: "drop Folding chair" }).waitFor();
    const slip = page.getByRole("article", { name: "drop Folding chair" });
    expect(await slip.innerText()).toMatch(/Never used in three chances/);
    expect(await page.getByRole("article", { name: "drop First-aid kit" }).count()).toBe(0);
    expect(await page.getByRole("article", { name: "drop Rain shell" }).count()).toBe(0);

    // Overrule it; the ruling stands after a reload.
    await slip.getByRole("button", { name: "Overrule" }).click();
    await page.getByLabel("It stays as it is, because").fill("my back");
    await page.getByRole("dialog").getByRole("button", { name: "Overrule" }).click();
    await slip.waitFor({ state: "hidden" });
    await page.reload();
    await page.getByText("Ruled on (1)").waitFor();
    expect((await exported(app)).rulings).toMatchObject([
      { verb: "drop", decision: "overrule", reason: "my back", again: 2, trips: 3 },
    ]);

    // The sheet shows it all, and the chair as kept.
    await page.goto(app.url);
    await page.getByRole("gridcell", { name: "Folding chair, Walk 07: unused, though called for" }).waitFor();
    await page.getByRole("gridcell", { name: "Rain shell, Walk 07: unused, no call for it" }).waitFor();
    expect(faults).toEqual([]);
    await page.close();
  }));
