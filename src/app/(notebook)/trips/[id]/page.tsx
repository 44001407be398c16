import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { readBook } from "@/app/book";
import { idIn } from "@/app/id-in";
import { endsOf } from "@/core/ledger/stretches";
import { TripId } from "@/core/model";
import { legName } from "@/core/say/walk/mark";
import { store } from "@/data/connection";
import { findTrack } from "@/data/records/tracks";
import { alongOf, happenedIn, sharedOf, wayOf } from "./along-of";
import { Companions } from "./sections/companions";
import { CameOfIt } from "./sections/came-of-it";
import { DayByDay } from "./sections/days/day-by-day";
import { LookedBack } from "./sections/looked-back";
import { TheLegs } from "./sections/the-legs";
import { TripFigures } from "./sections/trip-figures";
import { TripHead } from "./sections/trip-head";
import { WentAlong } from "./sections/went-along";
import { WhatWasSaid } from "./sections/what-was-said";
import { WhatItWasLike } from "./sections/what-it-was-like";
import { TrackView } from "./way/track-view";
import { WayPicture } from "./way/way-picture";

interface Asked {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Asked): Promise<Metadata> {
  const id = idIn(TripId, (await params).id);
  return { title: (await readBook()).log.trips.find((trip) => trip.id === id)?.name };
}

export default async function TripPage({ params }: Asked) {
  const id = idIn(TripId, (await params).id);
  const { log, book } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const { units } = book.settings;
  const along = alongOf(trip, book);
  const track = await findTrack(await store(), trip.id);
  return (
    <>
      <TripHead trip={trip} />
      <TripFigures trip={trip} along={along} book={book} />
      {track && (
        <TrackView
          track={track}
          ends={endsOf(trip.legs)}
          happened={happenedIn(trip, along)}
          units={units}
          gpx={`/api/track/${encodeURIComponent(trip.id)}`}
        />
      )}
      <WayPicture trip={trip.id} {...wayOf(trip, along, book)} units={units} />
      <div className="grid gap-8 lg:grid-cols-2">
        <section>
          <TheLegs trip={trip} units={units} />
          <Companions
            trip={trip.id}
            shared={sharedOf(along)}
            things={along.map(({ item }) => ({ item: item.id, name: item.name }))}
            legs={trip.legs.map(({ id }) => ({ id, name: legName(trip.legs, id) }))}
            units={units}
          />
          <WhatItWasLike trip={trip} book={book} />
          <LookedBack trip={trip} book={book} />
          <CameOfIt along={along} />
          <WhatWasSaid trip={trip} book={book} />
        </section>
        <WentAlong trip={trip} along={along} units={units} />
      </div>
      {!trip.planned && <DayByDay trip={trip} book={book} />}
    </>
  );
}
