import { groupBy } from "../sums/group";
import { nth, lastOf } from "../sums/there";
import type { Job } from "../model";
import type { FullItem } from "../trade/full-item";
import { RANK } from "../trade/jobs";
import { FORESEEN, TRIGGER_RULES } from "../trade/triggers";
import {
  capital,
  count,
  inWords,
  listWords,
  sayDay,
  sayDistance,
  sayHeight,
  sayPoured,
  sayMass,
  sayTemperature,
  someOf,
  type Units,
} from "../units/speak";
import { theThing } from "../say/words";
import type { Day } from "./days";
import type { ColdNight, Replayed } from "./replay";

/** What one thing did that nothing on a list does, over all the days. */
export interface LackTold {
  readonly thing: FullItem;
  readonly job: Job | null;
  readonly days: readonly Day[];
  readonly words: string;
}

/** Lacks by the thing that was used then: what is worst to lack first, then what was lacking longest. */
export const lacksTold = ({ lacks }: Pick<Replayed, "lacks">): LackTold[] =>
  [...groupBy(lacks, ({ thing, job }) => `${thing.id} ${job}`).values()]
    .map((same): LackTold => {
      const { thing, job } = nth(same, 0);
      const days = same.flatMap((each) => each.days);
      const instead = job === null ? "" : ", nor anything in its place,";
      const words = `no ${plainOf(thing)}${instead} on ${count(days.length, "day")}`;
      return { thing, job, days, words };
    })
    .sort((a, b) => RANK[b.thing.consequence] - RANK[a.thing.consequence] || b.days.length - a.days.length);

const plainOf = (thing: FullItem) => theThing(thing).replace(/^the /, "");

/** A night told as cold: "25 January 2025, −9 °C in the quilt and the down jacket". */
export function sayCold({ day, low, way }: ColdNight, units: Units): string {
  const bed = way ? `in ${listWords([way.bed, ...way.extras].map(theThing), "and")}` : "and no bed";
  return `${sayDay(day.on)}, ${low === null ? "" : `${sayTemperature(low, units)} `}${bed}`;
}

const coldNights = (n: number) => `${inWords(n)} cold ${n === 1 ? "night" : "nights"}`;

/** Named in the sentence; more are counted. */
const NAMED = 2;

/** What a list would have come to over the owner's own days: never safe, always on those days. */
export function sayReplay(replayed: Replayed, units: Units): string {
  const { days, less, cold, water, there } = replayed;
  if (days.length === 0) return "No day of yours was like that: nothing can be said.";
  const lacks = lacksTold(replayed);
  const grams = Math.round(less);
  const weight =
    grams === 0 ? "as heavy" : `${sayMass(Math.abs(grams), units)} ${grams > 0 ? "less" : "more"}`;
  const nights =
    cold.length === 0
      ? []
      : [`${coldNights(cold.length)} (${rest(cold.map((each) => sayCold(each, units)))})`];
  const short =
    water.length === 0
      ? []
      : [
          `water short ${water.length === 1 ? "once" : `${inWords(water.length)} times`}, by ${sayPoured(Math.max(...water.map(({ by }) => by)), units)} at most`,
        ];
  const lacking = lacks.length === 0 ? [] : [rest(lacks.map(({ words }) => words))];
  const told = [...nights, ...lacking, ...short];
  const had =
    there.length > 0
      ? ` It has what you missed: ${listWords([...new Set(there.map(({ what }) => what))], "and")}.`
      : "";
  return `Over ${count(days.length, "day")} of yours: ${weight}; ${told.length > 0 ? told.join("; ") : "nothing was missed on them"}.${had}`;
}

function rest(all: readonly string[]): string {
  const more = all.length - NAMED;
  return `${all.slice(0, NAMED).join("; ")}${more > 0 ? `; and ${count(more, "more", "more")}` : ""}`;
}

/** Its way and its night, the low as a guess where it is one: "13 km, perhaps down to 4 °C". */
export function sayWayAndNight({ metres, ascent, night }: Day, units: Units): string {
  const low = night?.low ?? null;
  return [
    sayDistance(metres, units),
    ...(ascent === null ? [] : [`${sayHeight(ascent, units)} up`]),
    ...(low === null ? [] : [`${night!.isGuess ? "perhaps " : ""}down to ${sayTemperature(low, units)}`]),
    ...(night?.roof ? ["under a roof"] : []),
  ].join(", ");
}

export const sayWhichDay = ({ n, on }: Day) => `Day ${n}, ${sayDay(on)}`;

/** A day in words: way, night and weather; what is a guess apart. */
export function sayOfDay(day: Day, units: Units): string {
  const words = (isGuess: boolean) =>
    [...day.weather].flatMap(([trigger, strength]) =>
      day.guessed.has(trigger) === isGuess
        ? [`${strength === "strong" ? "much " : ""}${TRIGGER_RULES[trigger].words}`]
        : [],
    );
  const [told, guess] = [words(false), words(true)];
  return [
    sayWhichDay(day),
    sayWayAndNight(day, units),
    ...told,
    ...(guess.length > 0 ? [`perhaps ${guess.join(", ")}`] : []),
  ].join(", ");
}

/** What leaving one thing at home would have come to, all else as it goes along; null before the first walk. */
export function sayWithout(replayed: Replayed, thing: FullItem): string | null {
  const { days, cold } = replayed;
  if (days.length === 0) return null;
  const missing = lacksTold(replayed).filter((lack) => lack.thing.id === thing.id);
  const told = [
    ...missing.map(
      (lack) =>
        `missed on ${count(lack.days.length, "day")}, the last of them ${sayDay(lastOf(lack.days).on)}`,
    ),
    ...(cold.length > 0 ? [`${coldNights(cold.length)}, ${sayDay(lastOf(cold).day.on)} the last`] : []),
  ];
  return `Left at home over your ${count(days.length, "day")}: ${told.length > 0 ? told.join("; ") : "something else would have done on all of them, or nothing asked for it"}.`;
}

/** What the days of a walk come to, guesses with them: "Rain on two of five days; one night of three below 0 °C." */
export function sayTotals(days: readonly Day[], units: Units): string {
  const had = FORESEEN.flatMap((trigger) => {
    const n = days.filter(({ weather }) => weather.has(trigger)).length;
    return n > 0 ? [{ trigger, n }] : [];
  }).sort((a, b) => b.n - a.n);
  const weathers = had.map(({ trigger, n }, at) => {
    const { words } = TRIGGER_RULES[trigger];
    const named = at === 0 ? capital(words) : words;
    if (days.length === 1) return named;
    return at === 0 ? `${named} on ${someOf(n, days.length)} days` : `${named} on ${inWords(n)}`;
  });
  const lows = days.flatMap(({ night }) => (night?.low != null && !night.roof ? [night.low] : []));
  const frosty = lows.filter((low) => low < 0).length;
  const nights =
    lows.length > 0
      ? [
          `${someOf(frosty, lows.length)} ${lows.length === 1 ? "night" : "nights"} below ${sayTemperature(0, units)}, the coldest ${sayTemperature(Math.min(...lows), units)}`,
        ]
      : [];
  const told = [...(weathers.length > 0 ? [listWords(weathers, "and")] : []), ...nights];
  return told.length > 0 ? `${capital(told.join("; "))}.` : "";
}
