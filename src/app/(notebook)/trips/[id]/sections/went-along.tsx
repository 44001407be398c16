import Link from "next/link";
import type { LegId, Trip } from "@/core/model";
import { count, sayMass, type Units } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";
import { Stroke, STROKES } from "@/ui/stroke/stroke";
import { StrokeLegend } from "@/ui/stroke/stroke-legend";
import { gramsOf } from "@/core/ledger/along";
import type { Along } from "../along-of";

interface WentAlongProps {
  readonly trip: Trip;
  readonly along: readonly Along[];
  readonly units: Units;
}

/** Everything that went along, with its stroke; and the list to hand on. */
export function WentAlong({ trip, along, units }: WentAlongProps) {
  const list = `/api/list/${encodeURIComponent(trip.id)}`;
  const numbersOf = (legs: readonly LegId[]) =>
    legs.map((leg) => trip.legs.findIndex(({ id }) => id === leg) + 1).join(", ");
  return (
    <section>
      <h2 className="mb-1 text-lg">
        What went along{" "}
        <span className="font-sans text-sm font-normal text-muted">
          {count(along.length, "thing")}, {sayMass(gramsOf(along), units)}
        </span>
      </h2>
      <p className="no-print mb-2 flex flex-wrap gap-x-4 text-sm">
        <Link
          prefetch={false}
          className="link"
          href={`/trips/compare?${new URLSearchParams({ b: trip.id })}`}
        >
          Against another list
        </Link>
        {!trip.planned && along.length > 0 && (
          <Link
            prefetch={false}
            className="link"
            href={`/next/kits?${new URLSearchParams({ from: trip.id })}`}
          >
            Keep it as a kit
          </Link>
        )}
        <a className="link" href={list} download>
          as Markdown
        </a>
        <a className="link" href={`${list}?as=csv`} download>
          as CSV
        </a>
      </p>
      {along.length > 0 && (
        <StrokeLegend
          codes={new Set(along.map(({ code }) => code))}
          look="mb-2 flex flex-wrap gap-x-4 text-muted"
        />
      )}
      <ul className="columns-1 gap-6 sm:columns-2">
        {along.map(({ item, carry, code }) => (
          <li
            key={item.id}
            className="flex break-inside-avoid items-center gap-2 border-b border-rule text-[0.95rem]"
          >
            <Stroke code={code} size={17} />
            <span className="sr-only">{STROKES[code]}: </span>
            <Link
              prefetch={false}
              href={itemPath(item.id)}
              className="min-h-6 min-w-0 flex-1 truncate hover:underline"
            >
              {item.name}
            </Link>
            {item.owner && <span className="text-xs text-muted">{item.owner}&rsquo;s</span>}
            {carry.legs && <span className="text-xs text-muted">legs {numbersOf(carry.legs)}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}
