import Link from "next/link";
import { count, sayDays, sayDistance, sayMass } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Sheet } from "@/ui/sheet/sheet";
import { unpackPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { sheetOf } from "./sheet-of";

export default async function TallyPage() {
  const { book, kit } = await readBook();
  if (book.items.length === 0) {
    return (
      <>
        <PageHead title="Nettle Tally" />
        <Empty
          title="This will be your tally sheet"
          action={
            <Link href="/shelf" className="btn btn-leaf">
              Put the first things on the shelf
            </Link>
          }
        >
          <p>
            Rows are the things you own, columns the trips you took them on, and each cell is one pen stroke:
            used, hardly, never touched, broken. After two or three trips it tells you what to leave, mend or
            replace.
          </p>
          <p className="mt-2">
            Start with the shelf: one line a thing is enough, like <em>rain shell 312 g lid</em>.
          </p>
        </Empty>
      </>
    );
  }
  const metres = book.outings.reduce((sum, outing) => sum + outing.metres, 0);
  const waiting = book.outings
    .map(book.tripOf)
    .filter(({ carries }) => carries.length > 0 && carries.every(({ mark }) => mark === null))
    .slice(-1);
  const { notOut, spare } = kit;
  return (
    <>
      <PageHead
        title="Nettle Tally"
        actions={
          <p className="flex flex-wrap items-baseline gap-x-5 text-muted">
            {notOut.length > 0 && (
              <Link href="/verdicts" className="hover:underline">
                <b className="font-head text-xl text-sting">{notOut.length}</b> must not go out as{" "}
                {notOut.length === 1 ? "it is" : "they are"}
              </Link>
            )}
            {spare.grams > 0 && (
              <Link href="/verdicts" className="hover:underline">
                <b className="font-head text-xl text-ink">{sayMass(spare.grams, book.settings.units)}</b>{" "}
                could stay home
              </Link>
            )}
          </p>
        }
      >
        {count(book.items.length, "thing")}, {count(book.outings.length, "trip")},{" "}
        {sayDistance(metres, book.settings.units)}
      </PageHead>
      {waiting.map((trip) => (
        <p
          key={trip.id}
          className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-catkin-strong pl-4"
        >
          <span className="flex-1">
            <b className="font-head text-lg">{trip.name}</b>, {sayDays(trip.starts, trip.ends)}, waits to be
            unpacked: {count(trip.carries.length, "thing")} to go.
          </span>
          <Link href={unpackPath(trip.id)} prefetch={false} className="btn btn-leaf">
            Unpack it
          </Link>
        </p>
      ))}
      {book.outings.length === 0 ? (
        <Empty
          title="No trips yet"
          action={
            <Link href="/trips/new" className="btn btn-leaf">
              Enter a trip
            </Link>
          }
        >
          The shelf has {count(book.items.length, "thing")}. Say where they have been, and the strokes appear
          here.
        </Empty>
      ) : (
        <Sheet data={sheetOf(kit)} />
      )}
    </>
  );
}
