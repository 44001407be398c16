// node mv.tmp.mjs FROM TO [FROM TO ...]: git mv with every import rewritten
import ts from "typescript"; import { execFileSync } from "node:child_process"; import { readFileSync, writeFileSync, mkdirSync } from "node:fs"; import path from "node:path";
const pairs = []; for (let n = 2; n < process.argv.length; n += 2) pairs.push([path.resolve(process.argv[n]), path.resolve(process.argv[n + 1])]);
const cfg = ts.parseJsonConfigFileContent(ts.readConfigFile("tsconfig.json", ts.sys.readFile).config, ts.sys, process.cwd());
const versions = new Map(); let names = cfg.fileNames.map((f) => path.resolve(f));
const cache = new Map(); const text = (f) => { if (!cache.has(f)) cache.set(f, ts.sys.readFile(f)); return cache.get(f); };
const host = { getScriptFileNames: () => names, getScriptVersion: (f) => String(versions.get(f) ?? 0), getScriptSnapshot: (f) => { const t = text(f); return t === undefined ? undefined : ts.ScriptSnapshot.fromString(t); }, getCurrentDirectory: () => process.cwd(), getCompilationSettings: () => cfg.options, getDefaultLibFileName: ts.getDefaultLibFilePath, fileExists: ts.sys.fileExists, readFile: ts.sys.readFile, readDirectory: ts.sys.readDirectory, directoryExists: ts.sys.directoryExists, getDirectories: ts.sys.getDirectories };
const svc = ts.createLanguageService(host);
for (const [from, to] of pairs) {
  const edits = svc.getEditsForFileRename(from, to, {}, { importModuleSpecifierPreference: "shortest", importModuleSpecifierEnding: "minimal" });
  for (const { fileName, textChanges } of edits) {
    let t = text(fileName); for (const { span, newText } of [...textChanges].sort((a, b) => b.span.start - a.span.start)) t = t.slice(0, span.start) + newText + t.slice(span.start + span.length);
    cache.set(fileName, t); writeFileSync(fileName, t); versions.set(fileName, (versions.get(fileName) ?? 0) + 1);
  }
  mkdirSync(path.dirname(to), { recursive: true }); execFileSync("git", ["mv", from, to]);
  cache.set(to, readFileSync(to, "utf8")); cache.delete(from); names = names.filter((n) => n !== from).concat(to); 
}
