import type { Kit } from "@/core/advice/kit";
import type { Trip } from "@/core/model";
import Link from "next/link";
import { walkedOn } from "@/core/ledger/outing";
import { count, sayDays, sayDistance, sayMass } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Sheet } from "@/ui/sheet/sheet";
import { StrokeLegend } from "@/ui/stroke/stroke-legend";
import { unpackPath } from "@/ui/paths";
import { readBook } from "@/app/book";
import { DemoStrip, LookAtDemo } from "./demo";
import { sheetOf } from "./sheet-of";

export default async function TallyPage() {
  const { book, kit } = await readBook();
  if (book.items.length === 0) return <NothingAtAll />;
  const waiting = book.outings
    .map(book.tripOf)
    .findLast(({ carries }) => carries.length > 0 && carries.every(({ mark }) => mark === null));
  return (
    <>
      {book.settings.demo && <DemoStrip />}
      <TallyHead kit={kit} />
      {waiting && <Waiting trip={waiting} />}
      {book.outings.length === 0 ? (
        <NoTrips things={book.items.length} />
      ) : (
        <>
          <Sheet data={sheetOf(kit)} />
          <details className="no-print mt-1 text-sm">
            <summary className="py-1 text-muted">What the strokes mean</summary>
            <StrokeLegend look="mt-1 columns-2 sm:columns-4" />
          </details>
        </>
      )}
    </>
  );
}

function TallyHead({ kit: { book, notOut, spare } }: { kit: Kit }) {
  const { units } = book.settings;
  const { metres } = walkedOn(book.outings);
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
          <span className="flex flex-wrap gap-2">
            <Link href="/shelf/import" className="btn btn-leaf">
              Bring a spreadsheet
            </Link>
            <Link href="/shelf" className="btn">
              Type the first things
            </Link>
            <LookAtDemo />
          </span>
        }
      >
        <p>
          Rows are the things you own, columns the trips you took them on, and each cell is one pen stroke:
          used, hardly, never touched, broken. One trip with its marks is enough to say what to leave, mend or
          replace; each one more makes it surer.
        </p>
        <ol className="mt-3 ml-5 list-decimal">
          <li>
            The shelf: a list as you have it, or one line a thing, like <em>rain shell 312 g lid</em>. Five
            things are a beginning.
          </li>
          <li>A trip, from its track or by hand: its days, how far, what it was like.</li>
          <li>Unpack it: a key or a thumb for each thing.</li>
        </ol>
        <p className="mt-3">
          To look around first: the demo lays out an invented walker&rsquo;s years here, and is left again in
          one press.
        </p>
      </Empty>
    </>
  );
}
