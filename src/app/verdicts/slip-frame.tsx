import { TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import type { RuledOn } from "@/core/reasons/rulings";
import type { Ruling } from "@/core/model";
import type { Finding } from "@/core/reasons/finding";
import { stays } from "@/core/reasons/verbs";
import { CAUTIONS } from "@/core/say/cautions";
import { sayDay } from "@/core/units/speak";
import { VerbWord } from "@/ui/verb-word";
import { ArgumentOf } from "./argument-of";
import { RulingButtons } from "./ruling-buttons";

interface SlipFrameProps {
  readonly about: RuledOn;
  readonly name: string;
  readonly finding: Finding;
  readonly ruling: Ruling | null;
  /** Its sentence. */
  readonly says: string;
  /** Left out where the page already says what it is about. */
  readonly heading?: ReactNode;
  /** Strokes, and what is at stake. */
  readonly facts: ReactNode;
  /** What else is to be said before the argument. */
  readonly children?: ReactNode;
}

/** A slip: the verb large, a sentence of plain evidence, what is at stake, a caution, the argument, and the owner's ruling. */
export function SlipFrame({
  about,
  name,
  finding: { verb, urgency, sureness, caution, done },
  ruling,
  says,
  heading,
  facts,
  children,
}: SlipFrameProps) {
  return (
    <article
      className={`border-b border-rule py-1.5 ${sureness === "leaning" ? "text-muted" : ""}`}
      aria-label={`${verb} ${name}`}
    >
      <div className="grid items-start gap-x-5 gap-y-0.5 sm:grid-cols-[8rem_1fr_auto]">
        <p className="font-head text-lg leading-6">
          <VerbWord
            verb={verb}
            urgency={urgency}
            leaning={sureness === "leaning"}
            className="!whitespace-normal"
          />
        </p>
        <div className="min-w-0">
          <p className="leading-6">
            {heading && <strong className="mr-2 text-ink">{heading}</strong>}
            {says}
          </p>
          {children}
          <ArgumentOf
            about={about}
            facts={
              <>
                {facts}
                <span>{sureness}</span>
                {caution && (
                  <span className="flex items-center gap-1.5 font-semibold text-sting">
                    <TriangleAlert aria-hidden="true" className="size-4 shrink-0" />
                    {CAUTIONS[caution]}
                  </span>
                )}
                {ruling && (
                  <span className="text-stem">
                    You ruled on {sayDay(ruling.on)}: {ruling.decision}
                    {ruling.reason && `, “${ruling.reason}”`}
                    {ruling.again
                      ? `; asked again after ${ruling.again} more ${ruling.again === 1 ? "trip" : "trips"}`
                      : ""}
                    .
                  </span>
                )}
              </>
            }
          />
        </div>
        {(ruling || (!stays(verb) && !done)) && (
          <RulingButtons about={about} name={name} ruling={ruling ? { id: ruling.id } : null} />
        )}
      </div>
    </article>
  );
}
