"use client";

import { usePathname } from "next/navigation";
import { useEffect, useState } from "react";
import { isTyping } from "../is-typing";
import { useLoaded } from "../use-loaded";

/** No part of a page's first load. */
const DIALOG = () => import("./help-dialog");
const ASKED = "nettle-help";

/** Opens the help, from a button anywhere. */
export const askForHelp = (): void => void window.dispatchEvent(new Event(ASKED));

/** `?` anywhere: what the page is for, and its keys. */
export function Help() {
  const path = usePathname();
  const [open, setOpen] = useState(false);
  const dialog = useLoaded(DIALOG, open);
  useEffect(() => {
    const onAsked = () => setOpen(true);
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "?" || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      onAsked();
    };
    window.addEventListener("keydown", onKey);
    window.addEventListener(ASKED, onAsked);
    return () => {
      window.removeEventListener("keydown", onKey);
      window.removeEventListener(ASKED, onAsked);
    };
  }, []);
  return open && dialog ? <dialog.HelpDialog path={path} onClose={() => setOpen(false)} /> : null;
}
