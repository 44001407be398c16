import type { Strength, Trigger } from "../model";

/** One day at a place: what was, or what is expected with the doubt that belongs to it. */
export interface WeatherDay {
  /** ISO day. */
  readonly on: string;
  /** °C: the lowest of the night that begins on it, and the highest of the day. */
  readonly low: number;
  readonly high: number;
  /** Rain or melted snow, mm; sun, hours; wind, the strongest mean of an hour, m/s. */
  readonly rain: number;
  readonly sun: number;
  readonly wind: number;
  /** Half of an 80 % interval of `low` and `high`, °C; 0 of a day that was. */
  readonly doubt: number;
}

/** Whoever tells the weather: a service elsewhere, or the stand-in that ships with the app. */
export interface WeatherDesk {
  readonly places: readonly string[];
  /** Days that were, up to yesterday, and days that are expected, from `today` on. Empty for an unknown place. */
  days(place: string, from: string, to: string, today: string): Promise<readonly WeatherDay[]>;
}

/** How strong a thing is, from how many of the days had it, and whether any had much of it. */
function strength(share: number, isMuch: boolean, strongFrom: number): Strength {
  if (share === 0) return "none";
  return isMuch || share >= strongFrom ? "strong" : "some";
}

/** Conditions of a trip as days of weather make them. Lines are common practice, no source. */
export function conditionsOf(days: readonly WeatherDay[]): Partial<Record<Trigger, Strength>> {
  if (days.length === 0) return {};
  const share = (is: (day: WeatherDay) => boolean) => days.filter(is).length / days.length;
  const any = (is: (day: WeatherDay) => boolean) => days.some(is);
  return {
    rain: strength(
      share(({ rain, high }) => rain >= 1 && high >= 2),
      any(({ rain }) => rain >= 15),
      1 / 3,
    ),
    "snow or ice": strength(
      share(({ rain, high }) => rain >= 1 && high < 2),
      any(({ low }) => low < -8),
      1 / 2,
    ),
    cold: strength(
      share(({ low }) => low < 5),
      any(({ low }) => low < 0),
      2 / 3,
    ),
    freezing: strength(
      share(({ low }) => low < 0),
      any(({ low }) => low < -5),
      1 / 2,
    ),
    heat: strength(
      share(({ high }) => high >= 27),
      any(({ high }) => high >= 32),
      1 / 2,
    ),
    wind: strength(
      share(({ wind }) => wind >= 10),
      any(({ wind }) => wind >= 15),
      1 / 2,
    ),
    sun: strength(
      share(({ sun }) => sun >= 4),
      false,
      2 / 3,
    ),
  };
}
