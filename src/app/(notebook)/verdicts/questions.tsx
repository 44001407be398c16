"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState, useTransition } from "react";
import { isTyping } from "@/ui/is-typing";
import { tellWrong } from "@/ui/notice/notice";
import { tellOtherTabs } from "@/ui/follow/channel";
import { answerQuestion, waveQuestion } from "./actions";

interface ToldQuestion {
  readonly id: string;
  readonly words: string;
  readonly answers: readonly string[];
}

/** The key that gives an answer while one of its buttons has the focus: a grade is its own digit. */
const keyOf = (word: string, n: number) => (/^\d$/.test(word) ? word : String(n + 1));

interface QuestionsProps {
  readonly questions: readonly ToldQuestion[];
  /** Digits anywhere on the page answer the question in hand: nothing else there listens to them. */
  readonly byDigits: boolean;
}

/** Keys pressed anywhere on the page, as far as they answer something. */
function useDigits(isOn: boolean, answer: (key: string) => boolean): void {
  useEffect(() => {
    if (!isOn) return;
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (answer(event.key)) event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}

/**
 * At most three questions, those whose answers would most change the verdicts; each is answered by one press,
 * or waved away.
 */
export function Questions({ questions, byDigits }: QuestionsProps) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const say = (id: string, work: () => Promise<{ readonly ok: boolean }>) =>
    start(async () => {
      const answer = await work().catch(() => null);
      if (!answer?.ok)
        return void tellWrong("Not saved: the server can’t be reached, or the question no longer stands.");
      setDone((before) => new Set(before).add(id));
      tellOtherTabs();
      router.refresh();
    });
  const open = questions.filter(({ id }) => !done.has(id));
  const answerByKey = (key: string): boolean => {
    const [asked] = open;
    const nth = asked && !busy ? asked.answers.findIndex((word, n) => keyOf(word, n) === key) : -1;
    if (asked && nth >= 0) say(asked.id, () => answerQuestion(asked.id, nth));
    return nth >= 0;
  };
  useDigits(byDigits, answerByKey);
  if (open.length === 0) return null;
  return (
    <section
      id="worth-asking"
      aria-label="Worth asking"
      className="no-print mb-2 flex flex-wrap items-center gap-x-4 border-l-4 border-catkin-strong pl-4"
    >
      <h2 className="text-base">
        Worth asking{" "}
        {open.length > 1 && (
          <span className="font-sans text-sm font-normal text-muted">
            and {open.length - 1} more after it
          </span>
        )}
      </h2>
      <ul>
        {open.slice(0, 1).map(({ id, words, answers }) => (
          <li
            key={id}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1"
            // In the debrief the same keys mark a thing.
            onKeyDown={(event) => !byDigits && answerByKey(event.key) && event.stopPropagation()}
          >
            <span className="min-w-0 flex-1 sm:flex-none">{words}</span>
            <span role="group" aria-label={words} className="order-3 flex flex-wrap gap-0.5 sm:order-2">
              {answers.map((word, n) => (
                <button
                  key={word}
                  type="button"
                  disabled={busy}
                  onClick={() => say(id, () => answerQuestion(id, n))}
                  className="min-h-8 min-w-8 border border-rule bg-sheet px-1.5 sm:px-2 text-sm hover:border-ink pointer-coarse:min-h-11 pointer-coarse:min-w-11"
                >
                  {keyOf(word, n) !== word && (
                    <span className="kbd mr-1.5 hidden tabs:inline-block" aria-hidden="true">
                      {keyOf(word, n)}
                    </span>
                  )}
                  {word}
                </button>
              ))}
            </span>
            <button
              type="button"
              disabled={busy}
              onClick={() => say(id, () => waveQuestion(id))}
              className="btn btn-plain btn-small order-2 sm:order-3"
            >
              Not now
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
