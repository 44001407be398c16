import Link from "next/link";
import type { Trip } from "@/core/model";
import { sayDays } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { tripPath, unpackPath } from "@/ui/paths";

/** Its name and days, and what one may do with it. */
export function TripHead({ trip }: { trip: Trip }) {
  const open = trip.carries.filter((carry) => carry.mark === null).length;
  return (
    <PageHead
      title={trip.name}
      actions={
        <>
          {!trip.planned && (
            <Link prefetch={false} href={unpackPath(trip.id)} className={`btn ${open > 0 ? "btn-leaf" : ""}`}>
              {open > 0 ? `Unpack (${open} left)` : "Go through it again"}
            </Link>
          )}
          {!trip.planned && (
            <Link prefetch={false} href={`${tripPath(trip.id)}/told`} className="btn">
              How it was
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
  );
}
