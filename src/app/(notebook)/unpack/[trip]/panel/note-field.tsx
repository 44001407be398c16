"use client";

import { useState } from "react";
import { offered } from "@/core/trade/symptoms";
import { TextField } from "@/ui/form/field";
import { ANSWER, OPEN } from "./answers";
import type { Said } from "./panel-questions";

interface NoteFieldProps {
  readonly mark: Said;
  readonly onSay: (more: Said) => void;
  readonly onClose: () => void;
  readonly ref: React.Ref<HTMLTextAreaElement>;
}

/** The owner's own words. What they sound like is offered, for one press to confirm; they never judge by themselves. */
export function NoteField({ ref, mark, onSay, onClose }: NoteFieldProps) {
  const [typed, setTyped] = useState(mark.note ?? "");
  const { symptoms, complaints } = offered(typed);
  const offers = [
    ...symptoms
      .filter((symptom) => !mark.symptoms?.includes(symptom))
      .map((symptom) => ({ word: symptom, say: { symptoms: [...(mark.symptoms ?? []), symptom] } })),
    ...complaints
      .filter((what) => !mark.complaints?.some((each) => each.what === what))
      .map((what) => ({ word: what, say: { complaints: [...(mark.complaints ?? []), { what, on: null }] } })),
  ].slice(0, 4);
  return (
    <div className="max-w-xl">
      <TextField
        ref={ref}
        label="Note"
        rows={2}
        value={typed}
        maxLength={4000}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={(event) => {
          if (event.target.value !== (mark.note ?? "")) onSay({ note: event.target.value });
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter" && !event.shiftKey) {
            event.preventDefault();
            event.currentTarget.blur();
            onClose();
          }
        }}
      />
      {offers.length > 0 && (
        <p
          className="mt-1 flex flex-wrap items-center gap-1.5 text-sm text-muted"
          role="group"
          aria-label="It sounds like"
        >
          It sounds like
          {offers.map(({ word, say }) => (
            <button
              key={word}
              type="button"
              className={`${ANSWER} ${OPEN}`}
              // Before the field is left, or its note would go out alone.
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => onSay({ ...say, note: typed })}
            >
              {word}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}
