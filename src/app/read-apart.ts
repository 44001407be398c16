import path from "node:path";
import Tinypool from "tinypool";
import type { Reads } from "@/server/reader";

/** Longest that a file is read, in ms; the largest log takes a tenth of it. */
const LONGEST_MS = 30_000;
/** Most memory that reading one may take, in MB. */
const MOST_MEMORY = 1500;
/** A reader that has had nothing to read for so long ends: who brings one file in looks at it, and brings the next. */
const IDLE_MS = 60_000;

const shared = globalThis as typeof globalThis & { nettleReaders?: Tinypool };
const readers = () =>
  (shared.nettleReaders ??= new Tinypool({
    filename: path.join(/* turbopackIgnore: true */ process.cwd(), "build", "reader.mjs"),
    runtime: "worker_threads",
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    isolateWorkers: false,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY },
  }));

/** What a file could not be read for: it takes too long, or too much memory. */
export interface TooHard {
  readonly ok: false;
  readonly why: string;
}

/**
 * Reads what somebody brought, as text or as its bytes in UTF-8, off the server's own thread, one file at a
 * time. One that takes longer than half a minute, or more memory than any log, is given up, in a sentence.
 */
export async function readApart<Sort extends keyof Reads>(
  sort: Sort,
  text: string | ArrayBuffer,
): Promise<Reads[Sort] | TooHard> {
  const signal = AbortSignal.timeout(LONGEST_MS);
  try {
    // Bytes are handed over, not copied: what is large keeps nobody waiting on its way there either.
    const transferList = typeof text === "string" ? [] : [text];
    return (await readers().run({ sort, text }, { signal, transferList })) as Reads[Sort];
  } catch (error) {
    if (signal.aborted)
      return { ok: false, why: `It can’t be read within ${LONGEST_MS / 1000} seconds, and was given up.` };
    console.error(error);
    return { ok: false, why: "It can’t be read: it takes more memory than any log." };
  }
}
