import type { Store } from "./db";
import { dataFolder } from "./folder";
import { openStore } from "./store";

const kept = globalThis as typeof globalThis & { nettleStore?: Promise<Store> };

/** One connection for the life of the server, across hot reloads; opened at the first need, never during a build. */
export function store(): Promise<Store> {
  kept.nettleStore ??= openStore({
    folder: dataFolder(),
    url: process.env.DATABASE_URL || undefined,
    snapshot: process.env.NETTLE_SNAPSHOT || undefined,
  }).catch((error: unknown) => {
    // A server that can't be reached now may be there at the next request.
    delete kept.nettleStore;
    throw error;
  });
  return kept.nettleStore;
}

/** Closes the connection, if it was opened, and lets go of the folder. */
export async function closeStore(): Promise<void> {
  const open = kept.nettleStore;
  delete kept.nettleStore;
  await (await open)?.close();
}
