import { mkdir, mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { answers, freePort, launch, openBrowser } from "../tests/launch";
import { ensureBuild, runTs } from "./setup.mjs";

/** `npm run shots`: one picture for each main view, of the demo, in docs/screenshots. */
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const SHOTS = [
  { name: "tally", path: "/", size: DESK },
  { name: "tally-dark", path: "/", size: DESK, dark: true },
  { name: "tally-phone", path: "/", size: PHONE },
  { name: "unpack", path: "/unpack/sunder-crossing-2026-07-11", size: DESK },
  { name: "unpack-phone", path: "/unpack/sunder-crossing-2026-07-11", size: PHONE },
  { name: "verdicts", path: "/verdicts", size: DESK },
  { name: "item", path: "/item/trail-shoes-pair-3", size: DESK },
  { name: "trips", path: "/trips", size: DESK },
  { name: "trip", path: "/trips/the-long-quill-2025-06-07", size: DESK },
  { name: "new-trip", path: "/trips/new", size: DESK },
  { name: "shelf", path: "/shelf", size: DESK },
  { name: "settings", path: "/settings", size: DESK },
] as const;

await ensureBuild();
const folder = await mkdtemp(path.join(tmpdir(), "nettle-shots-"));
await runTs("demo/load.ts", [folder]);
const port = await freePort();
const child = launch(folder, port);
const browser = await openBrowser();
try {
  await answers(`http://127.0.0.1:${port}`, child);
  await mkdir("docs/screenshots", { recursive: true });
  for (const { name, path: at, size, ...more } of SHOTS) {
    const page = await browser.newPage({ viewport: size, hasTouch: size.width < 600, colorScheme: "dark" in more ? "dark" : "light", reducedMotion: "reduce" });
    await page.goto(`http://127.0.0.1:${port}${at}`, { waitUntil: "networkidle" });
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.close();
  }
} finally {
  await browser.close();
  child.kill();
  await rm(folder, { recursive: true, force: true });
}
