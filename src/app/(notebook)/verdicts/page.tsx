import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import type { Kit } from "@/core/advice/kit";
import { sayGapsInShort } from "@/core/plan/words";
import { count, sayMass } from "@/core/units/speak";
import { packWorth } from "@/core/weighin/pack-worth";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Gone, Kept, RuledOn } from "./folded";
import { Lane } from "./lane";
import { lanesOf } from "./lanes-of";
import { LeaveNext } from "./leave-next";
import { LastTrip } from "./last-trip";
import { PackTable } from "./pack/pack-table";
import { packTableOf } from "./pack/pack-table-of";
import { SlipKeysHere } from "./slip/slip-keys-here";
import { WhatIf } from "./what-if/what-if";
import { WorthAsking } from "./worth-asking";

export const metadata: Metadata = { title: "Verdicts" };

export default async function VerdictsPage() {
  const { book, kit } = await readBook();
  if (book.outings.length === 0) return <NoVerdicts />;
  const { toRule, lanes, kept, gone, settled } = lanesOf(kit);
  const pack = packWorth(kit);
  return (
    <>
      <VerdictsHead kit={kit} toRule={toRule} />
      {kit.gaps.length > 0 && (
        <p className="mb-2 border-l-4 border-sting pl-4 text-[0.95rem] font-semibold">
          {sayGapsInShort(kit.gaps)}.
        </p>
      )}
      <SlipKeysHere />
      <LeaveNext kit={kit} />
      <LastTrip kit={kit} />
      <WorthAsking byDigits />
      {lanes.map((lane, n) => (
        <Lane key={lane.name} {...lane} first={n === 0} />
      ))}
      <Kept lines={kept} />
      {pack && <PackTable {...packTableOf(pack, book)} />}
      {gone.length > 0 && <Gone lines={gone} />}
      {settled.length > 0 && <RuledOn slips={settled} />}
      <WhatIf
        school={book.settings.school}
        next={{ days: book.next.days, metres: book.next.metres }}
        units={book.settings.units}
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

function VerdictsHead({ kit: { book, spare }, toRule }: { kit: Kit; toRule: number }) {
  const { units } = book.settings;
  return (
    <PageHead
      title="Verdicts"
      actions={
        <span className="hidden text-sm text-muted sm:inline">
          {book.rules.school.motto}:{" "}
          <Link href="/settings" className="link">
            judged so
          </Link>
        </span>
      }
    >
      {count(toRule, "verdict")} to rule on
      {spare.things.length > 0 && (
        <span className="hidden sm:inline">
          ; leaving what is not wanted saves {sayMass(spare.grams, units)}
        </span>
      )}
    </PageHead>
  );
}

function NoVerdicts() {
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
        One trip with its marks is enough: this page then says what to leave, mend, replace or bring only when
        it is called for, with the figures it rests on.
      </Empty>
    </>
  );
}
