import type { Metadata } from "next";
import { PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { TripForm } from "../form/trip-form";
import { BLANK_TRIP, packable } from "../trip-values";
import { weatherDesk } from "@/standins/weather-desk";
import { asLastTime } from "@/core/plan/as-last-time";

export const metadata: Metadata = { title: "New trip" };

export default async function NewTripPage({ searchParams }: { searchParams: Promise<{ planned?: string }> }) {
  const planned = (await searchParams).planned !== undefined;
  const { book, kit } = await readBook();
  const last = asLastTime(kit);
  const active = new Set(
    kit.things.filter(({ case: { state } }) => state === "active").map(({ case: { item } }) => item.id),
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
        last={last && { name: last.trip.name, items: last.items }}
      />
    </>
  );
}
