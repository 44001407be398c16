import type { ServiceDue } from "@/core/jobs/services";
import { sayRule, sayServiceCount, sayWear } from "@/core/say/wear";
import { sayDay, type Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { ServiceTable } from "./service-table";

interface ServicesProps {
  readonly services: readonly ServiceDue[];
  readonly today: string;
  readonly units: Units;
}

/** What is counted towards its next service. */
export function Services({ services, today, units }: ServicesProps) {
  if (services.length === 0) return null;
  return (
    <Section title="Services, by their count" note="due, or so by the end of the next trip" look="mt-6">
      <ServiceTable
        today={today}
        rows={services.map(({ item, what, since, every, unit, last, standing }) => ({
          item: item.id,
          name: item.name,
          what,
          counted:
            unit.of === "own"
              ? `${sayServiceCount(since, unit.in, units)} of ${sayServiceCount(every, unit.in, units)}`
              : `${sayWear(since, unit.in, units)} of ${sayRule(every, unit.in, units)}`,
          last: last ? `last on ${sayDay(last)}` : "none logged yet",
          part: since / every,
          standing,
          own: unit.of === "own",
        }))}
      />
    </Section>
  );
}
