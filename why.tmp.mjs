import ts from "typescript"; import fs from "node:fs"; import path from "node:path";
const target = process.argv[2]; const starts = process.argv.slice(3);
const resolve = (from, spec) => { if (spec.startsWith("@/")) spec = path.resolve("src", spec.slice(2)); else if (spec.startsWith(".")) spec = path.resolve(path.dirname(from), spec); else return spec; for (const e of ["", ".ts", ".tsx", "/index.ts"]) if (fs.existsSync(spec + e) && fs.statSync(spec + e).isFile()) return spec + e; return spec; };
const cache = new Map();
const imports = (f) => { if (cache.has(f)) return cache.get(f); const s = ts.createSourceFile(f, fs.readFileSync(f, "utf8"), ts.ScriptTarget.Latest, true); const out = [];
  if (/^\s*"use server"/.test(s.text)) { cache.set(f, []); return []; }
  s.forEachChild((n) => { if (ts.isImportDeclaration(n)) { const c = n.importClause; if (c?.isTypeOnly) return; if (c && !c.name && c.namedBindings && ts.isNamedImports(c.namedBindings) && c.namedBindings.elements.every((e) => e.isTypeOnly)) return; out.push(resolve(f, n.moduleSpecifier.text)); } else if (ts.isExportDeclaration(n) && n.moduleSpecifier && !n.isTypeOnly) out.push(resolve(f, n.moduleSpecifier.text)); });
  cache.set(f, out); return out; };
for (const start of starts) { const from = new Map([[path.resolve(start), null]]); const q = [path.resolve(start)]; let hit = null; while (q.length && !hit) { const f = q.shift(); if (!fs.existsSync(f)) continue; for (const i of imports(f)) { if (from.has(i)) continue; from.set(i, f); if (i === target || i.includes(target)) { hit = i; break; } if (i.startsWith("/")) q.push(i); } }
  if (hit) { const chain = []; for (let f = hit; f; f = from.get(f)) chain.unshift(path.relative(".", f)); console.log(chain.join(" -> ")); } else console.log(start, "no"); }
