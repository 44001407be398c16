import { access, readFile, writeFile } from "node:fs/promises";
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
/** Of one that is known to be dead: the least that the lock package accepts. */
const KILLED_MS = 2000;
const RETRY_MS = 100;

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
  const take = async (retries: number, stale = STALE_MS) =>
    lockfile.lock(folder, { ...options, stale, retries: { retries, factor: 1, minTimeout: RETRY_MS } });
  const [pid = "", born = ""] = (await readFile(holderPath, "utf8").catch(() => "")).trim().split(" ");
  const refuse = () => {
    throw new FolderInUse(folder, pid);
  };
  // One that is alive but too busy to give a sign keeps what it holds, however old its lock looks.
  const isHeld = pid !== "" && isAlive(Number(pid)) && (await birthOf(Number(pid))) === born;
  if (isHeld && Number(pid) !== process.pid && (await exists(lockfilePath))) refuse();
  const release = await take(0).catch(async (error: NodeJS.ErrnoException) => {
    if (error.code !== "ELOCKED") throw error;
    // Without a word of who holds it, or by this very process: another is opening it just now.
    if (pid === "" || isHeld) return refuse();
    return take((2 * KILLED_MS) / RETRY_MS, KILLED_MS).catch(refuse);
  });
  await writeFile(holderPath, `${process.pid} ${await birthOf(process.pid)}`);
  return release;
}

const exists = (file: string) =>
  access(file).then(
    () => true,
    () => false,
  );

/** When a process began, as far as the system tells: a number that was another's before is told by it. "" where it does not. */
async function birthOf(pid: number): Promise<string> {
  const stat = await readFile(`/proc/${pid}/stat`, "utf8").catch(() => "");
  // After the name in brackets, which may hold blanks, the twentieth field is the start time (proc(5)).
  return stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19] ?? "";
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
}
