import type { Comfort } from "../belief/comfort";
import type { FeltNight, LabelMeans, Ratings } from "../model";
import { groupBy } from "../sums/group";
import type { FullItem } from "../trade/full-item";
import { rFor } from "../trade/warmth";
import { count, grouped, listWords, sayDegrees, sayTemperature, type Units } from "../units/speak";
import { rUnder, type Sleeper } from "../weighin/sleep";

/** Down to what an owner sleeps well in a bed, with its doubt. */
export function sayComfort({ median, low, high, nights, relyOn }: Comfort, units: Units): string {
  const say = (celsius: number) => sayTemperature(celsius, units);
  const range = `four times in five the line lies between ${say(low)} and ${say(high)}`;
  if (nights === 0)
    return `No night in it has been told: by its label and what is usual, ${range}. Rely on ${say(relyOn)}.`;
  return relyOn === median
    ? `Right for you down to about ${say(median)}, by ${count(nights, "night")}; ${range}.`
    : `Right for you down to about ${say(median)}; ${range}. ` +
        `With ${count(nights, "night")} told, rely on ${say(relyOn)}.`;
}

/** How far above labels the owner sleeps, over all their beds. */
export function saySleeper({ mean, spread, beds }: Sleeper, units: Units): string {
  const degrees = (celsius: number) => sayDegrees(Math.abs(celsius), units);
  const side =
    Math.abs(mean) < 0.5
      ? "about where labels of comfort say"
      : `about ${degrees(mean)} ${mean > 0 ? "above" : "below"} labels of comfort`;
  return (
    `You sleep well down to ${side}, give or take ${degrees(spread)}, ` +
    `by ${listWords(beds.map(({ name }) => name))}: a bed not slept in yet is judged by it.`
  );
}

/** Nights that are left out of what a bed is worth, and why. */
export function sayAside(nights: readonly FeltNight[]): string {
  const why = groupBy(nights, ({ roof, spoilt }) => (roof ? "under a roof" : spoilt!));
  const parts = [...why].map(([reason, these]) => `${these.length} ${reason}`);
  return `${count(nights.length, "night")} set aside, since the bed was not what was tried: ${listWords(parts)}.`;
}

/** What the pads together are worth against what the ground asks at a low. */
export function sayPads(
  pads: readonly FullItem[],
  low: number,
  onSnow: boolean,
  units: Units,
): string | null {
  const r = rUnder(pads);
  if (r === null) return null;
  const asks = rFor(low, onSnow);
  const names = listWords(pads.map(({ name }) => name));
  return (
    `${names}: R ${grouped(r, 1)}; at ${sayTemperature(low, units)}${onSnow ? " on snow" : ""} ` +
    `the ground asks for about ${grouped(asks, 1)} (common practice): ` +
    (r + 0.05 >= asks ? "enough." : "too little, and a warmer bed makes up for little of it.")
  );
}

/** What each label means, as ISO 23537-1 defines it, in short. */
const MEANS: Readonly<Record<LabelMeans, string>> = {
  comfort: "comfort by test (ISO 23537-1): a standard woman lying relaxed just does not feel cold",
  limit: "limit by test (ISO 23537-1): a standard man curled up just keeps in balance",
  extreme:
    "extreme by test (ISO 23537-1): " +
    "survival for a standard woman, with a risk of hypothermia; no temperature to plan by",
  plain: "a number of its maker, from no test that is named",
};

export const sayLabel = (label: Ratings["label"], units: Units): string =>
  label
    ? `The label says ${sayTemperature(label.celsius, units)}, ${MEANS[label.means]}. ` +
      `Labels of different meaning are not compared with one another.`
    : "Nothing is known of its label: say it under Edit on its page.";
