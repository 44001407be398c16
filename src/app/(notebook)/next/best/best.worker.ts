import { bestWithin, type Candidate, type Within } from "@/core/plan/best";

/** Searches away from the page, so that it never waits. */
self.onmessage = ({
  data: { things, within },
}: MessageEvent<{ things: readonly Candidate[]; within: Within }>) => {
  self.postMessage(bestWithin(things, within));
};
