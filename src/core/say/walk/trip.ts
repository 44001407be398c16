import type { PlannedAgainstWalked } from "../../ledger/intended";
import { count, sayDistance, type Units } from "../../units/speak";

/** "Planned: 4 nights, 74 km. It was 1 night, 22 km: 3 days fewer." */
export function sayAgainstPlan({ nights, metres, daysShort }: PlannedAgainstWalked, units: Units): string {
  const went = (which: "planned" | "walked") =>
    `${count(nights[which], "night")}, ${sayDistance(metres[which], units)}`;
  const days =
    daysShort === 0 ? "" : `: ${count(Math.abs(daysShort), "day")} ${daysShort > 0 ? "fewer" : "more"}`;
  return `Planned: ${went("planned")}. It was ${went("walked")}${days}.`;
}
