import type { Plan } from "@/core/plan/plan";
import { sayGap, sayShort } from "@/core/plan/words";

/** What stands first: jobs with nothing trusted, and what counts one short. */
export function First({ plan: { gaps, short } }: { plan: Plan }) {
  if (gaps.length + short.length === 0) return null;
  return (
    <ul className="mb-5 max-w-4xl border-l-4 border-sting pl-4">
      {gaps.map((gap) => (
        <li key={gap.job} className="py-0.5 font-semibold">
          {sayGap(gap)}
        </li>
      ))}
      {short.map((each) => (
        <li key={each.what + each.item.id} className="py-0.5">
          {sayShort(each)}
        </li>
      ))}
    </ul>
  );
}
