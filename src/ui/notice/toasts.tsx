"use client";

import { useEffect } from "react";
import { toast, Toaster } from "sonner";
import { showNotices } from "./notice";

/** Notices at the foot of the page, each for a while. */
export default function Toasts() {
  useEffect(
    () =>
      showNotices(({ text, isError, undo, undoes }) => {
        const say = isError ? toast.error : toast;
        say(text, undo && { action: { label: undoes ?? "Undo", onClick: undo } });
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
