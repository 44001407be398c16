import { isAlong } from "./columns";
import { daysAfter } from "../sums/days";
import { nth } from "../sums/there";
import { FAILING_COST } from "../decide/cost";
import type { Job, Trip } from "../model";
import { isOffered, JOB_RULES, RANK } from "../trade/jobs";
import type { FullItem } from "../trade/full-item";
import { endsOf } from "../ledger/stretches";
import type { Plan, PlanLine } from "./plan";

/** A place on the way where a thing can be had again, or one gets out: a shop, a town, the end. */
export interface WayOut {
  readonly name: string;
  /** Metres from the start. */
  readonly at: number;
  readonly is: "shop" | "town" | "end";
}

/** What comes of it if a thing fails on the way. */
export interface IfItFails {
  readonly line: PlanLine;
  /** Chance, 0 to 1, that it gives out; null where nobody can say. */
  readonly chance: number | null;
  /** Along too, and no use or less without it. */
  readonly takes: readonly FullItem[];
  /** Along too, trusted, and doing its job. */
  readonly standsIn: readonly FullItem[];
  /** Where it would most likely be, and the first way out after that; null where nobody can say where. */
  readonly at: number | null;
  readonly out: WayOut;
  /**
   * The last day to order another so that it comes in time; null where none is wished for, or nobody told
   * how long that takes.
   */
  readonly orderBy: string | null;
  /** That day is over. */
  readonly isTooLate: boolean;
}

export interface Fails {
  readonly outs: readonly WayOut[];
  /** The longest stretch between two of them, and to which it leads. */
  readonly longest: { readonly metres: number; readonly to: WayOut } | null;
  /** The worst first, seven at most. */
  readonly things: readonly IfItFails[];
}

const MOST = 7;
/** Of what nobody can say a chance of, this one stands for it in the order. Common practice, no source. */
const UNKNOWN_CHANCE = 0.02;
/** Without anything to stand in it weighs so many times as much. Common practice, no source. */
const ALONE = 5;

/** Shops and towns of the way ahead, and its end. */
export function waysOut(trip: Pick<Trip, "legs">): WayOut[] {
  const ends = endsOf(trip.legs);
  return trip.legs.flatMap(({ name, offers, conditions }, n): WayOut[] => {
    const at = nth(ends, n + 1);
    const isLast = n === trip.legs.length - 1;
    const has = (strength: string | undefined) => (strength ?? "none") !== "none";
    const [is] = [
      ...(has(offers.shops) ? (["shop"] as const) : []),
      ...(has(conditions.town) ? (["town"] as const) : []),
      ...(isLast ? (["end"] as const) : []),
    ];
    return is ? [{ name: name || `leg ${n + 1}`, at, is }] : [];
  });
}

/**
 * What a walk ahead hangs on: of each critical thing that goes, what fails with it, what stands in, and
 * where the way out is.
 */
export function failsOn(plan: Plan, trip: Trip): Fails {
  const outs = waysOut(trip);
  const along = plan.lines.filter(({ column }) => isAlong(column));
  const longest = outs
    .map((to, n) => ({ metres: to.at - (outs[n - 1]?.at ?? 0), to }))
    .toSorted((a, b) => b.metres - a.metres)[0];
  const end: WayOut = outs.at(-1) ?? { name: trip.name, at: plan.next.metres, is: "end" };
  const things = along
    .filter(({ item }) => RANK[item.consequence] >= RANK["trip-ending"] && item.load !== "consumable")
    .map((line): IfItFails => {
      const { item, advice } = line;
      const jobs = item.jobs.filter((job) => job !== "other" && !isOffered(job, plan.next.offers));
      const wearing = plan.wearingOut.find((each) => each.line === line);
      const at = wearing?.metres ?? null;
      const last = orderBy(item, plan, trip);
      return {
        line,
        at,
        chance: advice.left && advice.left.nextTrip > 0 ? advice.left.givesOut : null,
        takes: takenWith(item, jobs, along),
        standsIn: along
          .filter((other) => other.item !== item && other.advice.first === null)
          .map((other) => other.item)
          .filter((other) => jobs.length > 0 && jobs.every((job) => other.jobs.includes(job))),
        out: outs.find((out) => out.at > (at ?? 0)) ?? end,
        orderBy: last,
        isTooLate: last !== null && last < plan.kit.book.today,
      };
    })
    .toSorted((a, b) => weightOf(b) - weightOf(a));
  return { outs, longest: longest ?? null, things: things.slice(0, MOST) };
}

const weightOf = ({ line, chance, standsIn, takes }: IfItFails) =>
  (chance ?? UNKNOWN_CHANCE) *
  FAILING_COST[line.item.consequence] *
  (standsIn.length === 0 ? ALONE : 1) *
  (1 + takes.length);

/** What can't do without it, and what suffers where its job is no longer done. */
function takenWith(item: FullItem, jobs: readonly Job[], along: readonly PlanLine[]): FullItem[] {
  const suffers = new Set(jobs.flatMap((job) => JOB_RULES[job]?.takes ?? []));
  return along
    .map((line) => line.item)
    .filter(
      (other) =>
        other !== item &&
        (other.needs.includes(item.id) ||
          other.jobs.some((job) => suffers.has(job) && other.jobs[0] === job)),
    );
}

function orderBy(item: FullItem, { kit: { book } }: Plan, trip: Trip): string | null {
  const wish = book.wishes.find(
    ({ kind, slot }) => kind === item.kind || (slot !== null && slot === item.slot),
  );
  return wish?.delivery == null ? null : daysAfter(trip.starts, -wish.delivery - 1);
}
