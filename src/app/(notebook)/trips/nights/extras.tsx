import { sayDegrees, type Units } from "@/core/units/speak";
import type { BedNights } from "@/core/weighin/sleep";
import { Section } from "@/ui/page/section";
import { Table } from "@/ui/page/table";

/** What a liner, a jacket, a second pad was worth in it. */
export function Extras({ extras, units }: { extras: BedNights["extras"]; units: Units }) {
  return (
    <Section title="What else was worth in it">
      {extras.length === 0 ? (
        <p className="text-muted">
          Nothing else was told as slept in: a liner, a jacket, a hot bottle, a second pad.
        </p>
      ) : (
        <Table
          rows={extras}
          keyOf={({ item }) => item.id}
          columns={[
            { head: "thing", cell: ({ item }) => item.name },
            { head: "worth", number: true, cell: ({ worth }) => sayDegrees(worth.mean, units) },
            {
              head: "four times in five",
              number: true,
              look: "text-muted",
              cell: ({ worth }) => `${sayDegrees(worth.low, units)} to ${sayDegrees(worth.high, units)}`,
            },
            {
              head: "nights with, without",
              number: true,
              look: "text-muted",
              cell: ({ withIt, without }) => `${withIt}, ${without}`,
            },
          ]}
        />
      )}
    </Section>
  );
}
