import type { Metadata } from "next";
import Link from "next/link";
import { ITEM_PLACES } from "./places";
import { Empty, PageHead } from "@/ui/page/page-head";
import { readBook } from "@/app/book";
import { Weigh } from "./weigh";

export const metadata: Metadata = { title: "Weigh the shelf" };

/** One thing after another on the scale: those never weighed first, then those as claimed, then the rest. */
export default async function WeighPage() {
  const { book } = await readBook();
  const things = book.items
    .filter(({ state }) => state === "active")
    .map(({ id, name, weight, weights }) => ({
      id,
      name,
      grams: weight?.g ?? null,
      known: weight === null ? ("not weighed" as const) : weights.at(-1)!.how,
    }))
    .sort((a, b) => ITEM_PLACES[a.known] - ITEM_PLACES[b.known]);
  return (
    <>
      <PageHead title="Weigh the shelf">One thing after another; Enter takes the reading.</PageHead>
      {things.length === 0 ? (
        <Empty
          title="Nothing on the shelf yet"
          action={
            <Link href="/shelf" className="btn btn-leaf">
              To the shelf
            </Link>
          }
        >
          Put something on it first.
        </Empty>
      ) : (
        <Weigh things={things} units={book.settings.units} />
      )}
    </>
  );
}
