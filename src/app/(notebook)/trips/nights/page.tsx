import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { ItemId } from "@/core/model";
import { sayAside, sayComfort, sayLabel, saySleeper } from "@/core/say/sleep";
import { count } from "@/core/units/speak";
import { setAside, sleeperOf, sleepOf, usualPads, type BedNights } from "@/core/weighin/sleep";
import { Choices } from "@/ui/page/choices";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Extras } from "./extras";
import { InBed } from "./in-bed";
import { NightByNight } from "./night-by-night";
import { Others } from "./others";
import { Setups } from "./setups";
import { SoCold } from "./so-cold";

export const metadata: Metadata = { title: "Nights" };

interface Asked {
  readonly searchParams: Promise<{ bed?: string; low?: string }>;
}

/** How cold the nights were against how they felt, bed by bed, and down to what each bed will do. */
export default async function NightsPage({ searchParams }: Asked) {
  const asked = await searchParams;
  const { book } = await readBook();
  const { units } = book.settings;
  const beds = sleepOf(book);
  const shown = shownOf(beds, asked.bed);
  if (!shown) return <NoBed />;
  const { bed, nights, plain, setups, extras } = shown;
  const sleeper = sleeperOf(book);
  const aside = setAside(book, bed.id);
  return (
    <>
      <PageHead title="Nights">
        {count(nights.length, "night")} told of in {bed.name}
      </PageHead>
      {beds.length > 1 && (
        <Choices
          label="Which bed"
          chosen={bed.id}
          choices={beds.map(({ bed: { id, name, state } }) => ({
            key: id,
            href: `/trips/nights?${new URLSearchParams({ bed: id })}`,
            words: state === "wished" ? `${name} (wished for)` : name,
          }))}
        />
      )}
      <p className="max-w-3xl text-lg">{sayComfort(plain, units)}</p>
      <p className="hint max-w-3xl">{sayLabel(bed.ratings.label, units)}</p>
      {sleeper && <p className="hint max-w-3xl">{saySleeper(sleeper, units)}</p>}
      {aside.length > 0 && <p className="hint max-w-3xl">{sayAside(aside)}</p>}
      {nights.length > 0 && <InBed shown={shown} units={units} />}
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <SoCold beds={beds} bed={bed} pads={usualPads(nights)} asked={asked.low} units={units} />
        <Extras extras={extras} units={units} />
        <Others shown={shown} beds={beds} units={units} />
        <Setups setups={setups} units={units} />
      </div>
      {nights.length > 0 && <NightByNight shown={shown} units={units} />}
      <p className="hint mt-6 max-w-3xl">
        Beds differ by who lies in them, and nights by food, wind and wet. Take what keeps you safe if it
        turns colder than forecast.
      </p>
    </>
  );
}

/** The bed that is asked for, or the one that most is told of. */
const shownOf = (beds: readonly BedNights[], asked: string | undefined): BedNights | undefined =>
  beds.find(({ bed }) => bed.id === ItemId.safeParse(asked).data) ??
  beds.toSorted((a, b) => b.nights.length - a.nights.length)[0];

function NoBed() {
  return (
    <>
      <PageHead title="Nights" />
      <Empty
        title="No bed on the shelf yet"
        action={
          <Link href="/shelf" className="btn btn-leaf">
            To the shelf
          </Link>
        }
      >
        Put a quilt or a sleeping bag on the shelf, and say after a trip how cold its nights were and how they
        felt. What the label is worth to you then stands here.
      </Empty>
    </>
  );
}
