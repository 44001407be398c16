import Link from "next/link";
import type { Bench } from "@/core/jobs/bench";
import type { Book } from "@/core/ledger/book";
import { daysAfter } from "@/core/sums/days";
import { RANK } from "@/core/trade/jobs";
import { sayMoney } from "@/core/say/money";
import { sayDay, sayMass, type Units } from "@/core/units/speak";
import { Section } from "@/ui/page/section";
import { Table } from "@/ui/page/table";
import { itemPath } from "@/ui/paths";

type Buy = Bench["buy"][number];

/** What the verdicts want bought, in the place of what, and when it would come. */
export function ToBuy({ buy, book }: { buy: readonly Buy[]; book: Book }) {
  const { units, currency } = book.settings;
  return (
    <Section title="To buy" look="mt-6">
      <Table
        look="max-w-3xl"
        rows={buy}
        keyOf={({ name }) => name}
        columns={[
          { head: "what", cell: (row) => <What row={row} /> },
          { head: "in the place of", cell: (row) => <InPlaceOf row={row} /> },
          {
            head: "weighs",
            number: true,
            cell: ({ wish, present }) => sayWeights(wish?.weight?.g, present?.weight?.g, units),
          },
          { head: "price", number: true, cell: (row) => <Price row={row} usual={currency} /> },
          {
            head: "comes",
            look: "text-right",
            cell: ({ wish, present }) => (
              <Comes days={wish?.delivery ?? null} present={present} book={book} />
            ),
          },
        ]}
      />
    </Section>
  );
}

function What({ row: { name, present, wish } }: { row: Buy }) {
  if (wish)
    return (
      <>
        {name}
        <span className="ml-2 text-sm text-muted">on the wish list</span>
      </>
    );
  return present ? `another ${present.kind}` : name;
}

function InPlaceOf({ row: { present } }: { row: Buy }) {
  return present ? (
    <Link prefetch={false} href={itemPath(present.id)} className="hover:underline">
      {present.name}
    </Link>
  ) : (
    <span className="text-muted">nothing: it was missed</span>
  );
}

function Price({ row: { price, currency, wish, present }, usual }: { row: Buy; usual: string }) {
  return (
    <>
      {price === null ? "–" : sayMoney(price, currency ?? usual)}
      {!wish && present?.price === null && <span className="text-muted"> usual</span>}
    </>
  );
}

interface ComesProps {
  readonly days: number | null;
  readonly present: Buy["present"];
  readonly book: Book;
}

/** When it comes, if it is ordered today; where that is too late for the trip that is planned, what to do instead. */
function Comes({ days, present, book: { today, next } }: ComesProps) {
  if (days === null) return <span className="text-muted">–</span>;
  const day = daysAfter(today, days);
  if (next.starts === null || day < next.starts) return sayDay(day);
  return (
    <>
      <b className="text-sting">
        {sayDay(day)}: too late for {next.name}.
      </b>{" "}
      {ifLate(present)}
    </>
  );
}

/** What walkers do who can't wait; common practice, no source. */
const ifLate = (present: Buy["present"]) =>
  present === null || RANK[present.consequence] >= RANK.danger
    ? "Borrow or hire one, or find it in a shop."
    : "Borrow or hire one, or take the old one with care.";

function sayWeights(now: number | undefined, before: number | undefined, units: Units): string {
  const was = before === undefined ? [] : [`was ${sayMass(before, units)}`];
  const is = now === undefined ? [] : [sayMass(now, units)];
  return [...is, ...was].join(", ") || "–";
}
