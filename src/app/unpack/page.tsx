import type { Metadata } from "next";
import Link from "next/link";
import { redirect } from "next/navigation";
import { count } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page-head";
import { readBook } from "../book";

export const metadata: Metadata = { title: "Unpack" };

/** The trip to unpack: straight to the one with things left to mark. */
export default async function UnpackPage() {
  const { book } = await readBook();
  const open = book.outings.filter(({ trip }) => trip.carries.some((carry) => carry.mark === null)).reverse();
  if (open.length === 1) redirect(`/unpack/${open[0]!.trip.id}`);
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
      {open.length > 0 ? (
        <ul className="max-w-xl border-t-2 border-ink">
          {open.map(({ trip }) => (
            <li key={trip.id} className="flex items-baseline justify-between border-b border-rule py-2">
              <Link href={`/unpack/${trip.id}`} className="font-head text-lg font-bold hover:underline">
                {trip.name}
              </Link>
              <span className="text-muted">
                {count(trip.carries.filter((carry) => carry.mark === null).length, "thing")} to go
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
                <Link href={`/unpack/${last.id}`} className="btn">
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
