import type { Trip } from "../model";
import { capital, inWords, percent, sayMass, sayTemperature, type Units } from "../units/speak";
import { gasBurnt, sleptOut } from "./foretold";

/** What was foreseen of a walk's nights and gas, and what came of it, a sentence each; none where nobody kept it. */
export function sayForetold(trip: Trip, units: Units): string[] {
  const { cold, gas } = trip.advised?.foretold ?? { cold: null, gas: null };
  const slept = sleptOut(trip);
  const burnt = gasBurnt(trip);
  const mass = (grams: number) => sayMass(Math.round(grams), units);
  return [
    ...(cold && slept.length > 0 ? [sayNights(cold, slept, units)] : []),
    ...(gas && burnt !== undefined
      ? [
          `Gas: ${mass(gas.likely)} were likely, ${mass(gas.most)} enough nine times in ten; ${mass(burnt)} went.`,
        ]
      : []),
  ];
}

function sayNights(
  { low, chance }: { readonly low: number; readonly chance: number },
  slept: Trip["felt"],
  units: Units,
): string {
  const cold = slept.filter(({ felt }) => felt === "cold").length;
  const lows = slept.flatMap((night) => night.low ?? []);
  const came = lows.length > 0 ? `it came to ${sayTemperature(Math.min(...lows), units)}, and ` : "";
  const nights = cold === 0 ? "no night was cold" : `${inWords(cold)} ${cold === 1 ? "was" : "were"} cold`;
  return `${capital(`nights down to ${sayTemperature(low, units)} were foreseen, ${percent(chance)} that one is too cold for the bed`)}; ${came}${nights}.`;
}
