import { PGlite } from "@electric-sql/pglite";
import { mkdir, readFile, stat } from "node:fs/promises";
import path from "node:path";
import pg from "pg";
import type { Db, Store } from "./db";
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

/** Two transactions that touched the same rows at once: one of them is done again. */
const CLASHED: readonly unknown[] = ["40001", "40P01"];
/** Times that a transaction is tried, each after a longer wait. */
const MOST_TRIES = 8;
const WAIT_MS = 15;

/** A PostgreSQL server, which more than one process may use at a time. */
async function openServer(url: string): Promise<Store> {
  const pool = new pg.Pool({ connectionString: url, max: 4 });
  // A connection that was waiting when the server went away: the next that is wanted is a new one.
  pool.on("error", (error) => console.error(`The database let go of a connection: ${error.message}`));
  const once = async <T>(work: (tx: Db) => Promise<T>): Promise<T> => {
    const client = await pool.connect();
    try {
      await client.query("begin isolation level serializable");
      const done = await work(client);
      await client.query("commit");
      client.release();
      return done;
    } catch (error) {
      // Where the server has gone there is nothing to roll back, and the connection is of no more use.
      const isSound = await client.query("rollback").then(
        () => true,
        () => false,
      );
      client.release(!isSound);
      throw error;
    }
  };
  return {
    query: (sql, params) => pool.query(sql, params),
    exec: (sql) => pool.query(sql),
    transaction: async (work) => {
      for (let tried = 1; ; tried += 1) {
        try {
          return await once(work);
        } catch (error) {
          if (tried === MOST_TRIES || !CLASHED.includes((error as { code?: unknown }).code)) throw error;
          await new Promise((resolve) => setTimeout(resolve, WAIT_MS * 2 ** tried * Math.random()));
        }
      }
    },
    close: () => pool.end(),
  };
}
