"use client";

import { useEffect, useState, type RefObject } from "react";
import { strokeAt, type SheetRow, type SheetTrip } from "./sheet-data";
import { STROKES } from "../stroke/stroke";

/** A cell that is looked at, by focus or by the pointer. */
export interface LookedAt {
  readonly row: SheetRow;
  readonly trip: SheetTrip;
  readonly column: number;
}

/** Milliseconds a cell is looked at before its words are fetched: walking across asks for nothing. */
const PAUSE = 250;

/**
 * All that a cell says, over the foot of the sheet: the mark whole, and what was done to the thing before
 * that trip.
 */
export function CellWords({
  frame,
  cellAt,
}: {
  frame: RefObject<HTMLElement | null>;
  cellAt: (target: EventTarget) => LookedAt | null;
}) {
  const [at, setAt] = useState<LookedAt | null>(null);
  // Listened for here, so that looking about draws these words again and not the sheet.
  useEffect(() => {
    const sheet = frame.current;
    const look = ({ target }: Event) => setAt((before) => (target && cellAt(target)) ?? before);
    const away = () => setAt(null);
    sheet?.addEventListener("focusin", look);
    sheet?.addEventListener("mouseover", look);
    sheet?.addEventListener("mouseleave", away);
    return () => {
      sheet?.removeEventListener("focusin", look);
      sheet?.removeEventListener("mouseover", look);
      sheet?.removeEventListener("mouseleave", away);
    };
  }, [frame, cellAt]);
  const [told, setTold] = useState<{ at: LookedAt; says: readonly string[] } | null>(null);
  useEffect(() => {
    if (!at || at.row.strokes[at.column] === "-") return;
    const stop = new AbortController();
    const pause = setTimeout(() => {
      const asked = new URLSearchParams({ item: at.row.id, trip: at.trip.id });
      fetch(`/api/cell?${asked}`, { signal: stop.signal })
        .then(async (answer) => setTold({ at, says: ((await answer.json()) as { says: string[] }).says }))
        // The server gone, or another cell by now: the stroke still says what it says.
        .catch(() => undefined);
    }, PAUSE);
    return () => {
      clearTimeout(pause);
      stop.abort();
    };
  }, [at]);
  if (!at) return null;
  const before = at.row.seams[at.column];
  const says = told?.at === at ? told.says : [];
  if (says.length === 0 && !before) return null;
  return (
    <p
      role="status"
      className="pointer-events-none absolute inset-x-0 bottom-0 z-20 border-t border-rule-strong bg-paper/95 px-2 py-1 text-sm print:hidden"
    >
      <b>{at.row.name}</b>, {at.trip.name}: {[STROKES[strokeAt(at.row, at.column)], ...says].join("; ")}
      {before && <span className="text-stem"> ◆ before it: {before}</span>}
    </p>
  );
}
