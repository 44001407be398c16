"use client";

import { useEffect } from "react";
import { theChannel } from "./channel";
import { useRefresh } from "./use-refresh";

/** Wait for more from the other tab before asking the server, in ms. */
const QUIET_MS = 300;

/** Shows what another tab saved. */
export function OtherTabs() {
  const refresh = useRefresh();
  useEffect(() => {
    let quiet: ReturnType<typeof setTimeout>;
    const onSaved = () => {
      clearTimeout(quiet);
      quiet = setTimeout(() => void refresh(), QUIET_MS);
    };
    theChannel().addEventListener("message", onSaved);
    return () => {
      clearTimeout(quiet);
      theChannel().removeEventListener("message", onSaved);
    };
  }, [refresh]);
  return null;
}
