import type { Metadata } from "next";
import Link from "next/link";
import type { ReactNode } from "react";
import type { Book } from "@/core/ledger/book";
import type { SupplySort } from "@/core/model";
import { sayAmount, sayRate } from "@/core/say/supplies";
import type { FullItem } from "@/core/trade/full-item";
import { BANK_REACHES, CAMP_WATER, LEAST_GAS_PER_LITRE, type RateOver } from "@/core/trade/supplies";
import { METRES_PER_MILE, parseNumber } from "@/core/units/quantity";
import { count, grouped, listWords, sayDistance, sayMass, type Units } from "@/core/units/speak";
import { cansFor, cansOf, isBelowPhysics, supplyUses, usesOf, type SupplyUse } from "@/core/weighin/supplies";
import { Field, SelectField } from "@/ui/field";
import { PageHead } from "@/ui/page-head";
import { itemPath, tripPath } from "@/ui/paths";
import { readBook } from "../../book";

export const metadata: Metadata = { title: "Fuel, food, water, power" };

/** Enough so often: the share of trips that a size is asked to be enough on. */
const MARGINS = [
  ["0.5", "one trip in two"],
  ["0.8", "four trips in five"],
  ["0.9", "nine trips in ten"],
  ["0.97", "nearly always"],
] as const;

/** What is asked of the page, in the owner's units. */
interface Asked {
  readonly margin?: string;
  readonly nights?: string;
  readonly way?: string;
  readonly dry?: string;
  readonly grams?: string;
  readonly saves?: string;
}

/** The trip that is sized for. */
interface Ahead {
  readonly nights: number;
  readonly days: number;
  readonly km: number;
  readonly margin: number;
}

/** The owner's own rates of what is used up, and how much of it a trip wants. */
export default async function SuppliesPage({ searchParams }: { searchParams: Promise<Asked> }) {
  const asked = await searchParams;
  const { book } = await readBook();
  const { units } = book.settings;
  const uses = supplyUses(book);
  const perUnit = units.distance === "km" ? 1 : METRES_PER_MILE / 1000;
  const number = (text: string | undefined, usual: number) => {
    const read = parseNumber(text ?? "");
    return read !== null && read >= 0 ? read : usual;
  };
  const nights = number(asked.nights, Math.round(book.next.nights));
  const way = number(asked.way, Math.round(book.next.metres / 1000 / perUnit));
  const margin = MARGINS.find(([value]) => value === asked.margin)?.[0] ?? "0.9";
  const ahead: Ahead = { nights, days: nights + 1, km: way * perUnit, margin: Number(margin) };
  const isWrong = (text: string | undefined) => {
    const read = parseNumber(text ?? "");
    return read !== null && !(read >= 0) ? "Write a number, 0 or more." : undefined;
  };
  return (
    <>
      <PageHead title="Fuel, food, water, power">
        Your own use, from what went out and what came home; the rule of thumb where trips are few.
      </PageHead>
      <form
        action="/trips/supplies"
        className="mb-6 flex flex-wrap items-start gap-2 border-y border-rule py-3"
      >
        <Field
          label="For a trip of, nights"
          name="nights"
          inputMode="numeric"
          defaultValue={asked.nights ?? nights}
          error={isWrong(asked.nights)}
          className="w-36"
          hint={book.next.name ? "the one planned" : "your usual one"}
        />
        <Field
          label={`and ${units.distance}`}
          name="way"
          inputMode="decimal"
          defaultValue={asked.way ?? way}
          error={isWrong(asked.way)}
          className="w-28"
        />
        <SelectField
          label="Enough on"
          name="margin"
          defaultValue={margin}
          options={MARGINS}
          className="w-44"
        />
        <Field
          label={`Longest dry stretch, ${units.distance}`}
          name="dry"
          inputMode="decimal"
          defaultValue={asked.dry}
          error={isWrong(asked.dry)}
          className="w-48"
        />
        <button className="btn mt-6 !min-h-10">Reckon</button>
      </form>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
        <Fuel book={book} uses={uses} ahead={ahead} asked={asked} />
        <Food uses={uses} ahead={ahead} units={units} />
        <Water book={book} uses={uses} ahead={ahead} dry={number(asked.dry, 0) * perUnit} />
        <Power book={book} uses={uses} ahead={ahead} />
      </div>
      <p className="hint mt-8 max-w-3xl">
        The figures are of trips like yours, and no promise. Leave room for a day lost to weather; local
        advice on water and fires comes first.
      </p>
    </>
  );
}

const lengthOf = (over: RateOver, { nights, days, km }: Ahead) =>
  over === "night" ? nights : over === "day" ? days : over === "km" ? km : null;

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="mb-1 border-b-2 border-ink pb-1 text-lg">{title}</h2>
      {children}
    </section>
  );
}

