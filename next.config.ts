import type { NextConfig } from "next";

const config: NextConfig = {
  // WebAssembly with files of its own beside it, and a driver that is only loaded for a server.
  serverExternalPackages: ["@electric-sql/pglite", "pg", "proper-lockfile", "tinypool"],
  poweredByHeader: false,
  devIndicators: false,
  // `npm run check` holds the types; a build from a fresh clone need not wait for them a second time.
  typescript: { ignoreBuildErrors: true },
  experimental: {
    serverActions: { bodySizeLimit: "8mb" },
    // After a kill the page that is wanted comes first: the others are loaded when they are asked for.
    preloadEntriesOnStart: false,
  },
};

export default config;
