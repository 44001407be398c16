import { TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import type { Verb } from "@/core/model";
import type { RuledOn } from "@/core/verdict/rulings";
import type { Finding } from "@/core/verdict/verdict";
import type { Verdict } from "@/core/verdict/judge";
import { VerbWord } from "@/ui/verb-word";
import { ArgumentOf } from "./argument-of";
import { RulingButtons } from "./ruling-buttons";

interface SlipFrameProps {
  readonly about: RuledOn;
  readonly name: string;
  readonly finding: Finding & Pick<Verdict, "ruling">;
  /** Left out where the page already says what it is about. */
  readonly heading?: ReactNode;
  /** Strokes, and what is at stake. */
  readonly facts: ReactNode;
  /** What else is to be said before the argument. */
  readonly children?: ReactNode;
}

const STAYS: readonly Verb[] = ["keep", "keep as cover"];

/** A slip: the verb large, a sentence of plain evidence, what is at stake, a caution, the argument, and the owner's ruling. */
export function SlipFrame({
  about,
  name,
  finding: { verb, urgency, says, sureness, caution, ruling },
  heading,
  facts,
  children,
}: SlipFrameProps) {
  return (
    <article className="border-b border-rule py-3" aria-label={`${verb} ${name}`}>
      <div className="grid items-start gap-x-5 gap-y-1 sm:grid-cols-[8.5rem_1fr_auto]">
        <p className="font-head text-xl leading-tight">
          <VerbWord verb={verb} urgency={urgency} className="!whitespace-normal" />
        </p>
        <div className="min-w-0">
          {heading && <h3 className="text-lg leading-tight">{heading}</h3>}
          <p>{says}</p>
          <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm text-muted">
            {facts}
            <span>{sureness}</span>
          </p>
          {children}
          {caution && (
            <p className="mt-1 flex items-start gap-1.5 text-sm font-semibold text-sting">
              <TriangleAlert aria-hidden="true" className="mt-0.5 size-4 shrink-0" />
              {caution}
            </p>
          )}
          {ruling && (
            <p className="mt-1 text-sm text-stem">
              You ruled on {ruling.on}: {ruling.decision}
              {ruling.reason && `, “${ruling.reason}”`}
              {ruling.again
                ? `; asked again after ${ruling.again} more ${ruling.again === 1 ? "trip" : "trips"}`
                : ""}
              .
            </p>
          )}
          <ArgumentOf about={about} />
        </div>
        {(ruling || !STAYS.includes(verb)) && (
          <RulingButtons about={about} name={name} ruling={ruling ? { id: ruling.id } : null} />
        )}
      </div>
    </article>
  );
}
