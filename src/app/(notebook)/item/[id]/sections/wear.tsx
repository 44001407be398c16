import type { Advice } from "@/core/advice/advise";
import type { Kit } from "@/core/advice/kit";
import { howLong } from "@/core/compare/how-long";
import type { WearStep } from "@/core/ledger/totals";
import { sayLeftOf } from "@/core/say/words";
import { sayWear, wearNumber, wearUnitName } from "@/core/say/wear";
import { sayHowLong } from "@/core/say/served";
import { sayDay } from "@/core/units/speak";
import { WearChart, type WearPoint } from "./wear-chart";

/** Wear by trip, and between what and what it most likely ends. */
export function Wear({ advice, kit }: { advice: Advice; kit: Kit }) {
  const { left } = advice;
  const { item, totals, book, state } = advice.case;
  const howItGoesOn = howLong(advice, kit);
  if (!left || totals.wear <= 0) return null;
  const { units } = book.settings;
  const say = (wear: number) => sayWear(wear, item.wears, units);
  const inUnit = (wear: number) => wearNumber(wear, item.wears, units);
  return (
    <section className="mb-6">
      <h2 className="text-lg">
        Wear{" "}
        <span className="font-sans text-sm font-normal text-muted">
          {say(left.worn)} on it; {sayLeftOf(advice, units)}
        </span>
      </h2>
      {howItGoesOn && state === "active" && <p>Good for {sayHowLong(howItGoesOn, book.today)}.</p>}
      <WearChart
        points={pointsOf(advice, inUnit)}
        low={inUnit(left.worn + left.low)}
        median={inUnit(left.worn + left.median)}
        high={inUnit(left.worn + left.high)}
        next={inUnit(left.worn + left.nextTrip)}
        unit={wearUnitName(item.wears, units)}
        words={
          `Wear by trip, ${say(left.worn)} so far. ` +
          `It most likely ends between ${say(left.worn + left.low)} and ${say(left.worn + left.high)}.`
        }
      />
    </section>
  );
}

/** Wear after each trip and entry, with what happened then. */
function pointsOf({ case: { totals, left } }: Advice, inUnit: (wear: number) => number): WearPoint[] {
  // With what it was worn before its owner had it, where that is reckoned.
  let wear = totals.opening + (left ? left.worn - totals.wear : 0);
  return [
    { label: "before", wear: inUnit(wear), trouble: "" },
    ...totals.steps.map((step) => {
      wear += step.wear;
      return { label: labelOf(step), wear: inUnit(wear), trouble: troubleIn(step) };
    }),
  ];
}

const labelOf = ({ carried, entry, on }: WearStep) =>
  carried ? carried.outing.trip.name : `${entry?.what ?? "wear"}, ${sayDay(on)}`;

const troubleIn = ({ carried, entry }: WearStep) =>
  carried?.mark?.troubles.find((each) => each !== "nuisance") ?? (entry?.what === "damage" ? "damaged" : "");
