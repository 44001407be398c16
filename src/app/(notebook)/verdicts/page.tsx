import type { Metadata } from "next";
import Link from "next/link";
import { URGENCIES, type Urgency } from "@/core/model";
import { isPutAside, type Advice, type Verdict } from "@/core/advice/advise";
import { stays } from "@/core/trade/verbs";
import { sayGapsInShort } from "@/core/plan/words";
import { says } from "@/core/say/says";
import { count, sayDeadWeight, sayMass } from "@/core/units/speak";
import { packWorth } from "@/core/weighin/pack-worth";
import { Empty, PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { Gone, Kept, RuledOn, type PlainLine } from "./folded";
import { Lane } from "./lane";
import { LastTrip } from "./last-trip";
import { PackTable } from "./pack-table";
import { packTableOf } from "./pack-table-of";
import { additionSlipOf, slipOf } from "./slip-data";
import { WhatIf } from "./what-if";
import { WorthAsking } from "./worth-asking";

export const metadata: Metadata = { title: "Verdicts" };

const LANES: Record<Urgency, { name: string; about: string }> = {
  now: { name: "Must not go out as it is", about: "" },
  "before next trip": { name: "Before the next trip", about: "" },
  "when convenient": { name: "When convenient", about: "" },
  watch: { name: "To keep in mind", about: "seasonal things, and what is to be watched" },
};

export default async function VerdictsPage() {
  const { book, kit } = await readBook();
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
  const slips = kit.things.flatMap((advice) => advice.verdicts.map((verdict) => ({ advice, verdict })));
  const added = kit.toAdd.map((addition) => additionSlipOf(addition, book));
  const open = [
    ...slips.filter(({ advice, verdict }) => advice.asks.includes(verdict)).map(slipOf),
    ...added.filter(({ aside }) => !aside),
  ];
  const settled = [
    ...slips.filter(({ verdict }) => isPutAside(verdict)).map(slipOf),
    ...added.filter(({ aside }) => aside),
  ];
  const lanes = [
    ...URGENCIES.map((urgency) => ({
      ...LANES[urgency],
      sting: urgency === "now",
      slips: open.filter((slip) => slip.urgency === urgency && slip.sureness !== "leaning"),
    })),
    {
      name: "Leanings",
      about: "said once; one more trip like it settles each",
      slips: open.filter(({ sureness }) => sureness === "leaning"),
    },
  ].filter((lane) => lane.slips.length > 0);
  const lineOf = ({ case: one }: Advice, verdict: Verdict): PlainLine => ({
    item: one.item.id,
    name: one.item.name,
    verb: verdict.verb,
    says: says(one, verdict),
  });
  const gone = slips.filter(({ verdict }) => verdict.done);
  const kept = kit.things.filter(
    ({ case: { standing }, verdicts: [lead] }) => standing === "active" && stays(lead.verb),
  );
  const pack = packWorth(kit);
  return (
    <>
      <PageHead
        title="Verdicts"
        actions={
          <span className="hidden text-sm text-muted sm:inline">
            judged by the{" "}
            <Link href="/settings" className="link">
              {school} school
            </Link>
            : {book.rules.school.motto}
          </span>
        }
      >
        {count(open.filter(({ ruling }) => ruling === null).length, "verdict")} to rule on
        {kit.spare.things.length > 0 && (
          <span className="hidden sm:inline">
            ; leaving what is not wanted saves {sayMass(kit.spare.grams, units)}, lugged so far for{" "}
            {sayDeadWeight(kit.spare.deadGramMetres, units)}
          </span>
        )}
      </PageHead>
      {kit.gaps.length > 0 && (
        <p className="mb-2 border-l-4 border-sting pl-4 text-[0.95rem] font-semibold">
          {sayGapsInShort(kit.gaps)}.
        </p>
      )}
      <LastTrip kit={kit} />
      <WorthAsking />
      {lanes.map((lane, n) => (
        <Lane key={lane.name} {...lane} first={n === 0} />
      ))}
      <Kept lines={kept.map((advice) => lineOf(advice, advice.verdicts[0]))} />
      {pack && <PackTable {...packTableOf(pack, book)} />}
      {gone.length > 0 && <Gone lines={gone.map(({ advice, verdict }) => lineOf(advice, verdict))} />}
      {settled.length > 0 && <RuledOn slips={settled} />}
      <WhatIf
        school={school}
        next={{ days: book.next.days, metres: book.next.metres }}
        units={units}
        trips={book.outings.map(({ trip }) => ({ id: trip.id, name: trip.name })).reverse()}
        items={kit.things
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
