import { chromium } from "playwright-core";
const [,, base, ...shots] = process.argv;
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--headless","--no-sandbox","--disable-gpu","--disable-quic","--no-first-run","--disable-background-networking","--disable-component-update","--disable-sync"] });
for (const s of shots) { const [path, name, w=1280, h=800, full] = s.split(","); const p = await b.newPage({ viewport: { width: +w, height: +h } }); await p.goto(base + path, { waitUntil: "networkidle" }); await p.screenshot({ path: `/tmp/${name}.png`, fullPage: !!full }); await p.close(); }
await b.close();
