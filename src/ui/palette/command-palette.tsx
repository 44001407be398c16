"use client";

import { useEffect, useState } from "react";
import { onPaletteAsked } from "./ask";
import { useLoaded } from "../use-loaded";
import type { PaletteProps } from "./palette-dialog";

/** No part of a page's first load, and here before anybody asks: what is typed behind the keys goes into its field. */
const PALETTE = () => import("./palette-dialog");

/** Ctrl or ⌘ K: any page, thing or trip by a few of its letters. */
export function CommandPalette(props: Omit<PaletteProps, "open" | "onOpen">) {
  const [open, setOpen] = useState(false);
  const palette = useLoaded(PALETTE, true);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setOpen((was) => !was);
    };
    window.addEventListener("keydown", onKey);
    const stop = onPaletteAsked(() => setOpen(true));
    return () => {
      window.removeEventListener("keydown", onKey);
      stop();
    };
  }, []);
  return palette && <palette.PaletteDialog {...props} open={open} onOpen={setOpen} />;
}
