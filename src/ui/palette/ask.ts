const ASKED = "nettle-find";

/** Opens the palette, from a button anywhere. */
export const askForPalette = (): void => void window.dispatchEvent(new Event(ASKED));

/** Calls `open` whenever it is asked for; returns how to stop. */
export function onPaletteAsked(open: () => void): () => void {
  window.addEventListener(ASKED, open);
  return () => window.removeEventListener(ASKED, open);
}
