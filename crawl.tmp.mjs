// node crawl.tmp.mjs ROOT OUT : serves ROOT's build on a copy of /tmp/demodata, pictures + texts of every page
import { createRequire } from "node:module";
import { spawn } from "node:child_process";
import { cpSync, mkdirSync, rmSync, writeFileSync } from "node:fs";
import { chromium } from "playwright-core";
const [,, root, out] = process.argv;
mkdirSync(out, { recursive: true });
const data = out + "-data"; rmSync(data, { recursive: true, force: true }); cpSync("/tmp/demodata", data, { recursive: true });
const port = 4300 + Math.floor(Math.random() * 90);
const child = spawn(process.execPath, ["build/serve.mjs"], { cwd: root, env: { ...process.env, NODE_ENV: "production", PORT: String(port), NETTLE_DATA: data, NETTLE_HOST: "127.0.0.1" }, stdio: "ignore" });
const base = `http://127.0.0.1:${port}`;
for (let n = 0; n < 300; n++) { if (await fetch(base + "/settings").then(r => r.ok, () => false)) break; await new Promise(r => setTimeout(r, 200)); }
const log = await (await fetch(base + "/api/log")).json();
const trip = "the-long-quill-2025-06-07", item = "trail-shoes-pair-3", un = "sunder-crossing-2026-07-11";
const pages = { tally: "/", verdicts: "/verdicts", item: `/item/${item}`, itemedit: `/item/${item}/edit`, trip: `/trips/${trip}`, tripedit: `/trips/${trip}/edit`, tripnew: "/trips/new", weighin: `/trips/${trip}/weigh-in`, trips: "/trips", compare: "/trips/compare", nights: "/trips/nights?low=-3", supplies: "/trips/supplies?dry=20", shelf: "/shelf", import: "/shelf/import", weigh: "/shelf/weigh", wishes: "/shelf/wishes", beside: "/shelf/beside", money: "/shelf/money", bench: "/bench", next: "/next", ready: "/ready", season: "/season", settings: "/settings", trail: "/trail", unpackall: "/unpack", unpack: `/unpack/${un}`, talk: `/unpack/${un}/talk`, nothere: "/item/none" };
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--headless","--no-sandbox","--disable-gpu","--disable-quic","--no-first-run","--disable-background-networking","--disable-component-update","--disable-sync"] });
const faults = [];
for (const [size, w, h] of [["desk", 1280, 800], ["phone", 390, 844]]) {
  const c = await b.newContext({ viewport: { width: w, height: h }, hasTouch: size === "phone" });
  for (const [name, path] of Object.entries(pages)) {
    const p = await c.newPage();
    p.on("console", m => { if (m.type() === "error") faults.push(`${size} ${name}: ${m.text()}`); });
    p.on("pageerror", e => faults.push(`${size} ${name}: ${e.message}`));
    await p.goto(base + path, { waitUntil: "networkidle" });
    await p.waitForTimeout(400);
    await p.screenshot({ path: `${out}/${name}-${size}.png`, fullPage: true, animations: "disabled", caret: "hide" });
    writeFileSync(`${out}/${name}-${size}.txt`, await p.locator("body").innerText());
    if (size === "desk") writeFileSync(`${out}/${name}.html`, (await p.locator("body").evaluate(e => e.outerHTML)).replace(/<script.*?<\/script>/gs, "").replace(/></g, ">\n<"));
    await p.close();
  }
  await c.close();
}
console.log(faults.join("\n") || "no faults");
await b.close(); child.kill();
