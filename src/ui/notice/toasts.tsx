"use client";

import { useEffect } from "react";
import { toast, Toaster } from "sonner";
import { showNotices } from "./notice";

/** What can be taken back stays long enough to be read and reached, in ms. */
const UNDO_MS = 10_000;

/** Notices at the foot of the page, each for a while. */
export default function Toasts() {
  useEffect(
    () =>
      showNotices(({ text, isError, undo, undoes }) => {
        const say = isError ? toast.error : toast;
        say(text, undo && { action: { label: undoes ?? "Undo", onClick: undo }, duration: UNDO_MS });
      }),
    [],
  );
  return (
    <Toaster
      position="bottom-center"
      offset={88}
      toastOptions={{ className: "!bg-ink !text-paper !border-ink !rounded !font-sans" }}
    />
  );
}
