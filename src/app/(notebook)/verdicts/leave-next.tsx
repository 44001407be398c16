import Link from "next/link";
import type { Kit } from "@/core/advice/kit";
import { count, sayMass } from "@/core/units/speak";
import { itemPath } from "@/ui/paths";

/** Trips after which the verdicts speak for themselves. */
const FIRST = 2;

/**
 * What one wants to know after a first walk: what stayed in the pack, or nearly so, the heaviest first, and what
 * leaving it would save. One trip is no proof, and the page says so.
 */
export function LeaveNext({ kit: { book, things } }: { kit: Kit }) {
  if (book.outings.length > FIRST) return null;
  const { units } = book.settings;
  const idle = things
    .flatMap(({ case: { item, marked, standing } }) => {
      const last = marked.at(-1);
      if (!last || last.outing !== book.outings.at(-1) || last.mark.use === "used") return [];
      return item.cover || standing !== "active"
        ? []
        : [{ item, grams: item.weight?.g ?? 0, mark: last.mark }];
    })
    .sort((a, b) => b.grams - a.grams);
  if (idle.length === 0) return null;
  const grams = idle.reduce((sum, each) => sum + each.grams, 0);
  return (
    <section aria-labelledby="leave-next" className="mb-4 border-l-4 border-leaf pl-4">
      <h2 id="leave-next" className="text-lg">
        What do I leave next time?
      </h2>
      <p>
        {count(idle.length, "thing")} of {sayMass(grams, units)} stayed in the pack, or nearly so; cover is
        not counted. {book.outings.length === 1 ? "One trip is" : "Two trips are"} no proof: look whether you
        would miss it.
      </p>
      <ul className="mt-1 max-w-xl">
        {idle.map(({ item, grams: weighs, mark: { use, why } }) => (
          <li key={item.id} className="flex gap-3 border-b border-rule py-0.5">
            <Link
              prefetch={false}
              href={itemPath(item.id)}
              className="inline-block min-h-6 min-w-6 font-semibold hover:underline"
            >
              {item.name}
            </Link>
            <span className="text-muted">
              {[use === "hardly" ? "hardly used" : "unused", why].filter(Boolean).join(", ")}
            </span>
            <span className="num ml-auto">{item.weight ? sayMass(weighs, units) : "not weighed"}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
