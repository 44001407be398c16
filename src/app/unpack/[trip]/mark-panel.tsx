"use client";

import { useEffect, useRef, useState } from "react";
import { Cause, Mark, OwnerCall, TROUBLES, WhyUnused } from "@/core/model";
import { isTyping } from "@/ui/is-typing";
import { Field, TextField } from "@/ui/field";
import type { Thing } from "./pockets";
import type { Panel } from "./unpack";

type Said = Partial<Mark>;

/** One question with a few answers; a digit picks one. */
interface Question {
  readonly name: string;
  readonly field: keyof Said;
  readonly answers: readonly (readonly [value: Mark[keyof Mark], word: string])[];
}

const words = <T extends string>(values: readonly T[]) => values.map((value) => [value, value] as const);
const WHAT: Question = {
  name: "How bad",
  field: "trouble",
  answers: words(["nuisance", "damaged", "failed"]),
};
const CAUSE: Question = { name: "Why", field: "cause", answers: words(Cause.options) };
const FIX: Question = {
  name: "On the spot",
  field: "fix",
  answers: words(Mark.shape.fix.unwrap().unwrap().options),
};
const COST: Question = {
  name: "It cost",
  field: "cost",
  answers: words(Mark.shape.cost.unwrap().unwrap().options),
};
const WHY: Question = { name: "Why unused", field: "why", answers: words(WhyUnused.options) };
const CALL: Question = { name: "Your call", field: "call", answers: words(OwnerCall.options) };
const EXIT: Question = { name: "It left the pack", field: "trouble", answers: words(TROUBLES.slice(3)) };
const FROST: Question = {
  name: "Frost",
  field: "froze",
  answers: [
    [false, "kept from freezing"],
    [true, "may have frozen wet"],
  ],
};

function questionsOf(panel: Panel, { freezes }: Thing): readonly Question[] {
  const frost = freezes ? [FROST] : [];
  switch (panel) {
    case "trouble":
      return [WHAT, CAUSE, FIX, COST];
    case "why":
      return [WHY];
    case "call":
      return [CALL];
    case "exit":
      return [EXIT, CAUSE];
    case "note":
      return [];
    case "more":
      return [WHY, WHAT, CAUSE, EXIT, CALL, ...frost];
  }
}

/** What more there is to say of one thing. Digits answer the question in hand; Escape closes. */
export function MarkPanel({
  thing,
  panel,
  mark,
  onSay,
  onClose,
}: {
  thing: Thing;
  panel: Panel;
  mark: Said;
  onSay: (more: Said) => void;
  onClose: () => void;
}) {
  const questions = questionsOf(panel, thing);
  const [at, setAt] = useState(0);
  const note = useRef<HTMLTextAreaElement>(null);
  useEffect(() => {
    if (panel === "note") note.current?.focus();
  }, [panel]);
  const pick = (question: Question, value: Mark[keyof Mark]) => {
    onSay({ [question.field]: mark[question.field] === value ? null : value });
    const next = questions.indexOf(question) + 1;
    if (next < questions.length) setAt(next);
    else if (panel !== "more") onClose();
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "Escape") return onClose();
      const question = questions[at];
      if (isTyping(event) || !question || panel === "more") return;
      const answer = /^[1-9]$/.test(event.key) ? question.answers[Number(event.key) - 1] : undefined;
      if (!answer) return;
      event.preventDefault();
      event.stopPropagation();
      pick(question, answer[0]);
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  });
  return (
    <div
      className="mt-2 space-y-2 border-t border-rule pt-2"
      role="group"
      aria-label={`More about ${thing.name}`}
    >
      {questions.map((question, n) => (
        <div
          key={question.name}
          className="flex flex-wrap items-center gap-1.5"
          role="group"
          aria-label={question.name}
        >
          <span className={`w-24 text-sm ${n === at && panel !== "more" ? "font-bold" : "text-muted"}`}>
            {question.name}
          </span>
          {question.answers.map(([value, word], digit) => (
            <button
              key={word}
              type="button"
              aria-pressed={mark[question.field] === value}
              onClick={() => pick(question, value)}
              className={`inline-flex min-h-8 items-center gap-1.5 border px-2 text-sm pointer-coarse:min-h-11 ${mark[question.field] === value ? "border-ink bg-catkin font-semibold" : "border-rule bg-sheet hover:border-ink"}`}
            >
              {panel !== "more" && n === at && (
                <span className="kbd hidden tabs:inline-block" aria-hidden="true">
                  {digit + 1}
                </span>
              )}
              {word}
            </button>
          ))}
        </div>
      ))}
      {panel === "more" && (
        <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Condition now">
          <span className="w-24 text-sm text-muted">Condition</span>
          {[5, 4, 3, 2, 1, 0].map((n) => (
            <button
              key={n}
              type="button"
              aria-pressed={mark.condition === n}
              onClick={() => onSay({ condition: mark.condition === n ? null : n })}
              className={`min-h-8 min-w-11 border px-2 text-sm pointer-coarse:min-h-11 ${mark.condition === n ? "border-ink bg-catkin font-semibold" : "border-rule bg-sheet hover:border-ink"}`}
            >
              {n === 5 ? "5 as new" : n === 0 ? "0 gone" : n}
            </button>
          ))}
        </div>
      )}
      {panel === "more" && (thing.days !== null || thing.measure) && (
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
              onSay={(value) =>
                onSay({ reading: value === null ? null : { what: thing.measure!.what, value } })
              }
            />
          )}
        </div>
      )}
      {(panel === "exit" || panel === "more") && thing.pieces > 1 && (
        <NumberField
          label={`Pieces gone, of ${thing.pieces}`}
          value={mark.pieces ?? null}
          max={thing.pieces}
          onSay={(pieces) => onSay({ pieces: pieces === null ? null : Math.round(pieces) })}
        />
      )}
      {(panel === "note" || panel === "more" || panel === "trouble") && (
        <TextField
          ref={note}
          label="Note"
          rows={2}
          className="max-w-xl"
          defaultValue={mark.note ?? ""}
          maxLength={4000}
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
      )}
      <button type="button" className="btn btn-plain" onClick={onClose}>
        Done
      </button>
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
    const number = typed.trim() === "" ? null : Number(typed.replace(",", "."));
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