/** One rate: what it is, how sure, how much the trip ahead wants, and the trips it is from. */
function Rate({ use, ahead, units }: { use: SupplyUse; ahead: Ahead; units: Units }) {
  const { rule, rate, taken } = use;
  const length = lengthOf(rule.over, ahead);
  const say = (value: number) => sayAmount(value, rule.unit, units);
  return (
    <>
      <p>
        <b>{sayRate(rate.median, rule, units)}</b>; four trips in five between{" "}
        {sayRate(rate.low, rule, units).split(" ")[0]} and {sayRate(rate.high, rule, units).split(" ")[0]}
        <span className="text-muted">
          {" "}
          (
          {rate.trips
            ? `from ${count(rate.trips, "trip")}`
            : "the rule of thumb: no trip of yours tells of it"}
          )
        </span>
        {length !== null && length > 0 && (
          <>
            . For this trip <b>{say(rate.enoughFor(ahead.margin) * length)}</b>
          </>
        )}
        .
      </p>
      {taken.length > 0 && (
        <details className="mt-1">
          <summary className="text-sm text-muted">Trip by trip</summary>
          <table className="w-full text-sm">
            <thead className="text-left text-muted">
              <tr>
                <th className="font-normal">trip</th>
                <th className="text-right font-normal">out</th>
                <th className="text-right font-normal">came home</th>
                <th className="text-right font-normal">used</th>
                <th className="text-right font-normal">that is</th>
              </tr>
            </thead>
            <tbody>
              {taken.toReversed().map(({ outing, out, back, reserve, used, over }) => (
                <tr key={outing.trip.id} className="border-t border-rule">
                  <td className="py-0.5">
                    <Link prefetch={false} href={tripPath(outing.trip.id)} className="hover:underline">
                      {outing.trip.name}
                    </Link>
                  </td>
                  <td className="num text-right">{say(out)}</td>
                  <td className="num text-right">
                    {say(back)}
                    {reserve > 0 && <span className="text-muted"> ({say(reserve)} reserve)</span>}
                  </td>
                  <td className="num text-right">{say(used)}</td>
                  <td className="num text-right text-muted">
                    {over ? sayRate(used / over, rule, units) : "–"}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </>
  );
}

/** Every way that a sort is told, or the first of its rules where it is told by none. */
function told(uses: readonly SupplyUse[], sort: SupplySort): SupplyUse[] {
  const ways = usesOf(uses, sort);
  const known = ways.filter(({ taken, rate }) => taken.length > 0 && rate.trips > 0);
  return known.length ? known : ways.slice(0, 1);
}

function Fuel({
  book,
  uses,
  ahead,
  asked,
}: {
  book: Book;
  uses: readonly SupplyUse[];
  ahead: Ahead;
  asked: Asked;
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

function Food({ uses, ahead, units }: { uses: readonly SupplyUse[]; ahead: Ahead; units: Units }) {
  const meals = uses.find(({ rule }) => rule.sort === "meals")!;
  const spares = meals.taken.map(({ back }) => back);
  const eaten = meals.taken.filter(({ back, reserve }) => reserve > 0 && back < reserve).length;
  return (
    <Section title="Food">
      {(["food", "snacks"] as const).flatMap((sort) =>
        told(uses, sort)
          .filter(({ taken }) => sort === "food" || taken.length > 0)
          .map((use) => <Rate key={sort + use.rule.unit} use={use} ahead={ahead} units={units} />),
      )}
      {meals.taken.length > 0 && (
        <>
          <h3 className="mt-3 font-sans text-sm font-semibold">Dinners</h3>
          <p>
            {spares.reduce((sum, each) => sum + each, 0)} came home over {count(spares.length, "trip")}
            {eaten === 0
              ? "; the spare one was never eaten into."
              : `; the spare one was eaten into on ${count(eaten, "trip")}.`}{" "}
            A spare meant as one is cover, not waste.
          </p>
          <Rate use={meals} ahead={ahead} units={units} />
        </>
      )}
    </Section>
  );
}

const holding = (items: readonly FullItem[]) =>
  items.filter(
    ({ state, jobs, ratings: { litres } }) => state === "active" && jobs.includes("carry water") && litres,
  );

function Water({
  book,
  uses,
  ahead,
  dry,
}: {
  book: Book;
  uses: readonly SupplyUse[];
  ahead: Ahead;
  dry: number;
}) {
  const { units } = book.settings;
  const vessels = holding(book.items);
  const capacity = vessels.reduce((sum, { ratings }) => sum + ratings.litres!, 0);
  const use = told(uses, "water")[0]!;
  const litres = (value: number) => sayAmount(value, "L", units);
  const need = use.rate.enoughFor(ahead.margin) * dry;
  const carried = use.taken.reduce((sum, { out }) => sum + out, 0);
  const drunk = use.taken.reduce((sum, { used }) => sum + used, 0);
  return (
    <Section title="Water">
      <p>
        You can carry <b>{litres(capacity)}</b>
        {vessels.length > 0 && (
          <span className="text-muted">
            {" "}
            ({vessels.map(({ name, ratings }) => `${name} ${litres(ratings.litres!)}`).join(", ")})
          </span>
        )}
        {vessels.length === 0 && ": no bottle on the shelf says what it holds"}.
      </p>
      {carried > 0 && (
        <p>
          Of {litres(carried)} carried from one water to the next, {litres(drunk)} were drunk and{" "}
          {litres(carried - drunk)} poured away.
        </p>
      )}
      <Rate use={use} ahead={{ ...ahead, km: 0 }} units={units} />
      {dry > 0 && (
        <p className={need > capacity && capacity > 0 ? "font-semibold text-sting" : ""}>
          For {sayDistance(dry * 1000, units)} without water: {litres(need)}
          {capacity > 0 && need > capacity ? `, ${litres(need - capacity)} more than you can carry.` : "."}
        </p>
      )}
      <p>
        In camp, from evening to morning: {litres(CAMP_WATER)}{" "}
        <span className="text-muted">(common practice)</span>
        {capacity > 0 &&
          capacity < CAMP_WATER + need &&
          dry > 0 &&
          "; where the camp is dry, both at once are more than you can carry"}
        .
      </p>
    </Section>
  );
}

function Power({ book, uses, ahead }: { book: Book; uses: readonly SupplyUse[]; ahead: Ahead }) {
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
              {days > 2 * ahead.days
                ? ": more than twice what this trip wants; a smaller one would do."
                : need > ratings.wattHours!
                  ? `: this trip wants ${sayAmount(need, "Wh", units)}, more than it gives.`
                  : ": enough for this trip."}
            </p>
          );
        })
      )}
    </Section>
  );
}
