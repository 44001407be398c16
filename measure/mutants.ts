import { spawnSync } from "node:child_process";
import { readdirSync, readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { seeded } from "../tests/seeded";

/**
 * Breaks the core in small ways, layer by layer (`--of`, the judging ones where it is left out), and counts how many of them the
 * tests notice. The whole takes hours, so a seeded draw of passages is taken: `--share`, 0 to 1, of the code, in passages of so
 * many lines. A change that reaches past its passage
 * (a long function left empty) is not among them.
 */
const PASSAGE = 6;
const { values } = parseArgs({
  options: {
    share: { type: "string", default: "0.03" },
    seed: { type: "string", default: "1" },
    of: { type: "string", default: "advice,belief,decide,ledger,reasons" },
  },
});
const random = seeded(Number(values.seed));
const passages = values.of
  .split(",")
  .map((layer) => (layer === "formats" ? "src/formats" : `src/core/${layer}`))
  .flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: "utf8" }).map((file) => `${folder}/${file}`),
  )
  .filter((file) => /(?<!\.test|\.d)\.ts$/.test(file))
  .sort()
  .flatMap((file) => {
    const lines = readFileSync(file, "utf8").split("\n").length;
    return Array.from(
      { length: Math.ceil(lines / PASSAGE) },
      (_, n) => `${file}:${n * PASSAGE + 1}-${Math.min(lines, (n + 1) * PASSAGE)}`,
    );
  })
  .filter(() => random() < Number(values.share));
console.log(`${passages.length} passages of ${PASSAGE} lines`);
process.exitCode =
  spawnSync("npx", ["stryker", "run", "--mutate", passages.join(",")], { stdio: "inherit" }).status ?? 1;
