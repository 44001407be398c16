import { readFile } from "node:fs/promises";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { firstLoads } from "../measure/first-load";
import { DESK, expectAccessible, goTo, lend, type OnLoan, openPage, PHONE, windowOf } from "./app";
import { openBrowser } from "./launch";

let demo: OnLoan;
let empty: OnLoan;
let browser: Browser;
beforeAll(async () => {
  demo = await lend("demo");
  [empty, browser] = await Promise.all([lend("empty"), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await Promise.all([demo.giveBack(), empty.giveBack()]);
});

const SCREENS = [
  "/",
  "/trail",
  "/unpack",
  "/unpack/sunder-crossing-2026-07-11",
  "/verdicts",
  "/item/trail-shoes-pair-3",
  "/item/air-pad/edit",
  "/next",
  "/bench",
  "/ready",
  "/season",
  "/trips",
  "/trips/the-long-quill-2025-06-07",
  "/trips/compare",
  "/trips/saltpan-again-2026-09-12/weigh-in",
  "/trips/saltpan-again-2026-09-12/told",
  "/trips/nights?low=-3",
  "/trips/supplies?dry=20",
  "/trips/loads",
  "/next/replay?over=frost",
  "/next/kits",
  "/next/shakedown?place=Vask",
  "/next/kits/frost",
  "/shelf/wishes",
  "/shelf/beside?of=trail-shoes-pair-3&of=trail-shoes-pair-2",
  "/shelf/weigh",
  "/shelf/money",
  "/trips/new",
  "/trips/sunder-crossing-2026-07-11/edit",
  "/shelf",
  "/shelf?gone",
  "/shelf?by=age",
  "/shelf/import",
  "/settings",
];

/** The page lies within a window so wide, once it has settled. */
async function expectFits(page: Page, width: number): Promise<void> {
  await page.setViewportSize({ width, height: 800 });
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), {
      message: `at ${width} px`,
    })
    .toBeLessThanOrEqual(0);
}

/** What is pressed and smaller than so many pixels either way; links within a text are as large as its lines. */
const smallTargets = (page: Page, least: number) =>
  page.evaluate((px) => {
    const pressed =
      "main :is(a[href], button, input:not([type=hidden]), select, summary, [role=button], [role=tab])";
    return [...document.querySelectorAll<HTMLElement>(pressed)].flatMap((each) => {
      const own = each.getBoundingClientRect();
      if (own.width <= 1 || getComputedStyle(each).display === "inline") return [];
      const label = each.closest("label")?.getBoundingClientRect() ?? own;
      const [width, height] = [Math.max(own.width, label.width), Math.max(own.height, label.height)];
      const says = (each.textContent || each.ariaLabel || each.tagName).trim().slice(0, 30);
      return width < px || height < px ? [`${says}: ${Math.round(width)} × ${Math.round(height)}`] : [];
    });
  }, least);

/** Pressed with cold fingers, on the way or on the floor: a thumb's width, in px; anything else a fingertip's. */
const THUMB = 44;
const FINGERTIP = 24;
/** Laid out otherwise at the desk. */
const DESK_ALONE = [
  "/",
  "/unpack/sunder-crossing-2026-07-11",
  "/verdicts",
  "/next",
  "/shelf",
  "/trips/the-long-quill-2025-06-07",
  "/settings",
];
const BY_THUMB = ["/trail", "/unpack/sunder-crossing-2026-07-11"];

describe.each([
  ["at the desk", DESK, DESK_ALONE],
  ["on a phone", PHONE, SCREENS],
] as const)("%s", (_, size, screens) => {
  // One window for all of them: the scripts are fetched once.
  let context: BrowserContext;
  beforeAll(async () => {
    context = await browser.newContext(windowOf(size));
  });
  afterAll(() => context.close());
  test.each(screens)("%s passes axe, fits the width, and raises no error", async (path) => {
    const { page, faults } = await openPage(context, `${demo.url}${path}`, size);
    try {
      await expectAccessible(page);
      await expectFits(page, size.width);
      if (size === PHONE) {
        await expectFits(page, 360);
        expect(await smallTargets(page, BY_THUMB.includes(path) ? THUMB : FINGERTIP)).toEqual([]);
        // What a phone shows of a page a desk shows too, in more room.
        await expectFits(page, DESK.width);
      } else if (["/", "/verdicts", "/unpack/sunder-crossing-2026-07-11"].includes(path)) {
        await page.emulateMedia({ colorScheme: "dark" });
        await expectAccessible(page);
      }
      expect(faults).toEqual([]);
    } finally {
      // A page left open keeps its line to the server, and a window has six of them in all.
      await page.close();
    }
  });
});

