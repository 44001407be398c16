import type { Metadata } from "next";
import Link from "next/link";
import { namedOf } from "@/core/hear/hear";
import { Empty, PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { carriedOf, legsAhead } from "./carried-of";
import { FieldLog, type TrailTrip } from "./field-log";

export const metadata: Metadata = { title: "Trail", manifest: "/manifest.webmanifest" };

/** Trips that a line may belong to: the latest ones, and those to come. */
const OFFERED = 6;

export default async function TrailPage() {
  const { log, book, kit } = await readBook();
  const [first, ...others] = log.trips
    .toSorted((a, b) => (a.starts < b.starts ? 1 : -1))
    .slice(0, OFFERED)
    .map((trip): TrailTrip => {
      const along = new Set(trip.carries.map(({ item }) => item));
      return {
        id: trip.id,
        name: trip.name,
        starts: trip.starts,
        ends: trip.ends,
        lines: trip.lines,
        pockets: carriedOf(trip, kit),
        legs: legsAhead(trip, kit),
        along: [
          ...book.items.filter(({ id }) => along.has(id)).map((item) => namedOf(item, true)),
          ...book.items
            .filter(({ id, state }) => !along.has(id) && state === "active")
            .map((item) => namedOf(item, false)),
        ],
      };
    });
  return (
    <>
      <PageHead title="Trail">
        One line for what happened, as it comes. It is kept on this phone until the computer has it.
      </PageHead>
      {!first ? (
        <Empty
          title="No trip to write of"
          action={
            <Link href="/trips/new" className="btn btn-leaf">
              Say where you are going
            </Link>
          }
        >
          Enter the trip and what is in the pack, planned or begun; then what happens on it is written here.
        </Empty>
      ) : (
        <FieldLog trips={[first, ...others]} today={book.today} units={book.settings.units} />
      )}
    </>
  );
}
