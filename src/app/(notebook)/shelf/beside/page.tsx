import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import type { Kit } from "@/core/advice/kit";
import { ItemId } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import { sayMass, type Units } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { ChooseThings } from "./choose-things";
import { isTold, rowsOf } from "./rows-of";

export const metadata: Metadata = { title: "Side by side" };

/** Things that stand beside each other at once. */
const SIDE_BY_SIDE = 3;

interface Asked {
  readonly searchParams: Promise<{ of?: string | string[] }>;
}

/** Two or three things, owned or wished for, side by side. */
export default async function BesidePage({ searchParams }: Asked) {
  const asked = [(await searchParams).of ?? []].flat();
  const { book, kit } = await readBook();
  const all = [...book.items, ...book.wishes];
  const things = [...new Set(asked)]
    .flatMap((id) => all.find((item) => item.id === ItemId.safeParse(id).data) ?? [])
    .slice(0, SIDE_BY_SIDE);
  return (
    <>
      <PageHead title="Side by side">{sayLighter(things, book.settings.units)}</PageHead>
      <ChooseThings
        of={things.map(({ id }) => id)}
        options={all.map(
          ({ id, name, state }) => [id, state === "active" ? name : `${name} (${state})`] as const,
        )}
        most={SIDE_BY_SIDE}
      />
      {things.length > 0 && <Beside things={things} kit={kit} />}
    </>
  );
}

function sayLighter([first, second]: readonly FullItem[], units: Units): string | null {
  if (!first?.weight || !second?.weight) return null;
  const grams = second.weight.g - first.weight.g;
  if (grams === 0) return "Both weigh the same.";
  const than = `${grams > 0 ? "lighter" : "heavier"} than ${second.name}`;
  return `${first.name} is ${sayMass(Math.abs(grams), units)} ${than}.`;
}

function Beside({ things, kit }: { things: readonly FullItem[]; kit: Kit }) {
  const { units, currency } = kit.book.settings;
  const rows = rowsOf(units, currency)
    .map(([name, cell]) => ({ name, cells: things.map((item) => cell(item, kit.of(item.id))) }))
    .filter(({ cells }) => cells.some(isTold));
  return (
    <div className="mt-5 overflow-x-auto">
      <table className="w-full max-w-4xl text-[0.95rem]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <td />
            {things.map(({ id, name, state }) => (
              <th key={id} className="py-1 pr-4 font-head text-lg">
                <Link
                  prefetch={false}
                  href={state === "wished" ? `${itemPath(id)}/edit` : itemPath(id)}
                  className="hover:underline"
                >
                  {name}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, cells }) => (
            <tr key={name} className="border-b border-rule align-top">
              <th className="py-1 pr-4 text-left text-sm font-normal text-muted">{name}</th>
              {cells.map((cell, n) => (
                <td key={n} className="py-1 pr-4">
                  {isTold(cell) ? cell : "–"}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
