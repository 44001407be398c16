import Link from "next/link";
import type { Reading } from "@/app/reading";
import type { Trip } from "@/core/model";
import { sayReplay } from "@/core/replay/words";
import { Section } from "@/ui/page/section";
import { replayPath } from "@/ui/paths";
import { replayedAhead } from "../replay/replay-data";

/** What this list would have come to on the owner's own days at that time of year. */
export async function OverYourDays({
  trip,
  reading,
}: {
  readonly trip: Trip | null;
  readonly reading: Reading;
}) {
  const replayed = await replayedAhead(trip, reading);
  if (reading.book.outings.length === 0) return null;
  return (
    <Section title="Over your own days" note={trip ? "at that time of year" : undefined}>
      <p>{sayReplay(replayed, reading.book.settings.units)}</p>
      <p className="no-print mt-1">
        <Link prefetch={false} href={replayPath({ over: trip ? "like" : "all" })} className="link">
          Any list, over any of your days
        </Link>
      </p>
    </Section>
  );
}
