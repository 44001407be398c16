"use client";

import type { SavedKit, TripId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { deleteKit, putBackPicks, saveKit, takeKit } from "./actions";

/** Makes a kit the list of the trip ahead. */
export function TakeKit({ kit, trip, words }: { kit: SavedKit; trip: TripId; words: string }) {
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn btn-leaf"
      disabled={busy}
      onClick={() =>
        run(() => takeKit(trip, kit.id), {
          says: () => `${kit.name} is the list now, changed as it says here`,
          undo: (before) => putBackPicks(trip, before),
        })
      }
    >
      {words}
      <span className="sr-only"> {kit.name}</span>
    </button>
  );
}

/** Takes a kit off; its things stay on the shelf. */
export function DeleteKit({ kit }: { kit: SavedKit }) {
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn btn-plain"
      disabled={busy}
      onClick={() =>
        run(() => deleteKit(kit.id), {
          says: () => `${kit.name}: no longer kept as a kit`,
          undo: (before) => saveKit(before),
        })
      }
    >
      Take off<span className="sr-only"> the kit {kit.name}</span>
    </button>
  );
}
