import { known } from "../../sums/there";
import { kaplanMeier } from "../../belief/fits/kaplan-meier";
import { wornOutOf } from "../../belief/life-belief";
import type { Left } from "../../belief/life";
import { chanceQuantile, meanChance } from "../../belief/use-chance";
import type { Book } from "../../ledger/book";
import { tripsOf } from "../../ledger/history";
import type { TripId } from "../../model";
import { usedInstead, lastOuting } from "../../decide/case";
import { nearestFlip } from "../../advice/flip";
import type { Addition } from "../../advice/add";
import type { Advice, Verdict } from "../../advice/advise";
import type { FullItem } from "../../trade/full-item";
import { count, percent, sayDay, type Units } from "../../units/speak";
import { leaningBy } from "../../reasons/temper";
import { isQuieter, movesLines } from "../../belief/taste";
import { sayFlip } from "./flip";
import { RULE_WORDS } from "./rules";
import { settlesAddition } from "./says-to-add";
import { sayLeaning } from "./taste";
import { sayCost, sayIdleWay, sayLeft, sayReading, sayTrouble, theThing } from "../words";
import { wearNumber, wearUnitName } from "../wear";

/** A point of a curve: wear in the owner's unit, and a chance, 0 to 1. */
interface ChancePoint {
  readonly x: number;
  readonly y: number;
}

/** The life of an item as curves, in the owner's unit of wear. */
export interface LifeCurves {
  readonly unit: string;
  readonly now: number;
  readonly next: number;
  /**
   * Chance that one of its kind, new, lasts so long; the share of the owner's own lives that did; and this
   * one's chance from today.
   */
  readonly kind: readonly ChancePoint[];
  readonly own: readonly ChancePoint[];
  readonly this: readonly ChancePoint[];
  readonly words: string;
}

/** One fact, and the trips it comes from. */
export interface Evidence {
  readonly text: string;
  readonly trips: readonly TripId[];
}

/** The whole argument of a verdict, in words and numbers. */
export interface Argument {
  readonly rule: string;
  readonly evidence: readonly {
    readonly text: string;
    readonly trips: readonly { readonly id: TripId; readonly name: string }[];
  }[];
  /** Null, as is the school, where use does not decide. */
  readonly wanted: string | null;
  readonly worn: readonly string[];
  readonly worth: string | null;
  readonly school: string | null;
  /** How its owner has taken such advice, where that moves anything. */
  readonly taste: string | null;
  readonly flip: string;
  readonly life: LifeCurves | null;
}

/**
 * Puts the argument together. Asking what would change it judges the item some dozens of times, so it is done
 * for one verdict at a time.
 */
export function argue(advice: Advice, verdict: Verdict): Argument {
  const { case: one } = advice;
  const { left } = advice;
  const { item, book, school, worth, tripChance } = one;
  const outing = lastOuting(one);
  const standIn = outing && usedInstead(one, outing);
  return {
    rule: RULE_WORDS[verdict.reason],
    evidence: namedTrips(evidenceOf(advice, verdict), book),
    wanted: sayWanted(advice),
    worn: left ? sayWorn(left, advice) : [],
    worth:
      worth === null
        ? null
        : `${worth.toFixed(1)} × its weight on a trip like yours: used on ${percent(tripChance)} of them, and ${sayCost[item.consequence]} to lack${standIn ? `, though ${theThing(standIn)} was used as well` : ""}. The ${school.name} school asks for ${round(school.worthNeeded)}.`,
    school: `${school.name}: ${school.motto}`,
    taste: tasteIn(one, verdict),
    flip: sayFlip(nearestFlip(advice, verdict)),
    life: left && lifeCurves(item, left, book.settings.units, sayLeft(left, item.wears, book.settings.units)),
  };
}

/** What taste has moved of it: the lines of "leave it", or how firmly it is said. */
function tasteIn(one: Advice["case"], verdict: Verdict): string | null {
  const leaning = leaningBy(one, verdict);
  return leaning && (movesLines(leaning) || isQuieter(leaning)) ? sayLeaning(leaning) : null;
}

/** The argument for adding something: no use, wear or worth to go by, only what was missed. */
export function argueToAdd(addition: Addition, book: Book): Argument {
  return {
    rule: RULE_WORDS[addition.reason],
    evidence: namedTrips(
      [{ text: `missed on ${count(addition.times, "trip")}`, trips: addition.trips }],
      book,
    ),
    wanted: null,
    worn: [],
    worth: null,
    school: null,
    taste: null,
    life: null,
    flip: settlesAddition(addition),
  };
}

