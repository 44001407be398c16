import Link from "next/link";
import type { FullItem } from "@/core/trade/full-item";
import type { Kit } from "@/core/advice/kit";
import { sayMass } from "@/core/units/speak";
import { itemPath, tripPath } from "@/ui/paths";
import { lastOf } from "@/core/sums/there";

/** What the last trip said, in plain numbers, each of which opens its list. */
export function LastTrip({ kit: { book, things } }: { kit: Kit }) {
  const outing = lastOf(book.outings);
  const { units } = book.settings;
  const along = things.flatMap(({ case: { item, marked } }) => {
    const last = marked.at(-1);
    return last?.outing === outing ? [{ item, mark: last.mark }] : [];
  });
  const unused = along.filter(({ mark }) => mark.use === "unused");
  const numbers: readonly { readonly what: string; readonly items: readonly FullItem[] }[] = [
    { what: "carried", items: along.map(({ item }) => item) },
    { what: "not used", items: unused.map(({ item }) => item) },
    {
      what: "of these cover",
      items: unused.filter(({ item }) => item.cover).map(({ item }) => item),
    },
    {
      what: "with trouble",
      items: along
        .filter(({ mark }) => mark.troubles.length || mark.complaints.length)
        .map(({ item }) => item),
    },
  ];
  if (along.length === 0) return null;
  return (
    <section
      aria-label={`What ${outing.trip.name} said`}
      className="mb-2 grid grid-cols-2 gap-x-3 text-sm sm:flex sm:flex-wrap sm:gap-x-5 sm:text-[0.95rem]"
    >
      <p className="col-span-2 font-head text-base font-bold">
        <Link
          prefetch={false}
          href={tripPath(outing.trip.id)}
          className="inline-block min-h-6 py-0.5 hover:underline"
        >
          {outing.trip.name}
        </Link>
      </p>
      <div className="contents">
        {numbers
          .filter(({ items }) => items.length > 0)
          .map(({ what, items }) => (
            <details key={what} className="max-w-xl">
              <summary className="py-0.5 pointer-coarse:py-2">
                <b>{items.length}</b> {what},{" "}
                {sayMass(
                  items.reduce((sum, { weight }) => sum + (weight?.g ?? 0), 0),
                  units,
                )}
              </summary>
              <ul className="mb-2 columns-2 gap-x-6 text-sm sm:columns-3">
                {items.map(({ id, name }) => (
                  <li key={id}>
                    <Link
                      prefetch={false}
                      href={itemPath(id)}
                      className="inline-block min-h-6 min-w-6 hover:underline"
                    >
                      {name}
                    </Link>
                  </li>
                ))}
              </ul>
            </details>
          ))}
      </div>
    </section>
  );
}
