import type { Browser, Locator } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { exported, openPage, PHONE, saved, withApp, type Lent } from "./app";
import { demoLog } from "../demo/log";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

/** A page that counts keys and presses of the pointer through all its pages, and says so at the end. */
async function countedPage(app: Lent, path: string, viewport?: { width: number; height: number }) {
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
    await page.getByRole("article").first().waitFor();
    // After a first walk: what stayed in the pack, and what leaving it would save.
    await page
      .getByRole("region", { name: "What do I leave next time?" })
      .getByText(/^1.thing of .* stayed in the pack, or nearly so/)
      .waitFor();
    const { keys, presses } = await counts();
    console.info(`first evening: ${keys} keys, ${presses} presses, ${tabs} Tabs on the trip form`);
    expect(faults).toEqual([]);
    await page.close();
  }));

const KM = [140, 100, 150, 120, 160, 140];
/** What was written on the way; each begins with its day, as people write. */
const LINES = [
  "day 2 poncho sent home from the post office",
  "torch flickers",
  "cold night, 2 °C",
  "ferry only on Tuesdays",
  "boiled 1.2 l",
  "two pegs lost",
];
const LOWS = Array.from({ length: 34 }, (_, n) => String(Math.round(8 + 6 * Math.sin(n))));

test("back from five weeks, on a phone, by touch, from an empty folder to the verdicts: under 250 touches", () =>
  withApp("empty", async (app) => {
    const { page, faults, counts } = await countedPage(app, "/shelf/import", PHONE);
    const told: Record<string, number> = {};
    let before = 0;
    const tally = async (what: string) => {
      const { presses } = await counts();
      told[what] = presses - before;
      before = presses;
    };

    // 45 things, pasted from a list.
    const shelf = demoLog()
      .items.filter(({ state }) => state === "active")
      .slice(0, 45);
    const list = shelf.map(({ name, weights }) => `"${name}",${weights.at(-1)?.weight.g ?? ""}`);
    await page.getByLabel("Or paste it here").tap();
    await page.getByLabel("Or paste it here").fill(["Item,Weight (g)", ...list].join("\n"));
    await page.getByRole("button", { name: /on the shelf$/ }).tap();
    await page.getByRole("link", { name: shelf[0]!.name, exact: true }).waitFor();
    await tally("45 things");

    // Six legs, 810 km, with their nights.
    await page.goto(`${app.url}/trips/new`);
    const type = async (field: Locator, text: string) => {
      await field.tap();
      await field.fill(text);
    };
    await type(page.getByLabel("Name", { exact: true }), "Five islands");
    await type(page.getByLabel("First day"), "2026-10-01");
    await type(page.getByLabel("Last day"), "2026-11-04");
    for (let leg = 1; leg < KM.length; leg++) await page.getByRole("button", { name: "Another leg" }).tap();
    for (const [n, km] of KM.entries()) await type(page.getByLabel("Distance").nth(n), String(km));
    await page.getByRole("button", { name: "Everything" }).tap();
    await page.getByRole("button", { name: "Save, and unpack" }).tap();
    await page.getByText("45 of 45 left").waitFor();
    await tally("six legs");

    // 36 lines, as they came on the way.
    await page.goto(`${app.url}/trail`);
    const field = page.getByLabel("What happened");
    for (let n = 0; n < 36; n++) {
      await type(field, `${LINES[n % LINES.length]!}${n < LINES.length ? "" : `, again ${n}`}`);
      await page.getByRole("button", { name: "Keep it" }).tap();
      await expect.poll(() => field.inputValue()).toBe("");
    }
    await page.getByText("Every line is saved.").waitFor();
    await tally("36 lines");

    // What failed, left and was swapped, wherever it rode; then pocket by pocket.
    await page.goto(`${app.url}/unpack/five-islands-2026-10-01`);
    const open = async (name: string, button: string | RegExp) => {
      const row = page.locator(`li[aria-label^="${name}:"]`);
      for (const pocket of await page
        .getByLabel(/^Pockets/)
        .getByRole("button")
        .all()) {
        if (await row.isVisible()) break;
        await pocket.tap();
      }
      await row.getByRole("button", { name: button }).tap();
      return page.getByRole("group", { name: `More about ${name}` });
    };
    const failed = await open(shelf[3]!.name, "failed");
    await type(failed.getByLabel("How far from the start, or which day"), "day 9");
    await failed.getByRole("button", { name: "Done" }).tap();
    const left = await open(shelf[6]!.name, `More about ${shelf[6]!.name}`);
    await left.getByRole("button", { name: "It left the pack" }).tap();
    await left.getByRole("button", { name: "sent home" }).tap();
    await type(left.getByLabel("How far from the start, or which day"), "day 12");
    await left.getByRole("button", { name: "Done" }).tap();
    const swapped = await open(shelf[9]!.name, `More about ${shelf[9]!.name}`);
    await swapped.getByRole("button", { name: "It left the pack" }).tap();
    await swapped.getByRole("button", { name: "swapped" }).tap();
    await swapped.getByLabel("Swapped for").selectOption({ index: 2 });
    await swapped.getByLabel("On which leg").selectOption({ index: 3 });
    // Back closes the panel, and leaves the page only then.
    await page.goBack();
    await swapped.waitFor({ state: "detached" });
    expect(page.url()).toMatch(/unpack/);
    await tally("failed, sent home, swapped");
    while (!(await page.getByText("All marked.").isVisible())) {
      await page.getByRole("button", { name: /^The rest of this pocket was used/ }).tap();
      await page.getByText(/^(All marked\.|\d+ of 45 left)$/).waitFor();
    }
    await saved(page);
    await tally("45 marks");
    const { marks } = (await exported(app)).trips[0]! as unknown as {
      marks: { item: string; use: string; at?: { distance?: string; leg?: string } }[];
    };
    expect(marks.filter(({ use }) => use)).toHaveLength(45);
    // The middle of the ninth day of 35, of 810 km; of the twelfth.
    expect(marks.flatMap(({ at }) => at?.distance ?? [])).toEqual(["196.7 km", "266.1 km"]);

    // 34 nights, a low each.
    await page.getByText("Night by night").tap();
    const lows = page.getByLabel(/^Coldest, night of/);
    for (const [n, low] of LOWS.entries()) await type(lows.nth(n), low);
    await page.getByRole("button", { name: "Keep these nights" }).tap();
    await expect
      .poll(async () => ((await exported(app)).trips[0] as unknown as { felt?: object[] }).felt?.length)
      .toBe(34);
    await tally("34 nights");
    await page.getByRole("link", { name: "What follows from it" }).tap();
    await page.getByRole("heading", { name: /^Verdicts/ }).waitFor();
    await tally("to the verdicts");
    const { presses } = await counts();
    console.info(`five weeks by touch: ${presses} touches`, told);
    expect(presses).toBeLessThan(250);
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
