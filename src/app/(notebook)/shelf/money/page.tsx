import type { Metadata } from "next";
import Link from "next/link";
import { sayMoney } from "@/core/say/money";
import { keptOf, pursesOf } from "@/core/compare/money";
import { wearNumber } from "@/core/say/words";
import { count, sayDay, sayDistance } from "@/core/units/speak";
import { Figure } from "@/ui/page/figure";
import { Empty, PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { readBook } from "@/app/book";

export const metadata: Metadata = { title: "Money" };

/** What the shelf has cost, for what it did; each currency by itself. */
export default async function MoneyPage() {
  const { book, kit } = await readBook();
  const { units, currency } = book.settings;
  const purses = pursesOf(kit.things, currency);
  const kept = keptOf(kit.things, currency);
  if (kept.length === 0)
    return (
      <>
        <PageHead title="Money" />
        <Empty
          title="No price is told yet"
          action={
            <Link href="/shelf" className="btn btn-leaf">
              To the shelf
            </Link>
          }
        >
          Say what things cost, under Edit on their pages, and what repairs cost where you log them.
        </Empty>
      </>
    );
  return (
    <>
      <PageHead title="Money">
        {count(
          kept.reduce((sum, { holders }) => sum + holders.length, 0),
          "thing",
        )}{" "}
        with a price; currencies are not added up
      </PageHead>
      {purses.map(({ currency: in_, bought, spent, lost, mendingSaved }) => (
        <dl
          key={in_}
          className="mb-3 grid grid-cols-2 gap-x-8 gap-y-2 border-y border-rule py-3 sm:grid-cols-4"
          aria-label={`In ${in_}`}
        >
          <Figure name={`bought, in ${in_}`}>{sayMoney(bought, in_)}</Figure>
          <Figure name="repairs, washes, services">{sayMoney(spent, in_)}</Figure>
          <Figure name="lost or thrown out">{sayMoney(lost, in_)}</Figure>
          <Figure name="not bought anew, for it was mended">{sayMoney(mendingSaved, in_)}</Figure>
        </dl>
      ))}
      <table className="mt-4 w-full text-[0.95rem]">
        <thead className="text-left text-sm text-muted">
          <tr className="border-b-2 border-ink">
            <th className="font-normal">slot or thing</th>
            <th className="hidden font-normal sm:table-cell">since</th>
            <th className="text-right font-normal">cost</th>
            <th className="hidden text-right font-normal sm:table-cell">used</th>
            <th className="text-right font-normal">a night</th>
            <th className="text-right font-normal">a {units.distance}</th>
          </tr>
        </thead>
        <tbody>
          {kept.map(({ name, currency: in_, holders, cost, nights, metres, since }) => (
            <tr key={`${name} ${in_} ${holders[0]!.id}`} className="border-b border-rule">
              <td className="py-1">
                <Link
                  prefetch={false}
                  href={itemPath(holders.at(-1)!.id)}
                  className="font-semibold hover:underline"
                >
                  {name}
                </Link>
                {holders.length > 1 && (
                  <span className="ml-2 text-sm text-muted">{holders.length} of them</span>
                )}
              </td>
              <td className="hidden text-muted sm:table-cell">{since ? sayDay(since) : "–"}</td>
              <td className="num text-right">{sayMoney(cost, in_)}</td>
              <td className="num hidden text-right text-muted sm:table-cell">
                {count(Math.round(nights), "night")}, {sayDistance(metres, units)}
              </td>
              <td className="num text-right">{nights >= 1 ? sayMoney(cost / nights, in_) : "–"}</td>
              <td className="num text-right">
                {metres > 0 ? sayMoney(cost / wearNumber(metres, "m", units), in_) : "–"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
