import { bestWithin, type Choosable, type Within } from "@/core/plan/best";

/** Searches away from the page, so that it never waits. */
self.onmessage = ({
  data: { things, within },
}: MessageEvent<{ things: readonly Choosable[]; within: Within }>) => {
  self.postMessage(bestWithin(things, within));
};
