import { access, readFile, utimes, writeFile } from "node:fs/promises";
import { hostname } from "node:os";
import path from "node:path";
import lockfile from "proper-lockfile";
import { codeOf } from "./refused";

/** Two processes on one PGlite folder lose each other's rows without a word, so the second is turned away. */
class FolderInUse extends Error {
  constructor(folder: string, pid: string) {
    super(
      `Nettle Tally is already open on ${folder}${pid ? ` (process ${pid})` : ""}. ` +
        `Close it first, or set NETTLE_DATA to another folder.`,
    );
    this.name = "FolderInUse";
  }
}

/** Without a word of who holds it, a lock is taken for left behind after this long without a sign of life. */
const STALE_MS = 6000;
/** Of a turn to open the folder, which takes some milliseconds: the least that the lock package accepts. */
const TURN_MS = 2000;
const RETRY_MS = 100;

/** As often as a wait of so many ms allows. */
const triesFor = (ms: number) => ({ retries: ms / RETRY_MS, factor: 1, minTimeout: RETRY_MS });

/**
 * Takes the folder for this process until the returned function is called. Those that want it take turns, so that none
 * takes it for left behind while another is opening it. A lock whose holder is known to be dead is taken at once.
 *
 * @throws FolderInUse if its holder is alive; where nobody can tell, if it gives a sign of life within six seconds
 */
export async function lockFolder(folder: string): Promise<() => Promise<void>> {
  const endTurn = await lockfile
    .lock(path.join(folder, "opening"), {
      realpath: false,
      stale: TURN_MS,
      retries: triesFor(2 * TURN_MS),
      onCompromised: () => undefined,
    })
    .catch(() => {
      throw new FolderInUse(folder, "");
    });
  try {
    return await takeFolder(folder);
  } finally {
    await endTurn().catch(() => undefined);
  }
}

async function takeFolder(folder: string): Promise<() => Promise<void>> {
  const lock = path.join(folder, "lock");
  const holder = path.join(folder, "holder");
  const take = (waitMs: number) =>
    lockfile.lock(folder, {
      lockfilePath: lock,
      stale: STALE_MS,
      update: 2000,
      retries: triesFor(waitMs),
      onCompromised: (error: Error) => {
        console.error(
          `Nettle Tally lost its hold on ${folder} and stops, so that nothing is written twice: ${error.message}`,
        );
        process.exit(4);
      },
    });
  const sign = async () => writeFile(holder, [process.pid, await birthOf(process.pid), hostname()].join(" "));
  const [pid = "", born = "", host = hostname()] = (await readFile(holder, "utf8").catch(() => ""))
    .trim()
    .split(" ");
  if (!(await exists(lock))) await sign();
  else if (pid === "" || host !== hostname()) {
    // Nobody to ask on this machine: whether it gives a sign of life tells.
    const release = await take(STALE_MS + 1000).catch(() => {
      throw new FolderInUse(folder, pid);
    });
    await sign();
    return release;
  } else if (isAlive(Number(pid)) && (await birthOf(Number(pid))) === born) {
    // Too busy to give a sign, perhaps; it keeps what it holds, however old its lock looks.
    throw new FolderInUse(folder, pid);
  } else {
    await sign();
    await utimes(lock, 0, 0);
  }
  return take(0);
}

const exists = (file: string) =>
  access(file).then(
    () => true,
    () => false,
  );

/**
 * When a process began, as far as the system tells: a number that was another's before is told by it. ""
 * where it does not.
 */
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
    return codeOf(error) === "EPERM";
  }
}
