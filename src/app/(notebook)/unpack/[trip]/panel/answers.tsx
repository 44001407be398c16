"use client";

import type { PanelQuestion, Said } from "./panel-questions";

/** Answers that a digit can give. */
const DIGITS = 9;

export const QUESTION = "grid gap-x-2 gap-y-1 tabs:grid-cols-[7.5rem_1fr]";
export const ASKED = "text-sm tabs:pt-1.5";
export const ANSWERS = "flex flex-wrap gap-1.5";
export const ANSWER = "inline-flex min-h-8 items-center gap-1.5 border px-2 text-sm pointer-coarse:min-h-11";
export const GIVEN = "border-ink bg-catkin font-semibold";
export const OPEN = "border-rule bg-sheet hover:border-ink";

interface AnswersProps {
  readonly question: PanelQuestion;
  readonly inHand: boolean;
  readonly mark: Said;
  readonly onSay: (more: Said, given: boolean) => void;
}

/** One question and its answers: pressed again, an answer is taken back. */
export function Answers({ question: { name, answers }, inHand, mark, onSay }: AnswersProps) {
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
