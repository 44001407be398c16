import { endsOf } from "@/core/ledger/stretches";
import { TripId } from "@/core/model";
import { happenedOn } from "@/core/say/walk/mark";
import { carriesOf } from "@/data/records/carries";
import { store } from "@/data/connection";
import { allItems } from "@/data/records/items";
import { findTrack } from "@/data/records/tracks";
import { findTrip } from "@/data/records/trips";
import { writeGpx } from "@/formats/gpx";
import { idIn } from "../../../id-in";

/** A trip's track as GPX 1.1, with what failed or left on the way as waypoints. */
export async function GET(_request: Request, { params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const db = await store();
  const trip = await findTrip(db, id);
  const track = await findTrack(db, id);
  if (!trip || !track) return Response.json({ why: "That trip has no track." }, { status: 404 });
  const names = new Map((await allItems(db)).map(({ id: item, name }) => [item, name]));
  const happened = (await carriesOf(db, { trip: trip.id })).flatMap(({ item, mark }) => {
    const place = happenedOn(mark, trip.legs, endsOf(trip.legs));
    return place ? [{ ...place, name: names.get(item) ?? item }] : [];
  });
  return new Response(writeGpx(trip.name, track, happened), {
    headers: {
      "content-type": "application/gpx+xml; charset=utf-8",
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(trip.name)}.gpx`,
    },
  });
}
