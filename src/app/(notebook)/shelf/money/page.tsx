import type { Metadata } from "next";
import Link from "next/link";
import { sayMoney } from "@/core/say/money";
import { asItWent } from "@/core/compare/as-it-went";
import { keptOf, pursesOf, type Kept } from "@/core/compare/money";
import { wearNumber } from "@/core/say/wear";
import { count, sayDay, sayDistance, type Units } from "@/core/units/speak";
import { Figure } from "@/ui/page/figure";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Table } from "@/ui/page/table";
import { itemPath } from "@/ui/paths";
import { LifeCard } from "./life-card";
import { readBook } from "@/app/book";

export const metadata: Metadata = { title: "Money" };

/** Slots that are drawn; the table has all of them. */
const DRAWN = 12;

const keyOf = ({ name, currency, holders }: Kept) => `${name} ${currency} ${holders[0]?.id}`;

/** What the shelf has cost, for what it did; each currency by itself. */
export default async function MoneyPage() {
  const { book, kit } = await readBook();
  const { units, currency } = book.settings;
  const kept = keptOf(kit.things, currency);
  if (kept.length === 0) return <NoPrices />;
  const things = kept.reduce((sum, { holders }) => sum + holders.length, 0);
  return (
    <>
      <PageHead title="Money">{count(things, "thing")} with a price; currencies are not added up</PageHead>
      {pursesOf(kit.things, currency).map(({ currency: in_, bought, spent, lost, mendingSaved }) => (
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
      <ul className="mt-5 grid grid-cols-1 gap-x-8 gap-y-6 sm:grid-cols-2 lg:grid-cols-4">
        {kept.slice(0, DRAWN).map((each) => (
          <LifeCard
            key={keyOf(each)}
            kept={each}
            points={asItWent(
              each.holders.flatMap(({ id }) => kit.of(id) ?? []),
              currency,
            )}
          />
        ))}
      </ul>
      <p className="hint mt-2 mb-6">
        What a night in it had come to, as the nights add up; a ring where something was paid again: mended,
        or another bought. The dearest first.
      </p>
      <h2 className="text-lg">All of it</h2>
      <KeptTable kept={kept} units={units} />
    </>
  );
}

/** What each slot cost, for how much it was used. */
function KeptTable({ kept, units }: { kept: ReturnType<typeof keptOf>; units: Units }) {
  return (
    <Table
      look="mt-4"
      rows={kept}
      keyOf={keyOf}
      columns={[
        {
          head: "slot or thing",
          cell: ({ name, holders }) => {
            const last = holders.at(-1);
            return (
              <>
                <Link
                  prefetch={false}
                  href={last ? itemPath(last.id) : "/shelf"}
                  className="font-semibold hover:underline"
                >
                  {name}
                </Link>
                {holders.length > 1 && (
                  <span className="ml-2 text-sm text-muted">{holders.length} of them</span>
                )}
              </>
            );
          },
        },
        {
          head: "since",
          look: "hidden text-muted sm:table-cell",
          cell: ({ since }) => (since ? sayDay(since) : "–"),
        },
        { head: "cost", number: true, cell: ({ cost, currency }) => sayMoney(cost, currency) },
        {
          head: "used",
          number: true,
          look: "hidden text-muted sm:table-cell",
          cell: ({ nights, metres }) =>
            `${count(Math.round(nights), "night")}, ${sayDistance(metres, units)}`,
        },
        {
          head: "a night",
          number: true,
          cell: ({ cost, nights, currency }) => (nights >= 1 ? sayMoney(cost / nights, currency) : "–"),
        },
        {
          head: `a ${units.distance}`,
          number: true,
          cell: ({ cost, metres, currency }) =>
            metres > 0 ? sayMoney(cost / wearNumber(metres, "m", units), currency) : "–",
        },
      ]}
    />
  );
}

function NoPrices() {
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
}
