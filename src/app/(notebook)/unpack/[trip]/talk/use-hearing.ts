import { useEffect, useRef, useState } from "react";
import type { HeardSentence } from "@/core/hear/facts";
import type { Named } from "@/core/hear/hear";

/** After the last letter, how long to wait before listening, in ms. */
const PAUSE_MS = 250;

/** What a text says, heard in a worker a moment after it was last typed; what was said before stands until then. */
export function useHearing(text: string, things: readonly Named[]): readonly HeardSentence[] {
  const [heard, setHeard] = useState<readonly HeardSentence[]>([]);
  const worker = useRef<Worker>(null);
  const asked = useRef(0);
  useEffect(() => {
    const listening = new Worker(new URL("./hear.worker.ts", import.meta.url), { type: "module" });
    listening.onmessage = ({ data }: MessageEvent<{ n: number; heard: HeardSentence[] }>) => {
      if (data.n === asked.current) setHeard(data.heard);
    };
    worker.current = listening;
    return () => listening.terminate();
  }, []);
  useEffect(() => {
    const ask = setTimeout(() => {
      asked.current += 1;
      worker.current?.postMessage({ text, things, n: asked.current });
    }, PAUSE_MS);
    return () => clearTimeout(ask);
  }, [text, things]);
  return heard;
}
