import type { Browser, Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type App, expectAccessible, exported, goTo, openPage, PHONE, startApp, withApp } from "./app";
import { openBrowser } from "./launch";

let demo: App;
let browser: Browser;
beforeAll(async () => {
  [demo, browser] = await Promise.all([startApp("demo"), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await demo.stop();
});

/** What only owners who weigh in grams and walk in kilometres read. */
const METRIC =
  /\d\s?(?:kg·km|kg|g|km|m|cm|°C|L|l|ml)(?![\p{L}\d])|(?<!\p{L})(?:litres?|kilometres?|grams?|metres?|km)(?!\p{L})|, °C/gu;
/** Both are named there, so that one sees that either may be typed; or it is told as it was typed; or it is how a file says it. */
const BOTH = /\S+ (?:g|km|m)(?:, [\d.]+ (?:oz|mi))? or [\d.]+ \S+|typed as [^"]*|measured in metres/gu;
const VIEWS = [
  ...[
    "/",
    "/trail",
    "/unpack",
    "/verdicts",
    "/next",
    "/next/replay",
    "/next/kits",
    "/next/shakedown",
    "/bench",
    "/ready",
    "/season",
    "/trips",
    "/trips/compare",
  ],
  ...["/trips/the-long-quill-2025-06-07", "/trips/saltpan-again-2026-09-12/weigh-in", "/trips/nights?low=26"],
  ...["/trips/saltpan-again-2026-09-12/told", "/trips/supplies?dry=12", "/trips/loads", "/trips/new"],
  ...["/item/trail-shoes-pair-3", "/item/quilt", "/shelf", "/shelf/wishes", "/shelf/weigh", "/shelf/money"],
  "/shelf/beside?of=trail-shoes-pair-3&of=trail-shoes-pair-2",
];

test("with pounds, miles and °F no page says anything in kilograms, kilometres, litres or °C", () =>
  withApp("demo", async (app) => {
    const log = (await exported(app)) as unknown as Record<string, unknown> & {
      items: { name: string }[];
      settings: object;
    };
    const units = { weight: "oz", distance: "mi", temperature: "F" };
    // The owner's own words stay as they are; here none has a unit in it.
    const plain = JSON.stringify({ ...log, settings: { ...log.settings, units } })
      .replaceAll("Bottle, one litre", "Bottle, large")
      .replaceAll("for two litres", "for two bottles");
    const answer = await fetch(`${app.url}/api/log?replace`, { method: "POST", body: plain });
    expect(answer.ok).toBe(true);
    const left: string[] = [];
    for (const view of VIEWS) {
      const page = await (await fetch(app.url + view)).text();
      const text = page
        .replaceAll(/<(script|style)[^]*?<\/\1>/g, " ")
        .replaceAll(
          /<[^>]*?((?:placeholder|title|aria-label)="[^"]*")?[^>]*?>/g,
          (_, said?: string) => ` ${said ?? ""} `,
        )
        .replaceAll(/&#x27;|&quot;/g, "’")
        .replaceAll(/[\u00a0\u202f]/g, " ")
        .replaceAll(BOTH, "");
      for (const { 0: found, index } of text.matchAll(METRIC))
        left.push(
          `${view}: … ${text.slice(Math.max(0, index - 30), index + found.length + 10).replaceAll(/\s+/g, " ")}`,
        );
    }
    expect(left).toEqual([]);
  }));

/** Opens a view of the demo, and presses what leads to the answer: two presses at most. */
async function ask(view: string, ...presses: readonly (string | RegExp)[]): Promise<Page> {
  expect(presses.length).toBeLessThanOrEqual(2);
  const { page } = await openPage(browser, `${demo.url}${view}`);
  for (const name of presses)
    await page
      .getByRole("main")
      .getByRole("link", { name })
      .or(page.getByRole("main").getByRole("button", { name }))
      .first()
      .click();
  return page;
}
const textOf = async (page: Page) =>
  (await page.getByRole("main").innerText()).replace(/[\u00a0\u202f]/g, " ");
const figure = (page: Page, name: string) => page.getByText(name, { exact: true }).locator("xpath=..");

describe("what walkers work out by hand, each in two presses from its view", () => {
  test("1. how cold it was against the label, what else was worth, whether a lighter one would do, when to change", async () => {
    const page = await ask("/item/quilt", "Nights in it");
    await page.getByText(/^Right for you down to about \d/).waitFor();
    const said = await textOf(page);
    expect(said).toMatch(/four times in five the line lies between/);
    expect(said).toMatch(/Silk liner\s+[123](\.\d)?°/);
    expect(said).toMatch(
      /Valley quilt \(wished for\), 195 g lighter: it would have done on \d+ of 20 nights/,
    );
    expect(said).toMatch(/Winter bag, 540 g heavier.*To change to where lows under \d/s);
    expect(said).toMatch(/Hask plateau\s+−9 °C\s+cold\s+−9°/);
    await page.getByLabel("Coldest, °C").fill("-3");
    await page.getByRole("button", { name: "Ask" }).click();
    await page.getByText("the lightest that keeps it under 20").waitFor();
    expect(await textOf(page)).toMatch(/Winter bag\s+1 180 g\s+\d+ %/);
    await page.goto(`${demo.url}/trips/nights?low=cold`);
    await page.getByText("is not a temperature").waitFor();
    await page.close();
  });

  test("2. whether it is lighter than what it took the place of; whether the one not owned would be better", async () => {
    const pair = await ask("/item/trail-shoes-pair-3", "Side by side");
    await pair.getByText("Trail shoes, pair 3 is 13 g heavier than Trail shoes, pair 2.").waitFor();
    await pair.close();
    const page = await ask("/shelf", "Wish list");
    await page.getByText("293 g lighter than Two-pole tent").waitFor();
    const said = await textOf(page);
    expect(said).toMatch(/at €157 for each 100 g saved/);
    expect(said).toMatch(/it fits, with 1\d\.\d L to spare/);
    expect(said).toMatch(/In the place of Air pad.*replace/s);
    await page.close();
  });

  test("3. what the pack weighs, by whose scale, what base weight leaves out, whether the list adds up, and fits", async () => {
    const page = await ask("/trips/saltpan-again-2026-09-12", "Weigh-in");
    await page.getByText("worn, left out of it").waitFor();
    const said = await textOf(page);
    expect(said).toMatch(/base weight\s+7 0\d\d g/);
    expect(said).toMatch(
      /The scale says 7 980 g, the list 7 8\d\d g: \d\d g in the bag that the list does not tell of/,
    );
    expect(said).toMatch(/63 things on your own scale, 2 as claimed/);
    expect(said).toMatch(/Pack carries well up to 13\.0 kg/);
    expect(said).toMatch(/of the 46 L in Pack is taken up.*room for the food of about \d+ days/s);
    expect(await figure(page, "big three").innerText()).toMatch(/g, 4\d/);
    await page.close();
  });

  test("4. how often it was used out of how often it was called for", async () => {
    const page = await ask("/item/second-filter");
    expect(await figure(page, "trips used").innerText()).toMatch(/8 of 8/);
    await page.getByText(/Every trip calls for it\.|on eight of eight trips so far\./).waitFor();
    await page.close();
  });

  test("5. to 8. water, power, food and fuel, with their doubt", async () => {
    const page = await ask("/trips", "Supplies");
    await page.getByRole("region", { name: "Fuel" }).waitFor();
    await page.getByLabel("Longest dry stretch, km").fill("20");
    await page.getByRole("button", { name: "Reckon" }).click();
    await page.getByText(/For 20.km without water/).waitFor();
    const of = async (name: string) =>
      (await page.getByRole("region", { name }).innerText()).replace(/[\u00a0\u202f]/g, " ");
    expect(await of("Water")).toMatch(/You can carry 3\.6 L/);
    expect(await of("Water")).toMatch(/Of 28 L carried.*22 L were drunk/);
    expect(await of("Water")).toMatch(/from evening to morning: 2 L/);
    expect(await of("Power")).toMatch(/Power bank holds 37 Wh.*lasts \d days/s);
    expect(await of("Power")).toMatch(/Sunder crossing 5 %/);
    expect(await of("Food")).toMatch(/6\d\d g a day; four trips in five.*from 9 trips/s);
    expect(await of("Food")).toMatch(/spare one was never eaten into/);
    expect(await of("Fuel")).toMatch(/2\d g a night/);
    expect(await of("Fuel")).toMatch(/Gas canister part-used\s+53 g left: 2 nights or \d\.\d L boiled/);
    expect(await of("Fuel")).toMatch(/Never cook in a closed tent/);
    await page.getByLabel("A better burner: heavier by, g").fill("48");
    await page.getByLabel("saves of the gas, %").fill("20");
    await page.getByRole("button", { name: "Does it pay?" }).click();
    await page.getByText(/It pays for its weight from \d+.nights/).waitFor();
    await page.close();
  });

  test("9. how far a pair went, what ended it, how far this one will go", async () => {
    const page = await ask("/item/trail-shoes-pair-3");
    const said = await textOf(page);
    expect(said).toMatch(/Worn out in it: 2 things, after \d+ km to [\d ]+ km/);
    expect(said).toMatch(/about \d+ km left, \d+ km to \d+ km/);
    await page.close();
  });

  test("10. how long I have had it and what it cost for what it did", async () => {
    const page = await ask("/shelf", "Money");
    await page.getByText("currencies are not added up").waitFor();
    const said = await textOf(page);
    expect(said).toMatch(/Two-pole tent\s+20 May 2023\s+€413\s+\d+ nights, [\d\u202f ]+ km\s+€\d\.\d\d/);
    expect(said).toMatch(/bought, in kr\s+2 900 kr/);
    await page.close();
  });
});

test("the scale: live, taken with one key, one thing after another; tare, too much on it, unplugged", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/shelf/weigh`);
    await page.getByText("This scale is simulated.").waitFor();
    const weights = async (name: string) =>
      (await exported(app)).items.find((item) => item.name === name)!.weights as {
        weight: string;
        on?: string;
      }[];
    // What is only claimed comes first.
    await page.getByRole("heading", { name: "Fleece" }).waitFor();
    await page.getByRole("button", { name: "Plug in" }).click();
    await page.getByText(/^Settled on 27\d/).waitFor();
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "Wash kit" }).waitFor();
    expect(await weights("Fleece")).toMatchObject([
      { weight: "264 g" },
      { weight: expect.stringMatching(/^27\d g$/) },
    ]);
    await page.getByText(/^Settled on 14\d/).waitFor();
    await page.getByRole("button", { name: "Too much on it" }).click();
    await page.getByText(/^Too heavy/).waitFor();
    // What has not settled is not taken.
    await page.getByRole("button", { name: /^Take it/ }).click();
    await page.getByText(/not settled yet/).waitFor();
    await page.getByRole("button", { name: "Unplug it" }).click();
    await page.getByText("Nothing half-taken was kept").waitFor();
    expect(await weights("Wash kit")).toHaveLength(1);
    // By hand, and a wrong one: what was typed stays.
    await page.getByLabel("Or type what your scale says").fill("heavy");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText(/is not a number with a unit/).waitFor();
    expect(await page.getByLabel("Or type what your scale says").inputValue()).toBe("heavy");
    await page.getByLabel("Or type what your scale says").fill("141");
    await page.keyboard.press("Enter");
    await expect.poll(() => weights("Wash kit")).toMatchObject([{ weight: "136 g" }, { weight: "141 g" }]);
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Wash kit" })
      .getByRole("button", { name: "Undo" })
      .click();
    await expect.poll(() => weights("Wash kit")).toHaveLength(1);
    expect(faults).toEqual([]);
    await page.close();
  }));

test("a wish comes true in the place of another, and is taken back; a canister lighter than empty and a pad of R 60 are not passed over", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/shelf/wishes`);
    await page.getByLabel("Wished for").fill("Foam hat stand");
    await page.getByLabel("Weight, claimed").fill("soft");
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByText(/is not a number with a unit/).waitFor();
    await page.getByLabel("Weight, claimed").fill("90");
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByRole("link", { name: "Foam hat stand" }).waitFor();
    const item = async (name: string) => (await exported(app)).items.find((each) => each.name === name);
    expect(await item("Foam hat stand")).toMatchObject({
      state: "wished",
      weights: [{ weight: "90 g", how: "claimed" }],
    });
    await page.getByRole("button", { name: /^Bought in its place ?: Thick pad/ }).click();
    await expect.poll(() => item("Air pad")).toMatchObject({ state: "retired" });
    expect(await item("Thick pad")).toMatchObject({ past: "new", slot: (await item("Air pad"))!.slot });
    await page
      .locator("[data-sonner-toast]")
      .filter({ hasText: "Thick pad" })
      .getByRole("button", { name: "Undo" })
      .click();
    await expect.poll(() => item("Thick pad")).toMatchObject({ state: "wished" });
    expect((await item("Air pad"))!.state ?? "active").toBe("active");

    await goTo(page, `${app.url}/item/gas-canister/edit`);
    await page.getByLabel("Weight", { exact: true }).fill("90 g");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText("90 g is less than it weighs empty (98 g)").waitFor();
    expect(await page.getByLabel("Weight", { exact: true }).inputValue()).toBe("90 g");
    await goTo(page, `${app.url}/item/air-pad/edit`);
    await page.getByLabel("R-value").fill("60");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText("An R-value of 60 is more than any pad has.").waitFor();
    await goTo(page, `${app.url}/item/quilt/edit`);
    await page.getByLabel("Label temperature").fill("300");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText("Between −60 and 50 °C").waitFor();
    await goTo(page, `${app.url}/item/power-bank/edit`);
    await page.getByLabel("Capacity").fill("10000 mAh at 3.7 V");
    await page.getByRole("button", { name: "Save" }).click();
    await expect.poll(async () => (await item("Power bank"))!.ratings).toMatchObject({ wattHours: 37 });
    expect(faults).toEqual([]);
    await page.close();
  }));

test("the packed bag against its list is told on a phone", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(
      browser,
      `${app.url}/trips/the-long-quill-2025-06-07/weigh-in`,
      PHONE,
    );
    await page.getByLabel("The packed bag").fill("light");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText(/is not a number with a unit/).waitFor();
    await page.getByLabel("The packed bag").fill("6");
    await page.getByLabel("with").selectOption("no supplies");
    await page.getByRole("button", { name: "Save" }).click();
    await page.getByText(/on the list that is not in the bag/).waitFor();
    await page.getByText(/comes nearest: was it in the bag/).waitFor();
    await expectAccessible(page);
    expect(faults).toEqual([]);
    await page.close();
  }));
