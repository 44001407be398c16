import { setFlagsFromString } from "node:v8";
import { keepDailyCopy } from "./app/copies";
import { readLatest } from "./app/reading";
import { closeStore, store } from "./data/connection";

const DAY_MS = 24 * 3600 * 1000;
/** V8 lets a heap grow to about four times what is alive in it before it cleans up; twice costs no time that could be measured, and holds 200 MB less. */
const HEAP_GROWS_PERCENT = 100;

/** Opens the data or ends the process with one sentence; a copy is kept once a day, and when the process is asked to stop and closes it cleanly. */
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
    console.error(error instanceof Error ? error.message : error);
    process.exit(3);
  }
  // Who asks first need not wait for all of it.
  readLatest().catch((error: Error) => console.error(error.message));
  setInterval(() => void copy(), DAY_MS).unref();
}
