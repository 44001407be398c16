import type { Metadata } from "next";
import { PageHead } from "@/ui/page-head";
import { readBook } from "@/app/book";
import { TripForm } from "../trip-form";
import { BLANK_TRIP, packable } from "../trip-values";
import { weatherDesk } from "@/standins/weather-desk";
import { leavesForGood } from "@/core/reasons/verbs";

export const metadata: Metadata = { title: "New trip" };

export default async function NewTripPage({ searchParams }: { searchParams: Promise<{ planned?: string }> }) {
  const planned = (await searchParams).planned !== undefined;
  const { book, judgements } = await readBook();
  const last = book.outings.map(book.tripOf).at(-1);
  const active = new Set(
    judgements.filter(({ case: { state } }) => state === "active").map(({ case: { item } }) => item.id),
  );
  // Agreed to stay at home, it is left out of the list that one starts from.
  const leaving = new Set(
    judgements
      .filter(({ verdicts }) =>
        verdicts.some(({ verb, ruling }) => leavesForGood(verb) && ruling?.decision === "agree"),
      )
      .map(({ case: { item } }) => item.id),
  );
  return (
    <>
      <PageHead title={planned ? "Plan a trip" : "New trip"}>
        {planned
          ? "When, how far, what is expected. What to take then stands under Next."
          : "Where it went, what it was like, what was in the pack. Then the unpacking."}
      </PageHead>
      <TripForm
        places={weatherDesk.places}
        values={{ ...BLANK_TRIP, planned }}
        shelf={packable(book).filter((item) => active.has(item.id))}
        units={book.settings.units}
        last={
          last
            ? {
                name: last.name,
                items: last.carries
                  .map((carry) => carry.item)
                  .filter((item) => active.has(item) && !leaving.has(item)),
              }
            : null
        }
      />
    </>
  );
}
