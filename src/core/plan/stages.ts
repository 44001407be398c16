import { isAlong } from "./columns";
import { lastOf, nth } from "../sums/there";
import { essentialJobs } from "../decide/law";
import { strengthOn } from "../ledger/outing";
import { endsOf } from "../ledger/stretches";
import type { LegId, Trip } from "../model";
import { isUnavoidable } from "../trade/triggers";
import { ENOUGH, supplyUses } from "../weighin/supplies";
import { countsAs } from "../weighin/weigh-in";
import { daysToShop } from "./supplies";
import { callOn } from "../advice/foresee";
import type { Plan, PlanLine } from "./plan";

/** A leg of the trip ahead, and what is carried where it begins. */
export interface Stage {
  readonly leg: LegId;
  readonly name: string;
  /** Metres from the start of the trip. */
  readonly from: number;
  readonly to: number;
  /** Metres of ascent; null where nobody told. */
  readonly ascent: number | null;
  readonly nights: number;
  /**
   * Grams on the back at its start: things, food to the next shop and what is left of the fuel; water is not
   * counted.
   */
  readonly onBack: number;
  readonly worn: number;
}

/** A thing that only some legs call for. */
export interface OnSomeLegs {
  readonly line: PlanLine;
  /** Places of the legs that call for it, from 0. */
  readonly legs: readonly number[];
  /** Metres of the others. */
  readonly without: number;
  readonly postedAhead: boolean;
  readonly sentHome: boolean;
}

/**
 * Gram-metres that sending a thing on or home must save to be worth the walk to the post. Common practice, no
 * source.
 */
const WORTH_POSTING = 5_000_000;

/** Each leg of a trip to come with its load, as things are sent on and home where `some` says so. */
export function stagesOf(plan: Plan, trip: Trip, some: readonly OnSomeLegs[]): Stage[] {
  const ends = endsOf(trip.legs);
  const { next } = plan;
  const { book } = plan.kit;
  const uses = supplyUses(book);
  const enoughOf = (sort: string, over: string, unit: string) =>
    uses
      .find(({ rule }) => rule.sort === sort && rule.over === over && rule.unit === unit)!
      .rate.enoughFor(ENOUGH);
  const food = enoughOf("food", "day", "g");
  const gas = enoughOf("fuel", "night", "g");
  const toShop = daysToShop(plan, trip);
  let gone = 0;
  return next.stretches.map(({ leg, name, share }, n) => {
    const day = gone * next.days;
    gone += share;
    const along = plan.lines.filter(
      ({ item, column }) =>
        isAlong(column) && !some.some(({ line, legs }) => line.item === item && !legs.includes(n)),
    );
    const weigh = (counts: (item: PlanLine["item"]) => boolean) =>
      along.reduce((sum, { item, advice }) => sum + (counts(item) ? (advice.grams ?? 0) : 0), 0);
    const burnt = along.some(({ item }) => item.kind === "fuel") ? (gas * next.nights * day) / next.days : 0;
    return {
      leg: leg!,
      name: name || `Leg ${n + 1}`,
      from: nth(ends, n),
      to: nth(ends, n + 1),
      ascent: nth(trip.legs, n).ascent?.m ?? null,
      nights: next.nights * share,
      onBack: Math.max(0, weigh((item) => countsAs(item) !== "worn") - burnt) + food * nth(toShop, n),
      worn: weigh((item) => countsAs(item) === "worn"),
    };
  });
}

/**
 * What goes and is called for on some legs only, all of them in one stretch, so that it can be posted ahead
 * to the first of them or sent home after the last. What is dangerous to lack stays in the pack, but for
 * traction where there is no ice.
 */
export function onSomeLegs(plan: Plan, trip: Trip): OnSomeLegs[] {
  if (trip.legs.length < 2) return [];
  return plan.lines
    .filter(({ column }) => isAlong(column))
    .flatMap((line): OnSomeLegs[] => {
      const { item, advice } = line;
      if (item.triggers.some(isUnavoidable)) return [];
      if (essentialJobs(advice.case).some((job) => job !== "traction")) return [];
      const legs = trip.legs.flatMap(({ id }, n) => {
        const strength = (trigger: (typeof item.triggers)[number]) => strengthOn(trip, [id], trigger);
        const call = callOn(
          item,
          { nights: nth(plan.next.stretches, n).share * plan.next.nights, strength },
          plan.kit.book,
        );
        return call.is === "not called" ? [] : [n];
      });
      const isOneStretch = legs.every((n, at) => at === 0 || n === nth(legs, at - 1) + 1);
      const without = trip.legs.reduce(
        (sum, { distance }, n) => sum + (legs.includes(n) ? 0 : distance.m),
        0,
      );
      const saved = (advice.grams ?? 0) * without;
      if (legs.length === 0 || !isOneStretch || saved < WORTH_POSTING) return [];
      return [
        {
          line,
          legs,
          without,
          postedAhead: nth(legs, 0) > 0,
          sentHome: lastOf(legs) < trip.legs.length - 1,
        },
      ];
    });
}
