import Link from "next/link";
import type { Book } from "@/core/ledger/book";
import { LEAST_GAS_PER_LITRE, type RateOver } from "@/core/trade/supplies";
import { sayRate } from "@/core/say/supplies";
import { parseMass, parseNumber } from "@/core/units/quantity";
import { count, listWords, sayDay, sayMass, sayPoured, sayTemperature, type Units } from "@/core/units/speak";
import {
  cansFor,
  cansOf,
  isBelowPhysics,
  sinceWeighed,
  type Can,
  type SupplyUse,
} from "@/core/weighin/supplies";
import { Field } from "@/ui/form/field";
import { itemPath } from "@/ui/paths";
import { Section } from "@/ui/page/section";
import { Rate, told, type Ahead } from "./rate";

interface FuelProps {
  readonly book: Book;
  readonly uses: readonly SupplyUse[];
  readonly ahead: Ahead;
  readonly asked: { readonly grams?: string; readonly saves?: string };
}

/** Gas and alcohol: the rates, what is left in the canisters and which to take, and whether a better burner pays. */
export function Fuel({ book, uses, ahead, asked }: FuelProps) {
  const { units } = book.settings;
  const gas = (over: RateOver) =>
    uses.find(({ rule }) => rule.sort === "fuel" && rule.unit === "g" && rule.over === over)?.rate;
  const [perNight, perLitre] = [gas("night"), gas("L boiled")];
  const low = uses.flatMap(isBelowPhysics);
  return (
    <Section title="Fuel">
      {told(uses, "fuel").map((use) => (
        <Rate key={use.rule.unit + use.rule.over} use={use} ahead={ahead} units={units} />
      ))}
      {low.map(({ outing, used, over }) => (
        <p key={outing.trip.id} className="mt-1 font-semibold text-sting">
          {outing.trip.name}: {sayMass(used, units)} for {sayPoured(over ?? 0, units)} boiled is less than
          physics allows ({sayRate(LEAST_GAS_PER_LITRE, { unit: "g", over: "L boiled" }, units)}, from{" "}
          {sayTemperature(10, units)}). Look at both readings.
        </p>
      ))}
      {perNight && perLitre && (
        <Cans
          book={book}
          cans={cansOf(book.items)}
          need={perNight.enoughFor(ahead.margin) * ahead.nights}
          perNight={perNight.median}
          perLitre={perLitre.median}
          units={units}
        />
      )}
      {perNight && <BetterBurner asked={asked} perNight={perNight.median} units={units} />}
    </Section>
  );
}

interface CansProps {
  readonly book: Book;
  readonly cans: readonly Can[];
  /** Grams of gas that the trip ahead wants. */
  readonly need: number;
  /** Grams a night, and a litre boiled. */
  readonly perNight: number;
  readonly perLitre: number;
  readonly units: Units;
}

/** What is left in each canister, and which to take. */
function Cans({ book, cans, need, perNight, perLitre, units }: CansProps) {
  const mass = (grams: number) => sayMass(grams, units);
  return (
    <>
      <h3 className="mt-3 font-sans text-sm font-semibold">What is left in the canisters</h3>
      {cans.length === 0 && (
        <p className="text-muted">
          Say what a canister weighs empty, under Edit on its page (it is stamped on it), and weigh it: what
          is left is reckoned from that.
        </p>
      )}
      <ul>
        {cans.map((can) => (
          <li key={can.item} className={CAN}>
            <span>
              <Link prefetch={false} href={itemPath(can.item)} className="hover:underline">
                {can.name}
              </Link>{" "}
              <span className="text-sm text-muted">{can.partUsed ? "part-used" : "not begun"}</span>
            </span>
            <span className="num">
              {mass(can.left)} left: {count(Math.floor(can.left / perNight), "night")} or{" "}
              {sayPoured(can.left / perLitre, units)} boiled
              <span className="block text-right font-sans text-sm text-muted">{sayWeighed(can, book)}</span>
            </span>
          </li>
        ))}
      </ul>
      {cans.length > 0 && need > 0 && <p className="mt-1">{sayTake(cansFor(need, cans), need, units)}</p>}
      {cans.some(({ partUsed }) => partUsed) && (
        <p className="hint">
          Use part-used canisters up on short trips, by weight. Joining or refilling them is discouraged by
          their makers, and barred in places. Never cook in a closed tent: carbon monoxide.
        </p>
      )}
    </>
  );
}

/** When it was weighed, and what has been burnt of it since. */
function sayWeighed(can: Can, book: Book): string {
  const { nights, boiled } = sinceWeighed(can, book);
  const out = [
    ...(nights > 0 ? [count(nights, "night")] : []),
    ...(boiled > 0 ? [`${sayPoured(boiled, book.settings.units)} boiled`] : []),
  ];
  const when = can.weighed ? `weighed on ${sayDay(can.weighed)}` : "weighed on a day that nobody told";
  return out.length ? `${when}; out for ${listWords(out)} since: weigh it again` : when;
}

const CAN = "flex flex-wrap justify-between gap-x-3 border-b border-rule py-1 text-[0.95rem]";

function sayTake(chosen: readonly Can[] | null, need: number, units: Units): string {
  const wants = `the ${sayMass(need, units)} that it wants`;
  if (!chosen) return `All of them together hold less than ${wants}.`;
  const gas = chosen.reduce((sum, { left }) => sum + left, 0);
  return `Take ${listWords(chosen.map(({ name }) => name))}: ${sayMass(gas, units)} of gas for ${wants}.`;
}

interface BurnerProps extends Pick<FuelProps, "asked"> {
  readonly perNight: number;
  readonly units: Units;
}

/** From how many nights on a burner that is heavier and saves gas is worth its weight. */
function BetterBurner({ asked, perNight, units }: BurnerProps) {
  const heavier = parseMass(asked.grams ?? "", units.weight);
  const more = heavier.ok ? heavier.value.g : null;
  const saves = parseNumber(asked.saves ?? "");
  const pays = more !== null && saves !== null && more > 0 && saves > 0 && saves < 100;
  return (
    <>
      <form action="/trips/supplies" className="mt-3 flex flex-wrap items-start gap-2">
        <Field
          label={`A better burner: heavier by, ${units.weight}`}
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
        <button className="btn mt-6 btn-tall">Does it pay?</button>
      </form>
      {pays && (
        <p role="status">
          It pays for its weight from {count(Math.ceil(more / ((saves / 100) * perNight)), "night")} without
          buying gas on.
        </p>
      )}
      {(asked.grams || asked.saves) && !pays && (
        <p className="error">
          Write by how many grams it is heavier, and which share of the gas it saves, 1 to 99 %.
        </p>
      )}
    </>
  );
}
