import { closeStore, store } from "./connection";

/** Opens the data or ends the process with one sentence; closes it cleanly when the process is asked to stop. */
export async function openForServer(): Promise<void> {
  let closing = false;
  const stop = async () => {
    if (closing) return;
    closing = true;
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
}
