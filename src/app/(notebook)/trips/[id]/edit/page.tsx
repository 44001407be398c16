import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { TripId } from "@/core/model";
import { carriesOf } from "@/data/records/carries";
import { store } from "@/data/connection";
import { findTrip } from "@/data/records/trips";
import { PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { seenOf } from "../../seen";
import { TripForm } from "../../form/trip-form";
import { packable, tripValues } from "../../trip-values";
import { idIn } from "@/app/id-in";
import { weatherDesk } from "@/standins/weather-desk";

export const metadata: Metadata = { title: "Edit a trip" };

export default async function EditTripPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idIn(TripId, (await params).id);
  const db = await store();
  const trip = await findTrip(db, id);
  if (!trip) notFound();
  const carries = await carriesOf(db, { trip: id });
  const { book } = await readBook();
  return (
    <>
      <PageHead title={`Edit ${trip.name}`} />
      <TripForm
        places={weatherDesk.places}
        id={id}
        seen={seenOf(trip, carries)}
        values={tripValues(trip, carries, book.settings.units)}
        shelf={packable(book, carries)}
        last={null}
        units={book.settings.units}
      />
    </>
  );
}
