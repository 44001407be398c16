import { readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import lockfile from "proper-lockfile";

/** Two processes on one PGlite folder lose each other's rows without a word, so the second is turned away. */
class FolderInUse extends Error {
  constructor(folder: string, pid: string) {
    super(
      `Nettle Tally is already open on ${folder}${pid ? ` (process ${pid})` : ""}. Close it first, or set NETTLE_DATA to another folder.`,
    );
    this.name = "FolderInUse";
  }
}

/** A holder that was killed can't let go: its lock goes stale after this long without a sign of life. */
const STALE_MS = 6000;

/**
 * Takes the folder for this process until the returned function is called.
 *
 * @throws FolderInUse at once if its holder is alive; if the holder was killed, waits for its lock to go stale
 */
export async function lockFolder(folder: string): Promise<() => Promise<void>> {
  const lockfilePath = path.join(folder, "lock");
  const holderPath = path.join(folder, "holder");
  const options = {
    lockfilePath,
    stale: STALE_MS,
    update: 2000,
    onCompromised: (error: Error) => {
      console.error(
        `Nettle Tally lost its hold on ${folder} and stops, so that nothing is written twice: ${error.message}`,
      );
      process.exit(4);
    },
  };
  const take = async (retries: number) =>
    lockfile.lock(folder, { ...options, retries: { retries, factor: 1, minTimeout: 500 } });
  const holder = (await readFile(holderPath, "utf8").catch(() => "")).trim();
  const release = await take(0).catch(async (error: NodeJS.ErrnoException) => {
    if (error.code !== "ELOCKED") throw error;
    if (holder === "" || isAlive(Number(holder))) throw new FolderInUse(folder, holder);
    return take((STALE_MS / 500) * 2).catch(() => {
      throw new FolderInUse(folder, holder);
    });
  });
  await writeFile(holderPath, String(process.pid));
  return release;
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
}
