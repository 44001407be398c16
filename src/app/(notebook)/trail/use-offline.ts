"use client";

import { useEffect, useState } from "react";

/** Keeps a page as the server shows it now, for when there is no network. Rejects where it is out of reach. */
export async function keepPage(page: string): Promise<void> {
  const cache = await caches.open("trail-page");
  await cache.add(new Request(page, { headers: { accept: "text/html" } }));
}

/** Makes a page open without a network: `ready` once all that it is made of is kept, `no` where the browser can't. */
export function useOffline(page: string): "ready" | "not yet" | "no" {
  const [state, setState] = useState<"ready" | "not yet" | "no">("not yet");
  useEffect(() => {
    let gone = false;
    void (async () => {
      try {
        if (!("serviceWorker" in navigator)) throw new Error("useOffline: no service workers here");
        await navigator.serviceWorker.register("/trail-worker.js", { scope: page });
        const { active } = await navigator.serviceWorker.ready;
        // What draws notices comes with the first of them, and that may be said where there is no network.
        await import("@/ui/notice/toasts");
        // What was loaded before the worker was there has not gone through it: the page as well as its files.
        const files = performance
          .getEntriesByType("resource")
          .map(({ name }) => name)
          .filter((name) => new URL(name).pathname.startsWith("/_next/static/"));
        const kept = new MessageChannel();
        const done = new Promise((resolve) => (kept.port1.onmessage = resolve));
        active?.postMessage(
          { type: "CACHE_URLS", payload: { urlsToCache: [...new Set(files), "/icon.svg"] } },
          [kept.port2],
        );
        await keepPage(page);
        await done;
        if (!gone) setState("ready");
      } catch {
        // No network, or a browser that lets nothing be kept: the page works while it is open.
        if (!gone) setState(navigator.serviceWorker?.controller ? "ready" : "no");
      }
    })();
    return () => {
      gone = true;
    };
  }, [page]);
  return state;
}

/** Asks the browser to keep what is kept here, whatever else wants room; `refused` where it won't promise. */
export function useStorage(): "kept" | "refused" | "not yet" {
  const [state, setState] = useState<"kept" | "refused" | "not yet">("not yet");
  useEffect(() => {
    let gone = false;
    const asked = navigator.storage?.persist?.() ?? Promise.resolve(false);
    void asked.catch(() => false).then((isKept) => !gone && setState(isKept ? "kept" : "refused"));
    return () => {
      gone = true;
    };
  }, []);
  return state;
}
