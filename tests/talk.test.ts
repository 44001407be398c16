import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { DESK, expectAccessible, exported, openPage, PHONE, withApp } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterAll(() => browser.close());

const TRIP = "saltpan-again-2026-09-12";
const TALK =
  "Three nights, and I want to say it all at once. The two-pole tent stood up to it, but the zip broke on day two, I pinned it. " +
  "The fleece I never put on, the down jacket was enough. Lost one stake. Second filter slow again. -2 in the quilt, cold. " +
  "I missed a warm hat. Boiled 2 l, 60 g of gas left. Oswin's torch died, mine was fine. The rain shell wets out. " +
  "Let me go on, since I said I would tell all of it. We were out on the salt flats first, two of us and a dog that was not ours, and " +
  "the wind never let up, but that is the weather and nobody's fault. The walking trousers I wore every day, and the sun shirt too. " +
  "Gaiters, well, they stayed in the pack the whole way, there was no mud to speak of. The sun hat, on from morning to evening. " +
  "As for the cooking, the stove was fine, though it is noisy when the wind gets at it, and the pot I used for everything, so the mug " +
  "never came out of the bag. I carried the paperback again and did not read a page, that one could have stayed at home. " +
  "What about the pad, it was flat by morning on the second night, so I blew it up at three and patched it with the repair kit. " +
  "The power bank was at 20 % when we got to the road, so that was just enough. My beacon I did not need, thank goodness. " +
  "The umbrella I never opened, it would have blown inside out. Socks, the blue ones, not worn at all. " +
  "And the trail shoes, pair 3, the tread is nearly flat after this, I need to replace them before the next long one. " +
  "Then there was the hut keeper who told us about the ferry, which only goes on Tuesdays, and a long story about his father's boots, " +
  "which I will not repeat here, but I laughed so much that I forgot to fill the bottles and we had to go back for water, an hour lost, which nobody minded much in that light, nor the second walk back with the bottles full. " +
  "The down jacket made the trip, I would not go without it. " +
  "No cold nights otherwise, and nobody lost the trail. Bought a spork in the village. Washed the sun shirt.";

test("a debrief as it is told: heard beside the text, corrected by keys, taken at once, and all of it taken back", () =>
  withApp("demo", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/unpack/${TRIP}`, DESK);
    await page.getByRole("link", { name: "Talk it through" }).click();
    await page.getByLabel("What happened, as you would tell a friend").fill(TALK);
    const says = page.getByRole("region", { name: "What it says" });
    await says.getByRole("checkbox", { name: /^Two-pole tent: damaged, zip or buckle, .*patched/ }).waitFor();
    const told = await says.getByRole("checkbox").count();
    expect(TALK.split(" ").length).toBeGreaterThan(400);
    expect(told).toBeGreaterThanOrEqual(20);
    await says.getByRole("checkbox", { name: "Second head torch: used" }).waitFor();
    await expectAccessible(page);
    // One is dropped, one dropped and taken again, by keys alone.
    const shell = says.getByRole("checkbox", { name: "Rain shell: wets out" });
    await shell.focus();
    await page.keyboard.press("x");
    await expect.poll(() => shell.isChecked()).toBe(false);
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("Space");
    await page.keyboard.press("Space");
    // One is put right by its pieces: it was the other filter, and it leaked.
    await page.keyboard.press("ArrowUp");
    const filter = says.getByRole("checkbox", { name: /^Second filter:/ });
    await filter.focus();
    await page.keyboard.press("c");
    const form = page.getByRole("group", { name: "Put it right" });
    await form.getByLabel("What is wrong").selectOption("lets water in");
    await form.getByRole("button", { name: "Say more" }).click();
    await form.getByLabel("Pieces lost or broken").fill("many");
    await form.getByText("That can’t be").waitFor();
    await form.getByLabel("Pieces lost or broken").fill("");
    await expectAccessible(page);
    await page.keyboard.press("Escape");
    await says.getByRole("checkbox", { name: "Second filter: lets water in" }).waitFor();
    await expect.poll(() => filter.evaluate((box) => box === document.activeElement)).toBe(true);
    // A night's low, in its own unit.
    await says.getByRole("button", { name: /^Put right: A night/ }).click();
    await form.getByLabel("Low").fill("-3");
    await form.getByRole("button", { name: "Done" }).click();
    await says.getByRole("checkbox", { name: /A night that felt cold, down to −3/ }).waitFor();
    const before = JSON.stringify(await exported(app));
    await page.getByRole("button", { name: /^Take \d+ facts? into the debrief/ }).click();
    const markOf = async (item: string) =>
      (await exported(app)).trips.find(({ id }) => id === TRIP)!.marks.find((mark) => mark["item"] === item);
    await expect
      .poll(() => markOf("two-pole-tent"))
      .toMatchObject({ symptoms: ["zip or buckle"], fix: "patched" });
    expect(await markOf("fleece")).toMatchObject({ use: "unused", why: "another did the job" });
    const after = await exported(app);
    const trip = after.trips.find(({ id }) => id === TRIP)!;
    expect(trip.felt!.at(-1)).toMatchObject({ low: -3, felt: "cold", slept: ["quilt"] });
    expect((await markOf("second-filter"))?.["symptoms"]).toContain("lets water in");
    expect(trip.missed).toEqual(expect.arrayContaining([expect.objectContaining({ what: "warm hat" })]));
    expect(after.items.map((item) => item["name"]).filter((name) => /spork/i.test(String(name)))).toEqual([
      "Spork",
    ]);
    expect((await markOf("rain-shell"))?.["symptoms"] ?? []).not.toContain("wets out");
    await page.locator("[data-sonner-toast]").getByRole("button", { name: "Undo" }).click();
    await expect.poll(async () => JSON.stringify(await exported(app))).toBe(before);
    // What was told is in the field again.
    await says.getByRole("checkbox", { name: "Second head torch: used" }).waitFor();
    expect(faults).toEqual([]);
    await page.close();
    const { page: phone, faults: more } = await openPage(browser, `${app.url}/unpack/${TRIP}/talk`, PHONE);
    await phone.getByLabel("What happened, as you would tell a friend").fill(TALK);
    await phone.getByRole("checkbox", { name: "Stakes: 1 piece" }).waitFor();
    expect(
      await phone.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0);
    await expectAccessible(phone);
    expect(more).toEqual([]);
    await phone.close();
  }));
