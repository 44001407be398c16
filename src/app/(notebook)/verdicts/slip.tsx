"use client";

import { TriangleAlert } from "lucide-react";
import Link from "next/link";
import { StrokeRow, STROKES, type StrokeCode } from "@/ui/stroke/stroke";
import { VerbWord } from "@/ui/verb-word";
import { ArgumentOf } from "./argument-of";
import { RulingButtons } from "./ruling-buttons";
import type { SlipData } from "./slip-data";
import { itemPath } from "@/ui/paths";

interface SlipProps {
  readonly slip: SlipData;
  /** Left out where the page already says what it is about. */
  readonly heading?: boolean;
  /** Tab comes to it first. */
  readonly first?: boolean;
}

/**
 * A slip: the verb large, a sentence of plain evidence, what is at stake, a caution, the argument, and the
 * owner's ruling.
 */
export function Slip({ slip, heading = true, first = false }: SlipProps) {
  const {
    about,
    name,
    item,
    verb,
    urgency,
    sureness,
    says,
    strokes,
    stakes,
    caution,
    dissent,
    ruling,
    line,
  } = slip;
  const codes = [...strokes] as StrokeCode[];
  return (
    <article
      data-slip
      tabIndex={first ? 0 : -1}
      className={`border-b border-rule py-0.5 outline-offset-2 ${sureness === "leaning" ? "text-muted" : ""}`}
      aria-label={`${verb} ${name}`}
    >
      <div className="items-start gap-x-5 gap-y-0.5 sm:grid sm:grid-cols-[8rem_1fr_auto]">
        <p className="float-left mr-2.5 font-head text-lg leading-6 sm:float-none sm:mr-0">
          <VerbWord
            verb={verb}
            urgency={urgency}
            leaning={sureness === "leaning"}
            className="!whitespace-normal"
          />
        </p>
        <div className="min-w-0">
          <p className="leading-6">
            {heading && (
              <strong className="mr-2 text-ink">
                {item ? (
                  <Link prefetch={false} href={itemPath(item)} className="hover:underline">
                    {name}
                  </Link>
                ) : (
                  name
                )}
              </strong>
            )}
            {says}
          </p>
          {dissent && <p className="mt-1 text-sm text-stem">{dissent}</p>}
          <ArgumentOf
            about={about}
            facts={
              <>
                {codes.length > 0 && (
                  <StrokeRow codes={codes} label={codes.map((code) => STROKES[code]).join(", ")} size={16} />
                )}
                {stakes.map((stake) => (
                  <span key={stake}>{stake}</span>
                ))}
                {line && ruling === null && (
                  <Link
                    prefetch={false}
                    href={`/shelf?${new URLSearchParams({ line })}`}
                    className="link no-print"
                  >
                    Put one on the shelf
                  </Link>
                )}
                <span>{sureness}</span>
                {caution && (
                  <span className="order-last flex items-center gap-1.5 font-semibold text-sting">
                    <TriangleAlert aria-hidden="true" className="size-4 shrink-0" />
                    {caution}
                  </span>
                )}
                {ruling && <span className="order-last text-stem">{ruling.says}</span>}
              </>
            }
          />
        </div>
        {(ruling || !slip.settled) && <RulingButtons slip={slip} />}
      </div>
    </article>
  );
}
