"use client";

import { useEffect } from "react";
import { onSlipKey } from "./slip-keys";

/** The keys of the slips hold on the whole page, from the moment that it opens. */
export function SlipKeysHere() {
  useEffect(() => {
    window.addEventListener("keydown", onSlipKey);
    return () => window.removeEventListener("keydown", onSlipKey);
  }, []);
  return null;
}
