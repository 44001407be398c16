"use client";

import { useRef, useState } from "react";
import { Doing } from "./doing";
import { Overrule } from "./overrule";
import type { SlipData } from "./slip-data";
import { useRuling } from "./use-ruling";

const AT_ONCE = { reason: "", again: null } as const;

/**
 * Agree, done, overrule with a reason and when to ask again, or later; afterwards the focus goes on to the
 * next slip.
 */
export function RulingButtons({ slip }: { slip: SlipData }) {
  const { name, ruling } = slip;
  const box = useRef<HTMLDivElement>(null);
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
      <Overrule
        slip={slip}
        open={open}
        busy={busy}
        error={error}
        onOpen={setOpen}
        onOverrule={(reason, again) => decide({ decision: "overrule", reason, again })}
      />
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
