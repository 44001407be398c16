"use client";

import { useState } from "react";
import type { TripId } from "@/core/model";
import { SelectField } from "@/ui/form/field";
import { useDoing } from "@/ui/use-doing";
import { askDays, setDays } from "../../../actions";

/** Asks the weather desk what the days of a walk were like, where nobody told. */
export function AskDays({ trip, places }: { trip: TripId; places: readonly string[] }) {
  const [place, setPlace] = useState(places[0]!);
  const { busy, run } = useDoing();
  return (
    <details className="no-print mb-3">
      <summary className="py-1">
        Ask the weather desk what they were like (simulated: it knows the demo&rsquo;s islands only)
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="Where"
          value={place}
          options={places}
          onChange={(event) => setPlace(event.target.value)}
        />
        <button
          type="button"
          className="btn btn-tall"
          disabled={busy}
          onClick={() =>
            run(() => askDays(trip, place), {
              says: () => `The days as ${place} had them; what you had told stands`,
              undo: (was) => setDays(trip, was),
            })
          }
        >
          Ask
        </button>
      </div>
    </details>
  );
}
