import type { Metadata } from "next";
import Link from "next/link";
import { count, inWords, listWords, sayDistance, sayHeight, sayDays, type Units } from "@/core/units/speak";
import type { Book } from "@/core/ledger/book";
import { outingOf, walkedOn } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { Empty, PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { tripPath, unpackPath } from "@/ui/paths";
import { YearsPath } from "./years-path";

export const metadata: Metadata = { title: "Trips" };

export default async function TripsPage() {
  const { log, book } = await readBook();
  const trips = log.trips.toSorted((a, b) => b.starts.localeCompare(a.starts));
  return (
    <>
      <PageHead title="Trips" actions={<TripsLinks canCompare={trips.length > 1} />}>
        {trips.length > 0 && sayAll(trips.length, book)}
      </PageHead>
      {trips.length === 0 && <NoTrips />}
      <YearsPath trips={trips} units={book.settings.units} />
      {trips.length > 0 && (
        <ul className="border-t-2 border-ink">
          {trips.map((trip) => (
            <TripLine key={trip.id} trip={trip} units={book.settings.units} />
          ))}
        </ul>
      )}
    </>
  );
}

/** What was walked, and how many walks are planned beside it. */
function sayAll(trips: number, { outings, settings }: Book): string {
  const { metres, nights } = walkedOn(outings);
  const planned = trips - outings.length;
  const walked = `${count(outings.length, "trip")}, ${sayDistance(metres, settings.units)}, ${count(nights, "night")}`;
  return planned > 0 ? `${walked}; ${inWords(planned)} planned` : walked;
}

const TripsLinks = ({ canCompare }: { canCompare: boolean }) => (
  <>
    {canCompare && (
      <Link href="/trips/compare" prefetch={false} className="btn">
        Lists against lists
      </Link>
    )}
    <Link href="/season" prefetch={false} className="btn">
      Season
    </Link>
    <Link href="/trips/loads" prefetch={false} className="btn">
      Loads
    </Link>
    <Link href="/trips/nights" prefetch={false} className="btn">
      Nights
    </Link>
    <Link href="/trips/supplies" prefetch={false} className="btn">
      Supplies
    </Link>
    <Link href="/trips/new" className="btn btn-leaf">
      New trip
    </Link>
  </>
);

function NoTrips() {
  return (
    <Empty
      title="No trips yet"
      action={
        <Link href="/trips/new" className="btn btn-leaf">
          Enter the first trip
        </Link>
      }
    >
      A day walk or three weeks: where, how far, what the weather asked for, and what was in the pack. A track
      as GPX fills in the distance.
    </Empty>
  );
}

function TripLine({ trip, units }: { trip: Trip; units: Units }) {
  const { metres, nights } = outingOf(trip);
  const ascent = trip.legs.reduce((sum, leg) => sum + (leg.ascent?.m ?? 0), 0);
  const strong = Object.entries(trip.conditions)
    .filter(([, strength]) => strength === "strong")
    .map(([trigger]) => trigger);
  const open = trip.carries.filter((carry) => carry.mark === null).length;
  return (
    <li className={LINE}>
      <div>
        <Link
          prefetch={false}
          href={tripPath(trip.id)}
          className="font-head text-lg font-bold hover:underline"
        >
          {trip.name}
        </Link>
        <span className="ml-3 text-sm text-muted">
          {sayDays(trip.starts, trip.ends)}
          {trip.planned && ", planned"}
          {trip.cut && ", cut short"}
        </span>
        {strong.length > 0 && <span className="block text-sm text-muted">strong {listWords(strong)}</span>}
      </div>
      <span className="num text-right">{sayDistance(metres, units)}</span>
      <span className="num hidden text-right text-muted md:inline">
        {ascent > 0 && `↑ ${sayHeight(ascent, units)}`}
      </span>
      <span className="num hidden text-right text-muted md:inline">
        {nights > 0 ? count(nights, "night") : "day walk"}
      </span>
      <span className="col-start-2 text-right text-sm md:col-start-auto">
        {open > 0 && !trip.planned ? (
          <Link prefetch={false} href={unpackPath(trip.id)} className="link">
            {open} to unpack
          </Link>
        ) : (
          trip.carries.length > 0 && <span className="text-muted">{count(trip.carries.length, "thing")}</span>
        )}
      </span>
    </li>
  );
}

const LINE =
  "grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-rule py-2 " +
  "md:grid-cols-[1fr_7rem_6rem_6rem_9rem]";
