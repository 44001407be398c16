"use client";

import type { TripId } from "@/core/model";
import { AskDesk } from "@/ui/form/ask-desk";
import { useDoing } from "@/ui/use-doing";
import { askDays, setDays } from "../../../actions";

/** Asks the weather desk what the days of a walk were like, where nobody told. */
export function AskDays({ trip, places }: { trip: TripId; places: readonly string[] }) {
  const { busy, run } = useDoing();
  return (
    <AskDesk
      places={places}
      what="what they were like"
      busy={busy}
      onAsk={(place) =>
        run(() => askDays(trip, place), {
          says: () => `The days as ${place} had them; what you had told stands`,
          undo: (was) => setDays(trip, was),
        })
      }
    />
  );
}
