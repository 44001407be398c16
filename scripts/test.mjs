// `npm test`: on a fresh clone, everything: packages, checks, unit tests, build, browser and process tests.
import { spawnSync } from "node:child_process";
import { closeSync, existsSync, mkdtempSync, openSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { aptGet } from "./apt-get.mjs";
import { chromiumProgram, postgresPrograms } from "./debian-programs.mjs";
import { checkNode, ensureBuild, ensurePackages, ROOT, run } from "./setup.mjs";

/** What the tests run that is Debian's: whether it is there, its package or another, and what is said where it can't be installed. */
const PROGRAMS = [
  {
    name: "Chromium",
    debian: ["chromium-headless-shell", "chromium"],
    isThere: () => chromiumProgram() !== null,
    otherwise:
      "The browser tests need Chromium: install it (on Debian, `apt-get install chromium-headless-shell`), or set CHROMIUM to its program.",
  },
  {
    name: "certutil",
    debian: ["libnss3-tools"],
    isOptional: true,
    isThere: () => spawnSync("certutil", ["-H"]).error === undefined,
    otherwise:
      "Without certutil (on Debian, libnss3-tools) Chromium is told to trust the padlock by its key alone.",
  },
  {
    name: "PostgreSQL",
    debian: ["postgresql"],
    isThere: () => postgresPrograms() !== null,
    otherwise:
      "The tests of DATABASE_URL need PostgreSQL's server: install it (on Debian, `apt-get install postgresql`), or set POSTGRES_BIN to the folder of initdb and postgres.",
  },
];

/** Debian's programs: there, or their packages installed where we may, or one clear sentence each. */
async function ensurePrograms() {
  const lacking = () => PROGRAMS.filter(({ isThere }) => !isThere());
  const may = process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0;
  const wanted = lacking();
  if (may && wanted.length > 0) {
    console.error(`Installing ${wanted.map(({ name }) => name).join(", ")} …`);
    await aptGet(["update", "-qq"]);
    const install = (packages) => aptGet(["install", "-y", "-qq", "--no-install-recommends", ...packages]);
    await install(wanted.map(({ debian: [first] }) => first));
    // One package that is not to be had keeps the others out too.
    for (const { debian } of lacking()) await install(debian.slice(-1));
  }
  for (const { otherwise } of lacking()) console.error(otherwise);
  if (lacking().some(({ isOptional }) => !isOptional)) process.exit(1);
}

/** Runs one set of tests; how many passed and failed, and which files they were in. */
async function tests(projects, folder, into) {
  const report = path.join(folder, `${projects.join("-")}.json`);
  const vitest = path.join(ROOT, "node_modules", "vitest", "vitest.mjs");
  const clean = await succeeds(
    run(
      process.execPath,
      [
        vitest,
        "run",
        ...projects.flatMap((project) => ["--project", project]),
        "--reporter=default",
        "--reporter=json",
        `--outputFile.json=${report}`,
      ],
      { into },
    ),
  );
  if (!existsSync(report))
    return { passed: 0, failed: 1, files: [], why: [`${projects.join(", ")}: no report`] };
  const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(report, "utf8"));
  return {
    passed: numPassedTests,
    failed: numFailedTests || (clean ? 0 : 1),
    files: testResults.map(({ name }) => path.relative(ROOT, name)),
    why: testResults.flatMap(whyFailed),
  };
}

/** What failed in a file of tests, each with the first lines of why. */
const whyFailed = ({ name, message, assertionResults }) => {
  const file = path.relative(ROOT, name);
  const inFile = assertionResults
    .filter(({ status }) => status === "failed")
    .map(
      ({ fullName, failureMessages }) => `${file} > ${fullName}\n${failureMessages.join("\n").slice(0, 600)}`,
    );
  return inFile.length || !message ? inFile : [`${file}\n${message.slice(0, 600)}`];
};

/** Test files that no project took up. */
const leftOut = (ran) => {
  const all = ["src", "tests", "measure"].flatMap((folder) =>
    readdirSync(path.join(ROOT, folder), { recursive: true }).map((file) => path.join(folder, file)),
  );
  return all.filter((file) => /\.test\.tsx?$/.test(file) && !ran.has(file));
};

const succeeds = (work) =>
  work.then(
    () => true,
    (error) => {
      console.error(error.message);
      return false;
    },
  );
const counted = (passed, what) => ({
  passed: Number(passed),
  failed: Number(!passed),
  files: [],
  why: passed ? [] : [what],
});

/** The checks and the unit tests, which need no build. What they say is kept together until they end. */
async function withoutBuild(folder) {
  const said = path.join(folder, "without-build.txt");
  const into = openSync(said, "w");
  const checks = counted(
    await succeeds(run(process.execPath, [path.join(ROOT, "scripts", "check.mjs")], { into })),
    "the checks",
  );
  const unit = await tests(["unit", "apart"], folder, into);
  closeSync(into);
  process.stdout.write(readFileSync(said));
  return [checks, unit];
}

/** The build, and the tests that use it. */
const withBuild = async (folder) =>
  (await succeeds(ensureBuild()))
    ? [counted(true), await tests(["whole"], folder)]
    : [counted(false, "the build")];

checkNode();
await Promise.all([ensurePackages(), ensurePrograms()]);
const folder = mkdtempSync(path.join(tmpdir(), "nettle-reports-"));
// Side by side: the browser tests wait much, and leave a core for the rest.
const ended = (await Promise.all([withoutBuild(folder), withBuild(folder)])).flat();
rmSync(folder, { recursive: true, force: true });
const missed = leftOut(new Set(ended.flatMap(({ files }) => files)));
ended.push(counted(missed.length === 0, `no project of vitest.config.ts takes up ${missed.join(", ")}`));
// Last, so that whoever sees no more than the end of what was said knows what to mend.
for (const why of ended.flatMap(({ why }) => why)) console.error(`FAILED ${why}\n`);
const sum = (what) => ended.reduce((all, one) => all + one[what], 0);
console.log(`${sum("passed")} passed, ${sum("failed")} failed`);
process.exit(sum("failed") ? 1 : 0);
