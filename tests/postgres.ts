import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { chownSync } from "node:fs";
import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import pg from "pg";
import { postgresPrograms } from "../scripts/debian-programs.mjs";

/** A PostgreSQL server of a test's own, on a socket in a folder of its own: no port is opened. */
export interface Postgres {
  /** For DATABASE_URL. */
  readonly url: string;
  /** Kills it with every process of it, as a crash would, or starts it again on the same data. */
  kill(): Promise<void>;
  start(): Promise<void>;
  query(sql: string): Promise<pg.QueryResult>;
}

/** It refuses to run as root: there it runs as the user that Debian's package made for it. */
function unprivileged(): { uid?: number; gid?: number } {
  if (process.getuid?.() !== 0) return {};
  const id = (flag: string) => Number(spawnSync("id", [flag, "postgres"], { encoding: "utf8" }).stdout);
  return { uid: id("-u"), gid: id("-g") };
}

export async function startPostgres(): Promise<Postgres> {
  const bin = postgresPrograms();
  if (!bin) throw new Error("startPostgres: no PostgreSQL here; `npm test` installs it where it may");
  const user = unprivileged();
  // Short, for the name of a socket may have 107 letters at most.
  const folder = await mkdtemp(path.join(tmpdir(), "npg-"));
  if (user.uid !== undefined) chownSync(folder, user.uid, user.gid!);
  const data = path.join(folder, "data");
  const made = spawnSync(
    path.join(bin, "initdb"),
    ["-D", data, "-U", "nettle", "--auth=trust", "--no-instructions"],
    { ...user, encoding: "utf8" },
  );
  if (made.status !== 0) throw new Error(`initdb: ${made.stderr}`);
  const url = `postgres://nettle@localhost/postgres?host=${encodeURIComponent(folder)}`;
  const query = async (sql: string) => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    try {
      return await client.query(sql);
    } finally {
      await client.end();
    }
  };
  let server: ChildProcess;
  const start = async () => {
    server = spawn(path.join(bin, "postgres"), ["-D", data, "-k", folder, "-c", "listen_addresses="], {
      ...user,
      // A group of its own, so that all of its processes are killed together.
      detached: true,
      stdio: "ignore",
    });
    const deadline = Date.now() + 60_000;
    while (!(await query("select 1").catch(() => null))) {
      if (Date.now() > deadline) throw new Error("startPostgres: it does not answer");
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  await start();
  return {
    url,
    query,
    start,
    kill: () =>
      new Promise((resolve) => {
        server.on("exit", () => resolve());
        process.kill(-server.pid!, "SIGKILL");
      }),
  };
}
