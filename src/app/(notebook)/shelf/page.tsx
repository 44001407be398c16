import type { Metadata } from "next";
import Link from "next/link";
import { readBook } from "@/app/book";
import { count, sayMass } from "@/core/units/speak";
import { Choices } from "@/ui/page/choices";
import { Empty, PageHead } from "@/ui/page/page-head";
import { ByAge } from "./by-age";
import { AddLine } from "./add-line";
import { ShelfTable } from "./shelf-table";

export const metadata: Metadata = { title: "Shelf" };

interface Asked {
  readonly searchParams: Promise<{ gone?: string; by?: string; line?: string | string[] }>;
}

export default async function ShelfPage({ searchParams }: Asked) {
  const { gone, by, line } = await searchParams;
  const isByAge = gone === undefined && by === "age";
  const first = typeof line === "string" ? line : "";
  const { book, kit } = await readBook();
  const { units } = book.settings;
  const left = kit.things.filter(({ case: { state } }) => state !== "active");
  const shown = gone === undefined ? kit.things.filter((advice) => !left.includes(advice)) : left;
  const grams = shown.reduce((sum, advice) => sum + (advice.grams ?? 0), 0);
  const unweighed = shown.filter(({ case: { item } }) => item.weight === null).length;
  return (
    <>
      <PageHead title="Shelf" actions={<ShelfLinks />}>
        {count(shown.length, "thing")}, {sayMass(grams, units)}
        {unweighed > 0 ? `; ${unweighed} not weighed` : ""}
      </PageHead>
      <div id="add">
        <AddLine
          key={first}
          units={units}
          first={first}
          inUse={book.items
            .filter((item) => item.state === "active" && item.rules.life !== null)
            .map(({ id, name, kind, state }) => ({ id, name, kind, state }))}
        />
      </div>
      {kit.things.length > 0 && (
        <Choices
          label="Which things, and how"
          chosen={gone === undefined ? (isByAge ? "age" : "here") : "gone"}
          choices={[
            { key: "here", href: "/shelf", words: "In use" },
            { key: "age", href: "/shelf?by=age", words: "By age and use" },
            ...(left.length > 0
              ? [{ key: "gone", href: "/shelf?gone", words: `Retired, lost, worn out (${left.length})` }]
              : []),
          ]}
        />
      )}
      {shown.length === 0 && <EmptyShelf />}
      {shown.length > 0 && isByAge && <ByAge things={shown} today={book.today} units={units} />}
      {shown.length > 0 && !isByAge && <ShelfTable things={shown} units={units} />}
    </>
  );
}

const ShelfLinks = () => (
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
);

const EmptyShelf = () => (
  <Empty
    title="Nothing on the shelf yet"
    action={
      <Link href="/shelf/import" className="btn">
        Or import a list as CSV
      </Link>
    }
  >
    Everything you own for walking goes here: what it is, what it weighs on your own scale, where it rides.
    Type the first line above.
  </Empty>
);
