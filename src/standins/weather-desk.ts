import { addDays, differenceInCalendarDays, formatISO, getDayOfYear, parseISO } from "date-fns";
import type { WeatherDay, WeatherDesk } from "@/core/weather/desk";

/** What a place is like: its mean and swing over the year in °C, how often it rains, how hard it blows. */
interface Climate {
  readonly mean: number;
  readonly swing: number;
  readonly rainy: number;
  readonly windy: number;
}

/** Islands that are on no map, and their invented climate. */
const CLIMATES: Readonly<Record<string, Climate>> = {
  Saltpan: { mean: 15, swing: 7, rainy: 0.25, windy: 7 },
  Ember: { mean: 13, swing: 8, rainy: 0.3, windy: 9 },
  Quillet: { mean: 16, swing: 7, rainy: 0.2, windy: 6 },
  Vask: { mean: 11, swing: 6, rainy: 0.55, windy: 9 },
  Hask: { mean: 3, swing: 9, rainy: 0.35, windy: 10 },
  Tirrowen: { mean: 9, swing: 8, rainy: 0.45, windy: 11 },
  Sunder: { mean: 12, swing: 7, rainy: 0.4, windy: 8 },
  Cinder: { mean: 17, swing: 8, rainy: 0.15, windy: 7 },
};

/** Days ahead beyond which a forecast knows no more than the climate. */
const HORIZON = 12;
/** Spread of one day's temperature around its season, °C. */
const DAILY_SPREAD = 3.5;
/** From a standard deviation to half of an 80 % interval. */
const EIGHTY = 1.2816;

/** Stands in for a weather service: seeded by place and day, so that it says the same each time it is asked. */
export const weatherDesk: WeatherDesk = {
  places: Object.keys(CLIMATES),
  days: (place, from, to, today) => {
    const climate = CLIMATES[place];
    const many = differenceInCalendarDays(parseISO(to), parseISO(from)) + 1;
    return Promise.resolve(
      !climate
        ? []
        : Array.from({ length: Math.max(0, many) }, (_, n) => {
            const on = formatISO(addDays(parseISO(from), n), { representation: "date" });
            const ahead = differenceInCalendarDays(parseISO(on), parseISO(today));
            return ahead < 0 ? dayAt(place, climate, on) : forecast(place, climate, on, ahead);
          }),
    );
  },
};

/** A day as it was, or will have been. */
function dayAt(place: string, climate: Climate, on: string): WeatherDay {
  const random = seeded(`${place} ${on}`);
  const season = Math.cos((2 * Math.PI * (getDayOfYear(parseISO(on)) - 200)) / 365);
  const middle = climate.mean + climate.swing * season + DAILY_SPREAD * normal(random);
  const isWet = random() < climate.rainy;
  const between = 3 + 5 * random() * (isWet ? 0.6 : 1);
  return {
    on,
    low: tenth(middle - between),
    high: tenth(middle + between),
    rain: isWet ? tenth(-8 * Math.log(1 - random())) : 0,
    sun: tenth((isWet ? 3 : 9) * random()),
    wind: tenth(climate.windy * (0.5 + random())),
    doubt: 0,
  };
}

/** What is expected of a day: the truth with an error that grows with the days ahead, then the climate alone. */
function forecast(place: string, climate: Climate, on: string, ahead: number): WeatherDay {
  const truth = dayAt(place, climate, on);
  const random = seeded(`${place} ${on} seen ${ahead} days ahead`);
  const season = Math.cos((2 * Math.PI * (getDayOfYear(parseISO(on)) - 200)) / 365);
  const usual = climate.mean + climate.swing * season;
  if (ahead > HORIZON)
    return {
      on,
      low: tenth(usual - 5.5),
      high: tenth(usual + 5.5),
      rain: climate.rainy > 0.5 ? 2 : 0,
      sun: 4,
      wind: climate.windy,
      doubt: tenth(EIGHTY * Math.hypot(DAILY_SPREAD, 1.5)),
    };
  const spread = 0.8 + 0.25 * ahead;
  const error = spread * normal(random);
  // The further ahead, the likelier that rain is missed or made up.
  const isMistaken = random() < Math.min(0.4, 0.04 * ahead);
  const otherRain = truth.rain > 0 ? 0 : 3;
  return {
    on,
    low: tenth(truth.low + error),
    high: tenth(truth.high + error),
    rain: isMistaken ? otherRain : truth.rain,
    sun: truth.sun,
    wind: truth.wind,
    doubt: tenth(EIGHTY * spread),
  };
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** Numbers from 0 to 1, the same for the same words. */
function seeded(words: string): () => number {
  let state = 2_166_136_261;
  for (const letter of words) state = Math.imul(state ^ letter.codePointAt(0)!, 16_777_619);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A standard normal number (Box–Muller). */
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
