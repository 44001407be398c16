import type { Metadata } from "next";
import { readBook } from "@/app/book";
import { pastOf } from "@/app/past";
import { sayKitChange } from "@/core/plan/kits/kit-words";
import { TripId } from "@/core/model";
import { monthOf } from "@/core/sums/days";
import { sayDays, sayTemperature } from "@/core/units/speak";
import { Choices } from "@/ui/page/choices";
import { PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { aheadOf } from "../ahead";
import { KeepKit } from "./keep-kit";
import { KitCard } from "./kit-card";
import { kitsAhead } from "./kits-data";
import { LowsAndBeds } from "./lows-and-beds";

export const metadata: Metadata = { title: "Kits" };

/** Walks whose lists are offered to be kept; a kit is made of what is fresh in mind. */
const LATEST = 12;

/** Lists kept by name and season, held against the trip ahead. */
export default async function KitsPage({
  searchParams,
}: {
  searchParams: Promise<{ trip?: string; from?: string }>;
}) {
  const asked = await searchParams;
  const reading = await readBook();
  const { book, log } = reading;
  const { units } = book.settings;
  const planned = aheadOf(log.trips, book.today);
  const trip = planned.find(({ id }) => id === TripId.safeParse(asked.trip).data) ?? planned[0] ?? null;
  const { held, low, isForeseen, change, nights } = await kitsAhead(trip, reading);
  const { replay } = await pastOf(reading);
  const lists = [
    ["next", trip ? `for ${trip.name}` : "for the next trip"] as const,
    ...log.trips
      .filter(({ planned: isPlan, carries }) => !isPlan && carries.length > 0)
      .toSorted((a, b) => b.starts.localeCompare(a.starts))
      .filter(({ id }, n) => n < LATEST || id === asked.from)
      .map(({ id, name, starts, ends }) => [id, `of ${name}, ${sayDays(starts, ends)}`] as const),
  ];
  return (
    <>
      <PageHead title="Kits">
        {trip
          ? `Held against ${trip.name}, ${sayDays(trip.starts, trip.ends)}`
          : "None is planned: held against a trip as usual"}
        {low !== null &&
          `, down to ${sayTemperature(low, units)}${isForeseen ? "" : " as your own nights at that time of year were"}`}
      </PageHead>
      {planned.length > 1 && held.length > 0 && (
        <Choices
          label="Which trip"
          chosen={trip?.id ?? ""}
          choices={planned.map(({ id, name }) => ({
            key: id,
            href: `/next/kits?${new URLSearchParams({ trip: id })}`,
            words: name,
          }))}
        />
      )}
      {change && (
        <p role="status" className="mb-4 max-w-3xl border-l-4 border-leaf pl-3 text-lg">
          {sayKitChange(change, low, units)}
        </p>
      )}
      {held.length === 0 && (
        <p className="mb-3 max-w-2xl text-muted">
          A kit is a list that you keep by name, with its time of year: one for frost, one for huts in August.
          Keep two, and this page says which one is for the trip ahead, and what to put in and take out.
        </p>
      )}
      {held.length > 0 && (
        <ul className="mb-8 grid gap-x-8 gap-y-6 lg:grid-cols-2">
          {held.map((kit, n) => (
            <KitCard
              key={kit.kit.id}
              held={kit}
              isFirst={n === 0 && held.length > 1}
              trip={trip}
              low={low}
              replayed={replay(
                kit.things,
                ({ on }) => kit.kit.months.length === 0 || kit.kit.months.includes(monthOf(on)),
              )}
              units={units}
            />
          ))}
        </ul>
      )}
      <div className="grid gap-8 lg:grid-cols-2">
        <Section title="Keep a list as a kit">
          <KeepKit lists={lists} chosen={lists.some(([key]) => key === asked.from) ? asked.from! : "next"} />
        </Section>
        <LowsAndBeds kits={held} nights={nights} units={units} />
      </div>
    </>
  );
}
