"use client";

import type { Settings } from "@/core/model";
import type { Learned as LearnedOf } from "@/core/say/verdicts/taste";
import { useDoing } from "@/ui/use-doing";
import { keepForgotten } from "./actions";

interface LearnedProps {
  readonly learned: readonly LearnedOf[];
  readonly forgotten: Settings["forgotten"];
  readonly today: string;
}

/** What the log tells of its owner's taste, a sentence each, with what it changes; each can be forgotten. */
export function Learned({ learned, forgotten, today }: LearnedProps) {
  const { busy, run } = useDoing();
  const forget = (about: LearnedOf["about"]) =>
    run(() => keepForgotten({ ...forgotten, [about]: today }), {
      says: () => "Forgotten. It is learned anew from now on.",
      undo: (was) => keepForgotten(was),
    });
  return (
    <section id="learned" aria-labelledby="learned-title">
      <h2 id="learned-title" className="mb-2 border-b-2 border-ink pb-1 text-lg">
        What your log tells of you
      </h2>
      <p className="hint mb-2">
        Learned from what you were shown and did about it, and from what you complained of and went on taking.
        It moves your school’s lines a little; it never touches what is dangerous to lack.
      </p>
      {learned.length === 0 ? (
        <p>
          Nothing yet: it takes some advice shown before a trip, and a debrief of what was packed all the
          same.
        </p>
      ) : (
        <ul>
          {learned.map(({ about, sentence }) => (
            <li
              key={about}
              className="flex flex-wrap items-center justify-between gap-x-6 border-b border-rule py-1.5"
            >
              <span className="max-w-2xl">{sentence}</span>
              <button
                type="button"
                className="btn btn-plain btn-small"
                disabled={busy}
                aria-label={`Forget this: ${sentence}`}
                onClick={() => forget(about)}
              >
                Forget this
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
