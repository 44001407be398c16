import type { Browser } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { expectAccessible, openPage, PHONE, startApp, withApp, type App } from "./app";
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

test("from Next: any list over one's own days, with a thing less; each day that hurts is opened", async () => {
  const { page, faults } = await openPage(browser, `${demo.url}/next`);
  await page.getByRole("heading", { name: /^Over your own days/ }).waitFor();
  await page.getByRole("link", { name: "Any list, over any of your days" }).click();
  const said = page.getByRole("status").first();
  await said.getByText(/^Over \d+\sdays of yours: .*(less|more|as heavy)/).waitFor();
  await page.getByRole("link", { name: "Frost", exact: true }).click();
  await page.waitForURL(/over=frost/);
  const whole = await said.innerText();
  // The bed left out: every night out is cold, and the list says without what.
  const beds = await page.getByLabel("Without").locator("option").allInnerTexts();
  const bed = beds.find((name) => name === "Quilt" || name === "Winter bag")!;
  await page.getByLabel("Without").selectOption({ label: bed });
  await page.getByRole("button", { name: "Walk it" }).click();
  await page.getByText(`without ${bed}`).waitFor();
  await said.getByText(/cold nights \(.*no bed/).waitFor();
  expect(await said.innerText()).not.toBe(whole);
  // A day is opened where it was walked.
  await page
    .getByRole("region", { name: /^Cold nights/ })
    .getByRole("link")
    .first()
    .click();
  await page.waitForURL(/\/trips\/.*#day-\d+$/);
  await page.locator("tr:target", { hasText: /^Day \d+, / }).waitFor();
  await page.goBack();
  await page.getByRole("link", { name: `Take back: without ${bed}` }).click();
  await page.getByText(`without ${bed}`).waitFor({ state: "detached" });
  await page.getByRole("link", { name: "The lean school’s" }).click();
  await page.waitForURL(/list=school/);
  await said.waitFor();
  await expectAccessible(page);
  // What is to be left says what that would have cost, in its argument.
  await page.goto(`${demo.url}/verdicts#down-vest`);
  const slip = page
    .locator("li, article")
    .filter({ has: page.getByText("Down vest", { exact: true }) })
    .last();
  await slip.getByRole("button", { name: "The whole argument" }).click();
  await slip.getByText(/^Left at home over your \d+\sdays: /).waitFor();
  expect(faults).toEqual([]);
  await page.close();
});

test("the weather of a day is tapped: some, much, none, nobody knows; it outlives a reload, and is taken back", async () => {
  const { page, faults } = await openPage(browser, `${demo.url}/trips/low-fells-2025-08-30`);
  const cell = (how: string) => page.getByRole("button", { name: `Wind on day 2: ${how}`, exact: true });
  await cell("none, guessed").click();
  await cell("some").click();
  await cell("much").waitFor();
  await page.reload();
  await cell("much").click();
  await cell("none").click();
  await cell("none, guessed").waitFor();
  await page.getByRole("button", { name: "Undo" }).first().click();
  await cell("none").waitFor();
  // What the desk knows fills what nobody told; what was told stands; one press takes it back.
  await page.getByText(/^Ask the weather desk what they were like/).click();
  await page.getByLabel("Where").selectOption("Quillet");
  await page.getByRole("button", { name: "Ask", exact: true }).click();
  const rain = page.getByRole("button", { name: /^Rain on day 1: / });
  await page.waitForFunction(
    () => !/guessed/.test(document.querySelector('[aria-label^="Rain on day 1"]')!.ariaLabel!),
  );
  await cell("none").waitFor();
  await page.getByRole("button", { name: "Undo" }).first().click();
  await page.waitForFunction(() =>
    /guessed/.test(document.querySelector('[aria-label^="Rain on day 1"]')!.ariaLabel!),
  );
  expect(await rain.count()).toBe(1);
  expect(faults).toEqual([]);
  await page.close();
});

test("forecast and truth: what was said before a walk stands on its page, and all of it, by sort, on Season", async () => {
  const { page, faults } = await openPage(browser, `${demo.url}/trips/hask-plateau-2025-01-25`);
  await page
    .getByText(/^Nights down to −9\s°C were foreseen, \d+\s% .* it came to −9\s°C, and one was cold\.$/)
    .waitFor();
  await page.goto(`${demo.url}/season`);
  await page.getByRole("heading", { name: "What was foreseen, and what came" }).waitFor();
  for (const sort of [
    "It is used",
    "The shoes give out",
    "A night is too cold for the bed",
    "So much gas is enough",
  ])
    await page
      .getByRole("listitem")
      .filter({ has: page.getByRole("heading", { name: sort }) })
      .getByText(/^Said \d+\s% on average; came \d+ of \S+\stimes?/)
      .waitFor();
  await page.getByRole("img", { name: /^It is used\. 0 to 10\s%: / }).waitFor();
  await expectAccessible(page);
  expect(faults).toEqual([]);
  await page.close();
});

test("before the first walk, and asked for what is not there, it says so; on a phone nothing is wider than the screen", async () => {
  await withApp("empty", async (app) => {
    const { page, faults } = await openPage(browser, `${app.url}/next/replay`);
    await page.getByText("No day walked yet").waitFor();
    expect(faults).toEqual([]);
    await page.close();
  });
  const { page, faults } = await openPage(
    browser,
    `${demo.url}/next/replay?list=trip%20nowhere&over=never&without=nothing&and=..%2F`,
    PHONE,
  );
  await page.getByText(/^Over \d+\sdays of yours: /).waitFor();
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(wide).toBe(0);
  expect(faults).toEqual([]);
  await page.close();
});
