import type { Metadata } from "next";
import Link from "next/link";
import { count, sayDeadWeight, sayMass } from "@/core/units/speak";
import type { Addition } from "@/core/verdict/add";
import type { Judgement, Verdict } from "@/core/verdict/judge";
import { packWorth } from "@/core/verdict/pack-worth";
import { URGENCIES, type Urgency } from "@/core/verdict/verdict";
import { Empty, PageHead } from "@/ui/page-head";
import { readBook } from "../book";
import { AdditionSlip } from "./addition-slip";
import { PackTable } from "./pack-table";
import { Slip } from "./slip";
import { WhatIf } from "./what-if";

export const metadata: Metadata = { title: "Verdicts" };

const LANES: Record<Urgency, { name: string; says: string }> = {
  now: { name: "Must not go out as it is", says: "" },
  "before next trip": { name: "Before the next trip", says: "" },
  "when convenient": { name: "When convenient", says: "" },
  watch: { name: "To keep in mind", says: "seasonal things, and what is not worth a verdict yet" },
};

export default async function VerdictsPage() {
  const { book, judgements, toAdd } = await readBook();
  const { units, school } = book.settings;
  const slips = judgements.flatMap((judgement) =>
    judgement.verdicts
      .map((verdict) => ({ judgement, verdict }))
      .filter(({ verdict }) => verdict.verb !== "keep" && verdict.verb !== "keep as cover"),
  );
  const open = slips.filter(({ verdict }) => verdict.ruling === null);
  const ruled = slips.filter(({ verdict }) => verdict.ruling !== null);
  const kept = judgements.filter(
    ({ case: { state }, verdicts: [lead] }) =>
      state === "active" && (lead.verb === "keep" || lead.verb === "keep as cover"),
  );
  const openToAdd = toAdd.filter(({ ruling }) => ruling === null);
  const ruledToAdd = toAdd.filter(({ ruling }) => ruling !== null);
  const pack = packWorth(book, judgements);
  const drops = open.filter(({ verdict }) => verdict.verb === "drop");
  if (book.outings.length === 0) {
    return (
      <>
        <PageHead title="Verdicts" />
        <Empty
          title="No verdicts yet"
          action={
            <Link href="/trips/new" className="btn btn-leaf">
              Enter a trip
            </Link>
          }
        >
          Two or three trips, each with its marks, and this page says what to leave, mend, replace or bring
          only when it is called for, with the figures it rests on.
        </Empty>
      </>
    );
  }
  return (
    <>
      <PageHead
        title="Verdicts"
        actions={
          <span className="text-sm text-muted">
            judged by the{" "}
            <Link href="/settings" className="link">
              {school} school
            </Link>
            : {book.rules.school.motto}
          </span>
        }
      >
        {count(open.length + openToAdd.length, "verdict")} to rule on
        {drops.length > 0 && (
          <>
            ; leaving what is not wanted saves{" "}
            {sayMass(
              drops.reduce((sum, { verdict }) => sum + (verdict.stake.grams ?? 0), 0),
              units,
            )}
            , lugged so far for{" "}
            {sayDeadWeight(
              drops.reduce((sum, { verdict }) => sum + verdict.stake.deadGramMetres, 0),
              units,
            )}
          </>
        )}
      </PageHead>
      <p className="mb-5 max-w-3xl text-sm text-muted">
        Nettle Tally advises; you decide. It is no substitute for local rules, guides, or medical and
        avalanche training.
      </p>
      <WhatIf
        school={school}
        next={book.next}
        units={units}
        trips={book.outings.map(({ trip }) => ({ id: trip.id, name: trip.name })).reverse()}
        items={judgements
          .filter(({ case: { state } }) => state === "active")
          .map(({ case: { item } }) => ({ id: item.id, name: item.name }))}
      />
      {URGENCIES.map((urgency) => (
        <Lane
          key={urgency}
          urgency={urgency}
          slips={open.filter(({ verdict }) => verdict.urgency === urgency)}
          toAdd={openToAdd.filter((addition) => addition.urgency === urgency)}
        />
      ))}
      {pack && <PackTable pack={pack} school={book.rules.school} units={units} />}
      {ruled.length + ruledToAdd.length > 0 && (
        <details className="mb-6">
          <summary className="font-head text-lg font-bold">
            Ruled on ({ruled.length + ruledToAdd.length})
          </summary>
          <Slips slips={ruled} toAdd={ruledToAdd} />
        </details>
      )}
      <details className="mb-6">
        <summary className="font-head text-lg font-bold">Keep ({kept.length})</summary>
        {kept.map((judgement) => (
          <Slip key={judgement.case.item.id} judgement={judgement} verdict={judgement.verdicts[0]} />
        ))}
      </details>
    </>
  );
}

interface SlipsProps {
  readonly slips: readonly { readonly judgement: Judgement; readonly verdict: Verdict }[];
  readonly toAdd: readonly Addition[];
}

function Slips({ slips, toAdd }: SlipsProps) {
  return (
    <>
      {slips.map(({ judgement, verdict }) => (
        <Slip key={`${judgement.case.item.id}-${verdict.verb}`} judgement={judgement} verdict={verdict} />
      ))}
      {toAdd.map((addition) => (
        <AdditionSlip key={addition.what} addition={addition} />
      ))}
    </>
  );
}

function Lane({ urgency, ...slips }: { urgency: Urgency } & SlipsProps) {
  const all = slips.slips.length + slips.toAdd.length;
  if (all === 0) return null;
  const { name, says } = LANES[urgency];
  return (
    <section className="mb-8" aria-label={name}>
      <h2 className={`border-b-2 border-ink pb-1 text-lg ${urgency === "now" ? "text-sting" : ""}`}>
        {name} <span className="num text-base font-normal text-muted">{all}</span>
        {says && <span className="ml-3 font-sans text-sm font-normal text-muted">{says}</span>}
      </h2>
      <Slips {...slips} />
    </section>
  );
}
