// `npm run check`: format, types, lint, imports that point one way, unused code.
import path from "node:path";
import { checkNode, ensurePackages, ROOT, run } from "./setup.mjs";

checkNode();
await ensurePackages();
const bin = (name) => path.join(ROOT, "node_modules", ...name.split("/"));
for (const [what, file, ...args] of [
  ["format", "prettier/bin/prettier.cjs", "--check", "--log-level", "warn", "."],
  ["types", "typescript/bin/tsc", "--noEmit"],
  ["lint", "eslint/bin/eslint.js", "."],
  [
    "imports",
    "dependency-cruiser/bin/dependency-cruise.mjs",
    "--config",
    ".dependency-cruiser.cjs",
    "src",
    "demo",
    "scripts",
    "measure",
    "tests",
  ],
  ["unused code", "knip/bin/knip.js"],
]) {
  console.error(`Checking ${what} …`);
  await run(process.execPath, [bin(file), ...args]).catch(() => {
    console.error(`The check of ${what} failed.`);
    process.exit(1);
  });
}
