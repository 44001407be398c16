"use client";

import { useEffect, useRef } from "react";
import { marksAreGoingOut } from "../marks/send-mark";
import { useRefresh } from "./use-refresh";

/** The page itself comes first; then it follows, in ms. */
const AFTER_MS = 3000;
/**
 * Wait for more from the other screen before asking the server, in ms: what was saved here is mostly shown by then, and
 * need not be asked for again.
 */
const QUIET_MS = 800;
/** Where the server is gone, it is asked again after so long, in ms. */
const AGAIN_MS = 15_000;

/**
 * Shows what another screen saved, a phone's on the desk and the desk's on the phone, within two seconds. Only a
 * page that
 * is looked at follows: a browser holds few lines to one server.
 *
 * @param at how far the log had come that the page shows
 */
export function FollowLog({ at }: { at: number }) {
  const refresh = useRefresh();
  const shown = useRef(at);
  useEffect(() => {
    shown.current = at;
  }, [at]);
  useEffect(() => {
    let line: EventSource | null = null;
    let later: ReturnType<typeof setTimeout>;
    let quiet: ReturnType<typeof setTimeout>;
    const show = (far: number) => {
      clearTimeout(quiet);
      quiet = setTimeout(() => {
        if (shown.current === far) return;
        // One's own marks come first: the page asks for what follows from them by itself.
        if (marksAreGoingOut()) show(far);
        else void refresh();
      }, QUIET_MS);
    };
    const hangUp = () => {
      clearTimeout(later);
      line?.close();
      line = null;
    };
    const follow = (after: number) => {
      hangUp();
      later = setTimeout(() => {
        line = new EventSource("/api/follow");
        line.onmessage = ({ data }: MessageEvent<string>) => show(Number(data));
        line.onerror = () => follow(AGAIN_MS);
      }, after);
    };
    const onLook = () => {
      if (document.visibilityState !== "visible") return hangUp();
      follow(0);
    };
    follow(AFTER_MS);
    document.addEventListener("visibilitychange", onLook);
    return () => {
      hangUp();
      clearTimeout(quiet);
      document.removeEventListener("visibilitychange", onLook);
    };
  }, [refresh]);
  return null;
}
