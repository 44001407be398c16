import { says } from "../say/verdicts/says";
import { sayTriggers, theThing } from "../say/words";
import type { Setting } from "../trade/trials";
import {
  capital,
  count,
  inWords,
  listWords,
  percent,
  sayShortDay,
  sayMass,
  sayTemperature,
  type Units,
} from "../units/speak";
import type { Doubt } from "./doubts";
import type { Shakedown } from "./shakedown";

/** Why a thing is not to be relied on yet, as a sentence. */
export function sayDoubt({ why }: Doubt, units: Units): string {
  switch (why.is) {
    case "to prove":
      return says(why.case, why.verdict);
    case "never used":
      return "Never used yet.";
    case "altered":
      return `Altered (${why.what}), and not used since.`;
    case "never met":
      return `Never out in ${sayTriggers(why.triggers, "and")}, and that is foreseen.`;
    case "cold bed":
      return `${percent(why.chance)} for a cold night at ${sayTemperature(why.low, units)}, by few nights in it.`;
    case "heavier than ever":
      return `${sayMass(why.grams, units)} to carry; the most so far was ${sayMass(why.most, units)}.`;
  }
}

const AT: Readonly<Record<Setting, string>> = {
  evening: "an evening outside",
  day: "a day’s walk",
  night: "a night out",
};

/** What would settle it: "a night out in rain and wind", "a night out down to −2 °C". */
export function sayWants({ setting, weather, low, why }: Doubt, units: Units): string {
  return [
    AT[setting],
    ...(weather.length > 0 ? [`in ${sayTriggers(weather, "and")}`] : []),
    ...(low === null ? [] : [`down to ${sayTemperature(low, units)}`]),
    ...(why.is === "heavier than ever" ? ["with all of it"] : []),
  ].join(" ");
}

/** From this chance on, an outing likely settles a doubt. */
export const LIKELY = 0.5;

/** What an outing settles: "A night out, from Saturday, 12 December 2026: likely settles six of the eight." */
export function sayShakedown({ sort, on, settles }: Shakedown): string {
  const likely = settles.filter(({ chance }) => chance >= LIKELY);
  const perhaps = settles.filter(({ chance }) => chance > 0 && chance < LIKELY);
  const all = settles.length;
  const whole = ["", "it", "both"][all] ?? `all ${inWords(all)}`;
  const settled = `would likely settle ${likely.length === all ? whole : `${inWords(likely.length)} of ${count(all, "doubt")}`}`;
  const more =
    perhaps.length > 0
      ? `; perhaps ${listWords(
          perhaps.map(({ doubt: { item }, chance }) => `${theThing(item)} (${percent(chance)})`),
          "and",
        )}`
      : "";
  return `${capital(sort.name)}, ${sort.days > 1 ? "from " : ""}${sayShortDay(on)}, ${settled}${more}.`;
}
