import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { CONDITION } from "@/core/trade/kind";
import { hear, namedOf } from "@/core/hear/hear";
import { sayHeard } from "@/core/say/heard";
import { likelySymptoms } from "@/core/trade/symptoms";
import { outingOf } from "@/core/ledger/outing";
import { carriedOfTrip, type Book } from "@/core/ledger/book";
import { STOWS, TripId, type Trip } from "@/core/model";
import { listWords, sayMass } from "@/core/units/speak";
import { sayTrigger } from "@/core/say/words";
import { Empty, PageHead } from "@/ui/page-head";
import { strokeOf } from "@/ui/stroke-code";
import { readBook } from "@/app/book";
import { WorthAsking } from "../../verdicts/worth-asking";
import { FromTheTrail, type TrailLine } from "./from-the-trail";
import { isBed, isSleptIn } from "@/core/trade/warmth";
import { LookBack } from "./look-back";
import type { Thing } from "./pockets";
import { Unpack } from "./unpack";
import type { Way } from "./where-it-was";
import Link from "next/link";
import { tripPath } from "@/ui/paths";
import { idIn } from "@/app/id-in";

export const metadata: Metadata = { title: "Unpack" };

/** From so many days on, it is asked on how many of them a thing was used. */
const LONG_DAYS = 7;

/** Strokes of earlier trips shown beside a thing. */
const PATTERN = 8;

export default async function UnpackTripPage({ params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const { log, book } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const things = thingsOf(trip, book);
  if (things.length === 0) {
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
  const isUnpacked = things.every(({ mark }) => mark) && book.outings.at(-1)?.trip.id === id;
  return (
    <>
      <FromTheTrail trip={trip.id} lines={linesOf(trip, book)} />
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
        things={things.map(({ id: of, name, stow, code, mark }) => ({
          id: of,
          name,
          stow,
          code,
          grams: book.item(of)!.weight?.g ?? 0,
          use: mark?.use ?? null,
          sleep: isSleptIn(book.item(of)!),
          bed: isBed(book.item(of)!.kind) || book.item(of)!.jobs.includes("pad"),
          consumable: book.item(of)!.load === "consumable",
        }))}
      />
    </>
  );
}

/** What was written on the way and is not in the debrief yet. */
function linesOf(trip: Trip, book: Book): TrailLine[] {
  const along = new Set(trip.carries.map(({ item }) => item));
  const things = book.items.map((item) => namedOf(item, along.has(item.id)));
  return trip.lines
    .filter(({ taken }) => !taken)
    .map(({ id, text }) => {
      const facts = hear(text, things).flatMap(({ heard }) => heard.map(({ fact }) => fact));
      const says = sayHeard(facts, book.settings.units, (item) => book.item(item)?.name ?? item);
      return { id, text, says, isNote: facts.length === 0 };
    });
}

/** Its legs, and what else there is: on the trip first, then at home. */
function wayOf(trip: Trip, book: Book): Way {
  const along = new Set(trip.carries.map(({ item }) => item));
  const here = book.items.filter(({ id, state }) => along.has(id) || state === "active");
  return {
    legs: trip.legs.map(({ id, name }, n) => ({ id, name: name || `Leg ${n + 1}` })),
    unit: book.settings.units.distance,
    others: [...here]
      .sort((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)))
      .map(({ id, name }) => ({ id, name })),
  };
}

/** What was carried, in the order that it comes out of the pack. */
function thingsOf(trip: Trip, book: Book): Thing[] {
  const outing = outingOf(trip);
  const things = carriedOfTrip(outing, trip.carries).flatMap((carried): Thing[] => {
    const { carry, calls } = carried;
    const item = book.item(carry.item);
    if (!item) return [];
    const before = book
      .carriedOf(item.id)
      .filter((one) => one.outing.trip.id !== trip.id && one.outing.trip.starts <= trip.starts)
      .slice(-PATTERN);
    const weather = item.triggers.filter((trigger) => trigger !== "injury" && trigger !== "breakage");
    return [
      {
        id: item.id,
        name: item.name,
        stow: item.stow,
        weight: item.weight ? sayMass(item.weight.g, book.settings.units) : "",
        pieces: item.pieces,
        cover: item.cover,
        contents: item.rules.contents,
        symptoms: likelySymptoms(item.rules),
        freezes: item.rules.freezes && calls.has("freezing"),
        measure: item.rules.readings.find(({ what }) => what !== CONDITION.what) ?? null,
        days: outing.days >= LONG_DAYS ? outing.days : null,
        pattern: before.map((one) => strokeOf(one, item)),
        mark: carry.mark,
        code: strokeOf(carried, item),
        hint:
          item.cover || item.triggers.some((trigger) => calls.has(trigger)) || weather.length === 0
            ? ""
            : `no ${listWords(weather.map(sayTrigger), "or")} noted`,
      },
    ];
  });
  return STOWS.flatMap((stow) => things.filter((thing) => thing.stow === stow));
}
