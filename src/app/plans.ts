import type { Trip, TripId } from "@/core/model";
import { saidOf } from "@/core/advice/said";
import { foretoldOf } from "@/core/seasons/foretold";
import { planFor, type Plan } from "@/core/plan/plan";
import { store } from "@/data/connection";
import { findTrip } from "@/data/records/trips";
import { keptWith, readLatest, today } from "./reading";

/** All is judged anew for each trip that is planned: once, and kept with the reading. */
export const plansOf = keptWith(async ({ book }) => {
  const plans = new Map<TripId | undefined, Plan>();
  return (trip: Trip | null): Plan => {
    const plan = plans.get(trip?.id) ?? planFor(book, trip);
    plans.set(trip?.id, plan);
    return plan;
  };
});

/**
 * What stands there of all things as the list of a trip to come is made, to be kept with it; null where there is
 * no such trip.
 */
export async function advisedFor(id: TripId): Promise<Trip["advised"]> {
  // Few trips that are saved are plans: the others cost one row.
  if (!(await findTrip(await store(), id))?.planned) return null;
  const reading = await readLatest();
  const trip = reading.log.trips.find((each) => each.id === id);
  if (!trip) return null;
  const plan = (await plansOf(reading))(trip);
  return {
    on: today(),
    said: saidOf(plan.lines.map(({ advice }) => advice)),
    foretold: foretoldOf(plan, trip, trip.foreseen.low),
  };
}
