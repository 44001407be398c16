import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { namedOf } from "@/core/hear/hear";
import { TripId } from "@/core/model";
import { PageHead } from "@/ui/page/page-head";
import { unpackPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { Talk } from "./talk";

export const metadata: Metadata = { title: "Talk it through" };

/** The whole debrief as one would tell a friend: heard as it is typed, and taken fact by fact. */
export default async function TalkPage({ params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const { log, book } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const along = new Set(trip.carries.map(({ item }) => item));
  const things = book.items
    .filter((item) => along.has(item.id) || item.state === "active")
    .map((item) => ({ ...namedOf(item, along.has(item.id)), stow: item.stow }));
  return (
    <>
      <PageHead
        title="Talk it through"
        actions={
          <Link href={unpackPath(trip.id)} prefetch={false} className="btn">
            Thing by thing
          </Link>
        }
      >
        {trip.name}
      </PageHead>
      <Talk trip={trip.id} things={things} units={book.settings.units} />
    </>
  );
}
