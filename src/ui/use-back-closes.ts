import { useEffect, useRef } from "react";

/** Marks the entry of the browser's history that Back leaves first, while something is open over the page. */
const SPARE = "nettle-spare";

/**
 * Back closes what is open over the page before it leaves the page. The entry that it leaves stays when what was open
 * is closed otherwise, as going back to be rid of it would scroll the page: it is passed over by the next Back.
 */
export function useBackCloses(isOpen: boolean, close: () => void): void {
  const latest = useRef({ isOpen, close });
  useEffect(() => {
    latest.current = { isOpen, close };
  });
  const onSpare = useRef(false);
  useEffect(() => {
    if (!isOpen || isSpare()) return;
    history.pushState({ [SPARE]: true }, "");
    onSpare.current = true;
  }, [isOpen]);
  useEffect(() => {
    onSpare.current = isSpare();
    const onBack = () => {
      const was = onSpare.current;
      onSpare.current = isSpare();
      if (!was || onSpare.current) return;
      if (latest.current.isOpen) latest.current.close();
      else history.back();
    };
    window.addEventListener("popstate", onBack);
    return () => window.removeEventListener("popstate", onBack);
  }, []);
}

const isSpare = () => Boolean((history.state as Record<string, unknown> | null)?.[SPARE]);
