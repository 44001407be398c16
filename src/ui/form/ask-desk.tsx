"use client";

import { useState, type ReactNode } from "react";
import { SelectField } from "./field";
import { nth } from "@/core/sums/there";

interface AskDeskProps {
  readonly places: readonly string[];
  /** What it is asked, behind "Ask the weather desk". */
  readonly what?: string;
  readonly busy?: boolean;
  readonly onAsk: (place: string) => void;
  /** What it said. */
  readonly children?: ReactNode;
}

/** Asks the weather desk about a place that it knows. */
export function AskDesk({ places, what = "", busy = false, onAsk, children }: AskDeskProps) {
  const [place, setPlace] = useState(nth(places, 0));
  return (
    <details className="no-print mb-3">
      <summary className="py-1">
        Ask the weather desk {what && `${what} `}(simulated: it knows the demo&rsquo;s islands only)
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="Where"
          value={place}
          options={places}
          onChange={(event) => setPlace(event.target.value)}
        />
        <button type="button" className="btn btn-tall" disabled={busy} onClick={() => onAsk(place)}>
          Ask
        </button>
      </div>
      {children}
    </details>
  );
}
