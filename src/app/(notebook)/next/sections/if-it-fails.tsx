import type { Trip } from "@/core/model";
import { failsOn } from "@/core/plan/fails";
import type { Plan } from "@/core/plan/plan";
import { sayAlone, sayIfItFails, sayLongest, saysMore } from "@/core/plan/words";
import type { Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";

/** What the walk hangs on, the worst first: what fails with it, what stands in, and where one gets out. */
export function IfItFails({ plan, trip, units }: { plan: Plan; trip: Trip; units: Units }) {
  const fails = failsOn(plan, trip);
  if (fails.things.length === 0) return null;
  const longest = sayLongest(fails, units);
  return (
    <Section title="If it fails on the way">
      {longest && <p className="hint">{longest}</p>}
      <ul>
        {fails.things.filter(saysMore).map((each) => (
          <li key={each.line.item.id} className="border-b border-rule py-1">
            {sayIfItFails(each, units)}
          </li>
        ))}
      </ul>
      <p className="mt-1">{sayAlone(fails.things)}</p>
    </Section>
  );
}
