import type { Metadata } from "next";
import Link from "next/link";
import { redirect } from "next/navigation";
import { count } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import type { TripId } from "@/core/model";
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
  if (open.length === 1 && begun.length === 0) redirect(unpackPath(open[0]!.id));
  const last = book.outings.at(-1)?.trip;
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
      {begun.map(({ id, name, ends }) => (
        <form
          key={id}
          action={beginUnpacking.bind(null, id)}
          className="mb-4 flex max-w-xl flex-wrap items-center justify-between gap-3 border-l-4 border-catkin-strong pl-4"
        >
          <span>
            <span className="font-head text-lg font-bold">{name}</span> was planned
            {ends < book.today ? ", and its last day is past." : ", and has begun."}
            {not === id && (
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
            {ends < book.today ? "Walked: unpack it" : "Unpack it so far"}
            <span className="sr-only">: {name}</span>
          </button>
        </form>
      ))}
      {open.length > 0 ? (
        <ul className="max-w-xl border-t-2 border-ink">
          {open.map((trip) => (
            <li key={trip.id} className="flex items-baseline justify-between border-b border-rule py-2">
              <Link href={unpackPath(trip.id)} className="font-head text-lg font-bold hover:underline">
                {trip.name}
              </Link>
              <span className="text-muted">
                {count(trip.carries.filter((carry) => carry.mark === null).length, "thing")} to go
                {trip.ends > book.today ? ", still on the way" : ""}
              </span>
            </li>
          ))}
        </ul>
      ) : (
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
      )}
    </>
  );
}
