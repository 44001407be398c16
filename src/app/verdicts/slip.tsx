import Link from "next/link";
import type { TripId } from "@/core/model";
import { sayDeadWeight, sayMass } from "@/core/units/speak";
import type { Judgement, Verdict } from "@/core/reasons/judge";
import { says } from "@/core/say/says";
import { StrokeRow, STROKES } from "@/ui/stroke";
import { strokeOf } from "@/ui/stroke-code";
import { SlipFrame } from "./slip-frame";

/** One verdict on a thing, with its latest strokes. */
export function Slip({
  judgement,
  verdict,
  heading = true,
}: {
  judgement: Judgement;
  verdict: Verdict;
  heading?: boolean;
}) {
  const { item, book } = judgement.case;
  const { units, currency } = book.settings;
  const codes = book
    .carriedOf(item.id)
    .slice(-16)
    .map((one) => strokeOf(one, item));
  const trip = (id: TripId) => book.outings.find((outing) => outing.trip.id === id)?.trip;
  const { stake } = verdict;
  return (
    <SlipFrame
      about={{ item: item.id, verb: verdict.verb, ground: verdict.reason }}
      name={item.name}
      finding={verdict}
      ruling={verdict.ruling}
      says={says(judgement.case, verdict)}
      heading={
        heading && (
          <Link prefetch={false} href={`/item/${item.id}`} className="hover:underline">
            {item.name}
          </Link>
        )
      }
      facts={
        <>
          {codes.length > 0 && (
            <StrokeRow codes={codes} label={codes.map((code) => STROKES[code]).join(", ")} size={16} />
          )}
          {stake.grams !== null && <span>{sayMass(stake.grams, units)} saved</span>}
          {stake.deadGramMetres > 0 && (
            <span>{sayDeadWeight(stake.deadGramMetres, units)} for nothing so far</span>
          )}
          {stake.price !== null && (
            <span>
              {currency}
              {stake.price} new
            </span>
          )}
        </>
      }
    >
      {judgement.dissent && verdict === judgement.verdicts[0] && (
        <p className="mt-1 text-sm text-stem">
          Your call after {trip(judgement.dissent.trip)?.name} was “{judgement.dissent.call}”. You decide.
        </p>
      )}
    </SlipFrame>
  );
}
