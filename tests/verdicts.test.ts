import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { DESK, expectAccessible, exported, openPage, PHONE, lend, type OnLoan } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
let app: OnLoan;
beforeAll(async () => {
  [browser, app] = await Promise.all([openBrowser(), lend("demo")]);
});
afterAll(async () => {
  await browser.close();
  await app.giveBack();
});

test("an opened slip shows the whole argument: the rule and its line, the chances, the curves, and what would change it", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
  const pad = page.getByRole("article", { name: "replace Air pad" });
  await pad.getByText("The whole argument").click();
  await pad.getByText("A fault that came back after two repairs is not mended a third time.").waitFor();
  // Of what is not mended a third time, no nights are left to count, and no repair is asked for.
  await pad.getByText(/6\.6 × its weight/).waitFor();
  expect(await pad.innerText()).not.toMatch(/repair, logged|nights left/i);
  const filter = page.getByRole("article", { name: "service Second filter" });
  await filter.getByText("The whole argument").click();
  await filter.getByText(/worn out so far|none of yours has worn out yet/).waitFor();
  await filter.getByRole("img", { name: /^Chance to last by wear/ }).waitFor();
  const chair = page.getByRole("article", { name: "drop Folding chair" });
  await chair.getByText("The whole argument").click();
  await chair.getByText("Used on three more trips: then “keep”.").waitFor();
  await chair.getByText(/the line is 35/).waitFor();
  await expectAccessible(page);
  expect(faults).toEqual([]);
  await page.close();
});

test("a phone opens it too, and nothing is wider than the screen", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`, PHONE);
  const filter = page.getByRole("article", { name: "service Second filter" });
  await filter.getByText("The whole argument").tap();
  await filter.getByRole("img", { name: /^Chance to last by wear/ }).waitFor();
  await page.getByText("Worth its weight").tap();
  await page.getByRole("region", { name: "The pack by worth" }).waitFor();
  await page.getByText("What if …").tap();
  await page.getByLabel("School").waitFor();
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  expect(faults).toEqual([]);
  await page.close();
});

test("what if: school, length and one mark change what they change, at once, and nothing is kept", async () => {
  const before = JSON.stringify(await exported(app));
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
  await page.getByText("What if …").click();
  await page.getByLabel("School").selectOption("lean");
  const changes = page.locator("details", { hasText: "What if …" }).locator("li");
  await changes.filter({ hasText: "Spare shirt" }).filter({ hasText: "drop" }).waitFor();
  await page.getByLabel("School").selectOption("even");
  await page
    .getByText("verdict changes")
    .or(page.getByText("verdicts change"))
    .waitFor({ state: "detached" });
  await page.getByLabel("Next trip, km").fill("400");
  await page.getByLabel("Next trip, days").fill("many");
  await page.getByText("Write the days as a number.").waitFor();
  expect(await page.getByLabel("Next trip, km").inputValue()).toBe("400");
  await page.getByRole("button", { name: "As it is" }).click();
  await page.getByLabel("One mark: of").selectOption({ label: "Two-pole tent" });
  await page.getByLabel("being").selectOption("unused");
  await page.getByText("No leading verdict changes.").or(changes.first()).waitFor();
  expect(JSON.stringify(await exported(app))).toBe(before);
  expect(faults).toEqual([]);
  await page.close();
});

test("the owner's own numbers: kept, shown with the default, refused where they can't be, and reset", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/settings`);
  await page.getByLabel("Find a kind").fill("trail sh");
  await page.getByLabel("Find a kind").press("Enter");
  const median = page.getByLabel("Half last, km");
  await median.fill("2000");
  await median.press("Enter");
  await page.getByText(/yours; the default is about 720/).waitFor();
  await expect
    .poll(async () => (await exported(app)).settings.kinds)
    .toEqual({ "trail shoes": { median: 2_000_000 } });
  await page.goto(`${app.url}/settings`);
  await page.getByLabel("Find a kind").fill("trail sh");
  await page.getByLabel("Find a kind").press("Enter");
  const shape = page.getByLabel("Shape of wearing out");
  await shape.fill("99");
  await shape.press("Enter");
  await page.getByText("The shape may be 10 at most.").waitFor();
  expect(await shape.inputValue()).toBe("99");
  await shape.fill("round");
  await shape.press("Enter");
  await page.getByText("Write a number, or leave it blank for the default.").waitFor();
  await page.getByRole("button", { name: "Reset Half last, km" }).click();
  await expect.poll(async () => (await exported(app)).settings.kinds).toBeUndefined();
  const line = page.getByLabel("Drop below, %");
  await line.fill("20");
  await line.press("Enter");
  await expect.poll(async () => (await exported(app)).settings.schools).toEqual({ even: { dropLine: 0.2 } });
  await page.getByRole("button", { name: "Reset Drop below, %" }).click();
  await expect.poll(async () => (await exported(app)).settings.schools).toEqual({ even: {} });
  await page.getByLabel("Your body weight").fill("nobody");
  await page.getByLabel("Your body weight").press("Tab");
  await page.locator("#main .error").first().waitFor();
  expect(faults).toEqual([]);
  await page.close();
});

