import type { Metadata } from "next";
import Link from "next/link";
import { count, listWords, sayDistance, sayHeight, sayDays } from "@/core/units/speak";
import { outingOf } from "@/core/ledger/outing";
import { Empty, PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { tripPath, unpackPath } from "@/ui/paths";

export const metadata: Metadata = { title: "Trips" };

export default async function TripsPage() {
  const { log, book } = await readBook();
  const { units } = book.settings;
  const trips = [...log.trips].sort((a, b) => b.starts.localeCompare(a.starts));
  return (
    <>
      <PageHead
        title="Trips"
        actions={
          <>
            {trips.length > 1 && (
              <Link href="/trips/compare" prefetch={false} className="btn">
                Lists against lists
              </Link>
            )}
            <Link href="/season" prefetch={false} className="btn">
              Season
            </Link>
            <Link href="/trips/nights" prefetch={false} className="btn">
              Nights
            </Link>
            <Link href="/trips/supplies" prefetch={false} className="btn">
              Fuel, food, water, power
            </Link>
            <Link href="/trips/new" className="btn btn-leaf">
              New trip
            </Link>
          </>
        }
      >
        {trips.length > 0 &&
          `${count(trips.length, "trip")}, ${sayDistance(
            book.outings.reduce((sum, { metres }) => sum + metres, 0),
            units,
          )}, ${count(
            book.outings.reduce((sum, { nights }) => sum + nights, 0),
            "night",
          )}`}
      </PageHead>
      {trips.length === 0 ? (
        <Empty
          title="No trips yet"
          action={
            <Link href="/trips/new" className="btn btn-leaf">
              Enter the first trip
            </Link>
          }
        >
          A day walk or three weeks: where, how far, what the weather asked for, and what was in the pack. A
          track as GPX fills in the distance.
        </Empty>
      ) : (
        <ul className="border-t-2 border-ink">
          {trips.map((trip) => {
            const { metres, nights } = outingOf(trip);
            const ascent = trip.legs.reduce((sum, leg) => sum + (leg.ascent?.m ?? 0), 0);
            const strong = Object.entries(trip.conditions)
              .filter(([, strength]) => strength === "strong")
              .map(([trigger]) => trigger);
            const open = trip.carries.filter((carry) => carry.mark === null).length;
            return (
              <li
                key={trip.id}
                className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-rule py-2 md:grid-cols-[1fr_7rem_6rem_6rem_9rem]"
              >
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
                  {strong.length > 0 && (
                    <span className="block text-sm text-muted">strong {listWords(strong)}</span>
                  )}
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
                    <span className="text-muted">{count(trip.carries.length, "thing")}</span>
                  )}
                </span>
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
