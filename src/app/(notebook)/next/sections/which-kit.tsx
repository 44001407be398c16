import Link from "next/link";
import type { Reading } from "@/app/reading";
import type { Trip } from "@/core/model";
import { sayCold, sayKitChange } from "@/core/plan/kits/kit-words";
import { isTooCold } from "@/core/plan/kits/which-kit";
import { count } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { kitsAhead } from "../kits/kits-data";

/** Which of the kits kept this trip asks for, and whether it is time to change from one to another. */
export async function WhichKit({ trip, reading }: { readonly trip: Trip | null; readonly reading: Reading }) {
  const { units } = reading.book.settings;
  if (reading.book.items.length === 0) return null;
  const { held, low, change } = await kitsAhead(trip, reading);
  const [first] = held;
  const changes = first ? first.putIn.length + first.takeOut.length + first.swap.length : 0;
  return (
    <Section title="Which of your kits?">
      {!first && (
        <p className="text-muted">
          None is kept yet: keep this list by a name, and the next time starts there.
        </p>
      )}
      {change && <p>{sayKitChange(change, low, units)}</p>}
      {first && !change && (
        <p>
          “{first.kit.name}” {isTooCold(first) ? "comes nearest" : "fits"}
          {changes > 0 ? `, with ${count(changes, "change")}` : " as it is"}. {sayCold(first, low, units)}
        </p>
      )}
      <p className="no-print mt-1">
        <Link
          prefetch={false}
          href={`/next/kits${trip ? `?${new URLSearchParams({ trip: trip.id })}` : ""}`}
          className="link"
        >
          {first ? "What to put in and take out" : "Keep it as a kit"}
        </Link>
      </p>
    </Section>
  );
}
