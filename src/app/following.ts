import { readChanges } from "@/data/changes";
import { store } from "@/data/connection";
import { today } from "./reading";

/** How often the log is looked at while somebody follows it, in ms: a screen follows another within two seconds. */
const LOOK_MS = 700;

/** Who is told when the log has changed. */
const followers = new Set<() => void>();
let looking: ReturnType<typeof setInterval> | undefined;
let seen: string | undefined;

/** How far the log has come: any change, by this process or another, makes it another. */
const howFar = async (): Promise<string> =>
  `${today()} ${[...(await readChanges(await store())).values()].reduce((sum, times) => sum + times, 0)}`;

async function look(): Promise<void> {
  // Where it can't be read now, the next look tells.
  const now = await howFar().catch(() => seen);
  if (now === seen) return;
  const isFirst = seen === undefined;
  seen = now;
  if (!isFirst) for (const tell of followers) tell();
}

/** Calls `tell` whenever the log has changed, here or in another process; returns how to stop. One look serves all. */
export function followLog(tell: () => void): () => void {
  followers.add(tell);
  if (looking === undefined) {
    seen = undefined;
    void look();
    looking = setInterval(() => void look(), LOOK_MS).unref();
  }
  return () => {
    followers.delete(tell);
    if (followers.size > 0) return;
    clearInterval(looking);
    looking = undefined;
  };
}
