"use client";

import { parseNumber } from "@/core/units/quantity";
import { useState } from "react";
import { Field } from "@/ui/form/field";
import type { Said } from "./panel-questions";
import type { Thing } from "../pack/pockets";

/** What is counted or measured: days used, a reading, pieces gone and enough, what is left. */
export function Amounts({ thing, mark, onSay }: { thing: Thing; mark: Said; onSay: (more: Said) => void }) {
  return (
    <div className="flex flex-wrap gap-3">
      {thing.days !== null && (
        <NumberField
          label={`Days used, of ${thing.days}`}
          value={mark.days ?? null}
          max={thing.days}
          onSay={(days) => onSay({ days })}
        />
      )}
      {thing.measure && (
        <NumberField
          label={`Its ${thing.measure.what}, ${thing.measure.unit}`}
          value={mark.reading?.value ?? null}
          onSay={(value) => onSay({ reading: value === null ? null : { what: thing.measure!.what, value } })}
        />
      )}
      {thing.pieces > 1 && (
        <NumberField
          label={`Pieces gone, of ${thing.pieces}`}
          value={mark.pieces ?? null}
          max={thing.pieces}
          onSay={(pieces) => onSay({ pieces: pieces === null ? null : Math.round(pieces) })}
        />
      )}
      {thing.pieces > 1 && (
        <NumberField
          label={`Would have been enough, of ${thing.pieces}`}
          value={mark.enough ?? null}
          max={thing.pieces}
          onSay={(enough) => onSay({ enough: enough === null ? null : Math.round(enough) })}
        />
      )}
      {thing.contents && (
        <NumberField
          label="Left now, in %"
          value={mark.left == null ? null : Math.round(mark.left * 100)}
          max={100}
          onSay={(left) => onSay({ left: left === null ? null : left / 100 })}
        />
      )}
    </div>
  );
}

/** A number that may stay blank, said when the field is left. */
function NumberField({
  label,
  value,
  max,
  onSay,
}: {
  label: string;
  value: number | null;
  max?: number;
  onSay: (value: number | null) => void;
}) {
  const [error, setError] = useState<string>();
  const say = (typed: string) => {
    const number = parseNumber(typed);
    const wrong =
      number !== null && !(number >= 0 && number <= (max ?? Infinity))
        ? `A number from 0${max === undefined ? " up" : ` to ${max}`}.`
        : undefined;
    setError(wrong);
    if (!wrong && number !== value) onSay(number);
  };
  return (
    <Field
      label={label}
      inputMode="decimal"
      className="w-44"
      defaultValue={value ?? ""}
      error={error}
      onBlur={(event) => say(event.target.value)}
    />
  );
}
