import type { Comfort } from "../belief/comfort";
import type { LabelMeans, Ratings } from "../model";
import { count, sayTemperature, type Units } from "../units/speak";

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
