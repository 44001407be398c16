import type { Browser, Page } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, openPage, PHONE, saved, withApp, type App } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** A page that counts keys and presses of the pointer through all its pages, and says so at the end. */
async function countedPage(app: App, path: string, viewport?: { width: number; height: number }) {
  const { page, faults } = await openPage(browser, `${app.url}${path}`, viewport);
  const listen = () => {
    for (const kind of ["keydown", "click"])
      addEventListener(
        kind,
        (event) => {
          // A label's press comes again from its field; what a script presses is nobody's.
          if (!event.isTrusted || (kind === "click" && (event as MouseEvent).detail === 0)) return;
          sessionStorage.setItem(kind, String(Number(sessionStorage.getItem(kind) ?? 0) + 1));
        },
        true,
      );
  };
  await page.addInitScript(listen);
  await page.evaluate(listen);
  const counts = () =>
    page.evaluate(() => ({
      keys: Number(sessionStorage.getItem("keydown") ?? 0),
      presses: Number(sessionStorage.getItem("click") ?? 0),
    }));
  return { page, faults, counts };
}

/** A list as people keep it: a title, headings, blanks, a total, units in cells, a price with a comma, a bad cell. */
const MESSY = `My kit,,,,,
,,,,,
Item,Category,Weight (oz),Qty,Cost,Notes
SLEEP,,,,,
Quilt,sleep,21.5,1,"1,200.50",from the sale
Foam pad,sleep,soft,1,30,
COOK,,,,,
Gas stove,cook,3,1,45,
Tent stakes,shelter,0.4,8,,
Puffy,clothes,11,1,180,
Head torch,electronics,2.6,1 pr,30,
Trail shoes,worn,21,1,120,
,,,,,
TOTAL,,62.1,,,
`;

/** A track of three days: an out and back climb, a night between each. */
const track = (points: number) =>
  `<gpx version="1.1"><trk><name>Ember loop</name><trkseg>${Array.from({ length: points }, (_, n) => `<trkpt lat="${(10 + n * 0.0002).toFixed(6)}" lon="10"><ele>${200 + Math.round(300 * Math.abs(Math.sin(n / 400)))}</ele><time>2026-05-0${1 + Math.floor((n * 3) / points)}T${String(8 + Math.floor((((n * 3) % points) / points) * 9)).padStart(2, "0")}:00:00Z</time></trkpt>`).join("")}</trkseg></trk></gpx>`;

test("the first evening: a messy list, a track, a debrief, the verdicts", () =>
  withApp("empty", async (app) => {
    const { page, faults, counts } = await countedPage(app, "/shelf/import");
    await page.getByLabel("Or paste it here").fill(MESSY);
    await page.getByText(/1.row can’t be read/).waitFor();
    const put = page.getByRole("button", { name: /on the shelf$/ });
    expect(await put.isDisabled()).toBe(true);

    // The cell is mended in place, and a kind that was guessed wrong.
    await page.getByRole("button", { name: /^weight of line 6, Foam pad/ }).click();
    await page.keyboard.type("14");
    await page.keyboard.press("Enter");
    await page.getByText(/can’t be read/).waitFor({ state: "hidden" });
    await page.getByRole("button", { name: /^kind of line 10, Puffy/ }).click();
    await page.getByRole("combobox", { name: "kind of line 10, Puffy" }).selectOption("fleece");
    await page.getByRole("radio", { name: "each", exact: true }).check();
    await page.getByText("This list is in ounces and pounds.").click();
    await put.click();
    await page.getByRole("link", { name: "Quilt", exact: true }).waitFor();
    const { items, settings } = await exported(app);
    expect(
      items.map(({ name, kind, weights, pieces, price }) => ({ name, kind, weights, pieces, price })),
    ).toMatchObject([
      { name: "Quilt", kind: "quilt", weights: [{ weight: "21.5 oz" }], price: 1200.5 },
      { name: "Foam pad", kind: "foam pad", weights: [{ weight: "14 oz" }] },
      { name: "Gas stove", kind: "stove" },
      { name: "Tent stakes", kind: "stakes", pieces: 8 },
      { name: "Puffy", kind: "fleece" },
      { name: "Head torch", kind: "head torch" },
      { name: "Trail shoes", kind: "trail shoes" },
    ]);
    expect(settings.units).toMatchObject({ weight: "oz" });

    // The trip, from its track: from the name to the save in at most forty Tabs.
    await page.goto(`${app.url}/trips/new`);
    await page.locator("input[type=file]").setInputFiles({
      name: "ember.gpx",
      mimeType: "application/gpx+xml",
      buffer: Buffer.from(track(3000)),
    });
    await page.getByText(/3.000.points: 66.km/).waitFor();
    await page.getByLabel("Name", { exact: true }).focus();
    let tabs = 0;
    const focusedIs = (text: string) =>
      page.evaluate((wanted) => document.activeElement?.textContent === wanted, text);
    while (tabs < 100 && !(await focusedIs("Save, and unpack"))) {
      if (await focusedIs("Everything")) await page.keyboard.press("Enter");
      await page.keyboard.press("Tab");
      tabs++;
    }
    expect(tabs).toBeLessThanOrEqual(40);
    await page.getByText("7 things,").waitFor();
    await page.keyboard.press("Enter");

    await page.getByText("7 of 7 left").waitFor();
    await page.locator("li:focus").waitFor();
    for (let left = 6; left >= 0; left--) {
      await page.keyboard.press(left === 3 ? "n" : "u");
      await page.getByText(left > 0 ? `${left} of 7 left` : "All marked.").waitFor();
    }
    await saved(page);
    await page.getByRole("link", { name: "What follows from it" }).click();
    await page.getByRole("heading", { name: /^Verdicts/ }).waitFor();
    expect(await page.getByRole("article").count()).toBeGreaterThan(0);
    const { keys, presses } = await counts();
    console.info(`first evening: ${keys} keys, ${presses} presses, ${tabs} Tabs on the trip form`);
    expect(faults).toEqual([]);
    await page.close();
  }));

