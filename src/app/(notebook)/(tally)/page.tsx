import type { Kit } from "@/core/advice/kit";
import type { Trip } from "@/core/model";
import Link from "next/link";
import { count, sayDays, sayDistance, sayMass } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Sheet } from "@/ui/sheet/sheet";
import { unpackPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { sheetOf } from "./sheet-of";

export default async function TallyPage() {
  const { book, kit } = await readBook();
  if (book.items.length === 0) return <NothingAtAll />;
  const waiting = book.outings
    .map(book.tripOf)
    .findLast(({ carries }) => carries.length > 0 && carries.every(({ mark }) => mark === null));
  return (
    <>
      <TallyHead kit={kit} />
      {waiting && <Waiting trip={waiting} />}
      {book.outings.length === 0 ? <NoTrips things={book.items.length} /> : <Sheet data={sheetOf(kit)} />}
    </>
  );
}

function TallyHead({ kit: { book, notOut, spare } }: { kit: Kit }) {
  const { units } = book.settings;
  const metres = book.outings.reduce((sum, outing) => sum + outing.metres, 0);
  return (
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
              <b className="font-head text-xl text-ink">{sayMass(spare.grams, units)}</b> could stay home
            </Link>
          )}
        </p>
      }
    >
      {count(book.items.length, "thing")}, {count(book.outings.length, "trip")}, {sayDistance(metres, units)}
    </PageHead>
  );
}

/** A trip that is walked, and nothing of it is marked yet. */
function Waiting({ trip: { id, name, starts, ends, carries } }: { trip: Trip }) {
  return (
    <p className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-catkin-strong pl-4">
      <span className="flex-1">
        <b className="font-head text-lg">{name}</b>, {sayDays(starts, ends)}, waits to be unpacked:{" "}
        {count(carries.length, "thing")} to go.
      </span>
      <Link href={unpackPath(id)} prefetch={false} className="btn btn-leaf">
        Unpack it
      </Link>
    </p>
  );
}

function NoTrips({ things }: { things: number }) {
  return (
    <Empty
      title="No trips yet"
      action={
        <Link href="/trips/new" className="btn btn-leaf">
          Enter a trip
        </Link>
      }
    >
      The shelf has {count(things, "thing")}. Say where they have been, and the strokes appear here.
    </Empty>
  );
}

function NothingAtAll() {
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
