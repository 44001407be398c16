import type { NextConfig } from "next";

const config: NextConfig = {
  // WebAssembly with files of its own beside it, and a driver that is only loaded for a server.
  serverExternalPackages: ["@electric-sql/pglite", "pg", "proper-lockfile"],
  poweredByHeader: false,
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: "8mb" } },
};

export default config;
