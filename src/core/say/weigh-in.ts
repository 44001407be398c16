import { nth } from "../sums/there";
import { count, listWords, sayMass, type Units } from "../units/speak";
import type { Suspect } from "../weighin/weigh-in";

/** Things named before the rest are counted. */
const NAMED = 4;

const names = (items: Suspect["items"]) =>
  items.length <= NAMED
    ? listWords(items.map(({ name }) => name))
    : `${items
        .slice(0, NAMED)
        .map(({ name }) => name)
        .join(", ")} and ${count(items.length - NAMED, "more", "more")}`;

/** What may account for a gap between list and scale, as a sentence. */
export function saySuspect({ why, items, grams }: Suspect, units: Units): string {
  const about = grams === null ? "" : ` (about ${sayMass(grams, units)})`;
  switch (why) {
    case "not weighed":
      return `Nobody has weighed ${names(items)}${grams === null ? "" : `: about ${sayMass(grams, units)}, by what others of their kind weigh`}.`;
    case "claimed":
      return (
        `${names(items)} ${items.length === 1 ? "counts" : "count"} at the maker’s weight, ` +
        `which is mostly a little low${about}.`
      );
    case "pieces":
      return (
        `${names(items)}: is ${sayMass(grams! / (nth(items, 0).pieces - 1), units)} the weight of one, ` +
        `or of all ${nth(items, 0).pieces}?`
      );
    case "supplies not weighed":
      return "Food and water are in the bag, and nobody told how much went out.";
    case "heavier than packed":
      return `${names(items)}${about} comes nearest: was it in the bag?`;
  }
}
