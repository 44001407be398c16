import Link from "next/link";
import type { Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import { sayPads } from "@/core/say/sleep";
import { percent, sayTemperature, type Units } from "@/core/units/speak";
import { isPad, sleepOf, type BedNights } from "@/core/weighin/sleep";
import { Section } from "@/ui/page/section";

interface WarmEnoughProps {
  readonly plan: Plan;
  readonly trip: Trip | null;
  readonly units: Units;
}

/** The bed that goes, against the coldest night expected. */
export function WarmEnough({ plan, trip, units }: WarmEnoughProps) {
  const low = trip?.foreseen.low ?? null;
  const goes = sleepOf(plan.kit.book).find(
    ({ bed }) =>
      bed.state === "active" && plan.lines.some(({ item, column }) => item === bed && column !== "leave"),
  );
  const pads = plan.lines.flatMap(({ item, column }) => (isPad(item) && column !== "leave" ? [item] : []));
  const onSnow = (trip?.conditions["snow or ice"] ?? "none") !== "none";
  const asked = goes ? `?${new URLSearchParams({ bed: goes.bed.id })}` : "";
  return (
    <Section title="Warm enough?">
      {!goes && <p className="text-muted">No bed goes along.</p>}
      {goes && low === null && (
        <p className="text-muted">Say the coldest night expected, and {goes.bed.name} is held against it.</p>
      )}
      {goes && low !== null && <AtLow goes={goes} low={low} units={units} />}
      {low !== null && <p className="text-sm">{sayPads(pads, low, onSnow, units)}</p>}
      <p className="no-print mt-1">
        <Link prefetch={false} href={`/trips/nights${asked}`} className="link">
          Every night in it
        </Link>
      </p>
    </Section>
  );
}

function AtLow({ goes, low, units }: { goes: BedNights; low: number; units: Units }) {
  const worn = goes.setups.filter(({ extras }) => extras.some(({ jobs }) => !jobs.includes("pad")));
  return (
    <>
      <p>
        {goes.bed.name} at {sayTemperature(low, units)}: <b>{percent(goes.plain.coldAt(low))}</b> for a cold
        night in nothing but itself, {percent(goes.plain.coolAt(low))} for a cool one or colder.
      </p>
      {worn.map(({ extras, comfort }) => (
        <p key={extras.map(({ id }) => id).join()} className="text-sm">
          With {extras.map(({ name }) => name).join(", ")}: {percent(comfort.coldAt(low))}.
        </p>
      ))}
    </>
  );
}
