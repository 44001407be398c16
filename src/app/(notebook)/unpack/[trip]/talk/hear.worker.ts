import { hear, type Named } from "@/core/hear/hear";

/** Hears away from the page, so that typing never waits. */
self.onmessage = ({
  data: { text, things, n },
}: MessageEvent<{ text: string; things: readonly Named[]; n: number }>) => {
  self.postMessage({ n, heard: hear(text, things) });
};
