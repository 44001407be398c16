import Link from "next/link";
import { TriangleAlert } from "lucide-react";
import type { TripId } from "@/core/model";
import { sayDeadWeight, sayMass } from "@/core/units/speak";
import type { Judgement, Verdict } from "@/core/verdict/judge";
import { StrokeRow, STROKES } from "@/ui/stroke";
import { strokeOf } from "@/ui/stroke-code";
import { VerbWord } from "@/ui/verb-word";
import { ArgumentOf } from "./argument-of";
import { RulingButtons } from "./ruling-buttons";

/** One verdict: the verb, the thing, a sentence of evidence, what is at stake; opened, the whole argument. */
export function Slip({ judgement, verdict, heading = true }: { judgement: Judgement; verdict: Verdict; heading?: boolean }) {
  const { item, book } = judgement.case;
  const { units, currency } = book.settings;
  const codes = book.carriedOf(item.id).slice(-16).map((one) => strokeOf(one, item));
  const trip = (id: TripId) => book.outings.find((outing) => outing.trip.id === id)?.trip;
  const { stake, ruling } = verdict;
  return (
    <article className="border-b border-rule py-3" aria-label={`${verdict.verb} ${item.name}`}>
      <div className="grid items-start gap-x-5 gap-y-1 sm:grid-cols-[8.5rem_1fr_auto]">
        <p className="font-head text-xl leading-tight"><VerbWord verb={verdict.verb} urgency={verdict.urgency} className="!whitespace-normal" /></p>
        <div className="min-w-0">
          {heading && <h3 className="text-lg leading-tight"><Link prefetch={false} href={`/item/${item.id}`} className="hover:underline">{item.name}</Link></h3>}
          <p>{verdict.says}</p>
          <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm text-muted">
            {codes.length > 0 && <StrokeRow codes={codes} label={codes.map((code) => STROKES[code]).join(", ")} size={16} />}
            {stake.grams !== null && <span>{sayMass(stake.grams, units)} saved</span>}
            {stake.deadGramMetres > 0 && <span>{sayDeadWeight(stake.deadGramMetres, units)} for nothing so far</span>}
            {stake.price !== null && <span>{currency}{stake.price} new</span>}
            <span>{verdict.sureness}</span>
          </p>
          {judgement.dissent && verdict === judgement.verdicts[0] && <p className="mt-1 text-sm text-stem">Your call after {trip(judgement.dissent.trip)?.name} was “{judgement.dissent.call}”. You decide.</p>}
          {verdict.caution && <p className="mt-1 flex items-start gap-1.5 text-sm font-semibold text-sting"><TriangleAlert aria-hidden="true" className="mt-0.5 size-4 shrink-0" />{verdict.caution}</p>}
          {ruling && <p className="mt-1 text-sm text-stem">You ruled on {ruling.on}: {ruling.decision}{ruling.reason && `, “${ruling.reason}”`}{ruling.again ? `; asked again after ${ruling.again} more ${ruling.again === 1 ? "trip" : "trips"}` : ""}.</p>}
          <ArgumentOf item={item.id} verb={verdict.verb} />
        </div>
        <RulingButtons item={item.id} name={item.name} verb={verdict.verb} ruling={ruling ? { id: ruling.id } : null} />
      </div>
    </article>
  );
}
