import type { Metadata } from "next";
import Link from "next/link";
import type { ReactNode } from "react";
import { ItemId } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import type { Advice } from "@/core/advice/advise";
import { complaintsOf } from "@/core/compare/candidate";
import { sayMoney } from "@/core/say/money";
import { sayLeftOf, sayWear } from "@/core/say/words";
import { listWords, sayDistance, sayMass, sayTemperature, times, type Units } from "@/core/units/speak";
import { PageHead } from "@/ui/page/page-head";
import { itemPath } from "@/ui/paths";
import { VerbWord } from "@/ui/verb-word";
import { readBook } from "@/app/book";
import { ChooseThings } from "./choose-things";

export const metadata: Metadata = { title: "Side by side" };

/** Things that stand beside each other at once. */
const SIDE_BY_SIDE = 3;

/** Two or three things, owned or wished for, side by side. */
export default async function BesidePage({
  searchParams,
}: {
  searchParams: Promise<{ of?: string | string[] }>;
}) {
  const asked = [(await searchParams).of ?? []].flat();
  const { book, kit } = await readBook();
  const { units } = book.settings;
  const all = [...book.items, ...book.wishes];
  const things = [...new Set(asked)]
    .flatMap((id) => all.find((item) => item.id === ItemId.safeParse(id).data) ?? [])
    .slice(0, SIDE_BY_SIDE);
  const judgedOf = (item: FullItem) => kit.of(item.id);
  const [first, second] = things;
  const grams = first?.weight && second?.weight ? second.weight.g - first.weight.g : null;
  const rows = rowsOf(units, book.settings.currency).map(([name, cell]) => ({
    name,
    cells: things.map((item) => cell(item, judgedOf(item))),
  }));
  return (
    <>
      <PageHead title="Side by side">
        {grams !== null &&
          (grams === 0
            ? "Both weigh the same."
            : `${first!.name} is ${sayMass(Math.abs(grams), units)} ${grams > 0 ? "lighter" : "heavier"} than ${second!.name}.`)}
      </PageHead>
      <ChooseThings
        of={things.map(({ id }) => id)}
        options={all.map(
          ({ id, name, state }) => [id, state === "active" ? name : `${name} (${state})`] as const,
        )}
        most={SIDE_BY_SIDE}
      />
      {things.length > 0 && (
        <div className="mt-5 overflow-x-auto">
          <table className="w-full max-w-4xl text-[0.95rem]">
            <thead>
              <tr className="border-b-2 border-ink text-left">
                <td />
                {things.map((item) => (
                  <th key={item.id} className="py-1 pr-4 font-head text-lg">
                    <Link
                      prefetch={false}
                      href={item.state === "wished" ? `${itemPath(item.id)}/edit` : itemPath(item.id)}
                      className="hover:underline"
                    >
                      {item.name}
                    </Link>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows
                .filter(({ cells }) => cells.some(isTold))
                .map(({ name, cells }) => (
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
      )}
    </>
  );
}

const isTold = (cell: ReactNode) => cell !== null && cell !== undefined && cell !== false;

type Cell = (item: FullItem, judged: Advice | undefined) => ReactNode;

/** What is told of each; null where there is nothing to tell. */
function rowsOf(units: Units, own: string): readonly (readonly [name: string, cell: Cell])[] {
  const litres = (value: number | undefined) => (value === undefined ? null : `${value}\u00a0L`);
  const money = (item: FullItem, value: number) => sayMoney(value, item.currency ?? own);
  return [
    [
      "weight",
      ({ weight, weights }) =>
        weight && (
          <>
            <span className="num">{sayMass(weight.g, units)}</span>{" "}
            <span className="text-sm text-muted">
              {weights.at(-1)?.how === "claimed" ? "as claimed" : "on your scale"}
            </span>
          </>
        ),
    ],
    ["price", (item) => item.price !== null && money(item, item.price)],
    ["state", ({ state }, judged) => judged?.case.state ?? state],
    ["label", ({ ratings: { label } }) => label && `${sayTemperature(label.celsius, units)} ${label.means}`],
    ["R-value", ({ ratings }) => ratings.rValue ?? null],
    ["capacity", ({ ratings }) => (ratings.wattHours === undefined ? null : `${ratings.wattHours}\u00a0Wh`)],
    ["holds", ({ ratings }) => litres(ratings.litres)],
    ["room in it", ({ ratings }) => litres(ratings.volume)],
    ["packed", ({ ratings }) => litres(ratings.packed)],
    ["light", ({ ratings }) => (ratings.lumens === undefined ? null : `${ratings.lumens}\u00a0lm`)],
    [
      "used",
      (_, judged) =>
        judged && `${judged.case.totals.used.trips} of ${judged.case.totals.carried.trips} trips`,
    ],
    ["nights used", (_, judged) => judged && Math.round(judged.case.totals.used.nights)],
    ["used for", (_, judged) => judged && sayDistance(judged.case.totals.used.metres, units)],
    [
      "wear",
      ({ wears }, judged) =>
        judged?.case.left
          ? `${sayWear(judged.case.left.worn, wears, units)}; ${sayLeftOf(judged, units)}`
          : null,
    ],
    [
      "said against it",
      (_, judged) =>
        judged &&
        (listWords(
          complaintsOf(judged).map(({ what, times: n }) => `${what}${n > 1 ? ` ${times(n)}` : ""}`),
        ) ||
          "nothing"),
    ],
    [
      "troubles",
      (_, judged) =>
        judged &&
        (listWords(
          judged.case.history.troubles.map(
            ({ symptoms, failed }) => listWords(symptoms) || (failed ? "failed" : "damaged"),
          ),
        ) ||
          "none"),
    ],
    [
      "cost a night",
      (item, judged) => {
        const nights = judged?.case.totals.used.nights ?? 0;
        if (item.price === null || !judged || nights < 1) return null;
        return money(item, (item.price + (item.currency ? 0 : judged.case.totals.spent)) / nights);
      },
    ],
    ["verdict", (_, judged) => judged && <VerbWord verb={judged.verdicts[0].verb} />],
  ];
}
