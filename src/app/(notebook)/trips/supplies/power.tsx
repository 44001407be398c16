import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import { sayAmount } from "@/core/say/supplies";
import { BANK_REACHES } from "@/core/trade/supplies";
import { count, type Units } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";
import type { BankAhead, SuppliesAhead } from "@/core/weighin/supplies-ahead";
import { itemPath } from "@/ui/paths";
import { Section } from "@/ui/page/section";
import { Rate, type Ahead } from "./rate";

interface PowerProps {
  readonly book: Book;
  readonly uses: readonly SupplyUse[];
  readonly ahead: Ahead;
  readonly wanted: SuppliesAhead;
}

/** Power by the day, what was left at the end, and how long each bank lasts. */
export function Power({ book, uses, ahead, wanted }: PowerProps) {
  const { units } = book.settings;
  const use = uses.find(({ rule }) => rule.sort === "power")!;
  const emptied = use.taken.filter(({ out, back }) => back < out * 0.1).length;
  return (
    <Section title="Power">
      <Rate use={use} ahead={ahead} units={units} />
      {use.taken.length > 0 && (
        <p>
          What was left at the end:{" "}
          {use.taken
            .map(({ outing, out, back }) => `${outing.trip.name} ${Math.round((100 * back) / out)}\u00a0%`)
            .join(", ")}
          .{" "}
          {emptied > 0
            ? `Nearly empty on ${count(emptied, "trip")}: no room for more pictures there.`
            : "Never near empty: there was room for more pictures."}
        </p>
      )}
      {wanted.banks.length === 0 && (
        <p className="text-muted">No power bank on the shelf says what it holds.</p>
      )}
      {wanted.banks.map((bank) => (
        <Bank key={bank.bank.id} bank={bank} wants={wanted.powerWh} units={units} />
      ))}
    </Section>
  );
}

/** A bank: what it holds and gives, how many days as surely as is asked, and whether that does for the trip. */
function Bank({
  bank: { bank, holds, days, is },
  wants,
  units,
}: {
  bank: BankAhead;
  wants: number;
  units: Units;
}) {
  const wattHours = (value: number) => sayAmount(value, "Wh", units);
  return (
    <p>
      <Link prefetch={false} href={itemPath(bank.id)} className="font-semibold hover:underline">
        {bank.name}
      </Link>{" "}
      holds {wattHours(holds)}, of which about {wattHours(holds * BANK_REACHES)} reach a phone, and lasts{" "}
      <b>{count(Math.max(1, Math.floor(days)), "day")}</b> as surely as is asked above
      {
        {
          less: `: this trip wants ${wattHours(wants)}, more than it gives.`,
          enough: ": enough for this trip.",
          "more than twice": ": more than twice what this trip wants; a smaller one would do.",
        }[is]
      }
    </p>
  );
}
