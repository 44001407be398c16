import type { Book } from "@/core/ledger/book";
import type { Plan } from "@/core/plan/plan";
import { saysToAdd } from "@/core/say/verdicts/says-to-add";
import { Section } from "@/ui/page/section";

/** What is not on the shelf, and should be. */
export function Missing({ plan: { toAdd }, book }: { plan: Plan; book: Book }) {
  if (toAdd.length === 0) return null;
  return (
    <Section title="Missing">
      <ul>
        {toAdd.map((addition) => (
          <li key={addition.what} className="border-b border-rule py-1">
            <b>{addition.what}</b> {saysToAdd(addition, book)}
          </li>
        ))}
      </ul>
    </Section>
  );
}
