"use client";

import { inRoundNumbers } from "@/core/say/wear";
import { parseNumber } from "@/core/units/quantity";
import { useState } from "react";
import { Field } from "@/ui/form/field";

interface OwnNumberProps {
  readonly label: string;
  /** The owner's own, in the unit shown; undefined where the default holds. */
  readonly own: number | undefined;
  readonly fallback: number | null;
  /** Said after the default: its unit and where it comes from. */
  readonly source: string;
  readonly error?: string;
  readonly onKeep: (value: number | undefined) => void;
}

/** A number of the trade that an owner may change: the default and its source are shown, and blank brings it back. */
export function OwnNumber({ label, own, fallback, source, error, onKeep }: OwnNumberProps) {
  const shown = own === undefined ? "" : String(round(own));
  const [typed, setTyped] = useState(shown);
  const [last, setLast] = useState(shown);
  const [wrong, setWrong] = useState<string>();
  // Brought back or changed from elsewhere (another tab, “use mine”): what is kept is shown.
  if (shown !== last) {
    setLast(shown);
    setTyped(shown);
  }
  const keep = (value: string) => {
    const number = parseNumber(value) ?? undefined;
    if (Number.isNaN(number)) return setWrong("Write a number, or leave it blank for the default.");
    setWrong(undefined);
    if (value !== shown) onKeep(number);
  };
  return (
    <div className={own === undefined ? "" : "border-l-4 border-stem pl-2"}>
      <Field
        label={label}
        inputMode="decimal"
        value={typed}
        placeholder={fallback === null ? "none" : inRound(fallback)}
        error={wrong ?? error}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={(event) => keep(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") keep(event.currentTarget.value);
        }}
        hint={
          <>
            {own === undefined
              ? `default ${fallback === null ? "none" : inRound(fallback)}`
              : `yours; the default is ${fallback === null ? "none" : inRound(fallback)}`}{" "}
            {source}
          </>
        }
      />
      {own !== undefined && (
        <button type="button" className="btn btn-plain !min-h-7 text-sm" onClick={() => onKeep(undefined)}>
          Reset<span className="sr-only"> {label}</span>
        </button>
      )}
    </div>
  );
}

const round = (value: number) => Math.round(value * 100) / 100;

/** "720", or "about 720" where it was made in another unit. */
function inRound(value: number): string {
  const said = inRoundNumbers(value);
  return Math.abs(said - value) < 0.01 ? String(said) : `about ${said}`;
}
