import { pastOf } from "@/app/past";
import { plansOf } from "@/app/plans";
import type { Reading } from "@/app/reading";
import type { Entry, Trip } from "@/core/model";
import { doubtsOf } from "@/core/shakedown/doubts";
import {
  bestOfEach,
  daysBefore,
  shakedowns,
  shortestOf,
  skyLike,
  skyOf,
  type Sky,
} from "@/core/shakedown/shakedown";
import { daysBetween } from "@/core/sums/days";
import type { WeatherDay } from "@/core/weather/desk";
import { weatherDesk } from "@/standins/weather-desk";
import { lastOf, nth } from "@/core/sums/there";

/** Days back from which a trial is still news. */
const LATELY = 30;

/** The walk that most hangs on: of those to come the one with the most nights. */
export const bigTrip = (planned: readonly Trip[], asked: string | undefined): Trip | null =>
  planned.find(({ id }) => id === asked) ??
  planned.toSorted((a, b) => daysBetween(b.starts, b.ends) - daysBetween(a.starts, a.ends))[0] ??
  null;

/** What the weather desk expects near home on some days; none where it does not know the place. */
export const expectedAt = async (place: string | undefined, days: readonly string[], today: string) =>
  place !== undefined && days.length > 0 ? weatherDesk.days(place, nth(days, 0), lastOf(days), today) : [];

/** Everything that the page shows. */
export async function shakedownFor(trip: Trip, place: string | undefined, reading: Reading) {
  const { book, log } = reading;
  const doubts = doubtsOf((await plansOf(reading))(trip), trip);
  const days = daysBefore(book.today, trip.starts);
  const expected = new Map<string, WeatherDay>(
    (await expectedAt(place, days, book.today)).map((day) => [day.on, day]),
  );
  const { days: past } = await pastOf(reading);
  const skies = days.map((on): Sky => {
    const forecast = expected.get(on);
    return forecast ? skyOf(forecast) : skyLike(on, past);
  });
  const all = shakedowns(doubts, skies);
  return {
    doubts,
    best: shortestOf(all),
    each: bestOfEach(all),
    expected,
    tried: triedLately(log.entries, book.today),
  };
}

/** What was tried of late, and what was found not right. */
const triedLately = (entries: readonly Entry[], today: string): Entry[] =>
  entries
    .filter(({ what, on }) => what === "trial" && daysBetween(on, today) <= LATELY)
    .toSorted((a, b) => b.on.localeCompare(a.on));
