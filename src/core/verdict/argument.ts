import { chanceQuantile, meanChance } from "../evidence/use-chance";
import type { FullItem } from "../kinds";
import type { Book } from "../ledger/book";
import type { TripId } from "../model";
import { percent } from "../units/speak";
import type { Units } from "../units/speak";
import { kaplanMeier } from "../wear/kaplan-meier";
import { wornOutOf } from "../wear/life-belief";
import type { Left } from "../wear/wear-left";
import type { Survey } from "./case";
import { saySettled, settledBy, type Addition } from "./add";
import { nearestFlip, sayFlip } from "./flip";
import type { Judgement, Verdict } from "./judge";
import type { Finding } from "./verdict";
import { sayCost, sayLeft, sayReading, wearNumber, wearUnitName } from "./words";

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
  /** Chance that one of its kind, new, lasts so long; the share of the owner's own lives that did; and this one's chance from today. */
  readonly kind: readonly ChancePoint[];
  readonly own: readonly ChancePoint[];
  readonly this: readonly ChancePoint[];
  readonly words: string;
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
  readonly flip: string;
  readonly life: LifeCurves | null;
}

/** Puts the argument together. Asking what would change it judges the item some dozens of times, so it is done for one verdict at a time. */
export function argue(judgement: Judgement, verdict: Verdict, surveyed: Survey): Argument {
  const { case: one } = judgement;
  const { item, book, left, school, worth, tripChance, rivals } = one;
  const stand = rivals
    .filter((rival) => rival.insteadOn.length > rival.together / 2)
    .map((rival) => rival.item.name);
  return {
    rule: verdict.rule,
    evidence: namedTrips(verdict, book),
    wanted: sayWanted(judgement),
    worn: left ? sayWorn(left, judgement) : [],
    worth:
      worth === null
        ? null
        : `${worth.toFixed(1)} × its weight on a trip like yours: used on ${percent(tripChance)} of them, and ${sayCost[item.consequence]} to lack${stand.length ? `, though only if the ${stand.join(" or ")} fails` : ""}. The ${school.name} school asks for ${school.worthNeeded}.`,
    school: `${school.name}: ${school.motto}`,
    flip: sayFlip(nearestFlip(judgement, verdict, surveyed)),
    life: left && lifeCurves(item, left, book.settings.units, sayLeft(one)),
  };
}

/** The argument for adding something: no use, wear or worth to go by, only what was missed. */
export function argueToAdd(addition: Addition, book: Book, judgements: readonly Judgement[]): Argument {
  return {
    rule: addition.rule,
    evidence: namedTrips(addition, book),
    wanted: null,
    worn: [],
    worth: null,
    school: null,
    life: null,
    flip: saySettled(settledBy(addition, book, judgements)),
  };
}

function namedTrips({ evidence }: Finding, { outings }: Book): Argument["evidence"] {
  const names = new Map(outings.map(({ trip }) => [trip.id, trip.name]));
  return evidence.map(({ text, trips }) => ({
    text,
    trips: trips.flatMap((id) => (names.has(id) ? [{ id, name: names.get(id)! }] : [])),
  }));
}

function sayWanted({ case: { use, school, book } }: Judgement): string {
  const { uses, misses } = use.called;
  const called = use.calledTrips.length;
  const idle = use.uncalledTrips.length
    ? ` Without a call: ${round(use.uncalled.uses)} of ${round(use.uncalled.uses + use.uncalled.misses)} chances, on ${use.uncalledTrips.length} of ${book.outings.length} trips.`
    : "";
  const missed = use.missed.length
    ? ` Left at home and missed on ${use.missed.length}, which counts as used.`
    : "";
  if (called === 0) return `Never called for yet.${idle}`;
  return `When called for, ${round(uses)} of ${round(uses + misses)} chances taken, on ${called} ${called === 1 ? "trip" : "trips"} (a trip gives one chance, and one more for each full week out; half if cut short; “hardly” counts a quarter). So ${percent(meanChance(use.called))} to expect, and four to one below ${percent(chanceQuantile(use.called, 0.8))}; the line is ${percent(school.dropLine)}.${missed}${idle}`;
}

const round = (chances: number) => Math.round(chances * 10) / 10;

function sayWorn(left: Left, { case: one }: Judgement): string[] {
  const { item, book, kind } = one;
  const over = wornOutOf(left.lives);
  const own = over
    ? `${over} of your own ${left.lives.length} worn out so far`
    : "none of yours has worn out yet";
  return [
    `${sayLeft(one)}; ${percent(left.givesOut)} likely to give out on ${book.next.name ?? "a trip like your last five"}, where the line is ${percent(book.rules.tooLikely[item.consequence])}.`,
    `From the rule of thumb for ${kind.id} (half last ${Math.round(wearNumber(kind.life!.median, item.wears, book.settings.units))} ${wearUnitName(item.wears, book.settings.units)}, shape ${kind.life!.k}), and ${own}.`,
    ...left.trends.map(({ rule, points, at, slope }) => {
      const level = at(left.worn);
      const ahead = `${Math.round(wearNumber(Math.max(0, (rule.limit - level) / slope), item.wears, book.settings.units))} ${wearUnitName(item.wears, book.settings.units)}`;
      return `Its ${rule.what}: ${points.map(({ y }) => Math.round(y * 10) / 10).join(", ")}; by the robust line ${sayReading(rule, Math.round(level * 10) / 10)} now, ${slope < 0 ? `and at ${sayReading(rule, rule.limit)} in about ${ahead}` : "holding steady"}. By the life model alone ${percent(1 - left.lastsByLife(left.nextTrip))} likely to give out.`;
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
