"use client";

import { lazy, Suspense, useEffect, useState } from "react";
import type { PaletteProps } from "./palette-dialog";

const PaletteDialog = lazy(() => import("./palette-dialog"));

/** Ctrl or ⌘ K opens the palette, which is loaded then. */
export function CommandPalette(props: Omit<PaletteProps, "open" | "onOpen">) {
  const [open, setOpen] = useState(false);
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setWanted(true);
      setOpen((was) => !was);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return isWanted ? (
    <Suspense>
      <PaletteDialog {...props} open={open} onOpen={setOpen} />
    </Suspense>
  ) : null;
}
