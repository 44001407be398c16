import { keepDailyCopy } from "./app/copies";
import { closeStore, store } from "./data/connection";

const DAY_MS = 24 * 3600 * 1000;

/** Opens the data or ends the process with one sentence; a copy is kept once a day, and when the process is asked to stop and closes it cleanly. */
export async function openForServer(): Promise<void> {
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
  setInterval(() => void copy(), DAY_MS).unref();
}
