"use client";

import type { Strength, TripId } from "@/core/model";
import { useDoing } from "@/ui/use-doing";
import { setDay, setDays } from "../../../actions";
import { DAY_WEATHERS } from "./day-weathers";
import { nth } from "@/core/sums/there";

interface DayCell {
  readonly strength: Strength;
  /** Somebody said so: of that day, or by counting the days. */
  readonly isTold: boolean;
  /** It was said here, and can be taken back. */
  readonly byHand: boolean;
}

interface DayGridProps {
  readonly trip: TripId;
  readonly days: readonly {
    readonly n: number;
    readonly on: string;
    readonly words: string;
    /** Its way and its night. */
    readonly more: string;
    /** In the order of the columns. */
    readonly weather: readonly DayCell[];
  }[];
}

/** What a tap makes of it: some, much, none, and nobody knows again. */
function afterTap({ strength, byHand }: DayCell): Strength | null {
  if (!byHand) return strength === "some" ? "strong" : "some";
  return AFTER[strength];
}
const AFTER = { some: "strong", strong: "none", none: null } as const;

const SIGNS: Readonly<Record<Strength, string>> = { none: "–", some: "/", strong: "//" };
const SAID: Readonly<Record<Strength, string>> = { none: "none", some: "some", strong: "much" };

/** The days of a walk against their weather, a tap a cell. */
export function DayGrid({ trip, days }: DayGridProps) {
  const { busy, run } = useDoing();
  const tap = (on: string, trigger: (typeof DAY_WEATHERS)[number][0], head: string, cell: DayCell) => {
    const strength = afterTap(cell);
    run(() => setDay(trip, { on, trigger, strength }), {
      says: () => `${head}: ${strength === null ? "nobody knows" : SAID[strength]}`,
      undo: (was) => setDays(trip, was),
    });
  };
  return (
    <div
      className="max-h-96 overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="The days and their weather"
    >
      <table className="text-sm">
        <thead className="sticky top-0 bg-paper text-left text-muted">
          <tr>
            <th className="pr-4 font-normal">Day</th>
            {DAY_WEATHERS.map(([trigger, head]) => (
              <th key={trigger} className="min-w-11 text-center font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {days.map(({ n, on, words, more, weather }) => (
            <tr
              key={on}
              id={`day-${n}`}
              className="border-t border-rule target:bg-leaf-soft target:font-semibold"
            >
              <th scope="row" className="min-w-36 py-1 pr-4 text-left font-normal">
                {words}
                <span className="block text-muted">{more}</span>
              </th>
              {weather.map((cell, at) => {
                const [trigger, head] = nth(DAY_WEATHERS, at);
                return (
                  <td key={trigger} className="p-0 text-center">
                    <button
                      type="button"
                      disabled={busy}
                      className={`min-h-8 w-full min-w-11 hover:bg-leaf-soft pointer-coarse:min-h-11 ${cell.isTold || cell.byHand ? "font-bold" : "text-muted"}`}
                      aria-label={`${head} on day ${n}: ${SAID[cell.strength]}${cell.isTold ? "" : ", guessed"}`}
                      onClick={() => tap(on, trigger, head, cell)}
                    >
                      {SIGNS[cell.strength]}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
