import type { Browser, Page } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { openPage, lend, type OnLoan } from "./app";
import { openBrowser } from "./launch";

let browser: Browser;
let app: OnLoan;
beforeAll(async () => {
  [browser, app] = await Promise.all([openBrowser(), lend("today")]);
});
afterAll(async () => {
  await browser.close();
  await app.giveBack();
});

/** What the sheet says of a thing: its own page, name, weight, what is left, its verdict's word and sentence. */
interface Row {
  readonly href: string;
  readonly name: string;
  readonly grams: string;
  readonly left: string;
  readonly verb: string;
  readonly says: string;
}

const rowsOf = (page: Page): Promise<Row[]> =>
  page.getByRole("row").evaluateAll((rows) =>
    rows.flatMap((row) => {
      const link = row.querySelector<HTMLAnchorElement>("[role=rowheader] a[href^='/item/']");
      const cells = [...row.querySelectorAll<HTMLElement>("[role=gridcell]")];
      const verdict = cells.at(-1);
      return link && verdict
        ? [
            {
              href: link.getAttribute("href")!,
              name: link.title,
              grams: row.querySelector("[role=rowheader] .num")?.textContent ?? "",
              left: cells.at(-2)?.textContent ?? "",
              verb: verdict.textContent,
              says: verdict.title,
            },
          ]
        : [];
    }),
  );

const textOf = async (page: Page, path: string) => {
  await page.goto(app.url + path);
  await page.locator("h1").waitFor();
  return (await page.locator("main").innerText()).replaceAll(/\s+/g, " ");
};
const plain = (text: string) => text.replaceAll(/\s+/g, " ").trim();

/** Where each thing stands on Next, by the name of its column. */
const columnsOf = async (page: Page) => {
  await page.goto(`${app.url}/next`);
  const columns = new Map<string, string>();
  for (const title of ["Not ready", "Take", "Take if", "Leave"]) {
    const links = page.getByRole("region", { name: title, exact: true }).locator("a[href^='/item/']");
    for (const href of await links.evaluateAll((all) => all.map((each) => each.getAttribute("href")!)))
      columns.set(href, title);
  }
  return columns;
};

test("from the words on the pages: Tally, Verdicts, Bench, Next, Ready and each thing's own page say the same of it", async () => {
  const { page, faults } = await openPage(browser, app.url, { width: 1280, height: 9000 });
  // The sheet draws what is in view, once it is read.
  await expect.poll(async () => (await rowsOf(page)).length, { timeout: 20_000 }).toBeGreaterThan(60);
  const rows = await rowsOf(page);
  const tally = plain(await page.locator("main").innerText());
  const verdicts = await textOf(page, "/verdicts");
  const slips = await page
    .getByRole("article")
    .evaluateAll((all) => all.map((each) => each.getAttribute("aria-label")!));
  const lane = page.getByRole("heading", { name: /^Must not go out as it is/ });

  // The sums that two pages show are one.
  const spare = /([\d\s]+ g) could stay home/.exec(tally)![1]!.trim();
  expect(verdicts).toContain(`saves ${spare}`);
  expect(plain(await lane.innerText()).replace(/\D/g, "")).toBe(/(\d+) must not go out/.exec(tally)![1]);

  const walked = / things, (\d+ trips, [\d ]+ km)/.exec(tally)![1]!;
  expect(await textOf(page, "/trips")).toContain(`${walked}, `);

  // What is asked stands on Verdicts under its verb; what is on the bench is asked.
  const bench = await textOf(page, "/bench");
  const doable = await page
    .getByRole("button", { name: /^Done/ })
    .evaluateAll((all) =>
      all.map((each) => each.textContent.replaceAll(/\s+/g, " ").replace(/^Done\s?: /, "")),
    );
  const jobs = doable.filter((job) => /^(replace|repair|service|prove|slim|swap) /.test(job));
  expect(jobs.length).toBeGreaterThan(5);
  for (const job of jobs) expect(slips, "a job of the bench stands on Verdicts").toContain(job);
  const columns = await columnsOf(page);
  const ready = await textOf(page, "/ready");

  const asked = rows.filter(({ verb, name }) => slips.includes(`${verb} ${name}`));
  expect(asked.length, "most slips are of things that the sheet shows").toBeGreaterThan(slips.length / 2);
  // All that something is asked of, and each twentieth of the rest.
  const looked = rows.filter((row, n) => asked.includes(row) || n % 20 === 0);
  for (const { href, name, verb, says, grams, left } of looked) {
    const own = plain(await textOf(page, href));
    expect(own, `${name}: its own page says what the sheet says`).toContain(plain(says));
    if (grams.trim() !== "–" && !own.includes("Bring it back"))
      expect(own.slice(0, 200)).toContain(plain(grams));
    if (left.includes("left")) expect(own, `${name}: what is left`).toContain(plain(left));
    if (slips.includes(`${verb} ${name}`)) expect(verdicts).toContain(plain(says));
    if (verb === "drop" && slips.includes(`drop ${name}`) && !says.includes("Leaning"))
      expect(columns.get(href), `${name}: dropped, left on Next`).toBe("Leave");
    if (verb === "replace" && jobs.includes(`replace ${name}`)) {
      expect(bench).toContain(plain(says));
      expect(columns.get(href), `${name}: to be replaced, not simply taken`).not.toBe("Take");
      expect(ready.split("Before")[0], `${name}: to be replaced, not looked at`).not.toContain(`${name} `);
    }
  }
  expect(faults).toEqual([]);
  await page.close();
});
