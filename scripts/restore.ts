import { readFile, rename, rm } from "node:fs/promises";
import path from "node:path";
import { format } from "date-fns";
import { copiesIn, sayCopy } from "@/app/copies";
import { replaceLog } from "@/data/records/log";
import { lockFolder } from "@/data/lock";
import { openStore } from "@/data/store";
import { readLogFile, sayProblem } from "@/formats/log-file";

/**
 * `npm start -- --restore`: the copies of a log, the newest first; `-- --restore 1` brings the first back into a new database,
 * and leaves what was there, damaged or not, beside it.
 */
const [folder = "", choice] = process.argv.slice(2);

/** @throws Error with a sentence for the owner */
async function restore(): Promise<string> {
  const copies = await copiesIn(folder);
  if (copies.length === 0) throw new Error(`There are no copies in ${path.join(folder, "copies")}.`);
  if (choice === undefined)
    return [
      "Copies of the log, the newest first:",
      ...copies.map((copy, n) => `  ${n + 1}  ${sayCopy(copy)}`),
      "Bring one back by its number: npm start -- --restore 1",
    ].join("\n");
  const copy = copies[Number(choice) - 1];
  if (!copy) throw new Error(`There is no copy ${choice}: choose 1 to ${copies.length}.`);
  const files = path.join(folder, "pg");
  const beside = path.join(folder, `pg-before-${format(new Date(), "yyyy-MM-dd-HHmmss")}`);
  const read = readLogFile(await readFile(copy.file, "utf8"));
  if (!read.ok)
    throw new Error(`That copy can’t be read: ${read.problems.slice(0, 3).map(sayProblem).join("; ")}`);
  // An app that is open on it is not taken by surprise.
  const unlock = await lockFolder(folder);
  try {
    const fresh = path.join(folder, "restoring");
    await rm(fresh, { recursive: true, force: true });
    const store = await openStore({ folder: fresh });
    await store.transaction((tx) => replaceLog(tx, read.log));
    await store.close();
    await rename(files, beside).catch((error: NodeJS.ErrnoException) => {
      if (error.code !== "ENOENT") throw error;
    });
    await rename(path.join(fresh, "pg"), files);
    await rm(fresh, { recursive: true, force: true });
  } finally {
    await unlock();
  }
  return `Brought back: ${sayCopy(copy)}. What was there before is in ${beside}. Start it with: npm start`;
}

try {
  console.log(await restore());
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
