// `npm test`: on a fresh clone, everything: packages, checks, unit tests, build, browser and process tests.
import { spawnSync } from "node:child_process";
import { closeSync, existsSync, mkdtempSync, openSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { aptGet } from "./apt-get.mjs";
import { postgresPrograms } from "./postgres-programs.mjs";
import { checkNode, ensureBuild, ensurePackages, ROOT, run } from "./setup.mjs";

/** A program of Debian's: there, or its package installed where we may, or one clear sentence. */
async function ensureProgram({ isThere, name, debian, otherwise, isOptional = false }) {
  if (isThere()) return;
  const may = process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0;
  if (may) {
    console.error(`Installing ${name} …`);
    await aptGet(["update", "-qq"]);
    await aptGet(["install", "-y", "-qq", "--no-install-recommends", debian]);
    if (isThere()) return;
  }
  console.error(otherwise);
  if (!isOptional) process.exit(1);
}

const PROGRAMS = [
  {
    name: "Chromium",
    debian: "chromium",
    isThere: () => existsSync(process.env.CHROMIUM || "/usr/bin/chromium"),
    otherwise:
      "The browser tests need Chromium: install it (on Debian, `apt-get install chromium`), or set CHROMIUM to its program.",
  },
  {
    name: "certutil",
    debian: "libnss3-tools",
    isOptional: true,
    isThere: () => spawnSync("certutil", ["-H"]).error === undefined,
    otherwise:
      "Without certutil (on Debian, libnss3-tools) Chromium is told to trust the padlock by its key alone.",
  },
  {
    name: "PostgreSQL",
    debian: "postgresql",
    isThere: () => postgresPrograms() !== null,
    otherwise:
      "The tests of DATABASE_URL need PostgreSQL's server: install it (on Debian, `apt-get install postgresql`), or set POSTGRES_BIN to the folder of initdb and postgres.",
  },
];

/** Runs one set of tests; how many passed and failed. */
async function tests(project, folder, into) {
  const report = path.join(folder, `${project}.json`);
  const vitest = path.join(ROOT, "node_modules", "vitest", "vitest.mjs");
  const clean = await succeeds(
    run(
      process.execPath,
      [
        vitest,
        "run",
        "--project",
        project,
        "--reporter=default",
        "--reporter=json",
        `--outputFile.json=${report}`,
      ],
      { into },
    ),
  );
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, "utf8"));
  return { passed: numPassedTests, failed: numFailedTests || (clean ? 0 : 1) };
}

const succeeds = (work) =>
  work.then(
    () => true,
    (error) => {
      console.error(error.message);
      return false;
    },
  );
const counted = (passed) => ({ passed: Number(passed), failed: Number(!passed) });

/** The checks and the unit tests, which need no build. What they say is kept together until they end. */
async function withoutBuild(folder) {
  const said = path.join(folder, "without-build.txt");
  const into = openSync(said, "w");
  const checks = counted(
    await succeeds(run(process.execPath, [path.join(ROOT, "scripts", "check.mjs")], { into })),
  );
  const unit = await tests("unit", folder, into);
  closeSync(into);
  process.stdout.write(readFileSync(said));
  return [checks, unit];
}

/** The build, and the tests that use it. */
const withBuild = async (folder) =>
  (await succeeds(ensureBuild())) ? [counted(true), await tests("whole", folder)] : [counted(false)];

checkNode();
await ensurePackages();
for (const program of PROGRAMS) await ensureProgram(program);
const folder = mkdtempSync(path.join(tmpdir(), "nettle-reports-"));
// Side by side: the browser tests wait much, and leave a core for the rest.
const ended = (await Promise.all([withoutBuild(folder), withBuild(folder)])).flat();
rmSync(folder, { recursive: true, force: true });
const sum = (what) => ended.reduce((all, one) => all + one[what], 0);
console.log(`${sum("passed")} passed, ${sum("failed")} failed`);
process.exit(sum("failed") ? 1 : 0);
