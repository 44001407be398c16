// usage: node .shot.mjs 'path|out.png|w|h|script' ...
import { chromium } from "playwright-core";
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-quic","--no-first-run","--disable-background-networking","--disable-component-update","--disable-sync"] });
for (const spec of process.argv.slice(2)) {
  const [p, out, w = 1280, h = 800, ...rest] = spec.split("|");
  const script = rest.join("|");
  const context = await browser.newContext({ viewport: { width: +w, height: +h }, hasTouch: +w < 500 });
  const page = await context.newPage();
  page.on("pageerror", (e) => console.log("PAGEERROR", e.message));
  page.on("console", (m) => m.type() === "error" && console.log("CONSOLE", m.text().slice(0, 300)));
  await page.goto((process.env.BASE ?? "http://127.0.0.1:4313") + p, { waitUntil: "networkidle" });
  if (script) await new Function("page", `return (async () => { ${script} })()`)(page);
  await page.waitForTimeout(500);
  await page.screenshot({ path: out });
  await context.close();
}
await browser.close();
