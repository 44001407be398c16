"use client";

import { useEffect, useRef, useState } from "react";
import { offered } from "@/core/trade/symptoms";
import { isTyping } from "@/ui/is-typing";
import { Field, TextField } from "@/ui/field";
import { questionsOf, type Panel, type PanelQuestion, type Said } from "./panel-questions";
import type { Thing } from "./pockets";

/** Answers that a digit can give. */
const DIGITS = 9;

interface MarkPanelProps {
  readonly thing: Thing;
  readonly panel: Panel;
  readonly mark: Said;
  readonly onSay: (more: Said) => void;
  readonly onClose: () => void;
}

/** What more there is to say of one thing. Digits answer the question in hand, Tab or → leaves it; Escape closes. */
export function MarkPanel({ thing, panel, mark, onSay, onClose }: MarkPanelProps) {
  const questions = questionsOf(panel, thing);
  const [at, setAt] = useState(0);
  const note = useRef<HTMLTextAreaElement>(null);
  useEffect(() => {
    if (panel === "note") note.current?.focus();
  }, [panel]);
  const goOn = (from: number) => {
    if (from + 1 < questions.length) setAt(from + 1);
    else if (panel !== "more") onClose();
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "Escape") return onClose();
      const question = questions[at];
      if (isTyping(event) || !question || panel === "more") return;
      const answer = /^[1-9]$/.test(event.key) ? question.answers[Number(event.key) - 1] : undefined;
      if (!answer && event.key !== "ArrowRight") return;
      event.preventDefault();
      event.stopPropagation();
      // The answer that it has is kept: a key never takes one back.
      if (answer && !answer.isGiven(mark)) onSay(answer.give(mark));
      goOn(at);
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
        <Answers
          key={question.name}
          question={question}
          inHand={n === at && panel !== "more"}
          mark={mark}
          onSay={(more, given) => {
            onSay(more);
            if (given && panel !== "more") goOn(n);
          }}
        />
      ))}
      {panel === "more" && (
        <div className={QUESTION} role="group" aria-label="Condition now">
          <span className={`${ASKED} text-muted`}>Condition</span>
          <div className={ANSWERS}>
            {[5, 4, 3, 2, 1, 0].map((n) => (
              <button
                key={n}
                type="button"
                aria-pressed={mark.condition === n}
                onClick={() => onSay({ condition: mark.condition === n ? null : n })}
                className={`${ANSWER} min-w-11 ${mark.condition === n ? GIVEN : OPEN}`}
              >
                {n === 5 ? "5 as new" : n === 0 ? "0 gone" : n}
              </button>
            ))}
          </div>
        </div>
      )}
      {(panel === "more" || panel === "exit") && (
        <Numbers thing={thing} panel={panel} mark={mark} onSay={onSay} />
      )}
      {(panel === "note" || panel === "more" || panel === "trouble") && (
        <NoteField ref={note} mark={mark} onSay={onSay} onClose={onClose} />
      )}
      <button type="button" className="btn btn-plain" onClick={onClose}>
        Done
      </button>
    </div>
  );
}

const QUESTION = "grid gap-x-2 gap-y-1 tabs:grid-cols-[7.5rem_1fr]";
const ASKED = "text-sm tabs:pt-1.5";
const ANSWERS = "flex flex-wrap gap-1.5";
const ANSWER = "inline-flex min-h-8 items-center gap-1.5 border px-2 text-sm pointer-coarse:min-h-11";
const GIVEN = "border-ink bg-catkin font-semibold";
const OPEN = "border-rule bg-sheet hover:border-ink";

interface AnswersProps {
  readonly question: PanelQuestion;
  readonly inHand: boolean;
  readonly mark: Said;
  readonly onSay: (more: Said, given: boolean) => void;
}

function Answers({ question: { name, answers }, inHand, mark, onSay }: AnswersProps) {
  return (
    <div className={QUESTION} role="group" aria-label={name}>
      <span className={`${ASKED} ${inHand ? "font-bold" : "text-muted"}`}>{name}</span>
      <div className={ANSWERS}>
        {answers.map(({ word, isGiven, give, takeBack }, digit) => {
          const given = isGiven(mark);
          return (
            <button
              key={word}
              type="button"
              aria-pressed={given}
              onClick={() => onSay(given ? takeBack(mark) : give(mark), !given)}
              className={`${ANSWER} ${given ? GIVEN : OPEN}`}
            >
              {inHand && digit < DIGITS && (
                <span className="kbd hidden tabs:inline-block" aria-hidden="true">
                  {digit + 1}
                </span>
              )}
              {word}
            </button>
          );
        })}
      </div>
    </div>
  );
}

/** What is counted or measured: days used, a reading, pieces gone and enough, what is left. */
function Numbers({ thing, panel, mark, onSay }: Omit<MarkPanelProps, "onClose">) {
  return (
    <div className="flex flex-wrap gap-3">
      {panel === "more" && thing.days !== null && (
        <NumberField
          label={`Days used, of ${thing.days}`}
          value={mark.days ?? null}
          max={thing.days}
          onSay={(days) => onSay({ days })}
        />
      )}
      {panel === "more" && thing.measure && (
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
      {panel === "more" && thing.pieces > 1 && (
        <NumberField
          label={`Would have been enough, of ${thing.pieces}`}
          value={mark.enough ?? null}
          max={thing.pieces}
          onSay={(enough) => onSay({ enough: enough === null ? null : Math.round(enough) })}
        />
      )}
      {panel === "more" && thing.contents && (
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

interface NoteFieldProps extends Pick<MarkPanelProps, "mark" | "onSay" | "onClose"> {
  readonly ref: React.Ref<HTMLTextAreaElement>;
}

/** The owner's own words. What they sound like is offered, for one press to confirm; they never judge by themselves. */
function NoteField({ ref, mark, onSay, onClose }: NoteFieldProps) {
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
