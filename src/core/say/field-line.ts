import type { Understood } from "../field/parse-field-line";
import type { ItemId } from "../model";
import { capital, listWords, sayDistance, sayTemperature, type Units } from "../units/speak";

/** What a line was understood to be, in a phrase; "a note" for what stays as it is. */
export function sayUnderstood(said: Understood, units: Units, nameOf: (item: ItemId) => string): string {
  switch (said.as) {
    case "mark": {
      const { item, use, trouble, exit, instead, metres } = said;
      const happened = [
        trouble,
        exit && (instead ? `${exit} for ${nameOf(instead)}` : exit),
        !trouble && !exit ? use : null,
      ].filter(Boolean);
      return `${nameOf(item)}: ${happened.join(", ")}${metres === null ? "" : `, at ${sayDistance(metres, units)}`}`;
    }
    case "night": {
      const { low, felt, slept } = said;
      return [
        felt ? `A night that felt ${felt}` : "A night",
        low === null ? "" : `down to ${sayTemperature(low, units)}`,
        slept.length > 0 ? `in ${listWords(slept.map(nameOf))}` : "",
      ]
        .filter(Boolean)
        .join(", ");
    }
    case "amount":
      return `${said.item ? `${nameOf(said.item)}: ` : ""}${said.amount} ${said.unit} ${said.how}`;
    case "joined":
      return capital(`${said.how}: ${said.what}${said.owner ? `, ${said.owner}’s` : ""}`);
    case "note":
      return "A note, kept as it is";
  }
}
