"use client";

import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { Entry } from "@/core/model";
import { tellOtherTabs } from "@/ui/other-tabs";
import { logEntry, takeEntryBack } from "./actions";

/** Takes an entry out of the log, with undo. */
export function RemoveEntry({ entry }: { entry: Entry }) {
  const router = useRouter();
  const remove = async () => {
    await takeEntryBack(entry.id);
    tellOtherTabs();
    router.refresh();
    toast(`${entry.what} of ${entry.on} removed`, {
      action: {
        label: "Undo",
        onClick: () =>
          void logEntry({ ...entry, distance: entry.distance?.typed ?? null }).then(() => router.refresh()),
      },
    });
  };
  return (
    <button type="button" className="btn btn-plain !min-h-7 text-sm" onClick={() => void remove()}>
      Remove
      <span className="sr-only">
        {" "}
        {entry.what} of {entry.on}
      </span>
    </button>
  );
}