/** Five weeks on five legs, everything active on the shelf carried, nothing said yet. */
async function fiveWeeksWalked(app: App): Promise<number> {
  const log = await exported(app);
  const active = log.items.filter(({ state }) => state === undefined || state === "active").slice(0, 45);
  const trip = {
    id: "five-weeks",
    name: "Five islands",
    starts: "2026-10-01",
    ends: "2026-11-05",
    legs: [1, 2, 3, 4, 5].map((n) => ({ id: `l${n}`, name: `Island ${n}`, distance: `${90 + n * 10} km` })),
    conditions: { rain: "some", cold: "some", freezing: "some" },
    marks: active.map(({ id }) => ({ item: id })),
  };
  const answer = await fetch(`${app.url}/api/log?replace`, {
    method: "POST",
    headers: { origin: app.url, "content-type": "application/json" },
    body: JSON.stringify({ ...log, trips: [...log.trips, trip] }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return active.length;
}

const tapMark = async (page: Page, left: number, word: string) => {
  const next = page.locator('li[aria-label$=": not marked"]').first();
  await next
    .getByRole("button")
    .filter({ hasText: new RegExp(`^${word}$`) })
    .tap();
  await page
    .getByText(left > 0 ? new RegExp(`^${left} of `) : "All marked.")
    .first()
    .waitFor();
};

test("back from five weeks, on a phone, by touch", () =>
  withApp("demo", async (app) => {
    const things = await fiveWeeksWalked(app);
    const { page, faults, counts } = await countedPage(app, "/unpack/five-weeks", PHONE);
    await page.getByText(`${things} of ${things} left`).waitFor();
    for (let left = things - 1; left >= 0; left--)
      await tapMark(page, left, left % 9 === 0 ? "unused" : "used");
    await saved(page);
    const { marks } = (await exported(app)).trips.find(({ id }) => id === "five-weeks")!;
    expect(marks).toHaveLength(things);
    expect(marks.every(({ use }) => use === "used" || use === "unused")).toBe(true);
    await page.getByRole("link", { name: "What follows from it" }).tap();
    await page.getByRole("heading", { name: /^Verdicts/ }).waitFor();
    const { presses } = await counts();
    console.info(`five weeks by touch: ${presses} taps for ${things} things`);
    expect(presses).toBeLessThanOrEqual(things + 5);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("the night before: what is not ready is seen to, and the next trip leaves without what was agreed to stay", () =>
  withApp("demo", async (app) => {
    const { page, faults, counts } = await countedPage(app, "/");
    await page.keyboard.press("g");
    await page.keyboard.press("v");
    await page.getByRole("heading", { name: /^Verdicts/ }).waitFor();
    // Two jobs done, one thing agreed to stay, by keyboard alone.
    for (const [slip, key, then] of [
      ["repair Boots", "d", "Boots: repair logged"],
      ["replace Air pad", "d", "Air pad: worn out"],
      ["drop Second cable", "a", "Second cable: agreed"],
    ] as const) {
      await page.getByRole("article", { name: slip }).focus();
      await page.keyboard.press(key);
      await page.getByText(then).waitFor();
    }

    await page.goto(`${app.url}/trips/new`);
    await page.getByLabel("Name", { exact: true }).fill("Saltpan in May");
    await page.getByLabel("First day").fill("2027-05-01");
    await page.getByLabel("Last day").fill("2027-05-04");
    await page.getByLabel("Distance").fill("48");
    await page.getByLabel("not walked yet").check();
    await page.getByRole("button", { name: /^As on/ }).click();
    await page.getByRole("button", { name: "Save the plan" }).click();
    await page.getByText(/1\s?–\s?4 May 2027/).waitFor();
    const { keys, presses } = await counts();
    const plan = (await exported(app)).trips.find(({ name }) => name === "Saltpan in May")!;
    const packed = plan.marks.map(({ item }) => item);
    expect(packed).toContain("quilt");
    expect(packed).not.toContain("second-cable");
    expect(packed).not.toContain("air-pad");
    console.info(`the night before: ${keys} keys, ${presses} presses`);
    expect(faults).toEqual([]);
    await page.close();
  }));
