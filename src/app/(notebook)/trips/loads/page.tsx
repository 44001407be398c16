import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { percent, sayDeadWeight, sayLugged, sayMass, type Units } from "@/core/units/speak";
import { loadsOf, thingLoads, type ThingLoad, type TripLoad } from "@/core/weighin/loads";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";
import { Table, type Column } from "@/ui/page/table";
import { itemPath, tripPath } from "@/ui/paths";

export const metadata: Metadata = { title: "Loads" };

/** What the unit of the page is shown by, in g·m. */
const EXAMPLE = 1e8;

interface Asked {
  readonly searchParams: Promise<{ trips?: string; things?: string }>;
}

/** What the pack came to, trip by trip and thing by thing, by whichever figure one asks. */
export default async function LoadsPage({ searchParams }: Asked) {
  const asked = await searchParams;
  const { book } = await readBook();
  const { units } = book.settings;
  const trips = loadsOf(book);
  if (trips.length === 0) return <NoTrips />;
  const tripsBy = TRIP_FIGURES.find(({ key }) => key === asked.trips);
  const thingsBy = THING_FIGURES.find(({ key }) => key === asked.things) ?? THING_FIGURES[0];
  const heading = (which: "trips" | "things", key: string) => ({
    href: `/trips/loads?${new URLSearchParams({ ...asked, [which]: key })}`,
    isSorted: key === (which === "trips" ? tripsBy : thingsBy)?.key,
  });
  return (
    <>
      <PageHead title="Loads">
        Weight times the way that it was carried: {sayDeadWeight(EXAMPLE, units)} are{" "}
        {sayLugged(EXAMPLE, units)}. Press a figure to sort by it.
      </PageHead>
      <Section title="Trip by trip">
        <Table
          rows={tripsBy ? trips.toSorted((a, b) => tripsBy.of(b) - tripsBy.of(a)) : trips}
          keyOf={({ outing }) => outing.trip.id}
          columns={[
            {
              head: "trip",
              cell: ({ outing: { trip } }) => (
                <Link prefetch={false} href={tripPath(trip.id)} className="hover:underline">
                  {trip.name}
                </Link>
              ),
            },
            ...TRIP_FIGURES.map((figure) => columnOf(figure, units, heading("trips", figure.key))),
          ]}
        />
      </Section>
      <Section title="Thing by thing" look="mt-8">
        <Table
          rows={thingLoads(book)
            .filter((thing) => thingsBy.of(thing) > 0)
            .sort((a, b) => thingsBy.of(b) - thingsBy.of(a))}
          keyOf={({ item }) => item.id}
          columns={[
            {
              head: "thing",
              cell: ({ item }) => (
                <Link prefetch={false} href={itemPath(item.id)} className="hover:underline">
                  {item.name}
                </Link>
              ),
            },
            ...THING_FIGURES.map((figure) => columnOf(figure, units, heading("things", figure.key))),
          ]}
        />
      </Section>
    </>
  );
}

/** A figure of a row that a table is sorted by. */
interface Sortable<Row> {
  readonly key: string;
  readonly head: string;
  readonly of: (row: Row) => number;
  readonly say: (value: number, units: Units) => string;
  readonly isSeldom?: boolean;
}

const dash = (say: Sortable<unknown>["say"]) => (value: number, units: Units) =>
  value > 0 ? say(value, units) : "–";

const TRIP_FIGURES: readonly Sortable<TripLoad>[] = [
  { key: "base", head: "base", of: ({ base }) => base, say: sayMass },
  { key: "worn", head: "worn", of: ({ worn }) => worn, say: sayMass, isSeldom: true },
  { key: "big", head: "big three", of: ({ bigThree }) => bigThree, say: sayMass, isSeldom: true },
  { key: "start", head: "all, at the start", of: ({ start }) => start, say: sayMass, isSeldom: true },
  { key: "end", head: "on the last leg", of: ({ end }) => end, say: sayMass, isSeldom: true },
  { key: "dead", head: "for nothing", of: ({ dead }) => dead, say: dash(sayDeadWeight) },
  { key: "hobby", head: "hobby", of: ({ hobby }) => hobby, say: dash(sayDeadWeight) },
];

const THING_FIGURES: readonly [Sortable<ThingLoad>, ...Sortable<ThingLoad>[]] = [
  { key: "all", head: "carried in all", of: ({ used, dead }) => used + dead, say: sayDeadWeight },
  { key: "used", head: "in use", of: ({ used }) => used, say: dash(sayDeadWeight), isSeldom: true },
  { key: "dead", head: "for nothing", of: ({ dead }) => dead, say: dash(sayDeadWeight) },
  {
    key: "hobby",
    head: "as hobby",
    of: (row) => (row.item.load === "hobby" ? row.used + row.dead : 0),
    say: dash(sayDeadWeight),
    isSeldom: true,
  },
  { key: "share", head: "of base weight", of: ({ share }) => share, say: dash((value) => percent(value)) },
];

function columnOf<Row>(
  { head, of, say, isSeldom }: Sortable<Row>,
  units: Units,
  { href, isSorted }: { readonly href: string; readonly isSorted: boolean },
): Column<Row> {
  return {
    head: (
      <Link prefetch={false} href={href} scroll={false} className={isSorted ? "font-bold text-ink" : "link"}>
        {head}
      </Link>
    ),
    isSorted,
    number: true,
    look: isSeldom ? "hidden sm:table-cell" : "",
    cell: (row) => say(of(row), units),
  };
}

function NoTrips() {
  return (
    <>
      <PageHead title="Loads" />
      <Empty
        title="No trip has been walked yet"
        action={
          <Link href="/trips/new" className="btn btn-leaf">
            Enter the first trip
          </Link>
        }
      >
        What each trip&rsquo;s pack weighed, and what each thing came to over the way that it was carried,
        stand here.
      </Empty>
    </>
  );
}
