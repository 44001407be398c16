import { PNG } from "pngjs"; import { readFileSync, readdirSync, writeFileSync } from "node:fs";
const [,, a, b] = process.argv; let same = 0;
for (const f of readdirSync(a).filter(f => f.endsWith(".png"))) {
  const x = PNG.sync.read(readFileSync(`${a}/${f}`)), y = PNG.sync.read(readFileSync(`${b}/${f}`));
  const t1 = readFileSync(`${a}/${f.replace("png","txt")}`,"utf8"), t2 = readFileSync(`${b}/${f.replace("png","txt")}`,"utf8");
  if (x.width !== y.width || x.height !== y.height) { console.log(f, `size ${x.width}x${x.height} -> ${y.width}x${y.height}`, t1 === t2 ? "" : "TEXT differs"); continue; }
  let n = 0, top = 1e9, bottom = 0; for (let i = 0; i < x.data.length; i += 4) if (Math.abs(x.data[i]-y.data[i]) + Math.abs(x.data[i+1]-y.data[i+1]) + Math.abs(x.data[i+2]-y.data[i+2]) > 24) { n++; const r = Math.floor(i/4/x.width); top = Math.min(top, r); bottom = Math.max(bottom, r); }
  if (n || t1 !== t2) console.log(f, n, "px rows", top, "to", bottom, t1 === t2 ? "" : "TEXT differs"); else same++;
}
console.log(same, "the same");
