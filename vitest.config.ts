import path from "node:path";
import { defineConfig } from "vitest/config";
import { BaseSequencer, type TestSpecification } from "vitest/node";

/** The files that take longest, so that no core is left with one of them at the end. */
const LONGEST = [
  "screens",
  "unpack",
  "next",
  "agreement",
  "disk",
  "hostile",
  "trips",
  "process",
  "verdicts",
  "clock",
  "numbers",
  "walks",
  "files",
  "item",
  "walkers",
  "practice",
];
const rankOf = ({ moduleId }: TestSpecification) => {
  const at = LONGEST.findIndex((name) => moduleId.endsWith(`/${name}.test.ts`));
  return at < 0 ? LONGEST.length : at;
};

/** Test files in the order that ends soonest: a fresh clone has no times of its own yet. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    return [...(await super.sort(files))].sort((a, b) => rankOf(a) - rankOf(b));
  }
}

/** For what hangs, and not for what is slow: a busy machine takes several times as long as a quiet one, in ms. */
const PATIENCE = 300_000;

/** Tests that stand modules on their head, or hold a database: each of their files has a process of its own. */
const APART = ["src/{app,data,server}/*.test.ts", "src/ui/marks/*.test.ts"];

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    sequence: { sequencer: LongestFirst },
    maxWorkers: 2,
    unstubGlobals: true,
    setupFiles: ["tests/seed.ts"],
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          include: [
            "src/{core,formats,standins,ui}/**/*.test.{ts,tsx}",
            "src/app/*/**/*.test.ts",
            "measure/**/*.test.ts",
          ],
          exclude: APART,
          testTimeout: PATIENCE,
          // Nothing here holds anything: what one file has loaded, the next one uses.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: "apart",
          include: APART,
          testTimeout: PATIENCE,
          hookTimeout: PATIENCE,
          globalSetup: ["tests/bundled.ts"],
        },
      },
      {
        extends: true,
        test: {
          name: "whole",
          include: ["tests/**/*.test.ts"],
          testTimeout: PATIENCE,
          hookTimeout: PATIENCE,
          expect: { poll: { timeout: 60_000 } },
          globalSetup: ["tests/prepare.ts"],
        },
      },
    ],
  },
});
