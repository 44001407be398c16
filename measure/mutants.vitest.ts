import path from "node:path";
import { defineConfig } from "vitest/config";

/** The tests that the mutants are put to: the core’s own, and those on the practice kits; not the told snapshots, which show change and not error. */
export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "../src") } },
  test: {
    root: path.resolve(import.meta.dirname, ".."),
    include: [
      "src/core/**/*.test.ts",
      "src/{formats,standins}/**/*.test.ts",
      "measure/{practice,doing,sentences}.test.ts",
      "measure/hearing/*.test.ts",
    ],
    testTimeout: 120_000,
    setupFiles: ["tests/seed.ts"],
  },
});
