// `npm test`: on a fresh clone, everything: packages, checks, unit tests, build, browser and process tests.
import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { checkNode, ensureBuild, ensurePackages, ROOT, run } from "./setup.mjs";

/** Debian's Chromium: there, or installed where we may, or one clear sentence. */
function ensureChromium() {
  if (existsSync(process.env.CHROMIUM || "/usr/bin/chromium")) return;
  const may = process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0;
  if (may) {
    console.error("Installing Chromium …");
    const quiet = { stdio: ["ignore", "ignore", "inherit"] };
    spawnSync("apt-get", ["update", "-qq"], quiet);
    spawnSync("apt-get", ["install", "-y", "-qq", "chromium"], { ...quiet, env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } });
    if (existsSync("/usr/bin/chromium")) return;
  }
  console.error("The browser tests need Chromium: install it (on Debian, `apt-get install chromium`), or set CHROMIUM to its program.");
  process.exit(1);
}

/** Runs one set of tests; how many passed and failed. */
async function tests(project, folder) {
  const report = path.join(folder, `${project}.json`);
  const vitest = path.join(ROOT, "node_modules", "vitest", "vitest.mjs");
  const clean = await run(process.execPath, [vitest, "run", "--project", project, "--reporter=default", "--reporter=json", `--outputFile.json=${report}`]).then(() => true, () => false);
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, "utf8"));
  return { passed: numPassedTests, failed: numFailedTests || (clean ? 0 : 1) };
}

checkNode();
await ensurePackages();
ensureChromium();
const folder = mkdtempSync(path.join(tmpdir(), "nettle-reports-"));
const checked = await run(process.execPath, [path.join(ROOT, "scripts", "check.mjs")]).then(() => true, () => false);
const unit = await tests("unit", folder);
const whole = await ensureBuild().then(() => tests("whole", folder), (error) => {
  console.error(error.message);
  return { passed: 0, failed: 1 };
});
rmSync(folder, { recursive: true, force: true });
const failed = unit.failed + whole.failed + (checked ? 0 : 1);
console.log(`${unit.passed + whole.passed + (checked ? 1 : 0)} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
