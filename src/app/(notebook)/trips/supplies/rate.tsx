import Link from "next/link";
import type { SupplySort } from "@/core/model";
import { sayAmount, sayOverall, sayRate } from "@/core/say/supplies";
import type { RateOver } from "@/core/trade/supplies";
import { count, type Units } from "@/core/units/speak";
import { usesOf, type SupplyUse } from "@/core/weighin/supplies";
import { tripPath } from "@/ui/paths";
import { UsedByTrip } from "./used-by-trip";

/** The trip that is sized for. */
export interface Ahead {
  readonly nights: number;
  readonly days: number;
  readonly km: number;
  readonly margin: number;
}

/** How often so much is enough, as the page offers it. */
const OFTEN: Readonly<Record<number, string>> = {
  0.5: "one time in two",
  0.8: "four times in five",
  0.9: "nine times in ten",
  0.97: "nearly always",
};

const lengthOf = (over: RateOver, { nights, days, km }: Ahead) =>
  ({ night: nights, day: days, km, "L boiled": null })[over];

/** One rate: what it is, how sure, how much the trip ahead wants, and the trips it is from. */
export function Rate({ use, ahead, units }: { use: SupplyUse; ahead: Ahead; units: Units }) {
  const { rule, rate, taken } = use;
  const length = lengthOf(rule.over, ahead);
  const number = (value: number) => sayRate(value, rule, units).split(" ")[0];
  const say = (value: number) => sayAmount(value, rule.unit, units);
  return (
    <>
      <p>
        {rate.trips > 0 ? "Yours" : "The rule of thumb"}: <b>{sayRate(rate.median, rule, units)}</b>; four
        trips in five between {number(rate.low)} and {number(rate.high)}
        <span className="text-muted">
          {" "}
          (
          {rate.trips
            ? `from ${count(rate.trips, "trip")}, ${sayOverall(rate.over, rule.over, units)}`
            : "no trip of yours tells of it"}
          )
        </span>
        . {sayRate(rate.enoughFor(ahead.margin), rule, units)} would do {OFTEN[ahead.margin] ?? "then"}
        {length !== null && length > 0 && (
          <>
            : for this trip <b>{say(rate.enoughFor(ahead.margin) * length)}</b>
          </>
        )}
        .
      </p>
      {taken.length > 1 && <UsedByTrip use={use} margin={ahead.margin} units={units} />}
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
export function told(uses: readonly SupplyUse[], sort: SupplySort): SupplyUse[] {
  const ways = usesOf(uses, sort);
  const known = ways.filter(({ taken, rate }) => taken.length > 0 && rate.trips > 0);
  return known.length ? known : ways.slice(0, 1);
}
