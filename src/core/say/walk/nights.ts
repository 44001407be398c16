import type { Nights } from "../../ledger/nights";
import type { ItemId, Spoil } from "../../model";
import { count, listWords, sayTemperature, type Units } from "../../units/speak";

/** "2 nights felt cold, down to −9 °C, in the quilt". */
export function sayNights(
  { nights, low, felt, slept, roof, spoilt }: Nights,
  nameOf: (id: ItemId) => string,
  units: Units,
): string {
  return [
    `${count(nights, "night")}${felt ? ` felt ${felt}` : ""}`,
    ...(low === null ? [] : [`down to ${sayTemperature(low, units)}`]),
    ...(slept.length ? [`in ${listWords(slept.map(nameOf))}`] : []),
    ...(roof ? ["under a roof"] : []),
    ...(spoilt ? [SPOILT[spoilt]] : []),
  ].join(", ");
}

const SPOILT: Readonly<Record<Spoil, string>> = {
  "flat pad": "the pad gone flat",
  "wet bed": "the bed wet",
  hungry: "hungry",
  ill: "ill",
  "something else": "spoilt by something else than the bed",
};
