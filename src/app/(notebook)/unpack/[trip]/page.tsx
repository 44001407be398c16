import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { outingOf } from "@/core/ledger/outing";
import { TripId, type Trip } from "@/core/model";
import { Empty, PageHead } from "@/ui/page/page-head";
import { tripPath } from "@/ui/paths";
import { WorthAsking } from "../../verdicts/worth-asking";
import { restOf, sayRest } from "@/core/plan/half-way";
import { HalfWay } from "./half-way";
import { FromTheTrail } from "./from-the-trail";
import { LookBack } from "./look-back/look-back";
import { Unpack } from "./pack/unpack";
import { linesOf, lyingOf, thingsOf, thingsToPick, wayOf } from "./things-of";

export const metadata: Metadata = { title: "Unpack" };

export default async function UnpackTripPage({ params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const { log, book, kit } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const rest = restOf(trip, kit);
  const [first, ...others] = thingsOf(trip, book);
  if (!first) return <NothingPacked trip={trip} />;
  const things = [first, ...others] as const;
  const isUnpacked = things.every(({ mark }) => mark) && book.outings.at(-1)?.trip.id === id;
  return (
    <>
      <FromTheTrail
        trip={trip.id}
        {...linesOf(trip, book)}
        things={thingsToPick(trip, book)}
        units={book.settings.units}
      />
      {trip.ends >= book.today && trip.starts <= book.today && (
        <HalfWay
          trip={trip.id}
          on={trip.sofar?.on ?? book.today}
          distance={trip.sofar?.distance.typed ?? ""}
          days={{ first: trip.starts, last: trip.ends }}
          rest={rest && sayRest(rest, book.settings.units)}
          units={book.settings.units}
        />
      )}
      <Unpack key={trip.id} trip={{ id: trip.id, name: trip.name }} things={things} way={wayOf(trip, book)} />
      <div className="tabs:ml-[15rem]">{isUnpacked && <WorthAsking />}</div>
      <LookBack
        trip={trip.id}
        nights={outingOf(trip).nights}
        days={{ starts: trip.starts, ends: trip.ends }}
        units={book.settings.units}
        said={{
          made: trip.made,
          stay: trip.stay,
          missed: trip.missed,
          felt: trip.felt,
          supplies: trip.supplies,
          boiled: trip.boiled,
        }}
        things={lyingOf(things, book)}
      />
    </>
  );
}

function NothingPacked({ trip }: { trip: Trip }) {
  return (
    <>
      <PageHead title={trip.name} />
      <Empty
        title="Nothing was packed"
        action={
          <Link href={`${tripPath(trip.id)}/edit`} className="btn btn-leaf">
            Say what went along
          </Link>
        }
      >
        Tick what was in the pack, worn or in the hand; then it can be unpacked here.
      </Empty>
    </>
  );
}
