import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { carriedOfTrip, partOf } from "@/core/ledger/book";
import { outingOf } from "@/core/ledger/outing";
import { plannedAgainstWalked } from "@/core/ledger/intended";
import { alikeNights } from "@/core/ledger/nights";
import { endsOf, stretchesOf } from "@/core/ledger/stretches";
import { weighIn } from "@/core/weighin/weigh-in";
import { sayAgainstPlan } from "@/core/say/trip";
import { happenedOn, legName } from "@/core/say/mark";
import { sayNights } from "@/core/say/nights";
import { TripId, type ItemId, type LegId, type Mark } from "@/core/model";
import {
  count,
  listWords,
  sayDays,
  sayDeadWeight,
  sayDistance,
  sayHeight,
  sayMass,
} from "@/core/units/speak";
import { store } from "@/data/connection";
import { findTrack } from "@/data/tracks";
import { Figure } from "@/ui/figure";
import { PageHead } from "@/ui/page-head";
import { Stroke, STROKES } from "@/ui/stroke";
import { strokeOf } from "@/ui/stroke-code";
import { readBook } from "@/app/book";
import { itemPath, tripPath, unpackPath } from "@/ui/paths";
import { idIn } from "@/app/id-in";
import { Companions } from "./companions";
import { TrackView } from "./track-view";
import { WayPicture } from "./way-picture";

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
  const outing = outingOf(trip);
  const { units } = book.settings;
  const carried = carriedOfTrip(outing, trip.carries).flatMap((one) => {
    const item = book.item(one.carry.item);
    return item ? [{ item, carry: one.carry, metres: one.metres, code: strokeOf(one, item) }] : [];
  });
  // As the weigh-in has it, at the start.
  const start = weighIn(trip, book.item, book.items).legs[0];
  const dead = carried.filter(({ item, carry }) => carry.mark?.use === "unused" && !item.cover);
  const cover = carried.filter(({ item, carry }) => carry.mark?.use === "unused" && item.cover);
  const weighed = (things: typeof carried) =>
    things.reduce((sum, { item, carry }) => sum + (item.weight?.g ?? 0) * partOf(carry), 0);
  const against = plannedAgainstWalked(trip);
  const kept = carried.filter(({ carry }) => carry.mark?.why === "trip cut short");
  const deadGramMetres = dead.reduce(
    (sum, { item, carry, metres }) => sum + (item.weight?.g ?? 0) * partOf(carry) * metres,
    0,
  );
  const shared = carried.flatMap(({ item, carry: { shared: how } }) =>
    how ? [{ item: item.id, name: item.name, grams: item.weight?.g ?? 0, owner: item.owner, ...how }] : [],
  );
  const open = trip.carries.filter((carry) => carry.mark === null).length;
  const nameOf = (item: ItemId) => book.item(item)?.name ?? item;
  const sayLegs = (legs: readonly LegId[]) =>
    legs.map((leg) => trip.legs.findIndex(({ id: its }) => its === leg) + 1).join(", ");
  const ends = endsOf(trip.legs);
  const track = await findTrack(await store(), trip.id);
  const happened = carried.flatMap(({ item, carry: { mark } }) => {
    const place = happenedOn(mark, trip.legs, ends);
    return place ? [{ ...place, name: item.name }] : [];
  });
  const sayPlace = (mark: Mark | null) => {
    const place = happenedOn(mark, trip.legs, ends);
    return place && { ...place, words: `${place.words}, at ${sayDistance(place.metres, units)}` };
  };
  const told = carried.filter(
    ({ carry }) => carry.mark && (carry.mark.note || carry.mark.troubles.length || carry.mark.exit),
  );
  return (
    <>
      <PageHead
        title={trip.name}
        actions={
          <>
            {!trip.planned && (
              <Link
                prefetch={false}
                href={unpackPath(trip.id)}
                className={`btn ${open > 0 ? "btn-leaf" : ""}`}
              >
                {open > 0 ? `Unpack (${open} left)` : "Go through it again"}
              </Link>
            )}
            <Link prefetch={false} href={`${tripPath(trip.id)}/weigh-in`} className="btn">
              Weigh-in
            </Link>
            <Link prefetch={false} href={`${tripPath(trip.id)}/edit`} className="btn">
              Edit
            </Link>
          </>
        }
      >
        {sayDays(trip.starts, trip.ends)}
        {trip.planned && ", planned"}
        {trip.cut && ", cut short"}
      </PageHead>
      <dl className="mb-6 grid grid-cols-2 gap-x-8 gap-y-3 border-y border-rule py-3 sm:grid-cols-5">
        <Figure name="walked">{sayDistance(outing.metres, units)}</Figure>
        <Figure name="nights">
          {outing.nights}
          {outing.days - 1 > outing.nights && (
            <span className="block font-sans text-sm text-muted">
              and {outing.days - 1 - outing.nights} under a roof
            </span>
          )}
        </Figure>
        <Figure name="base weight">{sayMass(start?.base ?? 0, units)}</Figure>
        <Figure name="worn, hobby">
          {sayMass(start?.worn ?? 0, units)}, {sayMass(start?.hobby ?? 0, units)}
        </Figure>
        <Figure name="carried for nothing">{sayDeadWeight(deadGramMetres, units)}</Figure>
      </dl>
      {dead.length > 0 && (
        <p className="-mt-3 mb-6">
          {sayMass(weighed(dead), units)} in {count(dead.length, "thing")} was carried{" "}
          {dead.every(({ metres }) => metres === outing.metres)
            ? sayDistance(outing.metres, units)
            : "all or part of the way"}{" "}
          for nothing
          {cover.length > 0 &&
            `; ${sayMass(weighed(cover), units)} of cover was not needed either, and is not counted`}
          .
        </p>
      )}
      {(against || kept.length > 0) && (
        <p className="-mt-3 mb-6">
          {against && sayAgainstPlan(against, units)}{" "}
          {kept.length > 0 &&
            `Kept for days that never came: ` +
              `${listWords(kept.map(({ item }) => item.name))}, ${sayMass(weighed(kept), units)}.`}
        </p>
      )}
      {track && (
        <TrackView
          track={track}
          ends={ends}
          happened={happened}
          units={units}
          gpx={`/api/track/${encodeURIComponent(trip.id)}`}
        />
      )}
      <WayPicture
        trip={trip.id}
        legs={trip.legs.map(({ id: leg }, n) => ({
          id: leg,
          name: legName(trip.legs, leg),
          from: ends[n]!,
          to: ends[n + 1]!,
        }))}
        rows={carried.map(({ item, carry: { legs, mark } }) => ({
          item: item.id,
          name: item.name,
          slot: item.slot,
          stretches: stretchesOf(trip.legs, legs),
          place: sayPlace(mark),
        }))}
        others={book.items
          .filter(
            ({ id: other, state }) => state === "active" && !carried.some(({ item }) => item.id === other),
          )
          .map(({ id: other, name }) => ({ item: other, name }))}
        units={units}
      />
      <div className="grid gap-8 lg:grid-cols-2">
        <section>
          <h2 className="mb-1 text-lg">The way</h2>
          <table className="w-full text-[0.95rem]">
            <tbody>
              {trip.legs.map((leg, n) => (
                <tr key={n} className="border-b border-rule">
                  <td className="py-1">
                    {leg.name || (trip.legs.length > 1 ? `Leg ${n + 1}` : "All of it")}
                  </td>
                  <td className="num text-right">{sayDistance(leg.distance.m, units)}</td>
                  <td className="num text-right text-muted">
                    {leg.ascent ? `↑ ${sayHeight(leg.ascent.m, units)}` : ""}
                  </td>
                  <td className="pl-4 text-muted">{leg.terrain}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Companions
            trip={trip.id}
            shared={shared}
            things={carried.map(({ item }) => ({ item: item.id, name: item.name }))}
            units={units}
          />
          <h2 className="mb-1 mt-5 text-lg">What it was like</h2>
          <p>
            {Object.entries(trip.conditions)
              .filter(([, strength]) => strength !== "none")
              .sort(([, a], [, b]) => b.localeCompare(a))
              .map(([trigger, strength]) => `${strength} ${trigger}`)
              .join(", ") || "Nothing noted."}
          </p>
          {trip.felt.length > 0 && (
            <p className="mt-1">
              {alikeNights(trip.felt)
                .map((alike) => sayNights(alike, nameOf, units))
                .join("; ")}
              .
            </p>
          )}
          {trip.supplies.length > 0 && (
            <p className="mt-1">
              Came home:{" "}
              {trip.supplies
                .map(({ what, unit, out, back }) => `${what} ${back} of ${out} ${unit}`.trim())
                .join(", ")}
              .
            </p>
          )}
          {trip.note && <p className="mt-1 text-muted">{trip.note}</p>}
          {(trip.made.length > 0 || trip.stay.length > 0 || trip.missed.length > 0) && (
            <>
              <h2 className="mb-1 mt-5 text-lg">Looking back</h2>
              {trip.made.length > 0 && <p>Made the trip: {trip.made.map(nameOf).join(", ")}.</p>}
              {trip.stay.length > 0 && <p>Could have stayed: {trip.stay.map(nameOf).join(", ")}.</p>}
              {trip.missed.length > 0 && <p>Missed: {trip.missed.map(({ what }) => what).join(", ")}.</p>}
            </>
          )}
          {told.length > 0 && (
            <>
              <h2 className="mb-1 mt-5 text-lg">What happened</h2>
              <ul>
                {told.map(({ item, carry, code }) => (
                  <li key={item.id} className="flex gap-2 border-b border-rule py-1">
                    <Stroke code={code} />
                    <span>
                      <Link
                        prefetch={false}
                        href={itemPath(item.id)}
                        className="font-semibold hover:underline"
                      >
                        {item.name}
                      </Link>{" "}
                      {STROKES[code]}
                      {carry.mark?.note && `: ${carry.mark.note}`}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        <section>
          <h2 className="mb-1 text-lg">
            What went along{" "}
            <span className="font-sans text-sm font-normal text-muted">
              {count(carried.length, "thing")}, {sayMass(weighed(carried), units)}
            </span>
          </h2>
          <p className="no-print mb-2 flex flex-wrap gap-x-4 text-sm">
            <Link
              prefetch={false}
              className="link"
              href={`/trips/compare?${new URLSearchParams({ b: trip.id })}`}
            >
              Against another list
            </Link>
            <a className="link" href={`/api/list/${encodeURIComponent(trip.id)}`} download>
              as Markdown
            </a>
            <a className="link" href={`/api/list/${encodeURIComponent(trip.id)}?as=csv`} download>
              as CSV
            </a>
          </p>
          <ul className="columns-1 gap-6 sm:columns-2">
            {carried.map(({ item, carry, code }) => (
              <li
                key={item.id}
                className="flex break-inside-avoid items-center gap-2 border-b border-rule text-[0.95rem]"
              >
                <Stroke code={code} size={17} />
                <span className="sr-only">{STROKES[code]}: </span>
                <Link
                  prefetch={false}
                  href={itemPath(item.id)}
                  className="min-h-6 min-w-0 flex-1 truncate hover:underline"
                >
                  {item.name}
                </Link>
                {item.owner && <span className="text-xs text-muted">{item.owner}&rsquo;s</span>}
                {carry.legs && <span className="text-xs text-muted">legs {sayLegs(carry.legs)}</span>}
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
