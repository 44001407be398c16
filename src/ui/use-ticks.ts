import { useMemo, useSyncExternalStore } from "react";

const NOTHING = "[]";
const onTick = new Set<() => void>();
const watch = (tell: () => void) => {
  onTick.add(tell);
  return () => void onTick.delete(tell);
};

/**
 * What was ticked off, in this browser alone: it outlives the page, and nobody judges by it.
 *
 * @param key under which it is kept
 */
export function useTicks(key: string) {
  const kept = useSyncExternalStore(
    watch,
    () => localStorage.getItem(key) ?? NOTHING,
    () => NOTHING,
  );
  const ticked = useMemo(() => new Set(JSON.parse(kept) as string[]), [kept]);
  const keep = (now: readonly string[]) => {
    localStorage.setItem(key, JSON.stringify(now));
    for (const tell of onTick) tell();
  };
  return {
    ticked,
    tick: (id: string, isTicked: boolean) =>
      keep(isTicked ? [...ticked, id] : [...ticked].filter((each) => each !== id)),
    clear: () => keep([]),
  };
}
