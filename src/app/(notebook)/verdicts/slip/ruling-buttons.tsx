"use client";

import { lazy, Suspense, useRef, useState } from "react";
import { Doing } from "./doing";
import type { SlipData } from "./slip-data";
import { useRuling } from "./use-ruling";

// A page of forty slips needs forty buttons, and seldom one form.
const Overrule = lazy(() => import("./overrule"));

const AT_ONCE = { reason: "", again: null } as const;

/**
 * Agree, done, overrule with a reason and when to ask again, or later; afterwards the focus goes on to the
 * next slip.
 */
export function RulingButtons({ slip }: { slip: SlipData }) {
  const { name, ruling } = slip;
  const box = useRef<HTMLDivElement>(null);
  const anchor = useRef<HTMLSpanElement>(null);
  const [open, setOpen] = useState(false);
  const { busy, error, decide, follow, takeBack } = useRuling(slip, box, open, () => setOpen(false));
  const doing = <Doing slip={slip} busy={busy} onFollow={follow} />;
  if (ruling)
    return (
      <div ref={box} className={BUTTONS} role="group" aria-label={`Ruled on ${name}`}>
        {ruling.decision === "agree" && doing}
        <button type="button" className="btn btn-plain btn-small" disabled={busy} onClick={takeBack}>
          Take my ruling back<span className="sr-only"> on {name}</span>
        </button>
      </div>
    );
  return (
    <div ref={box} className={BUTTONS} role="group" aria-label={`Rule on ${name}`}>
      <button
        type="button"
        data-act="agree"
        className="btn btn-small"
        disabled={busy}
        onClick={() => decide({ decision: "agree", ...AT_ONCE })}
      >
        Agree
      </button>
      {doing}
      <span ref={anchor}>
        <button
          type="button"
          data-act="overrule"
          className="btn btn-small"
          disabled={busy}
          aria-haspopup="dialog"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Overrule
        </button>
      </span>
      {open && (
        <Suspense>
          <Overrule
            slip={slip}
            anchor={anchor}
            busy={busy}
            error={error}
            onClose={() => setOpen(false)}
            onOverrule={(reason, again) => decide({ decision: "overrule", reason, again })}
          />
        </Suspense>
      )}
      <button
        type="button"
        data-act="later"
        className="btn btn-plain btn-small"
        disabled={busy}
        onClick={() => decide({ decision: "later", ...AT_ONCE })}
      >
        Later
      </button>
    </div>
  );
}

const BUTTONS = "no-print flex flex-wrap gap-1.5";
