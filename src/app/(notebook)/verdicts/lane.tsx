"use client";

import { useState } from "react";
import { Slip } from "./slip/slip";
import type { SlipData } from "./slip/slip-data";

interface LaneProps {
  readonly name: string;
  readonly about?: string;
  readonly sting?: boolean;
  readonly slips: readonly SlipData[];
  /** Its first slip is where Tab comes to. */
  readonly first?: boolean;
}

const KEYS = [
  ["↑ ↓", "from slip to slip"],
  ["a", "agree"],
  ["d", "done"],
  ["o", "overrule"],
  ["l", "later"],
  ["Enter", "why"],
] as const;

/** Said once, beside the first lane's name. */
const SlipKeys = () => (
  <p className="no-print hidden gap-x-3 text-sm text-muted tabs:flex" aria-hidden="true">
    {KEYS.map(([key, does]) => (
      <span key={key}>
        <span className="kbd">{key}</span> {does}
      </span>
    ))}
  </p>
);

/** Slips drawn at once; the others on a press. */
const AT_ONCE = 15;

/** Slips of one urgency. */
export function Lane({ name, about = "", sting = false, slips, first = false }: LaneProps) {
  const [all, setAll] = useState(false);
  if (slips.length === 0) return null;
  const shown = all ? slips : slips.slice(0, AT_ONCE);
  return (
    <section className="mb-4" aria-label={name}>
      <div className="flex items-baseline gap-6 border-b-2 border-ink pb-1">
        <h2 className={`flex-1 text-lg ${sting ? "text-sting" : ""}`}>
          {name} <span className="num text-base font-normal text-muted">{slips.length}</span>
          {about && <span className="ml-3 font-sans text-sm font-normal text-muted">{about}</span>}
        </h2>
        {first && <SlipKeys />}
      </div>
      {shown.map((slip, n) => (
        <Slip key={slip.key} slip={slip} first={first && n === 0} />
      ))}
      {shown.length < slips.length && (
        <button type="button" className="btn mt-2" onClick={() => setAll(true)}>
          Show the other {slips.length - shown.length}
        </button>
      )}
    </section>
  );
}
