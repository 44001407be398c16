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

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    sequence: { sequencer: LongestFirst },
    maxWorkers: 2,
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
          testTimeout: 120_000,
          // Nothing here holds anything: what one file has loaded, the next one uses.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: "data",
          include: ["src/{app,data,server}/*.test.ts"],
          testTimeout: 120_000,
          globalSetup: ["tests/bundled.ts"],
        },
      },
      {
        extends: true,
        test: {
          name: "whole",
          include: ["tests/**/*.test.ts"],
          testTimeout: 300_000,
          hookTimeout: 240_000,
          expect: { poll: { timeout: 60_000 } },
          globalSetup: ["tests/prepare.ts"],
        },
      },
    ],
  },
});
