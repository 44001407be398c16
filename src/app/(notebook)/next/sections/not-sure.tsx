import Link from "next/link";
import type { Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import { doubtsOf } from "@/core/shakedown/doubts";
import { sayDoubt } from "@/core/shakedown/words";
import type { Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { itemPath } from "@/ui/paths";

interface NotSureProps {
  readonly plan: Plan;
  readonly trip: Trip;
  readonly units: Units;
}

/** What goes along and is not sure to hold: there may be time to try it. */
export function NotSure({ plan, trip, units }: NotSureProps) {
  const doubts = doubtsOf(plan, trip);
  if (doubts.length === 0) return null;
  return (
    <Section title="Not sure to hold">
      <ul>
        {doubts.map((doubt) => (
          <li key={doubt.item.id}>
            <Link prefetch={false} href={itemPath(doubt.item.id)} className="font-semibold hover:underline">
              {doubt.item.name}
            </Link>{" "}
            <span className="text-sm text-muted">{sayDoubt(doubt, units)}</span>
          </li>
        ))}
      </ul>
      <p className="no-print mt-1">
        <Link
          prefetch={false}
          href={`/next/shakedown?${new URLSearchParams({ trip: trip.id })}`}
          className="link"
        >
          The outing near home that settles most
        </Link>
      </p>
    </Section>
  );
}