/** The facts that a verdict rests on, and the trips they come from. */
export function evidenceOf({ case: one }: Advice, verdict: Verdict): Evidence[] {
  const { history, totals, book, item, marked } = one;
  const { units, currency } = book.settings;
  const paid = history.repairs.filter(({ cost }) => cost > 0);
  return [
    verdict.trips.length
      ? { text: `what happened on ${count(verdict.trips.length, "trip")}`, trips: verdict.trips }
      : {
          text: marked.length
            ? `carried on ${count(marked.length, "trip")}, used on ${totals.used.trips}`
            : "not on a trip yet",
          trips: tripsOf(marked),
        },
    ...(history.open && !verdict.done
      ? [{ text: sayTrouble(history.open), trips: history.open.outing ? [history.open.outing.trip.id] : [] }]
      : []),
    ...paid.map(({ on, cost }) => ({ text: `mended on ${sayDay(on)}, ${currency}${cost}`, trips: [] })),
    ...(one.use.missed.length
      ? [{ text: "not there and missed, which counts as used", trips: one.use.missed }]
      : []),
    ...(totals.deadGramMetres > 0 && verdict.saves
      ? [{ text: `${sayIdleWay(one, units)} carried for nothing`, trips: [] }]
      : []),
    ...(item.warranty
      ? [
          {
            text: `warranty ${item.warranty === "life" ? "for life" : `until ${sayDay(item.warranty)}`}`,
            trips: [],
          },
        ]
      : []),
  ];
}

function namedTrips(evidence: readonly Evidence[], { outings }: Book): Argument["evidence"] {
  const names = new Map(outings.map(({ trip }) => [trip.id, trip.name]));
  return evidence.map(({ text, trips }) => ({
    text,
    trips: trips.flatMap((id) => (names.has(id) ? [{ id, name: known(names, id) }] : [])),
  }));
}

function sayWanted({ case: { use, school, book, marked } }: Advice): string | null {
  if (marked.length === 0) return null;
  const called = use.calledTrips.length;
  const idle = use.uncalledTrips.length
    ? ` Without a call: idle for ${round(use.idle)} chances, ` +
      `on ${use.uncalledTrips.length} of ${count(book.outings.length, "trip")}.`
    : "";
  const missed = use.missed.length
    ? ` Left at home and missed on ${use.missed.length}, which counts as used.`
    : "";
  if (called === 0) return `Never called for yet.${idle}`;
  return `When called for, ${round(use.taken)} chances taken and ${round(use.refused)} not, on ${count(called, "trip")} (a trip gives one chance, and about one more for each week out; half if cut short; “hardly” counts a quarter; old ones fade, and the weeks of one trip count for less than trips of their own). So ${percent(meanChance(use.called))} to expect, and four to one below ${percent(chanceQuantile(use.called, 0.8))}; the line is ${percent(school.dropLine)}, after ${round(school.dropChances)} unused chances.${missed}${idle}`;
}

const round = (chances: number) => Math.round(chances * 10) / 10;

function sayWorn(left: Left, { case: one }: Advice): string[] {
  const { item, book, kind } = one;
  const { units } = book.settings;
  const over = Math.round(wornOutOf(left.lives));
  const own = over
    ? `${over} of your own ${left.lives.length} worn out so far`
    : "none of yours has worn out yet";
  const length = (wear: number) =>
    `${Math.round(wearNumber(wear, item.wears, units))} ${wearUnitName(item.wears, units)}`;
  return [
    `${sayLeft(left, item.wears, units)} (four times in five); ${percent(left.givesOut)} to give out on ${book.next.name ?? "a usual trip (like your last five, at most a week)"}.`,
    `From the rule of thumb for ${kind.id} (half last ${length(kind.life!.median)}, ` +
      `shape ${kind.life!.k}), and ${own}.`,
    ...left.trends.map(({ rule, points, at, slope }) => {
      const level = at(left.worn);
      const ahead = length(Math.max(0, (rule.limit - level) / slope));
      return `Its ${rule.what}: ${points.map(({ y }) => Math.round(y * 10) / 10).join(", ")}; by the robust line ${sayReading(rule, Math.round(level * 10) / 10)} now, ${slope < 0 ? `and at ${sayReading(rule, rule.limit)} in about ${ahead}` : "holding steady"}. By the life model alone ${percent(1 - left.lastsByLife(left.nextTrip))} to give out.`;
    }),
  ];
}

const STEPS = 60;

function lifeCurves(item: FullItem, left: Left, units: Units, words: string): LifeCurves {
  const ended = kaplanMeier(left.lives);
  const end = Math.max(left.worn + left.high, left.worn + left.nextTrip, ended.at(-1)?.wear ?? 0) * 1.15;
  const show = (wear: number) => wearNumber(wear, item.wears, units);
  const steps = Array.from({ length: STEPS + 1 }, (_, n) => (end * n) / STEPS);
  return {
    unit: wearUnitName(item.wears, units),
    now: show(left.worn),
    next: show(left.worn + left.nextTrip),
    words,
    kind: steps.map((wear) => ({ x: show(wear), y: left.kindLasts(wear) })),
    // Each step down is drawn as a step.
    own:
      ended.length === 0
        ? []
        : [
            { x: 0, y: 1 },
            ...ended.flatMap(({ wear, lasts }, n) => [
              { x: show(wear), y: ended[n - 1]?.lasts ?? 1 },
              { x: show(wear), y: lasts },
            ]),
          ],
    this: [
      { x: show(left.worn), y: 1 },
      ...steps
        .filter((wear) => wear > left.worn)
        .map((wear) => ({ x: show(wear), y: left.lasts(wear - left.worn) })),
    ],
  };
}
