import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { replaceLog } from "@/data/records/log";
import { migrate } from "@/data/migrate";
import { liteStore } from "@/data/store";
import { demoLog } from "../../demo/log";
import { ensureBuild } from "../../scripts/setup.mjs";
import { attackFor } from "./attack-for";
import { plantedTable } from "./planted";

/**
 * `npm run hostile -- --minutes 10 --seed 1`: kills, second processes, fuzz and probes for as long as it is told, and a table of what came
 * of it; with `--first`, until the first fault. `npm run hostile -- --planted [WORD]`: are faults put in on purpose noticed by the share
 * of it that runs in `npm test`?
 */
const option = (name: string, fallback: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? fallback : Number(process.argv[at + 1]);
};
const minutes = option("minutes", 2);
const seed = option("seed", 1);
if (!(minutes > 0) || !Number.isInteger(seed)) throw new Error("Say it like --minutes 10 --seed 1.");

/** The share that runs in `npm test`, and how often it is tried on each fault. */
const SHARE_SECONDS = 45;
const RUNS = 10;
if (process.argv.includes("--planted")) {
  const word = process.argv[process.argv.indexOf("--planted") + 1] ?? "";
  const rows = await plantedTable(RUNS, SHARE_SECONDS, word);
  console.log(`\n| fault put in | noticed | each took |\n| --- | --- | --- |\n${rows.join("\n")}`);
  process.exit(0);
}

await ensureBuild();
const folder = await mkdtemp(path.join(tmpdir(), "nettle-hostile-start-"));
const snapshot = path.join(folder, "demo.tar");
const lite = await PGlite.create();
const store = liteStore(lite);
await migrate(store);
await store.transaction((tx) => replaceLog(tx, demoLog()));
await writeFile(snapshot, Buffer.from(await (await lite.dumpDataDir("none")).arrayBuffer()));
await lite.close();

const outcomes = await attackFor(minutes * 60, seed, snapshot, { toFirst: process.argv.includes("--first") });
await rm(folder, { recursive: true, force: true });
console.log(
  `${minutes} minutes, seed ${seed}\n\n| attack | rounds | tries | faults |\n| --- | --- | --- | --- |`,
);
for (const { name, rounds, tries, faults } of outcomes)
  console.log(`| ${name} | ${rounds} | ${tries} | ${faults.length} |`);
for (const fault of outcomes.flatMap(({ faults }) => faults).slice(0, 20)) console.log(`- ${fault}`);
process.exit(outcomes.some(({ faults }) => faults.length > 0) ? 1 : 0);
