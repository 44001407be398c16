import type { StrokeCode } from "@/ui/stroke/stroke";
import type { Book } from "@/core/ledger/book";
import type { ItemId, RuledOn, Ruling, Sureness, Urgency, Verb } from "@/core/model";
import type { Addition } from "@/core/advice/add";
import { isPutAside, type Advice, type Verdict } from "@/core/advice/advise";
import { askOutcome } from "@/core/say/verdicts/questions";
import { boughtAgain, doneBy, type DoneBy } from "@/core/advice/doing";
import { stays } from "@/core/trade/verbs";
import { CAUTIONS } from "@/core/say/cautions";
import { sayIdleWay } from "@/core/say/words";
import { says } from "@/core/say/verdicts/says";
import { saysToAdd } from "@/core/say/verdicts/says-to-add";
import { sayDay, sayMass } from "@/core/units/speak";
import { strokeOf } from "@/ui/stroke/stroke-code";

/** A slip as plain data: a page of three hundred is sent as words, and drawn where it is read. */
export interface SlipData {
  readonly key: string;
  readonly about: RuledOn;
  readonly name: string;
  /** The thing's own page; null for what is not on the shelf. */
  readonly item: ItemId | null;
  readonly verb: Verb;
  readonly urgency: Urgency;
  readonly sureness: Sureness;
  /** Its sentence. */
  readonly says: string;
  /** Its latest strokes. */
  readonly strokes: readonly StrokeCode[];
  readonly stakes: readonly string[];
  readonly caution: string | null;
  /** The owner's call, where it says otherwise. */
  readonly dissent: string | null;
  readonly ruling: {
    readonly id: string;
    readonly decision: Ruling["decision"];
    readonly says: string;
  } | null;
  /** How it is done: by one press, by grading it, or only by leaving it out next time. */
  readonly doing: DoneBy | null;
  /** What is asked before it is done with; null: nothing. */
  readonly outcome: string | null;
  /** The line to put on the shelf, where one is lacking. */
  readonly line: string | null;
  /** Overruled, or put off. */
  readonly aside: boolean;
  /** Nothing to rule on. */
  readonly settled: boolean;
}

/** Strokes shown on a slip. */
const STROKES_SHOWN = 16;

export function slipOf({
  advice: { case: one, dissent, verdicts },
  verdict,
}: {
  readonly advice: Advice;
  readonly verdict: Verdict;
}): SlipData {
  const { item, book } = one;
  const { units, currency } = book.settings;
  const { stake } = verdict;
  const call = dissent && verdict === verdicts[0] ? dissent : null;
  const trip = call && book.outings.find((outing) => outing.trip.id === call.trip)?.trip;
  return {
    ...common(verdict, verdict.ruling),
    key: `${item.id} ${verdict.verb} ${verdict.reason}`,
    about: { item: item.id, verb: verdict.verb, ground: verdict.reason },
    name: item.name,
    item: item.id,
    says: says(one, verdict),
    strokes: book
      .carriedOf(item.id)
      .slice(-STROKES_SHOWN)
      .map((carried) => strokeOf(carried, item)),
    stakes: [
      stake.grams === null ? "" : `${sayMass(stake.grams, units)} saved`,
      stake.deadGramMetres > 0 ? `${sayIdleWay(one, units)} for nothing so far` : "",
      stake.price === null ? "" : `${currency}${stake.price} new`,
    ].filter(Boolean),
    dissent: call && `Your call after ${trip?.name} was “${call.call}”. You decide.`,
    doing: doneBy(verdict),
    outcome: doneBy(verdict) === "outcome" ? askOutcome(verdict.verb) : null,
    line: boughtAgain(verdict) ? item.name : null,
  };
}

export function additionSlipOf(addition: Addition, book: Book): SlipData {
  const { what, job, owned, ruling } = addition;
  return {
    ...common(addition, ruling),
    key: `add ${what}`,
    about: { what },
    name: what,
    item: owned?.id ?? null,
    says: saysToAdd(addition, book),
    strokes: [],
    stakes: [],
    dissent: null,
    doing: null,
    outcome: null,
    line: !owned && !job && ruling === null ? what : null,
  };
}

const common = (
  {
    verb,
    urgency,
    sureness,
    caution,
    done,
  }: Pick<Verdict, "verb" | "urgency" | "sureness" | "caution" | "done">,
  ruling: Ruling | null,
) => ({
  verb,
  aside: isPutAside({ ruling }),
  urgency,
  sureness,
  caution: caution ? CAUTIONS[caution] : null,
  ruling: ruling && { id: ruling.id, decision: ruling.decision, says: sayRuling(ruling) },
  settled: stays(verb) || done === true,
});

const sayRuling = ({ on, decision, reason, again }: Ruling) =>
  `You ruled on ${sayDay(on)}: ${decision}${reason && `, “${reason}”`}${
    again ? `; asked again after ${again} more ${again === 1 ? "trip" : "trips"}` : ""
  }.`;
