import type { TripHead } from "../model";
import { daysBetween } from "../sums/days";
import { outingOf } from "./outing";

/** A trip that was planned, as walked from now on; what had been planned of it is kept beside what is walked. */
export function walked<T extends TripHead>(plan: T): T {
  const { nights, metres } = outingOf(plan);
  return {
    ...plan,
    planned: false,
    intended: plan.intended ?? {
      starts: plan.starts,
      ends: plan.ends,
      nights,
      distance: { m: metres, typed: `${metres} m` },
    },
  };
}

/** A walk beside its plan. */
export interface PlannedAgainstWalked {
  readonly nights: { readonly planned: number; readonly walked: number };
  readonly metres: { readonly planned: number; readonly walked: number };
  /** Days that never came; below 0: it took longer. */
  readonly daysShort: number;
}

/** Null where no plan was kept, or it went as planned. */
export function plannedAgainstWalked(trip: TripHead): PlannedAgainstWalked | null {
  const { intended } = trip;
  if (!intended) return null;
  const { days, nights, metres } = outingOf(trip);
  const daysShort = daysBetween(intended.starts, intended.ends) + 1 - days;
  if (daysShort === 0 && nights === intended.nights && metres === intended.distance.m) return null;
  return {
    nights: { planned: intended.nights, walked: nights },
    metres: { planned: intended.distance.m, walked: metres },
    daysShort,
  };
}
