"use client";

import type { Entry } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { logEntry, takeEntryBack } from "../actions";

/** Takes an entry out of the log, with undo. */
export function RemoveEntry({ entry }: { entry: Entry }) {
  const { run } = useDoing();
  const remove = () =>
    run(() => takeEntryBack(entry.id), {
      says: () => `${entry.what} of ${entry.on} removed`,
      undo: () => logEntry({ ...entry, distance: entry.distance?.typed ?? null }, true),
    });
  return (
    <button type="button" className="btn btn-plain !min-h-7 text-sm" onClick={remove}>
      Remove
      <span className="sr-only">
        {" "}
        {entry.what} of {entry.on}
      </span>
    </button>
  );
}
