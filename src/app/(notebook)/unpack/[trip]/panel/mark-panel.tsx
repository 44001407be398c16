"use client";

import { useEffect, useRef, useState } from "react";
import { isTyping } from "@/ui/is-typing";
import { Amounts } from "./amounts";
import { ANSWER, Answers, ANSWERS, ASKED, GIVEN, OPEN, QUESTION } from "./answers";
import { NoteField } from "./note-field";
import { questionsOf, shortQuestions, type Panel, type Said } from "./panel-questions";
import type { Thing } from "../pack/pockets";
import { WhereItWas, type Way } from "./where-it-was";

interface MarkPanelProps {
  readonly thing: Thing;
  readonly way: Way;
  readonly panel: Panel;
  readonly mark: Said;
  readonly onSay: (more: Said) => void;
  readonly onClose: () => void;
}

/** What more there is to say of one thing. Digits answer the question in hand, Tab or → leaves it; Escape closes. */
export function MarkPanel({ thing, way, panel, mark, onSay, onClose }: MarkPanelProps) {
  const [asked, setAsked] = useState<AskedOf>("what fits");
  const isShort = asked !== "all" && (panel === "more" || panel === "trouble");
  const questions = isShort
    ? shortQuestions(panel, thing, mark, asked === "how it left" || Boolean(mark.exit))
    : questionsOf(panel, thing);
  const [at, setAt] = useState(0);
  const note = useRef<HTMLTextAreaElement>(null);
  const amounts = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (panel === "note") note.current?.focus();
    if (panel === "amount") amounts.current?.querySelector("input")?.focus();
  }, [panel]);
  // Of a set one may go, and the set stay: how many is asked with it.
  const asksPieces = thing.pieces > 1 && Boolean(mark.exit);
  const hasPlace = panel === "more" && (mark.exit ?? mark.troubles?.includes("failed") ?? false);
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
      {panel === "more" && !isShort && <Condition mark={mark} onSay={onSay} />}
      {((panel === "more" && !isShort) || panel === "amount" || asksPieces) && (
        <div ref={amounts}>
          <Amounts thing={thing} mark={mark} onSay={onSay} />
        </div>
      )}
      {(panel === "exit" || panel === "trouble" || hasPlace) && (
        <WhereItWas way={way} item={thing.id} mark={mark} onSay={onSay} />
      )}
      {(panel === "note" || panel === "more" || panel === "trouble") && (
        <NoteField ref={note} mark={mark} onSay={onSay} onClose={onClose} />
      )}
      <PanelEnd
        canLeave={isShort && panel === "more" && asked !== "how it left" && !mark.exit}
        hasMore={isShort}
        onAsk={setAsked}
        onClose={onClose}
      />
    </div>
  );
}

/** What of it is asked: what fits what was pressed, how it left beside it, or all there is. */
type AskedOf = "what fits" | "how it left" | "all";

interface PanelEndProps {
  readonly canLeave: boolean;
  readonly hasMore: boolean;
  readonly onAsk: (what: AskedOf) => void;
  readonly onClose: () => void;
}

function PanelEnd({ canLeave, hasMore, onAsk, onClose }: PanelEndProps) {
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn btn-plain" onClick={onClose}>
        Done
      </button>
      {canLeave && (
        <button type="button" className="btn btn-plain" onClick={() => onAsk("how it left")}>
          It left the pack
        </button>
      )}
      {hasMore && (
        <button type="button" className="btn btn-plain" onClick={() => onAsk("all")}>
          All there is to say
        </button>
      )}
    </div>
  );
}

const GRADES: readonly { readonly grade: number; readonly word: string }[] = [
  { grade: 5, word: "5 as new" },
  ...[4, 3, 2, 1].map((grade) => ({ grade, word: String(grade) })),
  { grade: 0, word: "0 gone" },
];

/** How good it is now; pressed again, a grade is taken back. */
function Condition({ mark, onSay }: Pick<MarkPanelProps, "mark" | "onSay">) {
  return (
    <div className={QUESTION} role="group" aria-label="Condition now">
      <span className={`${ASKED} text-muted`}>Condition</span>
      <div className={ANSWERS}>
        {GRADES.map(({ grade, word }) => (
          <button
            key={grade}
            type="button"
            aria-pressed={mark.condition === grade}
            onClick={() => onSay({ condition: mark.condition === grade ? null : grade })}
            className={`${ANSWER} min-w-11 ${mark.condition === grade ? GIVEN : OPEN}`}
          >
            {word}
          </button>
        ))}
      </div>
    </div>
  );
}
