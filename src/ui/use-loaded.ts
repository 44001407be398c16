import { useEffect, useState } from "react";

/**
 * A module that a page needs only once something is typed or pressed: null until it is wanted and here.
 *
 * @param load the same function each time
 */
export function useLoaded<T>(load: () => Promise<T>, isWanted: boolean): T | null {
  const [loaded, setLoaded] = useState<{ readonly module: T } | null>(null);
  useEffect(() => {
    if (!isWanted || loaded) return;
    let isGone = false;
    void load().then((module) => isGone || setLoaded({ module }));
    return () => {
      isGone = true;
    };
  }, [load, isWanted, loaded]);
  return loaded?.module ?? null;
}
