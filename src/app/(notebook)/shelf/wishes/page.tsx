import type { Metadata } from "next";
import { readBook } from "@/app/book";
import { candidates } from "@/core/compare/candidate";
import { KINDS } from "@/core/trade/kinds";
import { count, sayMass } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { AddWish } from "./add-wish";
import { Wish } from "./wish";

export const metadata: Metadata = { title: "Wish list" };

/** What is wished for, beside what it would take the place of. */
export default async function WishesPage() {
  const { book, kit } = await readBook();
  const { units, currency } = book.settings;
  const wished = candidates(kit);
  const saves = wished.reduce((sum, { saves: grams }) => sum + Math.max(0, grams ?? 0), 0);
  return (
    <>
      <PageHead title="Wish list">
        {wished.length > 0 &&
          `${count(wished.length, "thing")}; all of them would save ${sayMass(saves, units)}`}
      </PageHead>
      <AddWish
        kinds={KINDS.map(({ id }) => id)}
        things={book.items
          .filter(({ state }) => state === "active")
          .map(({ id, name }) => [id, name] as const)}
        units={units}
        currency={currency}
      />
      {wished.length === 0 ? (
        <p className="max-w-xl text-muted">
          Put what you have your eye on here, and say what it would take the place of: it then stands beside
          that, with what it saves, what it costs, and what your log says about the one you have.
        </p>
      ) : (
        <ul className="border-t-2 border-ink">
          {wished.map((candidate) => (
            <Wish key={candidate.wish.id} candidate={candidate} kit={kit} />
          ))}
        </ul>
      )}
    </>
  );
}
