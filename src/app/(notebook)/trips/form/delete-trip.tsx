import { useRouter } from "next/navigation";
import { useState } from "react";
import type { TripId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { deleteTrip } from "../actions";

/** Removing a trip takes its marks along and can't be undone, so here it asks. */
export function DeleteTrip({ id, name }: { id: TripId; name: string }) {
  const router = useRouter();
  const { run } = useDoing();
  const [asking, setAsking] = useState(false);
  const remove = () =>
    run(async () => {
      const removed = await deleteTrip(id);
      if (removed.ok) router.push("/trips");
      return removed;
    });
  if (!asking)
    return (
      <button type="button" className="btn btn-plain text-sting" onClick={() => setAsking(true)}>
        Remove this trip
      </button>
    );
  return (
    <span role="alert" className="flex flex-wrap items-center gap-2">
      Remove {name} with all its marks?
      <button type="button" className="btn" onClick={remove}>
        Yes, remove it
      </button>
      <button type="button" className="btn btn-plain" onClick={() => setAsking(false)}>
        Keep it
      </button>
    </span>
  );
}
