"use client";

import { useState } from "react";
import { useDoing } from "@/ui/use-doing";
import { leaveDemo, lookAtDemo } from "./actions";

/** Fills an empty notebook with the demo's. */
export function LookAtDemo() {
  const { busy, run } = useDoing();
  return (
    <button
      type="button"
      className="btn"
      disabled={busy}
      onClick={() => run(lookAtDemo, { says: () => "The demo is laid out: look around, try anything" })}
    >
      {busy ? "Laying it out …" : "Look at the demo"}
    </button>
  );
}

/** Says that the notebook is the demo's, and leaves it for one's own. */
export function DemoStrip() {
  const { busy, run } = useDoing();
  const [isAsked, setAsked] = useState(false);
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-catkin-strong pl-4">
      <span>
        {isAsked
          ? "All that is here goes, what you entered in it too; a copy of it is kept in the folder."
          : "An invented walker’s notebook: look around, try anything."}
      </span>
      {isAsked ? (
        <>
          <button
            type="button"
            className="btn btn-leaf btn-small"
            autoFocus
            disabled={busy}
            onClick={() => run(leaveDemo, { says: () => "The notebook is yours, and empty" })}
          >
            Empty it
          </button>
          <button type="button" className="btn btn-small" onClick={() => setAsked(false)}>
            Stay
          </button>
        </>
      ) : (
        <button type="button" className="btn btn-small" onClick={() => setAsked(true)}>
          Leave it, and begin my own
        </button>
      )}
    </div>
  );
}
