import { setFlagsFromString } from "node:v8";
import { copiesIn, keepDailyCopy, sayCopy } from "../app/copies";
import { readLatest } from "../app/reading";
import { closeStore, store } from "../data/connection";
import { FolderDamaged, isDamage } from "../data/records/damage";
import { dataFolder } from "../data/folder";

/** Ends with a sentence: what happened, and, of a damaged log, where its copies are and how to come back. */
async function endOn(error: unknown): Promise<never> {
  console.error(error instanceof Error ? error.message : error);
  if (!(error instanceof FolderDamaged)) process.exit(3);
  const [newest] = await copiesIn(dataFolder());
  console.error(
    newest
      ? `The newest copy of it is of ${sayCopy(newest)}. ` +
          `To bring it back: npm start -- --restore\nWhat is damaged stays beside it.`
      : "There is no copy of it. Leave the folder as it is, and start with another: NETTLE_DATA=… npm start",
  );
  process.exit(5);
}

const DAY_MS = 24 * 3600 * 1000;
/**
 * V8 lets a heap grow to about four times what is alive in it before it cleans up; twice costs no time that
 * could be measured, and holds 200 MB less.
 */
const HEAP_GROWS_PERCENT = 100;

/**
 * Opens the data or ends the process with one sentence; a copy is kept once a day, and when the process is
 * asked to stop and closes it cleanly.
 */
export async function openForServer(): Promise<void> {
  setFlagsFromString(`--heap-growing-percent=${HEAP_GROWS_PERCENT}`);
  let closing = false;
  const copy = () =>
    keepDailyCopy().catch((error: Error) => console.error(`No copy was kept: ${error.message}`));
  const stop = async () => {
    if (closing) return;
    closing = true;
    await copy();
    await closeStore().catch((error: Error) => console.error(error.message));
    process.exit(0);
  };
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, () => void stop());
  try {
    await store();
  } catch (error) {
    await endOn(error);
  }
  // Who asks first need not wait for all of it.
  readLatest().catch((error: unknown) =>
    isDamage(error) ? endOn(new FolderDamaged(dataFolder(), error)) : console.error(error),
  );
  setInterval(() => void copy(), DAY_MS).unref();
}
