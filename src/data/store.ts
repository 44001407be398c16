import { PGlite } from "@electric-sql/pglite";
import { mkdir, readFile, stat } from "node:fs/promises";
import path from "node:path";
import pg from "pg";
import type { Store } from "./db";
import { lockFolder } from "./lock";
import { migrate } from "./migrate";

/**
 * Opens the owner's data and brings it up to date: a PostgreSQL server where `url` is given, else PGlite in `folder`,
 * locked against a second process.
 *
 * @throws FolderInUse if another process holds the folder; NewerDatabase if a later version wrote it
 */
export async function openStore({
  folder,
  url,
  snapshot,
}: {
  folder: string;
  url?: string;
  snapshot?: string;
}): Promise<Store> {
  const store = url ? await openServer(url) : await openFolder(folder, snapshot);
  try {
    await migrate(store);
    return store;
  } catch (error) {
    await store.close();
    throw error;
  }
}

async function openFolder(folder: string, snapshot?: string): Promise<Store> {
  await mkdir(folder, { recursive: true });
  const unlock = await lockFolder(folder);
  try {
    const files = path.join(folder, "pg");
    const fresh = (await stat(files).catch(() => null)) === null;
    // A prepared snapshot spares the seconds that a first start takes.
    const loadDataDir = fresh && snapshot ? new Blob([await readFile(snapshot)]) : undefined;
    const open = liteStore(await PGlite.create({ dataDir: files, ...(loadDataDir ? { loadDataDir } : {}) }));
    return {
      ...open,
      close: async () => {
        await open.close();
        await unlock();
      },
    };
  } catch (error) {
    await unlock();
    throw error;
  }
}

/** A PGlite, wherever it keeps its files, as a store. */
export function liteStore(lite: PGlite): Store {
  return {
    query: (sql, params) => lite.query<Record<string, unknown>>(sql, params),
    exec: (sql) => lite.exec(sql),
    transaction: (work) =>
      lite.transaction((tx) =>
        work({ query: (sql, params) => tx.query<Record<string, unknown>>(sql, params) }),
      ),
    close: () => lite.close(),
  };
}

async function openServer(url: string): Promise<Store> {
  const pool = new pg.Pool({ connectionString: url, max: 4 });
  return {
    query: (sql, params) => pool.query(sql, params),
    exec: (sql) => pool.query(sql),
    transaction: async (work) => {
      const client = await pool.connect();
      try {
        await client.query("begin");
        const done = await work(client);
        await client.query("commit");
        return done;
      } catch (error) {
        await client.query("rollback");
        throw error;
      } finally {
        client.release();
      }
    },
    close: () => pool.end(),
  };
}
