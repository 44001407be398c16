import type { Metadata } from "next";
import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import type { Addition } from "@/core/reasons/add";
import { URGENCIES, type Urgency } from "@/core/reasons/finding";
import type { Judgement, Verdict } from "@/core/reasons/judge";
import { stays } from "@/core/reasons/verbs";
import { says } from "@/core/say/says";
import { count, sayDeadWeight, sayMass } from "@/core/units/speak";
import { packWorth } from "@/core/weighin/pack-worth";
import { Empty, PageHead } from "@/ui/page-head";
import { VerbWord } from "@/ui/verb-word";
import { readBook } from "../book";
import { AdditionSlip } from "./addition-slip";
import { LastTrip } from "./last-trip";
import { PackTable } from "./pack-table";
import { Slip } from "./slip";
import { WhatIf } from "./what-if";
import { WorthAsking } from "./worth-asking";

export const metadata: Metadata = { title: "Verdicts" };

const LANES: Record<Urgency, { name: string; says: string }> = {
  now: { name: "Must not go out as it is", says: "" },
  "before next trip": { name: "Before the next trip", says: "" },
  "when convenient": { name: "When convenient", says: "" },
  watch: { name: "To keep in mind", says: "seasonal things, and what is to be watched" },
};

interface OnSlip {
  readonly judgement: Judgement;
  readonly verdict: Verdict;
}

export default async function VerdictsPage() {
  const { book, judgements, toAdd } = await readBook();
  const { units, school } = book.settings;
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
          One trip with its marks is enough: this page then says what to leave, mend, replace or bring only
          when it is called for, with the figures it rests on.
        </Empty>
      </>
    );
  }
  const slips = judgements.flatMap((judgement) =>
    judgement.verdicts.map((verdict): OnSlip => ({ judgement, verdict })),
  );
  const asking = slips.filter(({ verdict }) => !stays(verdict.verb) && !verdict.done);
  const open = asking.filter(({ verdict: { ruling } }) => ruling === null || ruling.decision === "agree");
  const settled = asking.filter(({ verdict: { ruling } }) => ruling !== null && ruling.decision !== "agree");
  const leaning = open.filter(({ verdict }) => verdict.sureness === "leaning");
  const firm = open.filter(({ verdict }) => verdict.sureness !== "leaning");
  const openToAdd = toAdd.filter(({ ruling }) => ruling === null || ruling.decision === "agree");
  const leaningToAdd = openToAdd.filter(({ sureness }) => sureness === "leaning");
  const settledToAdd = toAdd.filter(({ ruling }) => ruling !== null && ruling.decision !== "agree");
  const gone = slips.filter(({ verdict }) => verdict.done);
  const kept = judgements.filter(
    ({ case: { standing }, verdicts: [lead] }) => standing === "active" && stays(lead.verb),
  );
  const drops = open.filter(({ verdict }) => verdict.verb === "drop");
  const pack = packWorth(book, judgements);
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
      <LastTrip book={book} judgements={judgements} />
      <WorthAsking />
      {URGENCIES.map((urgency) => (
        <Lane
          key={urgency}
          {...LANES[urgency]}
          sting={urgency === "now"}
          book={book}
          slips={firm.filter(({ verdict }) => verdict.urgency === urgency)}
          toAdd={openToAdd.filter(
            (addition) => addition.urgency === urgency && addition.sureness !== "leaning",
          )}
        />
      ))}
      <Lane
        name="Leanings"
        says="said once; one more trip like it settles each"
        book={book}
        slips={leaning}
        toAdd={leaningToAdd}
      />
      <Kept kept={kept} />
      {pack && <PackTable pack={pack} school={book.rules.school} units={units} />}
      {gone.length > 0 && <Gone gone={gone} />}
      {settled.length + settledToAdd.length > 0 && (
        <details className="mb-6">
          <summary className="font-head text-lg font-bold">
            Ruled on ({settled.length + settledToAdd.length})
          </summary>
          <Slips slips={settled} toAdd={settledToAdd} book={book} />
        </details>
      )}
      <WhatIf
        school={school}
        next={{ days: book.next.days, metres: book.next.metres }}
        units={units}
        trips={book.outings.map(({ trip }) => ({ id: trip.id, name: trip.name })).reverse()}
        items={judgements
          .filter(({ case: { state } }) => state === "active")
          .map(({ case: { item } }) => ({ id: item.id, name: item.name }))}
      />
      <p className="mb-5 max-w-3xl text-sm text-muted">
        Nettle Tally advises; you decide. It is no substitute for local rules, guides, or medical and
        avalanche training.
      </p>
    </>
  );
}

interface SlipsProps {
  readonly slips: readonly OnSlip[];
  readonly toAdd: readonly Addition[];
  readonly book: Book;
}

function Slips({ slips, toAdd, book }: SlipsProps) {
  return (
    <>
      {slips.map(({ judgement, verdict }) => (
        <Slip
          key={`${judgement.case.item.id}-${verdict.verb}-${verdict.reason}`}
          judgement={judgement}
          verdict={verdict}
        />
      ))}
      {toAdd.map((addition) => (
        <AdditionSlip key={addition.what} addition={addition} book={book} />
      ))}
    </>
  );
}

interface LaneProps extends SlipsProps {
  readonly name: string;
  readonly says: string;
  readonly sting?: boolean;
}

function Lane({ name, says: about, sting = false, ...slips }: LaneProps) {
  const all = slips.slips.length + slips.toAdd.length;
  if (all === 0) return null;
  return (
    <section className="mb-6" aria-label={name}>
      <h2 className={`border-b-2 border-ink pb-1 text-lg ${sting ? "text-sting" : ""}`}>
        {name} <span className="num text-base font-normal text-muted">{all}</span>
        {about && <span className="ml-3 font-sans text-sm font-normal text-muted">{about}</span>}
      </h2>
      <Slips {...slips} />
    </section>
  );
}

/** What goes along again: a table, not forty slips that say the same. */
function Kept({ kept }: { kept: readonly Judgement[] }) {
  return (
    <details className="mb-6">
      <summary className="font-head text-lg font-bold">Keep ({kept.length})</summary>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What is kept">
        <table className="w-full text-[0.95rem]">
          <tbody>
            {kept.map(({ case: one, verdicts: [lead] }) => (
              <tr key={one.item.id} className="border-b border-rule align-top">
                <td className="py-1 pr-4">
                  <Link
                    prefetch={false}
                    href={`/item/${one.item.id}`}
                    className="inline-block min-h-6 hover:underline"
                  >
                    {one.item.name}
                  </Link>
                </td>
                <td className="whitespace-nowrap py-1 pr-4">
                  <VerbWord verb={lead.verb} />
                </td>
                <td className="py-1 text-sm text-muted">{says(one, lead)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

/** What has left, and how: told as done, with nothing to rule on. */
function Gone({ gone }: { gone: readonly OnSlip[] }) {
  return (
    <details className="mb-6">
      <summary className="font-head text-lg font-bold">Gone ({gone.length})</summary>
      <ul>
        {gone.map(({ judgement: { case: one }, verdict }) => (
          <li key={one.item.id} className="border-b border-rule py-1 text-[0.95rem]">
            <Link
              prefetch={false}
              href={`/item/${one.item.id}`}
              className="inline-block min-h-6 font-semibold hover:underline"
            >
              {one.item.name}
            </Link>{" "}
            <span className="text-muted">{says(one, verdict)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
