import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import type { Entry } from "@/core/model";
import type { Shakedown } from "@/core/shakedown/shakedown";
import { LIKELY, sayShakedown } from "@/core/shakedown/words";
import { daysBetween } from "@/core/sums/days";
import { capital, count, sayDay, sayShortDay, sayTemperature, type Units } from "@/core/units/speak";
import type { WeatherDay } from "@/core/weather/desk";
import { weatherDesk } from "@/standins/weather-desk";
import { SelectField } from "@/ui/form/field";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { Table } from "@/ui/page/table";
import { itemPath } from "@/ui/paths";
import { aheadOf } from "../ahead";
import { Enter } from "./doing";
import { DoubtLine } from "./doubt-line";
import { bigTrip, shakedownFor } from "./shakedown-data";

export const metadata: Metadata = { title: "Shakedown" };

/** Before a big walk: what is not sure to hold, and the shortest outing near home that settles most. */
export default async function ShakedownPage({
  searchParams,
}: {
  searchParams: Promise<{ trip?: string; place?: string }>;
}) {
  const asked = await searchParams;
  const reading = await readBook();
  const { book, log } = reading;
  const { units } = book.settings;
  const trip = bigTrip(aheadOf(log.trips, book.today), asked.trip);
  if (!trip) return <NoTrip />;
  const place = weatherDesk.places.find((each) => each === asked.place);
  const { doubts, best, each, expected, tried } = await shakedownFor(trip, place, reading);
  const left = daysBetween(book.today, trip.starts);
  return (
    <>
      <PageHead title="Shakedown">
        before {trip.name}, {left > 0 ? `in ${count(left, "day")}` : "which begins today"}
      </PageHead>
      {doubts.length === 0 && (
        <p role="status" className="max-w-3xl text-lg">
          Nothing is to be settled: all that goes along was used before, in what is foreseen.
        </p>
      )}
      {doubts.length > 0 && (
        <p role="status" className="max-w-3xl border-l-4 border-leaf pl-3 text-lg">
          {best
            ? sayShakedown(best)
            : `There is no day left to try ${count(doubts.length, "thing")} near home: take what stands in for ${doubts.length === 1 ? "it" : "them"}, or know that ${doubts.length === 1 ? "it is" : "they are"} on trial.`}
        </p>
      )}
      {doubts.length > 0 && <AskDesk trip={trip.id} place={place ?? ""} />}
      <div className="grid gap-8 lg:grid-cols-[1.3fr_1fr]">
        {doubts.length > 0 && (
          <Section title="What to try, and how to tell">
            <ul>
              {doubts.map((doubt) => (
                <DoubtLine
                  key={doubt.item.id}
                  doubt={doubt}
                  chance={best?.settles.find((one) => one.doubt === doubt)?.chance ?? null}
                  units={units}
                />
              ))}
            </ul>
          </Section>
        )}
        <div>
          {each.length > 0 && (
            <Outings
              each={each}
              best={best}
              trip={trip.id}
              place={place ?? null}
              expected={expected}
              units={units}
            />
          )}
          {tried.length > 0 && <WhatHeld tried={tried} nameOf={(id) => book.item(id)?.name ?? id} />}
        </div>
      </div>
      <p className="hint mt-8 max-w-3xl">
        Near home means: where you can walk off, and somebody knows where you are. What holds in the garden
        may still fail out there; no trial is a promise.
      </p>
    </>
  );
}

/** Which place of the weather desk's is near home. */
const AskDesk = ({ trip, place }: { readonly trip: string; readonly place: string }) => (
  <form action="/next/shakedown" className="no-print my-4 flex flex-wrap items-start gap-2">
    <input type="hidden" name="trip" value={trip} />
    <SelectField
      label="Near home is"
      hint="The weather desk is simulated: it knows the demo’s islands only."
      name="place"
      className="w-80 max-w-full"
      defaultValue={place}
      options={[["", "no place it knows: by my own days"], ...weatherDesk.places]}
    />
    <button className="btn btn-tall mt-6">Ask the desk</button>
  </form>
);

interface WhatHeldProps {
  readonly tried: readonly Entry[];
  readonly nameOf: (id: Entry["item"]) => string;
}

/** What was tried of late, and held. */
const WhatHeld = ({ tried, nameOf }: WhatHeldProps) => (
  <Section title="What held" note="in the last month" look="mt-8">
    <ul>
      {tried.map(({ id, item, on }) => (
        <li key={id} className="border-b border-rule py-1">
          <Link prefetch={false} href={itemPath(item)} className="hover:underline">
            {nameOf(item)}
          </Link>{" "}
          <span className="text-sm text-muted">{sayDay(on)}</span>
        </li>
      ))}
    </ul>
  </Section>
);

interface OutingsProps {
  readonly each: readonly Shakedown[];
  readonly best: Shakedown | null;
  readonly trip: Parameters<typeof Enter>[0]["trip"];
  readonly place: string | null;
  readonly expected: ReadonlyMap<string, WeatherDay>;
  readonly units: Units;
}

/** Each sort of outing on its best day, what it would likely settle, and what the desk expects of it. */
function Outings({ each, best, trip, place, expected, units }: OutingsProps) {
  return (
    <Section title="Outings near home" note="each on the day that settles most">
      <Table
        rows={each}
        keyOf={({ sort }) => sort.name}
        columns={[
          {
            head: "outing",
            cell: (one) => (
              <span className={one.sort === best?.sort ? "font-semibold" : ""}>
                {capital(one.sort.name)}
                <span className="block text-sm font-normal text-muted">
                  {sayShortDay(one.on)}
                  {saySky(expected.get(one.on), units)}
                </span>
              </span>
            ),
          },
          {
            head: "likely settles",
            number: true,
            cell: ({ settles }) => settles.filter(({ chance }) => chance >= LIKELY).length,
          },
          {
            head: <span className="sr-only">enter it</span>,
            look: "pl-3 text-right",
            cell: ({ sort, on, worth }) =>
              worth > 0 && (
                <Enter
                  trip={trip}
                  sort={sort.name}
                  on={on}
                  place={place}
                  words={sort.setting === "evening" ? "Put it on the bench" : "Plan it"}
                />
              ),
          },
        ]}
      />
    </Section>
  );
}

const saySky = (day: WeatherDay | undefined, units: Units) =>
  day
    ? `: ${sayTemperature(Math.round(day.low), units)}, ${day.rain >= 1 ? "rain" : "no rain"} expected`
    : "";

function NoTrip() {
  return (
    <>
      <PageHead title="Shakedown" />
      <Empty
        title="No walk is planned"
        action={
          <Link href="/trips/new?planned" className="btn btn-leaf">
            Plan a trip
          </Link>
        }
      >
        Before a big one this page says what of the pack is not sure to hold, and which short outing near home
        would settle most of it.
      </Empty>
    </>
  );
}
