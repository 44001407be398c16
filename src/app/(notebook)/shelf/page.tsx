import type { Metadata } from "next";
import Link from "next/link";
import { count, sayMass } from "@/core/units/speak";
import { Empty, PageHead } from "@/ui/page/page-head";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { readBook } from "@/app/book";
import { AddLine } from "./add-line";
import { RetireButton } from "./retire-button";
import { itemPath } from "@/ui/paths";

export const metadata: Metadata = { title: "Shelf" };

export default async function ShelfPage({
  searchParams,
}: {
  searchParams: Promise<{ gone?: string; line?: string | string[] }>;
}) {
  const { gone, line } = await searchParams;
  const first = typeof line === "string" ? line : "";
  const { book, kit } = await readBook();
  const { units } = book.settings;
  const shown = kit.things.filter(({ case: { state } }) => (state === "active") !== (gone !== undefined));
  const left = kit.things.length - kit.things.filter(({ case: { state } }) => state === "active").length;
  const all = shown.reduce((sum, advice) => sum + (advice.grams ?? 0), 0);
  const unweighed = shown.filter(({ case: { item } }) => item.weight === null).length;
  return (
    <>
      <PageHead
        title="Shelf"
        actions={
          <>
            <Link href="/shelf/wishes" prefetch={false} className="btn">
              Wish list
            </Link>
            <Link href="/shelf/weigh" prefetch={false} className="btn">
              Weigh
            </Link>
            <Link href="/shelf/money" prefetch={false} className="btn">
              Money
            </Link>
            <Link href="/shelf/import" className="btn">
              Import a list
            </Link>
            <a href="/api/shelf.csv" download className="btn">
              Save as CSV
            </a>
          </>
        }
      >
        {count(shown.length, "thing")}, {sayMass(all, units)}
        {unweighed > 0 ? `; ${unweighed} not weighed` : ""}
      </PageHead>
      <AddLine
        key={first}
        units={units}
        first={first}
        inUse={book.items
          .filter((item) => item.state === "active" && item.rules.life !== null)
          .map(({ id, name, kind, state }) => ({ id, name, kind, state }))}
      />
      {left > 0 && (
        <p className="mb-3 flex gap-4 border-b border-rule pb-2" role="group" aria-label="Which things">
          <Link
            href="/shelf"
            aria-current={gone === undefined ? "page" : undefined}
            className={gone === undefined ? "font-bold" : "link"}
          >
            In use
          </Link>
          <Link
            href="/shelf?gone"
            aria-current={gone !== undefined ? "page" : undefined}
            className={gone !== undefined ? "font-bold" : "link"}
          >
            Retired, lost, worn out ({left})
          </Link>
        </p>
      )}
      {shown.length === 0 ? (
        <Empty
          title="Nothing on the shelf yet"
          action={
            <Link href="/shelf/import" className="btn">
              Or import a list as CSV
            </Link>
          }
        >
          Everything you own for walking goes here: what it is, what it weighs on your own scale, where it
          rides. Type the first line above.
        </Empty>
      ) : (
        <table className="w-full border-collapse text-[0.95rem]">
          <thead>
            <tr className="border-b-2 border-ink text-left text-sm text-muted">
              <th className="py-1 font-normal">thing</th>
              <th className="pr-4 text-right font-normal">weight</th>
              <th className="hidden font-normal sm:table-cell">kind</th>
              <th className="hidden font-normal sm:table-cell">rides</th>
              <th className="hidden text-right font-normal md:table-cell">trips</th>
              <th>
                <span className="sr-only">actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ case: { item, state, totals }, grams }) => (
              <tr key={item.id} className="border-b border-rule hover:bg-leaf-soft">
                <td className="py-1 pr-3">
                  <Link prefetch={false} href={itemPath(item.id)} className="font-semibold hover:underline">
                    {item.name}
                  </Link>
                  {state !== "active" && <i className="ml-2 text-sm text-muted">{state}</i>}
                  {item.owner && <i className="ml-2 text-sm text-muted">{item.owner}&rsquo;s</i>}
                  {item.lentTo && <i className="ml-2 text-sm text-stem">{item.lentTo} has it</i>}
                </td>
                <td
                  className="num whitespace-nowrap pr-4 text-right"
                  title={item.weight ? `typed as ${item.weight.typed}` : undefined}
                >
                  {grams === null ? "–" : sayMass(grams, units)}
                  {item.weights.at(-1)?.how === "claimed" && (
                    <span className="text-muted" title="as claimed, not weighed">
                      ?
                    </span>
                  )}
                </td>
                <td className="hidden text-muted sm:table-cell">{item.kind}</td>
                <td className="hidden text-muted sm:table-cell">{STOW_NAMES[item.stow].toLowerCase()}</td>
                <td className="num hidden text-right text-muted md:table-cell">{totals.carried.trips}</td>
                <td className="whitespace-nowrap text-right">
                  <Link
                    prefetch={false}
                    href={`${itemPath(item.id)}/edit`}
                    className="btn btn-plain !min-h-8"
                  >
                    Edit<span className="sr-only"> {item.name}</span>
                  </Link>
                  <RetireButton
                    id={item.id}
                    name={item.name}
                    state={item.state}
                    className="btn btn-plain !min-h-8"
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
