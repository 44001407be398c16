import type { Plan } from "@/core/plan/plan";
import { sayWearingOut } from "@/core/plan/words";
import type { Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";

/** What may give out, with where and what would be sound. */
export function WearingOut({ plan: { wearingOut }, units }: { plan: Plan; units: Units }) {
  return (
    <Section title="What may wear out on the way">
      {wearingOut.length === 0 ? (
        <p className="text-muted">Nothing with a chance of more than one in ten.</p>
      ) : (
        <ul>
          {wearingOut.map((each) => (
            <li key={each.line.item.id} className="border-b border-rule py-1">
              {sayWearingOut(each, units)}
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
