import type { Book } from "@/core/ledger/book";
import { outingOf } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { daysOf, type Day } from "@/core/replay/days";
import { sayTotals, sayWayAndNight, sayWhichDay } from "@/core/replay/words";
import { theThing } from "@/core/say/words";
import { listWords } from "@/core/units/speak";
import { weatherDesk } from "@/standins/weather-desk";
import { AskDays } from "./ask-days";
import { DayGrid } from "./day-grid";
import { DAY_WEATHERS } from "./day-weathers";

/** What each day asked: its way, its weather and its night, as told or guessed, and told by a tap. */
export function DayByDay({ trip, book }: { trip: Trip; book: Book }) {
  const days = daysOf(outingOf(trip));
  return (
    <section aria-labelledby="days-title" className="mt-8">
      <h2 id="days-title" className="mb-1 border-b-2 border-ink pb-1 text-lg">
        Day by day
      </h2>
      <p className="hint mb-2">
        A tap says how much of it there was: some, much, none, nobody knows. Pale is a guess, from what was
        told of the whole walk.
      </p>
      <p>{sayTotals(days, book.settings.units)}</p>
      <AskDays trip={trip.id} places={weatherDesk.places} />
      <DayGrid
        trip={trip.id}
        days={days.map((day) => ({
          n: day.n,
          on: day.on,
          words: sayWhichDay(day),
          more: `${sayWayAndNight(day, book.settings.units)}${sayBed(day, book)}`,
          weather: DAY_WEATHERS.map(([trigger]) => strengthOf(day, trigger, trip)),
        }))}
      />
    </section>
  );
}

/** What was slept in, where that was told: ", in the quilt and the silk liner". */
function sayBed({ night }: Day, book: Book): string {
  const slept = (night?.slept ?? []).flatMap((id) => book.item(id) ?? []).map(theThing);
  return slept.length > 0 ? `, in ${listWords(slept, "and")}` : "";
}

/** How strong it was, and whether somebody said so of that day. */
function strengthOf({ on, weather, guessed }: Day, trigger: (typeof DAY_WEATHERS)[number][0], trip: Trip) {
  const told = trip.daily.find((day) => day.on === on)?.weather[trigger];
  return {
    strength: told ?? weather.get(trigger) ?? "none",
    isTold: told !== undefined || (weather.has(trigger) && !guessed.has(trigger)),
    byHand: told !== undefined,
  };
}
