"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";

const CHANNEL = "nettle-tally";

/** Tells the other open tabs that something was saved. */
export function tellOtherTabs(): void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage("saved");
  channel.close();
}

/** Shows what another tab saved. */
export function OtherTabs() {
  const router = useRouter();
  useEffect(() => {
    const channel = new BroadcastChannel(CHANNEL);
    channel.onmessage = () => router.refresh();
    return () => channel.close();
  }, [router]);
  return null;
}
