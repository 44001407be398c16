import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import { sayAmount } from "@/core/say/supplies";
import { BANK_REACHES } from "@/core/trade/supplies";
import { count } from "@/core/units/speak";
import type { SupplyUse } from "@/core/weighin/supplies";
import { itemPath } from "@/ui/paths";
import { Section } from "@/ui/page/section";
import { Rate, type Ahead } from "./rate";

/** Power by the day, what was left at the end, and how long each bank lasts. */
export function Power({ book, uses, ahead }: { book: Book; uses: readonly SupplyUse[]; ahead: Ahead }) {
  const { units } = book.settings;
  const use = uses.find(({ rule }) => rule.sort === "power")!;
  const banks = book.items.filter(
    ({ state, kind, ratings }) => state === "active" && kind === "power bank" && ratings.wattHours,
  );
  const need = use.rate.enoughFor(ahead.margin) * ahead.days;
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
      {banks.length === 0 ? (
        <p className="text-muted">No power bank on the shelf says what it holds.</p>
      ) : (
        banks.map(({ id, name, ratings }) => {
          const days = ratings.wattHours! / use.rate.median;
          return (
            <p key={id}>
              <Link prefetch={false} href={itemPath(id)} className="font-semibold hover:underline">
                {name}
              </Link>{" "}
              holds {sayAmount(ratings.wattHours!, "Wh", units)}, of which about{" "}
              {sayAmount(ratings.wattHours! * BANK_REACHES, "Wh", units)} reach a phone, and lasts about{" "}
              <b>{count(Math.max(1, Math.round(days)), "day")}</b> of your use
              {sayFor(days > 2 * ahead.days, need > ratings.wattHours!, sayAmount(need, "Wh", units))}
            </p>
          );
        })
      )}
    </Section>
  );
}

/** What a bank's charge is to the trip ahead. */
function sayFor(isTwice: boolean, isLess: boolean, need: string): string {
  if (isTwice) return ": more than twice what this trip wants; a smaller one would do.";
  return isLess ? `: this trip wants ${need}, more than it gives.` : ": enough for this trip.";
}
