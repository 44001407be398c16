import { mkdir, mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import type { Page } from "playwright-core";
import { answers, freePort, launch, openBrowser } from "../tests/launch";
import { ensureBuild, runTs } from "./setup.mjs";

/** `npm run shots`: one picture for each main view, of the demo, in docs/screenshots. */
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size: { readonly width: number; readonly height: number };
  readonly dark?: boolean;
  /** What is done on the page before the picture. */
  readonly open?: (page: Page) => Promise<unknown>;
}

const SHOTS: readonly Shot[] = [
  { name: "tally", path: "/", size: DESK },
  { name: "tally-phone", path: "/", size: PHONE },
  { name: "unpack", path: "/unpack/sunder-crossing-2026-07-11", size: DESK },
  { name: "unpack-phone", path: "/unpack/sunder-crossing-2026-07-11", size: PHONE },
  {
    name: "talk",
    path: "/unpack/saltpan-again-2026-09-12/talk",
    size: DESK,
    open: async (page) => {
      await page
        .getByLabel("What happened, as you would tell a friend")
        .fill(
          "Three nights of wind. The two-pole tent stood up to it, but the zip broke on day two, I pinned it. The fleece I never put on, the down jacket was enough. Lost one stake. Second filter slow again. -2 in the quilt, cold. I missed a warm hat. 60 g of gas left. Oswin's torch died, mine was fine.",
        );
      await page.getByRole("checkbox", { name: "Missed: warm hat" }).waitFor();
    },
  },
  { name: "verdicts", path: "/verdicts", size: DESK },
  { name: "replay", path: "/next/replay", size: DESK },
  {
    name: "argument",
    path: "/verdicts",
    size: DESK,
    open: async (page) => {
      const slip = page.getByRole("article", { name: "service Second filter" });
      await slip.getByText("The whole argument").click();
      await slip.getByRole("img", { name: /^Chance to last/ }).waitFor();
      await slip.evaluate((article) => article.scrollIntoView());
    },
  },
  { name: "item", path: "/item/trail-shoes-pair-3", size: DESK },
  { name: "trip", path: "/trips/the-long-quill-2025-06-07", size: DESK },
  { name: "shelf", path: "/shelf", size: DESK },
  {
    name: "trail-phone",
    path: "/trail",
    size: PHONE,
    open: async (page) => {
      for (const line of ["poncho sent home", "cold night, 2 °C, in quilt and fleece"]) {
        await page.getByLabel("What happened").fill(line);
        await page.getByRole("button", { name: "Keep it" }).click();
      }
      await page.getByText("Every line is saved.").waitFor();
      await page.getByLabel("What happened").fill("second head torch died, km 41");
    },
  },
  { name: "bench", path: "/bench", size: DESK },
  { name: "next", path: "/next", size: DESK },
  { name: "next-phone", path: "/next", size: PHONE },
  { name: "weigh-in", path: "/trips/the-long-quill-2025-06-07/weigh-in", size: DESK },
  { name: "nights", path: "/trips/nights?low=-3", size: DESK },
  { name: "supplies", path: "/trips/supplies?dry=20", size: DESK },
  { name: "season", path: "/season", size: DESK },
];

await ensureBuild();
const folder = await mkdtemp(path.join(tmpdir(), "nettle-shots-"));
await runTs("demo/load.ts", [folder]);
const port = await freePort();
const child = launch(folder, port);
const browser = await openBrowser();
try {
  await answers(`http://127.0.0.1:${port}`, child);
  await mkdir("docs/screenshots", { recursive: true });
  for (const { name, path: at, size, dark, open } of SHOTS) {
    const page = await browser.newPage({
      viewport: size,
      hasTouch: size.width < 600,
      colorScheme: dark ? "dark" : "light",
      reducedMotion: "reduce",
    });
    await page.goto(`http://127.0.0.1:${port}${at}`, { waitUntil: "networkidle" });
    await open?.(page);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.close();
  }
} finally {
  await browser.close();
  // It keeps a copy as it closes.
  const ended = new Promise((resolve) => child.on("exit", resolve));
  child.kill();
  await ended;
  await rm(folder, { recursive: true, force: true });
}
