// Debian's installer, as a machine runs it that has just been started and is busy with its own.
import { spawnSync } from "node:child_process";
import { setTimeout as pause } from "node:timers/promises";

/** How long another program is waited for that holds the installer, and how often it is tried again, in ms. */
const PATIENCE_MS = 5 * 60_000;
const AGAIN_MS = 5_000;

/** Said by apt-get where another program is at it. */
const IS_HELD = /could not get lock|unable to (acquire|lock)/i;

/** Runs apt-get; while another program holds it, says so and waits, five minutes at most. True: it did what it should. */
export async function aptGet(args, { patience = PATIENCE_MS, again = AGAIN_MS } = {}) {
  const until = Date.now() + patience;
  for (let isFirst = true; ; isFirst = false) {
    const { status, stderr } = spawnSync("apt-get", args, {
      stdio: ["ignore", "ignore", "pipe"],
      encoding: "utf8",
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
    if (status === 0 || !IS_HELD.test(stderr) || Date.now() >= until) {
      process.stderr.write(stderr);
      return status === 0;
    }
    if (isFirst) console.error("Another program is installing: waiting for it, five minutes at most …");
    await pause(again);
  }
}
