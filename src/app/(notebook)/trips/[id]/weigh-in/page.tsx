import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import {
  fullLoad,
  packWeight,
  weighIn,
  type LegLoad,
  type Room,
  type WeighIn,
} from "@/core/weighin/weigh-in";
import { BagWeighing, TripId, type Trip } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import { legName } from "@/core/say/walk/mark";
import { saySuspect } from "@/core/say/weigh-in";
import { count, percent, sayMass, sayRoom, type Units } from "@/core/units/speak";
import { FOOD_LITRES_PER_KG } from "@/core/trade/supplies";
import { supplyUses, usesOf } from "@/core/weighin/supplies";
import { Figure } from "@/ui/page/figure";
import { PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { itemPath, tripPath } from "@/ui/paths";
import { ShareList } from "@/ui/share-list";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { WeightBars } from "@/ui/chart/weight-bars";
import { idIn } from "@/app/id-in";
import { readBook } from "@/app/book";
import { ScaleForm } from "./scale-form";

export const metadata: Metadata = { title: "Weigh-in" };

/** What a bar is made of, in the order it is stacked. */
const SORTS: readonly (readonly [Exclude<keyof LegLoad, "leg">, string])[] = [
  ["base", "base"],
  ["consumable", "used up"],
  ["hobby", "hobby"],
  ["supplies", "food and water"],
  ["worn", "worn, not on the back"],
];

/** What a trip's pack weighed, leg by leg; against what the pack carries well, its room, and the scale. */
export default async function WeighInPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idIn(TripId, (await params).id);
  const { log, book } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) notFound();
  const { units } = book.settings;
  const weighed = weighIn(trip, book.item, book.items);
  const say = (grams: number) => sayMass(grams, units);
  const food = usesOf(supplyUses(book), "food")[0]?.rate.median ?? 0;
  return (
    <>
      <PageHead title="Weigh-in" actions={<WeighInLinks trip={trip} />}>
        {trip.name}, {count(weighed.packed.length, "thing")}
      </PageHead>
      <Weights weighed={weighed} units={units} />
      <Legs trip={trip} weighed={weighed} units={units} />
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <Section title="The list against the scale">
          <AgainstScale weighed={weighed} units={units} />
          <ScaleForm
            trip={trip.id}
            scale={trip.scale && BagWeighing.encode(trip.scale)}
            unit={units.weight === "g" ? "kg" : "lb"}
          />
        </Section>
        <RoomIn room={weighed.room} foodPerDay={food} units={units} />
        <ShareList title="By job" parts={weighed.byJob.map(([name, value]) => ({ name, value }))} say={say} />
        <ShareList
          title="By place"
          parts={weighed.byPlace.map(([stow, value]) => ({ name: STOW_NAMES[stow].toLowerCase(), value }))}
          say={say}
        />
        <HowSure weighed={weighed} />
        <Pouches pouches={weighed.pouches} units={units} />
      </div>
    </>
  );
}

const WeighInLinks = ({ trip: { id } }: { trip: Trip }) => (
  <>
    <Link prefetch={false} href={`/trips/compare?${new URLSearchParams({ b: id })}`} className="btn">
      Against another list
    </Link>
    <Link prefetch={false} href={tripPath(id)} className="btn">
      The trip
    </Link>
  </>
);

interface WeighedProps {
  readonly weighed: WeighIn;
  readonly units: Units;
}

/** The figures of the start and of the heaviest leg, against what the pack carries well. */
function Weights({ weighed: { legs, bigThree, against }, units }: WeighedProps) {
  const [first] = legs;
  if (!first) return null;
  const heaviest = Math.max(...legs.map(fullLoad));
  const mass = (grams: number) => sayMass(grams, units);
  return (
    <>
      <dl className={WEIGHTS}>
        <Figure name="base weight">{mass(first.base)}</Figure>
        <Figure name="worn, left out of it">{mass(first.worn)}</Figure>
        <Figure name="hobby, left out of it">{mass(first.hobby)}</Figure>
        <Figure name="pack at the start">{mass(packWeight(first))}</Figure>
        <Figure name="full load, heaviest start">{mass(heaviest)}</Figure>
        <Figure name="big three">
          {mass(bigThree.grams)}, {percent(bigThree.share)}
        </Figure>
      </dl>
      {against && (
        <p className={against.heaviest > against.limit ? "font-semibold text-sting" : ""}>
          {against.pack.name} carries well up to {mass(against.limit)}; the heaviest start had{" "}
          {mass(against.heaviest)} on the back
          {against.heaviest > against.limit
            ? `, ${mass(against.heaviest - against.limit)} too much.`
            : `, ${mass(against.limit - against.heaviest)} under it.`}
        </p>
      )}
    </>
  );
}

const WEIGHTS =
  "mb-5 grid grid-cols-2 gap-x-8 gap-y-3 border-y border-rule py-3 sm:grid-cols-3 lg:grid-cols-6";

