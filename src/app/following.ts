import { howFar, readChanges } from "@/data/changes";
import { store } from "@/data/connection";

/** How often the log is looked at while somebody follows it, in ms: a screen follows another within two seconds. */
const LOOK_MS = 700;

/** Who is told when the log has changed, and how far it has come. */
type Tell = (at: number) => void;
const followers = new Set<Tell>();
let looking: ReturnType<typeof setInterval> | undefined;
let seen: number | undefined;

async function look(): Promise<void> {
  // Where it can't be read now, the next look tells.
  const now = await store()
    .then(readChanges)
    .then(howFar)
    .catch(() => seen);
  if (now === undefined || now === seen) return;
  seen = now;
  for (const tell of followers) tell(now);
}

/** Calls `tell` whenever the log has changed, here or in another process; returns how to stop. One look serves all. */
export function followLog(tell: Tell): () => void {
  followers.add(tell);
  // Who comes later, or again, hears how far it has come.
  if (seen !== undefined && looking !== undefined) tell(seen);
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
