import type { SchoolName, Use } from "@/core/model";
import { wearFromNumber, wearNumber } from "@/core/say/wear";
import { parseNumber } from "@/core/units/quantity";
import type { Units } from "@/core/units/speak";

/** What one supposes, as it is typed. */
export interface TypedSupposition {
  readonly school: SchoolName;
  readonly days: string;
  readonly distance: string;
  readonly trip: string;
  /** Blank: no mark is otherwise. */
  readonly item: string;
  readonly use: Use;
}

/** As it is: what a supposition begins with. */
export interface AsItIs {
  readonly school: SchoolName;
  readonly next: { readonly days: number; readonly metres: number };
  readonly trips: readonly { readonly id: string }[];
  readonly units: Units;
}

export const asItIs = ({ school, next, trips, units }: AsItIs): TypedSupposition => ({
  school,
  days: String(Math.round(next.days)),
  distance: String(Math.round(wearNumber(next.metres, "m", units))),
  trip: trips[0]?.id ?? "",
  item: "",
  use: "used",
});

/** What differs from how it is, as the engine is asked; null: nothing does. */
export function askedOf(supposed: TypedSupposition, as: TypedSupposition, units: Units): object | null {
  const { school, days, distance, trip, item, use } = supposed;
  const asked = {
    ...(school === as.school ? {} : { school }),
    ...(days === as.days && distance === as.distance
      ? {}
      : {
          next: {
            days: parseNumber(days) ?? Number.NaN,
            metres: wearFromNumber(parseNumber(distance) ?? Number.NaN, "m", units),
          },
        }),
    ...(item === "" || trip === "" ? {} : { mark: { trip, item, mark: { use } } }),
  };
  return Object.keys(asked).length > 0 ? asked : null;
}