/** What is on the back as each leg begins. */
function Legs({ trip, weighed: { legs, against }, units }: WeighedProps & { readonly trip: Trip }) {
  const hasSupplies = legs.some(({ supplies }, n) => n === 0 && supplies > 0);
  return (
    <>
      <WeightBars
        title={legs.length > 1 ? "At the start of each leg" : "At the start"}
        bars={legs.map((leg) => ({
          name: legName(trip.legs, leg.leg),
          grams: SORTS.map(([sort, name]) => [name, leg[sort]] as const),
        }))}
        imperial={units.weight === "oz"}
        limit={against ? { grams: against.limit, name: "carries well up to" } : undefined}
      />
      <p className="hint mt-1">
        {hasSupplies
          ? "Food and water: each leg starts with its share, by nights or distance, of what went out; " +
            "fuel counts with its canister."
          : "Food and water are not in it: nobody told what went out. Say so under “Came home” when unpacking."}
      </p>
    </>
  );
}

function HowSure({ weighed: { packed, unweighed, claimed } }: { weighed: WeighIn }) {
  return (
    <Section title="How sure the list is">
      <p>
        {count(packed.length - unweighed.length - claimed.length, "thing")} on your own scale
        {claimed.length > 0 && `, ${claimed.length} as claimed`}
        {unweighed.length > 0 && `, ${unweighed.length} not weighed`}.
      </p>
      <Things title="As claimed" things={claimed} />
      <Things title="Not weighed" things={unweighed} />
      {unweighed.length + claimed.length > 0 && (
        <p className="mt-2">
          <Link prefetch={false} href="/shelf/weigh" className="link">
            Weigh them
          </Link>
        </p>
      )}
    </Section>
  );
}

function Pouches({ pouches, units }: { pouches: WeighIn["pouches"]; units: Units }) {
  if (pouches.length === 0) return null;
  return (
    <Section title="Pouches and what is in them">
      <ul>
        {pouches.map(({ bag, own, contents }) => (
          <li key={bag.id} className="flex justify-between border-b border-rule py-1">
            {bag.name}
            <span className="num">
              {sayMass(own, units)} and {sayMass(contents, units)} in it
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

function AgainstScale({ weighed: { scale }, units }: { weighed: WeighIn; units: Units }) {
  if (!scale)
    return (
      <p className="text-muted">Hang the packed bag on a scale, and see whether the list adds up to it.</p>
    );
  const { gap, matters, suspects } = scale;
  const mass = (grams: number) => sayMass(Math.abs(grams), units);
  return (
    <>
      <p>
        The scale says {mass(scale.scale)}, the list {mass(scale.list)}:{" "}
        {gap === 0 ? (
          "they agree."
        ) : (
          <b className={matters ? "text-sting" : ""}>
            {mass(gap)}{" "}
            {gap > 0 ? "in the bag that the list does not tell of" : "on the list that is not in the bag"}
            {matters ? "." : ", no more than scales differ by."}
          </b>
        )}
      </p>
      {matters && suspects.length > 0 && (
        <>
          <h3 className="mt-2 font-sans text-sm font-semibold">What may account for it, likeliest first</h3>
          <ol className="ml-5 list-decimal">
            {suspects.map((suspect) => (
              <li key={suspect.why + (suspect.items[0]?.id ?? "")}>{saySuspect(suspect, units)}</li>
            ))}
          </ol>
        </>
      )}
    </>
  );
}

/** @param foodPerDay grams of food that the owner eats in a day */
function RoomIn({ room, foodPerDay, units }: { room: Room | null; foodPerDay: number; units: Units }) {
  const litres = (value: number) => sayRoom(value, units);
  return (
    <section>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">Room</h2>
      {room ? (
        <>
          <p>
            {litres(room.packed)} of the {litres(room.volume)} in {room.pack.name} is taken up
            {room.unknown.length > 0 &&
              `, and by ${count(room.unknown.length, "thing")} of unknown size`};{" "}
            {room.packed > room.volume ? (
              <b className="text-sting">{litres(room.packed - room.volume)} too much.</b>
            ) : (
              <>
                {litres(room.volume - room.packed)} are left: room for the food of about{" "}
                {count(
                  Math.floor((room.volume - room.packed) / ((foodPerDay / 1000) * FOOD_LITRES_PER_KG)),
                  "day",
                )}
                , and less with water inside.
              </>
            )}
          </p>
          {room.outside.length > 0 && <Things title="Tied on outside" things={room.outside} />}
          <Things title="Of unknown size" things={room.unknown} />
        </>
      ) : (
        <p className="text-muted">
          Say how much room is in the pack, under Edit on its page, and it is reckoned here.
        </p>
      )}
    </section>
  );
}

function Things({ title, things }: { title: string; things: readonly FullItem[] }) {
  if (things.length === 0) return null;
  return (
    <p className="mt-1 text-sm">
      <span className="text-muted">{title}:</span>{" "}
      {things.map(({ id, name }, n) => (
        <span key={id}>
          {n > 0 && ", "}
          <Link prefetch={false} href={itemPath(id)} className="hover:underline">
            {name}
          </Link>
        </span>
      ))}
    </p>
  );
}
