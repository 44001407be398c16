import type { ServiceUnit } from "@/core/model";
import type { Units } from "@/core/units/speak";

/** What a service of the owner's own can be counted by, as a choice; lengths in the owner's unit. */
export const serviceUnits = (units: Units): readonly (readonly [ServiceUnit, string])[] => [
  ["nights", "nights"],
  ["m", units.distance],
  ["trips", "trips"],
  ["washes", "washes"],
  ["days", "days"],
];
