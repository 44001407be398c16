import Link from "next/link";
import { listWords, sayDay, sayDegrees, sayTemperature, type Units } from "@/core/units/speak";
import type { BedNights, SleptNight } from "@/core/weighin/sleep";
import { Section } from "@/ui/page/section";
import { Table } from "@/ui/page/table";
import { tripPath } from "@/ui/paths";

/** Every night told of in a bed, the latest first. */
export function NightByNight({ shown, units }: { shown: BedNights; units: Units }) {
  const { label } = shown.bed.ratings;
  return (
    <Section title="Night by night, the latest first" look="mt-8">
      <Table
        rows={shown.nights.toReversed()}
        keyOf={(_, n) => n}
        columns={[
          { head: "trip", cell: (night) => <OnTrip night={night} /> },
          { head: "coldest", number: true, cell: ({ low }) => sayTemperature(low, units) },
          { head: "felt", look: "pl-4", cell: ({ felt }) => felt },
          {
            head: "over the label",
            number: true,
            cell: ({ low }) => (label ? sayDegrees(low - label.celsius, units, true) : "–"),
          },
          {
            head: "with",
            look: "hidden pl-4 text-muted sm:table-cell",
            cell: ({ extras }) => listWords(extras.map(({ name }) => name)),
          },
        ]}
      />
    </Section>
  );
}

function OnTrip({ night: { outing, on } }: { night: SleptNight }) {
  return (
    <>
      <Link prefetch={false} href={tripPath(outing.trip.id)} className="hover:underline">
        {outing.trip.name}
      </Link>
      {on && <span className="ml-2 text-sm text-muted">{sayDay(on)}</span>}
    </>
  );
}
