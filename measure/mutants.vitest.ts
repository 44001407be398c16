import path from "node:path";
import { defineConfig } from "vitest/config";

/** The tests that the mutants are put to: the core’s own, and those on the practice kits. */
export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "../src") } },
  test: {
    root: path.resolve(import.meta.dirname, ".."),
    include: [
      "src/core/**/*.test.ts",
      "src/formats/log-file.test.ts",
      "measure/{practice,told,doing}.test.ts",
    ],
    testTimeout: 120_000,
  },
});
