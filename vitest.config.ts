import path from "node:path";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: "unit",
          include: ["src/**/*.test.{ts,tsx}", "measure/**/*.test.ts"],
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
          maxWorkers: 2,
          expect: { poll: { timeout: 60_000 } },
          globalSetup: ["tests/prepare.ts"],
        },
      },
    ],
  },
});
