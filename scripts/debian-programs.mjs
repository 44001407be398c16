import { existsSync, readdirSync } from "node:fs";
import path from "node:path";

/** The folder with PostgreSQL's own programs: POSTGRES_BIN, else the newest where Debian puts them; null where there is none. */
export function postgresPrograms() {
  const debian = "/usr/lib/postgresql";
  const folders = process.env.POSTGRES_BIN
    ? [process.env.POSTGRES_BIN]
    : existsSync(debian)
      ? readdirSync(debian)
          .sort((a, b) => Number(b) - Number(a))
          .map((version) => path.join(debian, version, "bin"))
      : [];
  return (
    folders.find((folder) => ["initdb", "postgres"].every((name) => existsSync(path.join(folder, name)))) ??
    null
  );
}

/** Chromium's program: CHROMIUM, else Debian's, first the one without a window, which starts and draws in less time; null where there is none. */
export function chromiumProgram() {
  const programs = process.env.CHROMIUM
    ? [process.env.CHROMIUM]
    : ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];
  return programs.find((program) => existsSync(program)) ?? null;
}
