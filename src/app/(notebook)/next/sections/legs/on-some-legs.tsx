import type { LegId, Trip } from "@/core/model";
import type { Plan } from "@/core/plan/plan";
import type { OnSomeLegs as Some, Stage } from "@/core/plan/stages";
import { sayOnSomeLegs } from "@/core/plan/words";
import type { Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { OnSomeLegsList, type SomeLegs } from "./some-legs";

interface OnSomeLegsProps {
  readonly trip: Trip;
  readonly plan: Plan;
  readonly some: readonly Some[];
  readonly stages: readonly Stage[];
  readonly units: Units;
}

/** What only some legs call for. */
export function OnSomeLegs({ trip, plan, some, stages, units }: OnSomeLegsProps) {
  if (some.length === 0) return null;
  const thingOf = (each: Some): SomeLegs => {
    const { id, name } = each.line.item;
    const carry = trip.carries.find(({ item }) => item === id);
    const wanted = each.legs.flatMap((n): LegId[] => trip.legs.slice(n, n + 1).map((leg) => leg.id));
    return {
      item: id,
      name,
      says: sayOnSomeLegs(each, units),
      from: stages[each.legs[0] ?? 0]?.from ?? 0,
      to: stages[each.legs.at(-1) ?? 0]?.to ?? 0,
      listed: carry !== undefined,
      only: carry?.legs?.join() === wanted.join(),
    };
  };
  return (
    <Section title="On some legs only">
      <OnSomeLegsList trip={trip.id} metres={plan.next.metres} things={some.map(thingOf)} />
    </Section>
  );
}
