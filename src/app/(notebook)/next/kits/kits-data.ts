import type { Reading } from "@/app/reading";
import { pastOf } from "@/app/past";
import { plansOf } from "@/app/plans";
import type { Trip } from "@/core/model";
import { heldKits, kitChange, lowLike } from "@/core/plan/kits/which-kit";
import { monthOf } from "@/core/sums/days";
import { sleepOf } from "@/core/weighin/sleep";

/** The kits kept, held against the trip ahead, and what the nights out were like month by month. */
export async function kitsAhead(trip: Trip | null, reading: Reading) {
  const { book, log } = reading;
  const { days } = await pastOf(reading);
  const plan = (await plansOf(reading))(trip);
  const foreseen = trip?.foreseen.low ?? null;
  const low = foreseen ?? lowLike(days, monthOf(trip?.starts ?? book.today));
  const held = heldKits(log.kits, { plan, beds: sleepOf(book), low });
  const nights = days.flatMap(({ on, night }) =>
    night?.low != null && !night.roof ? [{ month: monthOf(on), low: night.low, isGuess: night.isGuess }] : [],
  );
  return { held, low, isForeseen: foreseen !== null, change: kitChange(held, { plan }), nights };
}
export type KitsAhead = Awaited<ReturnType<typeof kitsAhead>>;
