import Link from "next/link";
import { TriangleAlert } from "lucide-react";
import { chanceQuantile, meanChance } from "@/core/evidence/use-chance";
import type { TripId } from "@/core/model";
import { percent, sayDeadWeight, sayMass } from "@/core/units/speak";
import type { Judgement, Verdict } from "@/core/verdict/judge";
import { TOO_LIKELY } from "@/core/verdict/replace";
import { sayLeft } from "@/core/verdict/words";
import { Ruler } from "@/ui/ruler";
import { StrokeRow, STROKES } from "@/ui/stroke";
import { strokeOf } from "@/ui/stroke-code";
import { VerbWord } from "@/ui/verb-word";
import { RulingButtons } from "./ruling-buttons";

/** One verdict: the verb, the thing, a sentence of evidence, what is at stake; opened, the whole argument. */
export function Slip({ judgement, verdict, heading = true }: { judgement: Judgement; verdict: Verdict; heading?: boolean }) {
  const { item, book, left, use, school, worth } = judgement.case;
  const { units, currency } = book.settings;
  const codes = book.carriedOf(item.id).slice(-16).map((one) => strokeOf(one, item));
  const trip = (id: TripId) => book.outings.find((outing) => outing.trip.id === id)?.trip;
  const { stake, ruling } = verdict;
  const called = use.calledTrips.length;
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
          <details className="mt-1.5">
            <summary className="text-sm text-leaf underline underline-offset-3">The whole argument</summary>
            <dl className="mt-2 grid gap-x-5 gap-y-1.5 border-l-4 border-catkin-strong pl-4 text-[0.95rem] sm:grid-cols-[9rem_1fr]">
              <dt className="text-muted">It rests on</dt>
              <dd><ul>{verdict.evidence.map((each) => <li key={each.text}>{each.text}{each.trips.length > 0 && <span className="text-muted"> ({each.trips.slice(-6).map((id, n) => <span key={id}>{n > 0 && ", "}<Link prefetch={false} href={`/trips/${id}`} className="link">{trip(id)?.name}</Link></span>)}{each.trips.length > 6 && " and before"})</span>}</li>)}</ul></dd>
              <dt className="text-muted">Wanted</dt>
              <dd>{called === 0 ? "never called for yet" : `when called for, ${percent(meanChance(use.called))} of chances: ${round(use.called.uses)} taken, ${round(use.called.misses)} not, on ${called} trips. Four to one it is below ${percent(chanceQuantile(use.called, 0.8))}; the ${school.name} line for leaving it is ${percent(school.dropLine)}.`}</dd>
              {left && <><dt className="text-muted">Worn</dt><dd><Ruler {...left} words={sayLeft(judgement.case)} /> {sayLeft(judgement.case)}; {percent(left.givesOut)} likely to give out on {book.next.name ?? "a trip like your last five"}, where the line is {percent(TOO_LIKELY[item.consequence])}. {left.lives.wornOut > 0 ? `${left.lives.wornOut} of your own ${left.lives.all} worn out so far.` : "By the rule of thumb: none of yours has worn out yet."}</dd></>}
              {worth !== null && <><dt className="text-muted">Worth</dt><dd>{worth.toFixed(1)} × its weight on a trip like yours; the {school.name} school asks {school.worthNeeded}.</dd></>}
              <dt className="text-muted">What would change it</dt><dd>{verdict.flips}</dd>
            </dl>
          </details>
        </div>
        <RulingButtons item={item.id} name={item.name} verb={verdict.verb} ruling={ruling ? { id: ruling.id } : null} />
      </div>
    </article>
  );
}

const round = (chances: number) => Math.round(chances * 10) / 10;
