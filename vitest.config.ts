import path from "node:path";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    projects: [
      { extends: true, test: { name: "unit", include: ["src/**/*.test.ts", "bench/**/*.test.ts"] } },
      { extends: true, test: { name: "whole", include: ["tests/**/*.test.ts"], testTimeout: 180_000, hookTimeout: 240_000, fileParallelism: false, globalSetup: ["tests/prepare.ts"] } },
    ],
  },
});
