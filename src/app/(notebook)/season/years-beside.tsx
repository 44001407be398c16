import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import { sayMoney } from "@/core/say/money";
import { wearNumber } from "@/core/say/wear";
import type { Season } from "@/core/seasons/season";
import { listWords, sayDeadWeight, sayDistance, sayMass } from "@/core/units/speak";

interface YearsBesideProps {
  readonly was: Season;
  readonly is: Season;
  readonly book: Book;
}

/** Two years, line by line. */
export function YearsBeside({ was, is, book }: YearsBesideProps) {
  return (
    <table className="w-full max-w-3xl self-start text-[0.95rem]">
      <thead>
        <tr className="border-b-2 border-ink text-right font-head">
          <td />
          <th className="py-1">{was.year}</th>
          <th className="py-1">{is.year}</th>
        </tr>
      </thead>
      <tbody>
        {rowsOf(book).map(([name, from, cell]) => (
          <tr key={name} className="border-b border-rule">
            <th className="py-1 text-left font-normal text-muted">
              <Link prefetch={false} href={from} className="underline decoration-dotted underline-offset-4">
                {name}
              </Link>
            </th>
            <td className="num text-right">{cell(was)}</td>
            <td className="num text-right">{cell(is)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

type Row = readonly [name: string, from: string, cell: (season: Season) => string];

/** What is set side by side, and the page that tells where each figure comes from. */
function rowsOf({ settings }: Book): readonly Row[] {
  const { units, currency } = settings;
  const money = (value: number) => sayMoney(value, currency);
  const cost = ({ bought, spent }: Season) => bought + spent;
  return [
    ["trips", "/trips", ({ outings }) => String(outings.length)],
    ["walked", "/trips", ({ metres }) => sayDistance(metres, units)],
    ["nights out", "/trips/nights", ({ nights }) => String(nights)],
    [
      "base weight, the middle trip",
      "/trips/loads",
      ({ base }) => (base === null ? "–" : sayMass(base, units)),
    ],
    ["carried for nothing", "/trips/loads", ({ deadGramMetres }) => sayDeadWeight(deadGramMetres, units)],
    [
      "failures",
      "/trips",
      ({ failures }) =>
        listWords(failures.map(([kind, times]) => `${kind}${times > 1 ? ` ×${times}` : ""}`)) || "none",
    ],
    ["bought", "/shelf/money", ({ bought }) => money(bought)],
    ["repairs, washes, services", "/shelf/money", ({ spent }) => money(spent)],
    [
      "cost a night",
      "/shelf/money",
      (season) => (season.nights > 0 ? money(cost(season) / season.nights) : "–"),
    ],
    [
      `cost a ${units.distance}`,
      "/shelf/money",
      (season) => (season.metres > 0 ? money(cost(season) / wearNumber(season.metres, "m", units)) : "–"),
    ],
  ];
}
