"use client";

import { useRouter } from "next/navigation";
import { useCallback } from "react";

const isAnswering = () =>
  fetch("/api/alive", { cache: "no-store" }).then(
    ({ ok }) => ok,
    () => false,
  );

/**
 * Asks the server for the page anew; where it can't be reached the page stays as it is, rather than turn into
 * an error.
 */
export function useRefresh(): () => Promise<void> {
  const router = useRouter();
  return useCallback(async () => {
    if (await isAnswering()) router.refresh();
  }, [router]);
}
