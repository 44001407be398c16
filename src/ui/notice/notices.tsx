"use client";

import { lazy, Suspense, useEffect, useState } from "react";
import { onFirstNotice } from "./notice";

const Toasts = lazy(() => import("./toasts"));

/** Where notices show: the package that draws them is loaded with the first. */
export function Notices() {
  const [isWanted, setWanted] = useState(false);
  useEffect(() => onFirstNotice(() => setWanted(true)), []);
  return isWanted ? (
    <Suspense>
      <Toasts />
    </Suspense>
  ) : null;
}
