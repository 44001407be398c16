import type { ChildProcess } from "node:child_process";
import { mkdtemp, readFile } from "node:fs/promises";
import path from "node:path";
import axeCore from "axe-core";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { expect, inject } from "vitest";
import { answers, freePort, launch } from "./launch";

/** The app, built and serving on loopback from a data folder of its own. */
export interface App {
  readonly url: string;
  readonly folder: string;
  readonly process: ChildProcess;
  stop(signal?: NodeJS.Signals): Promise<number | null>;
}

/** What an app of the tests starts from. */
type Log = "demo" | "today" | "empty";

/** Starts the app on the demo's walked log, on the whole demo as it is laid out today, on nothing, or on a folder that an earlier one left. */
export async function startApp(from: Log | { readonly folder: string }): Promise<App> {
  const folder =
    typeof from === "object" ? from.folder : await mkdtemp(path.join(inject("folder"), `${from}-`));
  const port = await freePort();
  const child = launch(folder, port, typeof from === "object" ? undefined : inject(`${from}Snapshot`));
  // A full pipe would hold it up.
  child.stdout?.resume();
  child.stderr?.resume();
  const ended = new Promise<number | null>((resolve) => child.on("exit", (code) => resolve(code)));
  const url = `http://127.0.0.1:${port}`;
  await answers(url, child);
  return {
    url,
    folder,
    process: child,
    stop: async (signal = "SIGTERM") => {
      child.kill(signal);
      const late = setTimeout(() => child.kill("SIGKILL"), STOPS_WITHIN_MS);
      const code = await ended;
      clearTimeout(late);
      if (child.signalCode === "SIGKILL" && signal !== "SIGKILL")
        throw new Error(`stop: the app did not end within ${STOPS_WITHIN_MS / 1000} s of ${signal}`);
      return code;
    },
  };
}

/** Time that an app may take to close cleanly on a busy machine; after it, it hangs. */
const STOPS_WITHIN_MS = 60_000;

/** An app that a test is lent: it is asked, and not stopped. */
export type Lent = Pick<App, "url">;

/** One that is given back. */
export type OnLoan = Lent & { readonly giveBack: () => Promise<unknown> };

/** Whether this worker's app is out: a second one within is started anew. */
let isOut = false;

/** An app that holds a log and nothing else, and how it is given back: this worker's own, emptied of what was left in it. */
export async function lend(from: Log): Promise<OnLoan> {
  const url = isOut ? undefined : inject("lent")[Number(process.env.VITEST_POOL_ID) - 1];
  if (url === undefined) {
    const another = await startApp(from);
    return { url: another.url, giveBack: () => another.stop() };
  }
  isOut = true;
  await holdOnly(url, from);
  return { url, giveBack: async () => (isOut = false) };
}

/** Runs `work` on an app that it is lent. */
export async function withApp(from: Log, work: (app: Lent) => Promise<void>): Promise<void> {
  const app = await lend(from);
  try {
    await work(app);
  } finally {
    await app.giveBack();
  }
}

/** Puts a log in the place of all that an app holds, as its owner would bring in a copy. */
async function holdOnly(url: string, from: Log): Promise<void> {
  const answer = await fetch(`${url}/api/log?replace`, {
    method: "POST",
    body: await readFile(inject(`${from}File`)),
    signal: AbortSignal.timeout(PATIENCE),
  });
  if (!answer.ok) throw new Error(`holdOnly: ${answer.status} ${await answer.text()}`);
}

/** What the app writes out, as far as the tests look into it. */
export interface Exported {
  readonly settings: Readonly<Record<string, unknown>>;
  readonly items: readonly Readonly<Record<string, unknown>>[];
  readonly trips: readonly {
    readonly id: string;
    readonly name: string;
    readonly marks: readonly Readonly<Record<string, unknown>>[];
    readonly made?: readonly string[];
    readonly missed?: readonly object[];
    readonly felt?: readonly object[];
    readonly waved?: readonly string[];
    readonly supplies?: readonly object[];
    readonly picks?: Readonly<Record<string, string>>;
  }[];
  readonly entries: readonly Readonly<Record<string, unknown>>[];
  readonly rulings: readonly Readonly<Record<string, unknown>>[];
  readonly tasks?: readonly Readonly<Record<string, unknown>>[];
  readonly kits?: readonly { readonly name: string; readonly items: readonly string[] }[];
}

/** All that the app holds, in the open format. */
export const exported = async (app: Lent) =>
  (await fetch(`${app.url}/api/log`, { signal: AbortSignal.timeout(PATIENCE) })).json() as Promise<Exported>;

/** Waits until the debrief says that nothing waits to be saved. */
export const saved = (page: Page) => page.getByText("every mark is saved").waitFor();

/** How long a page may take to show what it should, in ms: a busy machine is several times slower than a quiet one. */
const PATIENCE = 60_000;

export const DESK = { width: 1280, height: 800 } as const;
export const PHONE = { width: 390, height: 844 } as const;

/** What a browser's window is like at a size: the small ones are touched. */
export const windowOf = (viewport: { width: number; height: number }) => ({
  viewport,
  hasTouch: viewport.width < 600,
});

/** A page that fails the test on any error in it, and on anything fetched from elsewhere. */
export async function openPage(
  browser: Browser | BrowserContext,
  url: string,
  viewport: { width: number; height: number } = DESK,
): Promise<{ page: Page; faults: string[] }> {
  const page = "contexts" in browser ? await browser.newPage(windowOf(viewport)) : await browser.newPage();
  page.setDefaultTimeout(PATIENCE);
  const faults: string[] = [];
  page.on("pageerror", (error) => faults.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error") faults.push(message.text());
  });
  page.on("request", (request) => {
    if (
      !request.url().startsWith(new URL(url).origin) &&
      !request.url().startsWith("data:") &&
      !request.url().startsWith("blob:")
    )
      faults.push(`fetched ${request.url()}`);
  });
  await goTo(page, url);
  return { page, faults };
}

/** Opens an address, and waits until the page listens: what is pressed before is heard by some of it alone. */
export async function goTo(page: Page, url: string): Promise<void> {
  await page.goto(url, { waitUntil: "networkidle" });
  await listens(page);
}

/** Loads the page anew, likewise. */
export async function reload(page: Page): Promise<void> {
  await page.reload({ waitUntil: "networkidle" });
  await listens(page);
}

/** React marks what it has taken over; a page without a notebook has nothing to be taken over. */
const listens = (page: Page) =>
  page.waitForFunction(() => {
    const main = document.querySelector("main");
    return !main || Object.keys(main).some((key) => key.startsWith("__reactProps$"));
  });

/** Time in which a page that is being refreshed comes to rest: its title is taken out and put in again, in ms. */
const AT_REST_MS = 10_000;

/** Runs axe on the page once it is at rest; WCAG 2.2 A and AA. */
export async function expectAccessible(page: Page): Promise<void> {
  await page.evaluate(axeCore.source);
  await expect.poll(() => violationsOf(page), { timeout: AT_REST_MS }).toEqual([]);
}

const violationsOf = (page: Page) =>
  page.evaluate(async () => {
    const { axe } = window as unknown as { axe: typeof axeCore };
    const { violations: found } = await axe.run(document, {
      runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"],
    });
    return found.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map((node) => `${node.target.join(" ")} ${node.any[0]?.message ?? ""}`)
          .join(" | ")}`,
    );
  });
