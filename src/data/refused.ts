import type { Db, Store } from "./db";

/** What was asked for can't be kept: the transaction that it was part of is undone. The message is for the owner. */
export class Refused extends Error {}

/** Keeps what `work` does, or nothing of it: answers with why it was refused, null where it was kept. */
export async function keepOrRefuse(store: Store, work: (tx: Db) => Promise<void>): Promise<string | null> {
  try {
    await store.transaction(work);
    return null;
  } catch (error) {
    if (error instanceof Refused) return error.message;
    throw error;
  }
}
