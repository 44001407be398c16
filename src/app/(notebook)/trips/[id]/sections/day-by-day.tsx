import { outingOf } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { daysOf } from "@/core/replay/days";
import { sayOfDay } from "@/core/replay/words";
import type { Units } from "@/core/units/speak";

/** What each day asked: its way, its weather and its night, as told or guessed. */
export function DayByDay({ trip, units }: { trip: Trip; units: Units }) {
  const days = daysOf(outingOf(trip));
  return (
    <>
      <h2 className="mb-1 mt-5 text-lg">Day by day</h2>
      <ol className="max-h-80 overflow-y-auto" tabIndex={0} aria-label="Day by day">
        {days.map((day) => (
          <li
            key={day.n}
            id={`day-${day.n}`}
            className="border-b border-rule py-0.5 target:bg-leaf-soft target:font-semibold"
          >
            {sayOfDay(day, units)}
          </li>
        ))}
      </ol>
      <p className="hint">Perhaps: told of the whole walk, and of no day.</p>
    </>
  );
}
