import { useRef, useState } from "react";
import type { Best } from "@/core/plan/best";
import type { Weighed } from "@/core/plan/weighed";

/** Looks for the best list in a worker, until it is found or called off. */
export function useSearch(things: readonly Weighed[], litres: number | null) {
  const worker = useRef<Worker>(null);
  const [searching, setSearching] = useState(false);
  const [best, setBest] = useState<Best>();
  const [wrong, setWrong] = useState<string>();
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setSearching(false);
  };
  const forget = (why?: string) => {
    setBest(undefined);
    setWrong(why);
  };
  const search = (grams: number) => {
    stop();
    setSearching(true);
    const searcher = new Worker(new URL("./best.worker.ts", import.meta.url), { type: "module" });
    searcher.onmessage = ({ data }: MessageEvent<Best>) => {
      stop();
      setBest(data);
    };
    searcher.onerror = () => {
      stop();
      setWrong("The search broke off. Try another weight.");
    };
    searcher.postMessage({
      things: things.map(({ id, grams: weighs, litres: room, worth, jobs, needs }) => ({
        id,
        grams: weighs,
        litres: room,
        worth,
        jobs,
        needs,
      })),
      within: { grams, litres },
    });
    worker.current = searcher;
  };
  return { searching, best, wrong, search, stop, forget };
}