test("the edge by its moments: at the desk with what waits, a letter after g, help for the page one is on; on a phone a press each", async () => {
  const { page, faults } = await openPage(browser, `${demo.url}/verdicts`);
  const edge = page.getByRole("navigation", { name: "Pages" });
  await edge
    .getByRole("region", { name: "Back home" })
    .getByRole("link", { name: /^Verdicts \d+ to act on$/ })
    .waitFor();
  await page.keyboard.press("?");
  const help = page.getByRole("dialog", { name: "Verdicts" });
  await help.getByText("overrule, with your reason").waitFor();
  await expectAccessible(page);
  expect(await help.evaluate((box) => box.scrollHeight <= box.clientHeight)).toBe(true);
  await page.keyboard.press("Escape");
  await help.waitFor({ state: "detached" });
  await page.keyboard.press("g");
  await page.keyboard.press("i");
  await page.getByRole("heading", { name: "Nights" }).waitFor();
  await edge.getByRole("link", { name: "Supplies" }).click();
  await page.getByRole("heading", { name: /^Supplies/ }).waitFor();
  await page.keyboard.press("?");
  await page.getByRole("dialog", { name: "Supplies" }).waitFor();
  expect(faults).toEqual([]);
  await page.close();

  const { page: phone, faults: onPhone } = await openPage(browser, `${demo.url}/verdicts`, PHONE);
  await phone.getByRole("button", { name: /^The log/ }).tap();
  await expectAccessible(phone);
  await phone.getByRole("link", { name: "Money" }).tap();
  await phone.getByRole("heading", { name: "Money" }).waitFor();
  expect(await phone.getByRole("link", { name: "Wish list" }).isVisible()).toBe(false);
  await phone.getByRole("button", { name: "Find" }).tap();
  await phone.getByPlaceholder("Go to a page, a thing or a trip").fill("what's left in my gas");
  await phone.getByRole("option").first().tap();
  await phone.getByRole("heading", { name: /^Supplies/ }).waitFor();
  expect(onPhone).toEqual([]);
  await phone.close();
});

test.each(["/", "/unpack", "/verdicts", "/trips", "/shelf"])(
  "%s with nothing in it says what goes here and the next step",
  async (path) => {
    const { page, faults } = await openPage(browser, `${empty.url}${path}`);
    await expectAccessible(page);
    expect(await page.locator("main").getByRole("link").count()).toBeGreaterThan(0);
    expect(faults).toEqual([]);
    await page.close();
  },
);

test("a name that is not ours, and a page elsewhere, are refused", async () => {
  const port = new URL(demo.url).port;
  const http = await import("node:http");
  const ask = (headers: Record<string, string>, method = "GET", path = "/api/log") =>
    new Promise<number>((resolve, reject) => {
      http
        .request({ host: "127.0.0.1", port, path, method, headers }, (answer) => {
          answer.resume();
          resolve(answer.statusCode!);
        })
        .on("error", reject)
        .end();
    });
  expect(await ask({ host: `walker.example:${port}` })).toBe(403);
  expect(await ask({ host: `127.0.0.1:${port}` })).toBe(200);
  expect(
    await ask({ host: `127.0.0.1:${port}`, origin: "http://walker.example" }, "POST", "/api/marks"),
  ).toBe(403);
});

test("scripts run only with the page's own nonce", async () => {
  const policy = (await fetch(demo.url)).headers.get("content-security-policy")!;
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
});

/** What a page may weigh when it is first opened, in KB (gzip): the framework is 133 of it, a form or a chart the rest. */
const HEAVIEST = 195;
/** Schemas, charts and the engine's numbers stay on the server or come when they are wanted. */
const STAYS_AWAY = /ZodError|beforeDatasetDraw|"The median life/;

test("a page's first load is what it draws: no schema, no chart, no number of the trade's, and no more than 195 KB", async () => {
  const loads = firstLoads();
  expect(loads.length).toBeGreaterThan(30);
  expect(loads.filter(({ bytes }) => bytes > HEAVIEST * 1024).map(({ page }) => page)).toEqual([]);
  const brought = await Promise.all(
    [...new Set(loads.flatMap(({ files }) => files))].map(async (file) => ({
      file,
      found: STAYS_AWAY.exec(await readFile(file, "utf8"))?.[0],
    })),
  );
  expect(brought.filter(({ found }) => found !== undefined)).toEqual([]);
});

test("what opens over a page passes axe too: help, the palette, what failed, two things held, an argument, a cell", async () => {
  const { page, faults } = await openPage(browser, `${demo.url}/verdicts`);
  await page.keyboard.press("?");
  await page.getByRole("dialog").waitFor();
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await page.getByRole("dialog").waitFor({ state: "detached" });
  await page.keyboard.press("Control+k");
  await page.getByRole("dialog").waitFor();
  await page.keyboard.type("gas");
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "The whole argument" }).first().click();
  await page.getByText("What would change it").first().waitFor();
  await expectAccessible(page);
  await goTo(page, `${demo.url}/unpack/sunder-crossing-2026-07-11`);
  await page.keyboard.press("f");
  await page.getByRole("group", { name: "How bad" }).waitFor();
  await expectAccessible(page);
  await goTo(page, `${demo.url}/next`);
  for (const n of [0, 1])
    await page
      .getByRole("button", { name: /^Hold .* beside another$/ })
      .nth(n)
      .click();
  await expectAccessible(page);
  expect(faults).toEqual([]);
  await page.close();
});