test("what the log tells of its owner is said, moves a verdict, and is forgotten and brought back", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/settings`);
  const learned = page.locator("#learned");
  await learned.getByText(/^Told to leave things at home, .* is told less firmly\.$/).waitFor();
  await page.goto(`${app.url}/verdicts#down-vest`);
  const slip = page
    .locator("li, article")
    .filter({ has: page.getByText("Down vest", { exact: true }) })
    .last();
  await slip.getByRole("button", { name: "The whole argument" }).click();
  await slip.getByText(/^Told to leave things at home, you took them along/).waitFor();
  await page.goto(`${app.url}/settings`);
  await learned.getByRole("button", { name: /^Forget this: Told to leave/ }).click();
  await learned.getByText(/^Told to leave/).waitFor({ state: "detached" });
  expect((await exported(app)).settings.forgotten).toEqual({ "leave it": expect.any(String) as string });
  await page.getByRole("button", { name: "Undo" }).click();
  await learned.getByText(/^Told to leave/).waitFor();
  await expect.poll(async () => (await exported(app)).settings.forgotten ?? {}).toEqual({});
  expect(faults).toEqual([]);
  await page.close();
});

test("a reading taken at the bench is kept, shown, and judged", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/item/trail-shoes-pair-3`);
  await page.getByLabel("What", { exact: true }).selectOption("check");
  await page.getByLabel("Its tread, mm").fill("deep");
  await page.getByRole("button", { name: "Log it" }).click();
  await page.getByText("Write the reading as a number.").waitFor();
  await page.getByLabel("Its tread, mm").fill("1.2");
  await page.getByRole("button", { name: "Log it" }).click();
  await page.getByText("tread 1.2").waitFor();
  await page.getByText(/Its tread was 1.2.mm/).waitFor();
  expect((await exported(app)).entries).toContainEqual(
    expect.objectContaining({ what: "check", reading: { what: "tread", value: 1.2 } }),
  );
  expect(faults).toEqual([]);
  await page.close();
});

test("questions worth asking: one after another, at most three, answered by one key, waved away for good", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
  const asked = page.getByRole("region", { name: "Worth asking" });
  const question = asked.getByRole("listitem");
  await asked.getByText("and 2 more after it").waitFor();
  const first = (await question.textContent())!;
  await question.getByRole("button", { name: "0", exact: true }).focus();
  await page.keyboard.press("4");
  await question.filter({ hasText: first.slice(0, 30) }).waitFor({ state: "detached" });
  const last = async () => (await exported(app)).trips.find(({ id }) => id === "saltpan-again-2026-09-12")!;
  expect((await last()).marks.filter(({ condition }) => condition === 4)).toHaveLength(1);
  const second = (await question.textContent())!;
  expect(second).not.toBe(first);
  await question.getByRole("button", { name: "Not now" }).click();
  await question.filter({ hasText: second.slice(0, 30) }).waitFor({ state: "detached" });
  await page.reload();
  await page.getByRole("heading", { name: "Verdicts" }).waitFor();
  for (const gone of [first, second])
    expect((await question.allTextContents()).join()).not.toContain(gone.slice(0, 30));
  expect((await last()).waved).toHaveLength(2);
  expect(faults).toEqual([]);
  await page.close();
});

test("by keyboard from slip to slip: agreed stays in view until done, done logs what the slip said, and the focus is never lost", async () => {
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
  const focused = () => page.evaluate(() => document.activeElement?.getAttribute("aria-label") ?? "");
  const slip = (name: string) => page.getByRole("article", { name });
  // As the page opens, before any Tab: an arrow is on the first slip, and a letter is that slip's.
  await page.keyboard.press("ArrowDown");
  expect(await page.getByRole("article").first().getAttribute("aria-label")).toBe(await focused());
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press("o");
  await page.getByLabel("It stays as it is, because").waitFor();
  await page.keyboard.press("Escape");
  await slip("repair Boots").focus();
  await page.keyboard.press("a");
  await page.getByText("Boots: agreed").waitFor();
  await slip("repair Boots")
    .getByText(/^You ruled on .*: agree\.$/)
    .waitFor();
  await expect.poll(focused).toBe("replace Trail poles");
  await page.keyboard.press("ArrowUp");
  await expect.poll(focused).toBe("repair Boots");
  await page.keyboard.press("d");
  await page.getByText("Boots: repair logged").waitFor();
  await slip("repair Boots").waitFor({ state: "detached" });
  await expect.poll(focused).toBe("replace Trail poles");
  expect((await exported(app)).entries).toContainEqual(
    expect.objectContaining({ item: "boots", what: "repair" }),
  );
  await page.getByRole("button", { name: "Undo" }).first().click();
  await slip("repair Boots").waitFor();
  // The page has settled on the slip that came back.
  await page.waitForLoadState("networkidle");

  // What is replaced has left.
  await slip("replace Air pad").focus();
  await expect.poll(focused).toBe("replace Air pad");
  await page.keyboard.press("d");
  await page.getByText("Air pad: worn out").waitFor();
  const pad = async () => (await exported(app)).items.find(({ id }) => id === "air-pad")!;
  expect(await pad()).toMatchObject({ state: "worn out" });
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect.poll(async () => (await pad()).state ?? "active").toBe("active");
  await slip("replace Air pad").waitFor();

  // A dialog that is closed gives the focus back; a ruling takes it on.
  await slip("drop Second cable").focus();
  await page.keyboard.press("o");
  await page.getByLabel("It stays as it is, because").waitFor();
  await page.keyboard.press("Escape");
  await expect.poll(() => page.evaluate(() => document.activeElement?.textContent)).toBe("Overrule");
  await slip("drop Second cable").focus();
  await page.keyboard.press("a");
  await page.getByText("Second cable: agreed").waitFor();
  await expect.poll(focused).not.toBe("");
  // Agreed to be left, it is not on the list that the next trip starts from.
  await page.goto(`${app.url}/trips/new`);
  await page.getByRole("button", { name: /^As on/ }).click();
  expect(await page.getByRole("checkbox", { name: /^Cable/ }).isChecked()).toBe(true);
  expect(await page.getByRole("checkbox", { name: /^Second cable/ }).isChecked()).toBe(false);
  expect(faults).toEqual([]);
  await page.close();
});

test("nine slips are seen at once on a desk, and three on a phone", async () => {
  for (const [size, least] of [
    [DESK, 9],
    [PHONE, 3],
  ] as const) {
    const { page } = await openPage(browser, `${app.url}/verdicts`, size);
    const tops = await page
      .getByRole("article")
      .evaluateAll((all) => all.map((one) => one.getBoundingClientRect().top));
    expect(tops.filter((top) => top < size.height - 20).length).toBeGreaterThanOrEqual(least);
    await page.close();
  }
});

test("what the last trip said, in numbers that open their lists; leanings in a lane of their own; what is kept as a table", async () => {
  // Said once, of a thing that came along once.
  const stool = { id: "camp-stool", name: "Camp stool", kind: "chair", weight: "410 g" };
  await fetch(`${app.url}/api/log?add`, {
    method: "POST",
    body: JSON.stringify({ format: "nettle-tally", version: 2, items: [stool] }),
  });
  const last = (await exported(app)).trips.find(({ name }) => name === "Saltpan again")!.id;
  const disliked = { trip: last, item: "camp-stool", mark: { use: "unused", why: "awkward" } };
  await fetch(`${app.url}/api/marks`, { method: "POST", body: JSON.stringify([disliked]) });
  const { page, faults } = await openPage(browser, `${app.url}/verdicts`);
  const told = page.getByRole("region", { name: "What Saltpan again said" });
  await told.getByText(/not used/).click();
  await told.getByRole("link", { name: "Down vest" }).waitFor();
  await page
    .getByRole("region", { name: "Leanings" })
    .getByRole("article", { name: "drop Camp stool" })
    .waitFor();
  await page.getByText(/^Keep \(/).click();
  await page.getByRole("region", { name: "What is kept" }).getByRole("link", { name: "Quilt" }).waitFor();
  await page.getByText(/^Gone \(/).click();
  await page.getByText("Worn out on Vask shore. Trail shoes, pair 3 took its place: done.").waitFor();
  await expectAccessible(page);
  expect(faults).toEqual([]);
  await page.close();
});

test("days used and a reading are said at the debrief", async () => {
  const trip = "sunder-crossing-2026-07-11";
  const { page, faults } = await openPage(browser, `${app.url}/unpack/${trip}`, PHONE);
  const row = page.locator("li[aria-label^='Second filter']");
  await page.getByRole("button", { name: /^Side pockets/ }).tap();
  await row.getByRole("button", { name: /^More about/ }).tap();
  await page.getByRole("button", { name: "All there is to say" }).tap();
  await page.getByLabel("Days used, of 9").fill("12");
  await page.getByLabel("Its flow, L a minute").fill("0,5");
  await page.getByText("A number from 0 to 9.").waitFor();
  await page.getByLabel("Days used, of 9").fill("7");
  await page.getByLabel("Its flow, L a minute").focus();
  await page.getByRole("button", { name: "Done", exact: true }).tap();
  await page.getByText("every mark is saved").waitFor();
  await expect
    .poll(async () =>
      (await exported(app)).trips
        .find(({ id }) => id === trip)!
        .marks.find(({ item }) => item === "second-filter"),
    )
    .toMatchObject({ days: 7, reading: { what: "flow", value: 0.5 } });
  expect(faults).toEqual([]);
  await page.close();
});
