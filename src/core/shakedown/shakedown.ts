import { normalBelow } from "../belief/comfort";
import type { Trigger } from "../model";
import type { Day } from "../replay/days";
import { areNear, daysAfter, monthOf } from "../sums/days";
import { SETTINGS, type Setting } from "../trade/trials";
import type { WeatherDay } from "../weather/desk";
import type { Doubt } from "./doubts";
import { nth } from "../sums/there";

/** What a day near home may bring: the chance, 0 to 1, of each weather, and of a night as cold as a low, °C. */
export interface Sky {
  readonly on: string;
  readonly chance: (trigger: Trigger) => number;
  readonly coldTo: (low: number) => number;
}

/** An outing near home. */
interface OutingSort {
  readonly name: string;
  readonly hours: number;
  readonly setting: Setting;
  /** Days, and nights, that it lasts. */
  readonly days: number;
}

/** From the shortest. Hours are common practice, no source. */
export const NEAR: readonly OutingSort[] = [
  { name: "an evening in the garden", hours: 2, setting: "evening", days: 1 },
  { name: "a day’s walk with the whole pack", hours: 8, setting: "day", days: 1 },
  { name: "a night out", hours: 20, setting: "night", days: 1 },
  { name: "two nights out", hours: 44, setting: "night", days: 2 },
];

/** A doubt, and how likely an outing settles it, 0 to 1. */
interface Settles {
  readonly doubt: Doubt;
  readonly chance: number;
}

/** An outing on certain days, and what it would settle. */
export interface Shakedown {
  readonly sort: OutingSort;
  readonly on: string;
  readonly settles: readonly Settles[];
  /** How much of what there is to know it is likely to tell. */
  readonly worth: number;
}

const deep = (setting: Setting) => SETTINGS.indexOf(setting);

/**
 * How likely some days of an outing settle a doubt: where it can be tried there, and one of them has the weather
 * for it.
 */
function chanceToSettle({ setting, weather, low }: Doubt, sort: OutingSort, skies: readonly Sky[]): number {
  if (deep(sort.setting) < deep(setting)) return 0;
  const missed = skies.reduce((product, sky) => {
    const met = weather.reduce((all, trigger) => all * sky.chance(trigger), 1);
    return product * (1 - met * (low === null ? 1 : sky.coldTo(low)));
  }, 1);
  return 1 - missed;
}

/** Every outing that there is time for, with what it would settle. */
export function shakedowns(doubts: readonly Doubt[], skies: readonly Sky[]): Shakedown[] {
  return NEAR.flatMap((sort) =>
    skies.slice(0, Math.max(0, skies.length - sort.days + 1)).map((sky, n): Shakedown => {
      const those = skies.slice(n, n + sort.days);
      const settles = doubts.map((doubt) => ({ doubt, chance: chanceToSettle(doubt, sort, those) }));
      const worth = settles.reduce((sum, { doubt, chance }) => sum + doubt.weight * chance, 0);
      return { sort, on: sky.on, settles, worth };
    }),
  );
}

/** An outing that tells so much of what the best would, 0 to 1, is as good, and the shorter is taken. */
const AS_GOOD = 0.9;

/** The shortest outing that settles most, on the day that it does so best; null where nothing is to be settled. */
export function shortestOf(all: readonly Shakedown[]): Shakedown | null {
  const most = Math.max(0, ...all.map(({ worth }) => worth));
  if (most === 0) return null;
  const good = all.filter(({ worth }) => worth >= AS_GOOD * most);
  const least = Math.min(...good.map(({ sort }) => sort.hours));
  return nth(
    good.filter(({ sort }) => sort.hours === least).toSorted((a, b) => b.worth - a.worth),
    0,
  );
}

/** Of each sort of outing the day on which it settles most, from the shortest. */
export const bestOfEach = (all: readonly Shakedown[]): Shakedown[] =>
  NEAR.flatMap(
    (sort) => all.filter((each) => each.sort === sort).toSorted((a, b) => b.worth - a.worth)[0] ?? [],
  );

/**
 * A forecast of rain or wind comes so often, and what it does not see comes so often all the same. Common
 * practice, no source.
 */
const [SEEN_COMES, UNSEEN_COMES] = [0.8, 0.15];
const WET_MM = 1;
const WINDY = 8;
/** From half of an 80 % interval to a standard deviation. */
const EIGHTY = 1.2816;

/** A day as the weather desk expects it. */
export function skyOf({ on, low, rain, wind, doubt }: WeatherDay): Sky {
  const spread = Math.max(0.5, doubt / EIGHTY);
  const coldTo = (to: number) => normalBelow((to - low) / spread);
  const comes = (isSeen: boolean) => (isSeen ? SEEN_COMES : UNSEEN_COMES);
  return {
    on,
    coldTo,
    chance: (trigger) => {
      if (trigger === "rain") return comes(rain >= WET_MM);
      if (trigger === "wind") return comes(wind >= WINDY);
      if (trigger === "cold") return coldTo(5);
      return trigger === "freezing" ? coldTo(0) : 0;
    },
  };
}

/** Days at a time of year that say how often a weather comes then. */
const ENOUGH_DAYS = 5;
/** Where nobody can say. */
const UNKNOWN = 0.3;

/** A day of which no forecast tells: as often as the owner's own days at that time of year had it. */
export function skyLike(on: string, days: readonly Day[]): Sky {
  const like = days.filter((day) => areNear(monthOf(day.on), monthOf(on)));
  const share = (has: (day: Day) => boolean) =>
    like.length < ENOUGH_DAYS ? UNKNOWN : like.filter(has).length / like.length;
  return {
    on,
    chance: (trigger) => share(({ weather }) => weather.has(trigger)),
    coldTo: (low) => share(({ night }) => night?.low != null && night.low <= low),
  };
}

/** The days between today and a departure on which one can be out and back, at most two weeks of them. */
export function daysBefore(today: string, departs: string): string[] {
  const days = Array.from({ length: 14 }, (_, n) => daysAfter(today, n));
  // The last evening is for packing.
  return days.filter((day) => day < daysAfter(departs, -1));
}
