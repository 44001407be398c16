import { endsOf } from "../ledger/stretches";
import { inBaseUnit } from "../units/quantity";
import { Mark, type FeltNight, type Leg } from "../model";
import type { Understood } from "./parse-field-line";

type OfThing = Extract<Understood, { as: "mark" }>;

/**
 * A thing's mark with what a line said of it: nothing that it says already is lost, and the line stands in its note as
 * typed. Its use is asked at the debrief where the line does not tell it; until then it counts as used if it failed.
 */
export function intoMark(known: Mark | null, said: OfThing, line: string, legs: readonly Leg[]): Mark {
  const mark = known ?? Mark.parse({ use: said.use ?? "used" });
  const at = said.metres === null ? mark.at : placeAt(said.metres, legs);
  return {
    ...mark,
    use: said.trouble ? "used" : (said.use ?? mark.use),
    troubles: [...new Set([...mark.troubles, ...(said.trouble ? [said.trouble] : [])])].slice(0, 3),
    exit: said.exit ? { how: said.exit, for: said.instead } : mark.exit,
    at,
    note: [mark.note, line].filter(Boolean).join("; "),
  };
}

/** The leg that a distance from the start lies on; the last one where it lies beyond the way. */
function placeAt(metres: number, legs: readonly Leg[]): Mark["at"] {
  const ends = endsOf(legs);
  const n = legs.findIndex((_, at) => metres <= ends[at + 1]!);
  const km = metres / 1000;
  return {
    leg: legs.at(n)?.id ?? null,
    distance: { typed: `${Math.round(km * 10) / 10} km`, m: metres },
  };
}

/** A night told on the way, as the look back has it. */
export const intoNight = ({ low, felt, slept }: Extract<Understood, { as: "night" }>): FeltNight => ({
  on: null,
  low,
  felt,
  slept: [...slept],
});

/** Litres boiled on a trip, with those of a line that tells of some; other amounts change nothing. */
export function boiledWith(boiled: number | null, said: Understood): number | null {
  if (said.as !== "amount" || said.how !== "boiled") return boiled;
  const { value, unit } = inBaseUnit(said.amount, said.unit);
  return unit === "L" ? Math.round(((boiled ?? 0) + value) * 100) / 100 : boiled;
}
