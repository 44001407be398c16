"use client";

import { TriangleAlert } from "lucide-react";
import Link from "next/link";
import { StrokeRow, STROKES } from "@/ui/stroke/stroke";
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
  const { about, name, verb, urgency, sureness, says, dissent, ruling, settled } = slip;
  const isLeaning = sureness === "leaning";
  return (
    <article
      data-slip
      tabIndex={first ? 0 : -1}
      className={`border-b border-rule py-0.5 outline-offset-2 ${isLeaning ? "text-muted" : ""}`}
      aria-label={`${verb} ${name}`}
    >
      <div className="items-start gap-x-5 gap-y-0.5 sm:grid sm:grid-cols-[8rem_1fr_auto]">
        <p className="float-left mr-2.5 font-head text-lg leading-6 sm:float-none sm:mr-0">
          <VerbWord verb={verb} urgency={urgency} leaning={isLeaning} className="!whitespace-normal" />
        </p>
        <div className="min-w-0">
          <p className="leading-6">
            {heading && <Name slip={slip} />}
            {says}
          </p>
          {dissent && <p className="mt-1 text-sm text-stem">{dissent}</p>}
          <ArgumentOf about={about} facts={<Facts slip={slip} />} />
        </div>
        {(ruling || !settled) && <RulingButtons slip={slip} />}
      </div>
    </article>
  );
}

const Name = ({ slip: { item, name } }: { slip: SlipData }) => (
  <strong className="mr-2 text-ink">
    {item ? (
      <Link prefetch={false} href={itemPath(item)} className="hover:underline">
        {name}
      </Link>
    ) : (
      name
    )}
  </strong>
);

/** Its strokes, what is at stake, how sure it is, a caution, and what was ruled. */
function Facts({ slip: { strokes, stakes, line, sureness, caution, ruling } }: { slip: SlipData }) {
  return (
    <>
      {strokes.length > 0 && (
        <StrokeRow codes={strokes} label={strokes.map((code) => STROKES[code]).join(", ")} size={16} />
      )}
      {stakes.map((stake) => (
        <span key={stake}>{stake}</span>
      ))}
      {line && ruling === null && (
        <Link prefetch={false} href={`/shelf?${new URLSearchParams({ line })}`} className="link no-print">
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
  );
}
