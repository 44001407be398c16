import { PGlite } from "@electric-sql/pglite";
import { mkdir, readdir, readFile, statfs } from "node:fs/promises";
import path from "node:path";
import pg from "pg";
import { FolderDamaged, isDamage } from "./records/damage";
import type { Db, Store } from "./db";
import { lockFolder } from "./lock";
import { migrate } from "./migrate";
import { codeOf, Refused } from "./refused";

/**
 * Opens the owner's data and brings it up to date: a PostgreSQL server where `url` is given, else PGlite in
 * `folder`, locked against a second process.
 *
 * @throws FolderInUse if another process holds the folder; NewerDatabase if a later version wrote it;
 * FolderDamaged if what is there can't be read; Refused if the disk is full
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
    await store.close().catch(() => undefined);
    throw !url && isDamage(error) ? new FolderDamaged(path.join(folder, "pg"), error) : error;
  }
}

async function openFolder(folder: string, snapshot?: string): Promise<Store> {
  await mkdir(folder, { recursive: true });
  const unlock = await lockFolder(folder);
  try {
    const open = await openRoomy(folder, snapshot);
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

/**
 * Least room on the disk, in bytes, with which anything is written: PostgreSQL begins a new log file of 16 MB
 * whenever it likes.
 */
const LEAST_ROOM = 64 * 1024 * 1024;
const FULL =
  "The disk is full: nothing was saved, and what was saved before is safe. " +
  "Make room on it (some 100 MB), and try again.";

/**
 * PGlite in a folder, which never writes where there is hardly room: one that runs out of room in mid-write
 * hangs for good at the next query. Should it happen all the same, since others write on that disk too, it is
 * left alone, and another is opened on what it had kept.
 */
async function openRoomy(folder: string, snapshot?: string): Promise<Store> {
  const files = path.join(folder, "pg");
  let open: Promise<Store> | null = null;
  const opened = (from?: string): Promise<Store> =>
    (open ??= refuseWithoutRoom(folder)
      .then(() => openFiles(files, from))
      .then(liteStore)
      .catch((error: unknown) => {
        open = null;
        throw error;
      }));
  await opened(snapshot);
  const unlessFull = async <T>(work: (store: Store) => Promise<T>): Promise<T> => {
    const store = await opened();
    try {
      return await work(store);
    } catch (error) {
      if (!RAN_OUT.includes(codeOf(error))) throw error;
      open = null;
      throw new Refused(FULL, { wantsRoom: true });
    }
  };
  return {
    query: (sql, params) => unlessFull((store) => store.query(sql, params)),
    snapshot: (read) => unlessFull((store) => store.snapshot(read)),
    transaction: async (work) => {
      await refuseWithoutRoom(folder);
      return unlessFull((store) => store.transaction(work));
    },
    exec: (sql) => unlessFull((store) => store.exec(sql)),
    close: async () => (await open)?.close(),
  };
}

/** PostgreSQL's word for a disk without room. */
const RAN_OUT: readonly unknown[] = ["53100"];

/** @throws Refused, wanting room */
async function refuseWithoutRoom(folder: string): Promise<void> {
  const { bavail, bsize } = await statfs(folder);
  if (bavail * bsize < LEAST_ROOM) throw new Refused(FULL, { wantsRoom: true });
}

/** @throws FolderDamaged where the files are no database, or no sound one */
async function openFiles(files: string, snapshot?: string): Promise<PGlite> {
  const there: readonly string[] = await readdir(files).catch(() => []);
  // Without it PGlite would lay out an empty database over what is there.
  if (there.length > 0 && !there.includes("PG_VERSION")) throw new FolderDamaged(files);
  // A prepared snapshot spares the seconds that a first start takes.
  const loadDataDir = there.length === 0 && snapshot ? new Blob([await readFile(snapshot)]) : undefined;
  const lite = await PGlite.create({ dataDir: files, ...(loadDataDir ? { loadDataDir } : {}) }).catch(
    (error: Error) => {
      throw there.length > 0 ? new FolderDamaged(files, error) : error;
    },
  );
  return lite;
}

/** A PGlite, wherever it keeps its files, as a store. */
export function liteStore(lite: PGlite): Store {
  const inOne = <T>(work: (tx: Db) => Promise<T>) =>
    lite.transaction((tx) =>
      work({ query: (sql, params) => tx.query<Record<string, unknown>>(sql, params) }),
    );
  return {
    query: (sql, params) => lite.query<Record<string, unknown>>(sql, params),
    exec: (sql) => lite.exec(sql),
    transaction: inOne,
    // Nothing else is done on its one connection meanwhile.
    snapshot: inOne,
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
  const once = async <T>(
    work: (tx: Db) => Promise<T>,
    level = "isolation level serializable",
  ): Promise<T> => {
    const client = await pool.connect();
    try {
      await client.query(`begin ${level}`);
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
          if (tried === MOST_TRIES || !CLASHED.includes(codeOf(error))) throw error;
          await new Promise((resolve) => setTimeout(resolve, WAIT_MS * 2 ** tried * Math.random()));
        }
      }
    },
    snapshot: (read) => once(read, "isolation level repeatable read read only"),
    close: () => pool.end(),
  };
}
