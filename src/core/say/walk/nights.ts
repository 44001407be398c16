import type { Nights } from "../../ledger/nights";
import type { ItemId } from "../../model";
import { count, listWords, sayTemperature, type Units } from "../../units/speak";

/** "2 nights felt cold, down to −9 °C, in the quilt". */
export function sayNights(
  { nights, low, felt, slept }: Nights,
  nameOf: (id: ItemId) => string,
  units: Units,
): string {
  return [
    `${count(nights, "night")}${felt ? ` felt ${felt}` : ""}`,
    ...(low === null ? [] : [`down to ${sayTemperature(low, units)}`]),
    ...(slept.length ? [`in ${listWords(slept.map(nameOf))}`] : []),
  ].join(", ");
}
