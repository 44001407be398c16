import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import { LEAST_GAS_PER_LITRE } from "@/core/trade/supplies";
import { parseNumber } from "@/core/units/quantity";
import { count, grouped, listWords, sayMass } from "@/core/units/speak";
import { cansFor, cansOf, isBelowPhysics, type SupplyUse } from "@/core/weighin/supplies";
import { Field } from "@/ui/form/field";
import { itemPath } from "@/ui/paths";
import { Rate, Section, told, type Ahead } from "./rate";

/** Gas and alcohol: the rates, what is left in the canisters and which to take, and whether a better burner pays. */
export function Fuel({
  book,
  uses,
  ahead,
  asked,
}: {
  book: Book;
  uses: readonly SupplyUse[];
  ahead: Ahead;
  asked: { readonly grams?: string; readonly saves?: string };
}) {
  const { units } = book.settings;
  const mass = (grams: number) => sayMass(grams, units);
  const perNight = uses.find(
    ({ rule }) => rule.sort === "fuel" && rule.unit === "g" && rule.over === "night",
  )!;
  const perLitre = uses.find(
    ({ rule }) => rule.sort === "fuel" && rule.unit === "g" && rule.over === "L boiled",
  )!;
  const need = perNight.rate.enoughFor(ahead.margin) * ahead.nights;
  const cans = cansOf(book.items);
  const chosen = need > 0 ? cansFor(need, cans) : null;
  const low = uses.flatMap(isBelowPhysics);
  const [more, saves] = [parseNumber(asked.grams ?? ""), parseNumber(asked.saves ?? "")];
  const pays = more !== null && saves !== null && more > 0 && saves > 0 && saves < 100;
  const paysAfter = pays ? more / ((saves / 100) * perNight.rate.median) : null;
  return (
    <Section title="Fuel">
      {told(uses, "fuel").map((use) => (
        <Rate key={use.rule.unit + use.rule.over} use={use} ahead={ahead} units={units} />
      ))}
      {low.map(({ outing, used, over }) => (
        <p key={outing.trip.id} className="mt-1 font-semibold text-sting">
          {outing.trip.name}: {mass(used)} for {grouped(over!, 1)} L boiled is less than physics allows (
          {LEAST_GAS_PER_LITRE.toFixed(1)} g a litre from 10 °C). Look at both readings.
        </p>
      ))}
      <h3 className="mt-3 font-sans text-sm font-semibold">What is left in the canisters</h3>
      {cans.length === 0 ? (
        <p className="text-muted">
          Say what a canister weighs empty, under Edit on its page (it is stamped on it), and weigh it: what
          is left is reckoned from that.
        </p>
      ) : (
        <ul>
          {cans.map((can) => (
            <li
              key={can.item}
              className="flex flex-wrap justify-between gap-x-3 border-b border-rule py-1 text-[0.95rem]"
            >
              <span>
                <Link prefetch={false} href={itemPath(can.item)} className="hover:underline">
                  {can.name}
                </Link>{" "}
                <span className="text-sm text-muted">{can.partUsed ? "part-used" : "not begun"}</span>
              </span>
              <span className="num">
                {mass(can.left)} left: {count(Math.floor(can.left / perNight.rate.median), "night")} or{" "}
                {grouped(can.left / perLitre.rate.median, 1)} L boiled
              </span>
            </li>
          ))}
        </ul>
      )}
      {cans.length > 0 && need > 0 && (
        <p className="mt-1">
          {chosen
            ? `Take ${listWords(chosen.map(({ name }) => name))}: ${mass(chosen.reduce((sum, { left }) => sum + left, 0))} of gas for the ${mass(need)} that it wants.`
            : `All of them together hold less than the ${mass(need)} that it wants.`}
        </p>
      )}
      {cans.some(({ partUsed }) => partUsed) && (
        <p className="hint">
          Use part-used canisters up on short trips, by weight. Joining or refilling them is discouraged by
          their makers, and barred in places. Never cook in a closed tent: carbon monoxide.
        </p>
      )}
      <form action="/trips/supplies" className="mt-3 flex flex-wrap items-start gap-2">
        <Field
          label="A better burner: heavier by, g"
          name="grams"
          inputMode="decimal"
          defaultValue={asked.grams}
          className="w-52"
        />
        <Field
          label="saves of the gas, %"
          name="saves"
          inputMode="decimal"
          defaultValue={asked.saves}
          className="w-40"
        />
        <button className="btn mt-6 !min-h-10">Does it pay?</button>
      </form>
      {paysAfter !== null && (
        <p role="status">
          It pays for its weight from {count(Math.ceil(paysAfter), "night")} without buying gas on.
        </p>
      )}
      {(asked.grams || asked.saves) && !pays && (
        <p className="error">
          Write by how many grams it is heavier, and which share of the gas it saves, 1 to 99 %.
        </p>
      )}
    </Section>
  );
}
