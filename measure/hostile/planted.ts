import { spawnSync } from "node:child_process";
import { cp, mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";

/** A fault of a sort that the hostile run is there to notice: in a file, a passage for another. */
interface Planted {
  readonly what: string;
  readonly file: string;
  readonly from: string;
  readonly to: string;
}

const PLANTED: readonly Planted[] = [
  {
    what: "acknowledge before commit, which is put off by 20 ms",
    file: "src/data/store.ts",
    from: "      return unlessFull((store) => store.transaction(work));\n",
    to: `      return unlessFull(
        (store) =>
          new Promise((done, failed) => {
            const acknowledged = async (tx: Db) => {
              const made = await work(tx);
              done(made);
              await new Promise((later) => setTimeout(later, 20));
              return made;
            };
            store.transaction(acknowledged).catch(failed);
          }),
      );
`,
  },
  {
    what: "lose every fiftieth mark",
    file: "src/data/records/carries.ts",
    from: "  const { trip, item } = change;\n",
    to: "  const { trip, item } = change;\n  const lost = globalThis as { marks?: number };\n  lost.marks = (lost.marks ?? 0) + 1;\n  if (lost.marks % 50 === 0) return null;\n",
  },
  {
    what: "a mark put over what another screen said",
    file: "src/data/records/carries.ts",
    from: "change.from === undefined ? change.mark : mergedMark",
    to: "change.trip ? change.mark : mergedMark",
  },
  {
    what: "a reading left stale after an exit",
    file: "src/app/reading.ts",
    from: "  const log = await rereadLog(db, reading.log, parts);\n",
    to: "  const log = await rereadLog(db, reading.log, parts);\n  const exits = (of: Log) => of.trips.flatMap(({ carries }) => carries.filter(({ mark }) => mark?.exit)).length;\n  if (exits(log) > exits(reading.log)) return { changes, reading };\n",
  },
  {
    what: "the guard's check of the name it is called by off",
    file: "src/server/guard.ts",
    from: "if (!LOCAL.includes(name) &&",
    to: "if (host === null &&",
  },
  {
    what: "an action that stores what its own export refuses",
    file: "src/app/api/marks/route.ts",
    from: "        await refuseStray(tx, change);\n",
    to: "        if (changes.length < 0) await refuseStray(tx, change);\n",
  },
  {
    what: "the check of Text off",
    file: "src/core/units/text.ts",
    from: ".refine((text) => !STRAY.test(text)",
    to: ".refine((text) => !STRAY.test(text) || true",
  },
];

const COPIED = [
  "src",
  "scripts",
  "demo",
  "measure",
  "tests",
  "public",
  "package.json",
  "package-lock.json",
  "next.config.ts",
  "postcss.config.mjs",
  "tsconfig.json",
];

/** Builds the app with each fault (of those whose name holds a word), and tells how many of so many runs of so many seconds noticed it. */
export async function plantedTable(runs: number, seconds: number, word: string): Promise<string[]> {
  const rows: string[] = [];
  for (const { what, file, from, to } of PLANTED.filter((fault) => fault.what.includes(word))) {
    const copy = await mkdtemp(path.join(tmpdir(), "nettle-planted-"));
    for (const name of COPIED) await cp(name, path.join(copy, name), { recursive: true });
    // By hard links: the framework takes no folder that lies elsewhere.
    spawnSync("cp", ["-al", path.resolve("node_modules"), copy]);
    const source = await readFile(path.join(copy, file), "utf8");
    if (source.split(from).length !== 2) throw new Error(`${what}: its passage stands not once in ${file}.`);
    await writeFile(
      path.join(copy, file),
      source.replace(from, () => to),
    );
    let noticed = 0;
    let took = 0;
    for (let seed = 1; seed <= runs; seed += 1) {
      const began = Date.now();
      const { status, stdout, stderr } = spawnSync(
        process.execPath,
        ["scripts/run.mjs", "measure/hostile/run.ts", "--first"].concat(
          ["--minutes", String(seconds / 60)],
          ["--seed", String(seed)],
        ),
        { cwd: copy, encoding: "utf8" },
      );
      // What stands before its table is the build's.
      const told = (stdout.split("| attack |")[1] ?? "").split("\n").filter((line) => line.startsWith("- "));
      // It ends with 1 where it found faults; with anything else it did not run.
      if (status !== 0 && told.length === 0) throw new Error(`${what}: it did not run.\n${stderr}`);
      if (told.length > 0) noticed += 1;
      console.error(`${what}, seed ${seed}: ${told[0] ?? "not noticed"}`);
      took += Date.now() - began;
    }
    rows.push(`| ${what} | ${noticed} of ${runs} | ${Math.round(took / runs / 1000)} s |`);
    console.log(rows.at(-1));
    await rm(copy, { recursive: true, force: true });
  }
  return rows;
}
