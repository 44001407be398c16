"use client";

import { useEffect } from "react";

/** An address that ends so prints the page as it opens. */
const HASH = "#print";

/** Prints the page: by a press, and when it was asked for from elsewhere. */
export function PrintButton() {
  useEffect(() => {
    const whenAsked = () => {
      if (window.location.hash !== HASH) return;
      // Asked for once: a reload does not print again.
      window.history.replaceState(window.history.state, "", window.location.pathname);
      window.print();
    };
    whenAsked();
    window.addEventListener("hashchange", whenAsked);
    return () => window.removeEventListener("hashchange", whenAsked);
  }, []);
  return (
    <button type="button" className="btn btn-plain" onClick={() => window.print()}>
      Print
    </button>
  );
}
