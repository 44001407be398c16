"use client";

import { lazy, Suspense, useEffect, useState } from "react";
import type { PaletteProps } from "./palette-dialog";

const loadPalette = () => import("./palette-dialog");
const PaletteDialog = lazy(loadPalette);

/** Ctrl or ⌘ K opens the palette; it is no part of the first load, and here before anybody asks for it. */
export function CommandPalette(props: Omit<PaletteProps, "open" | "onOpen">) {
  const [open, setOpen] = useState(false);
  const [isWanted, setWanted] = useState(false);
  // What is typed right behind the keys goes into its field.
  useEffect(() => void loadPalette(), []);
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
