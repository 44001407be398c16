import { daysAfter, daysBetween } from "../sums/days";
import { count, sayDay, sayDays } from "../units/speak";
import { nth } from "../sums/there";

/** One reading by the walker's own clock: `at` is local, "2026-05-01T22:10", without a zone. */
export interface Reading {
  readonly at: string;
  /** °C. */
  readonly c: number;
}

/** A night by the day that it began on. */
export interface NightLow {
  readonly on: string;
  readonly low: number;
}

export interface NightLows {
  readonly nights: readonly NightLow[];
  /** What was noticed: nights without readings, gaps, a sensor that stood still. */
  readonly notes: readonly string[];
}

/** A night is looked for between these hours of the clock. Common practice, no source. */
const DUSK = "18:00";
const DAWN = "09:00";
/** So long without a reading, in minutes, a night's lowest may have been missed. */
const GAP_MINUTES = 180;
/** A sensor that says the same for so long, in minutes, is stuck or lay in a pocket. */
const STUCK_MINUTES = 360;

/**
 * The lowest reading of each night of a trip. The clock is the walker's: a night in which it was changed is
 * as long as its readings say.
 *
 * @param starts first day of the trip, ISO; `ends` its last
 * @returns a sentence where no reading lies within the trip
 */
export function nightLows(
  readings: readonly Reading[],
  starts: string,
  ends: string,
): NightLows | { readonly why: string } {
  const within = readings.filter(({ at }) => at >= starts && at < `${daysAfter(ends, 1)}T24`);
  if (within.length === 0) {
    const [first, last] = [readings[0]?.at.slice(0, 10), readings.at(-1)?.at.slice(0, 10)];
    return {
      why:
        first && last
          ? `Its readings are of ${sayDays(first, last)}; the trip was ${sayDays(starts, ends)}.`
          : "There are no readings in it.",
    };
  }
  const nights: NightLow[] = [];
  const notes: string[] = [];
  const missing: string[] = [];
  const gaps: string[] = [];
  for (let n = 0; n < daysBetween(starts, ends); n++) {
    const on = daysAfter(starts, n);
    const night = within.filter(({ at }) => at >= `${on}T${DUSK}` && at <= `${daysAfter(on, 1)}T${DAWN}`);
    if (night.length === 0) {
      missing.push(on);
      continue;
    }
    if (longestGap(night, `${on}T${DUSK}`, `${daysAfter(on, 1)}T${DAWN}`) > GAP_MINUTES) gaps.push(on);
    nights.push({ on, low: Math.min(...night.map(({ c }) => c)) });
  }
  if (missing.length > 0)
    notes.push(`${count(missing.length, "night")} without a reading: ${missing.map(sayDay).join(", ")}.`);
  if (gaps.length > 0)
    notes.push(
      `Over three hours without a reading in the night of ${gaps.map(sayDay).join(", ")}: it may have been colder.`,
    );
  const stuck = stuckSince(within);
  if (stuck)
    notes.push(
      `From ${sayDay(stuck.at.slice(0, 10))}, ${stuck.at.slice(11)}, ` +
        `it says ${stuck.c} °C for over six hours: stuck, or not out in the air.`,
    );
  return { nights, notes };
}

const minutesBetween = (from: string, to: string) => (Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60_000;

function longestGap(night: readonly Reading[], dusk: string, dawn: string): number {
  const at = [dusk, ...night.map((reading) => reading.at), dawn];
  return Math.max(...at.slice(1).map((time, n) => minutesBetween(nth(at, n), time)));
}

/** The first reading of a long run of the same one; null where there is none. */
function stuckSince(readings: readonly Reading[]): Reading | null {
  let from = nth(readings, 0);
  for (const reading of readings) {
    if (reading.c !== from.c) from = reading;
    else if (minutesBetween(from.at, reading.at) >= STUCK_MINUTES) return from;
  }
  return null;
}
