"use client";

import { useState } from "react";
import type { TripId } from "@/core/model";
import { tellOtherTabs } from "@/ui/other-tabs";
import { sayWithUndo } from "@/ui/notice/undo";
import { useRefresh } from "@/ui/use-refresh";
import { putLineBack, takeLine } from "../actions";

/** A line written on the way, and what it was understood to be. */
export interface TrailLine {
  readonly id: string;
  readonly text: string;
  readonly says: string;
  readonly isNote: boolean;
}

/** What was written on the way: each line becomes a mark, a night or a thing that joined by one press. */
export function FromTheTrail({ trip, lines }: { trip: TripId; lines: readonly TrailLine[] }) {
  const refresh = useRefresh();
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const [busy, setBusy] = useState<string>();
  if (lines.length === 0) return null;
  const take = async ({ id, says, isNote }: TrailLine) => {
    setBusy(id);
    const answer = await takeLine(trip, id).catch(() => null);
    setBusy(undefined);
    if (!answer?.ok)
      return setWrong({
        ...wrong,
        [id]: (answer && Object.values(answer.fields)[0]) ?? "Not taken: the server can’t be reached.",
      });
    tellOtherTabs();
    void refresh();
    const taken = answer.value;
    sayWithUndo(
      isNote ? "Put aside" : says,
      () => putLineBack(trip, id, taken),
      () => void refresh(),
    );
  };
  return (
    <section aria-labelledby="trail-title" className="mb-6 border-l-4 border-catkin-strong pl-4">
      <h2 id="trail-title" className="text-lg">
        Written on the way
      </h2>
      <ul>
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1 basis-60">
              <b>{line.text}</b>
              <span className="block text-sm text-muted">{line.says}</span>
              {wrong[line.id] && <span className="error block">{wrong[line.id]}</span>}
            </span>
            <button
              type="button"
              className="btn"
              disabled={busy === line.id}
              onClick={() => void take(line)}
              aria-label={`${line.isNote ? "Put aside" : "Take it"}: ${line.text}`}
            >
              {line.isNote ? "Put aside" : "Take it"}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
