import type { Metadata } from "next";
import Link from "next/link";
import { redirect } from "next/navigation";
import { count } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import type { Trip, TripId } from "@/core/model";
import { readBook } from "@/app/book";
import { setWalked } from "./actions";
import { tripPath, unpackPath } from "@/ui/paths";

export const metadata: Metadata = { title: "Unpack" };

/** A planned trip that has begun is walked from now on, and unpacked: at home, or half way. */
async function beginUnpacking(id: TripId): Promise<never> {
  "use server";
  const answer = await setWalked(id);
  redirect(answer.ok ? unpackPath(id) : `/unpack?not=${encodeURIComponent(id)}`);
}

/** The trip to unpack: straight to the one with things left to mark. */
export default async function UnpackPage({ searchParams }: { searchParams: Promise<{ not?: string }> }) {
  const { not } = await searchParams;
  const { log, book } = await readBook();
  const begun = log.trips.filter(({ planned, starts }) => planned && starts <= book.today);
  const open = book.outings
    .map(book.tripOf)
    .filter(({ carries }) => carries.some(({ mark }) => mark === null))
    .reverse();
  const [only, another] = open;
  if (only && !another && begun.length === 0) redirect(unpackPath(only.id));
  return (
    <>
      <PageHead
        title="Unpack"
        actions={
          <Link href="/trips/new" className="btn btn-leaf">
            New trip
          </Link>
        }
      />
      {begun.map((trip) => (
        <HasBegun key={trip.id} trip={trip} isOver={trip.ends < book.today} isRefused={not === trip.id} />
      ))}
      {only ? <ToGo trips={open} today={book.today} /> : <AllDone last={book.outings.at(-1)?.trip} />}
    </>
  );
}

interface HasBegunProps {
  readonly trip: Pick<Trip, "id" | "name">;
  readonly isOver: boolean;
  /** It could not be begun: something on its list had left the shelf. */
  readonly isRefused: boolean;
}

function HasBegun({ trip: { id, name }, isOver, isRefused }: HasBegunProps) {
  return (
    <form action={beginUnpacking.bind(null, id)} className={BEGUN}>
      <span>
        <span className="font-head text-lg font-bold">{name}</span> was planned
        {isOver ? ", and its last day is past." : ", and has begun."}
        {isRefused && (
          <span role="alert" className="block text-sting">
            Something on its list had left the shelf before.{" "}
            <Link href={`${tripPath(id)}/edit`} className="underline">
              Take it off the list
            </Link>{" "}
            first.
          </span>
        )}
      </span>
      <button className="btn btn-leaf">
        {isOver ? "Walked: unpack it" : "Unpack it so far"}
        <span className="sr-only">: {name}</span>
      </button>
    </form>
  );
}

const BEGUN =
  "mb-4 flex max-w-xl flex-wrap items-center justify-between gap-3 border-l-4 border-catkin-strong pl-4";

function ToGo({ trips, today }: { trips: readonly Trip[]; today: string }) {
  return (
    <ul className="max-w-xl border-t-2 border-ink">
      {trips.map(({ id, name, ends, carries }) => (
        <li key={id} className="flex items-baseline justify-between border-b border-rule py-2">
          <Link href={unpackPath(id)} className="font-head text-lg font-bold hover:underline">
            {name}
          </Link>
          <span className="text-muted">
            {count(carries.filter(({ mark }) => mark === null).length, "thing")} to go
            {ends > today ? ", still on the way" : ""}
          </span>
        </li>
      ))}
    </ul>
  );
}

function AllDone({ last }: { last: Pick<Trip, "id" | "name"> | undefined }) {
  return (
    <Empty
      title={last ? "Everything is unpacked" : "Nothing to unpack yet"}
      action={
        <div className="flex flex-wrap gap-2">
          <Link href="/trips/new" className="btn btn-leaf">
            {last ? "Back from another? Enter it" : "Enter the first trip"}
          </Link>
          {last && (
            <Link href={unpackPath(last.id)} className="btn">
              Go through {last.name} again
            </Link>
          )}
        </div>
      }
    >
      Home again, tip the pack out on the floor and go through it pocket by pocket: used, hardly, unused,
      failed. Sixty things take about five minutes.
    </Empty>
  );
}
