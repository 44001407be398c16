import { isAlong } from "../columns";
import { compareLists, type Listed } from "../../compare/lists";
import type { Book } from "../../ledger/book";
import type { ItemId, Moved, SavedKit, Trip } from "../../model";
import type { Day } from "../../replay/days";
import { areNear, monthOf, MONTHS } from "../../sums/days";
import { known, nth } from "../../sums/there";
import type { FullItem } from "../../trade/full-item";
import { FORESEEN } from "../../trade/triggers";
import { isBed } from "../../trade/warmth";
import { COLD_CHANCE, warmestWith, type BedNights, type WayToSleep } from "../../weighin/sleep";
import type { Plan, PlanLine } from "../plan";

/** A kept kit held against what a trip asks. */
export interface HeldKit {
  readonly kit: SavedKit;
  /** What of it is still there. */
  readonly things: readonly FullItem[];
  /** What of it is not any more, each with what has come in its place; null: nothing has. */
  readonly gone: readonly { readonly thing: FullItem; readonly heir: FullItem | null }[];
  /** The warmest way to sleep in it; null: no bed is in it. */
  readonly way: WayToSleep | null;
  /** Chance, 0 to 1, of a cold night at the coldest expected; null where nobody can say. */
  readonly cold: number | null;
  /** The trip is in its months. */
  readonly isSeason: boolean;
  /** What it has not, and the trip asks for; what it has for nothing; what must give place to another. */
  readonly putIn: readonly PlanLine[];
  readonly takeOut: readonly PlanLine[];
  readonly swap: readonly { readonly from: PlanLine; readonly to: PlanLine }[];
  /** Grams of what of it is still there. */
  readonly grams: number;
}

/** Is a cold night in it likelier than one would bet on? */
export const isTooCold = ({ cold }: Pick<HeldKit, "cold">) => cold !== null && cold > COLD_CHANCE;

/** What is kept by name, as it is today: what is gone, and what has come in its place. */
export function thingsOf({ items }: Pick<SavedKit, "items">, book: Book): Pick<HeldKit, "things" | "gone"> {
  const all = items.flatMap((id) => book.item(id) ?? []);
  const things = all.filter(({ state }) => state === "active");
  const heirOf = (thing: FullItem) =>
    book.items.find(
      (other) =>
        other.state === "active" &&
        !things.includes(other) &&
        ((other.slot !== null && other.slot === thing.slot) ||
          (other.kind === thing.kind && other.kind !== "other")),
    ) ?? null;
  return {
    things,
    gone: all.filter(({ state }) => state !== "active").map((thing) => ({ thing, heir: heirOf(thing) })),
  };
}

interface Ahead {
  readonly plan: Plan;
  readonly beds: readonly BedNights[];
  /** The coldest night expected, °C; null where nobody can say. */
  readonly low: number | null;
}

/** Every kit kept, held against a trip: what fits it first. */
export function heldKits(kits: readonly SavedKit[], ahead: Ahead): HeldKit[] {
  return kits.map((kit) => held(kit, ahead)).sort((a, b) => ORDER.reduce((by, of) => by || of(a) - of(b), 0));
}

/** What fits best: warm enough, of the season, with the least to change, light. */
const ORDER: readonly ((kit: HeldKit) => number)[] = [
  (kit) => Number(isTooCold(kit)),
  ({ isSeason }) => Number(!isSeason),
  ({ putIn, swap, takeOut }) => putIn.length + swap.length + takeOut.length,
  ({ grams }) => grams,
];

function held(kit: SavedKit, { plan, beds, low }: Ahead): HeldKit {
  const { book } = plan.kit;
  const { things, gone } = thingsOf(kit, book);
  const way = warmestWith(new Set(things.map(({ id }) => id)), beds);
  const cold = low !== null && plan.next.nights > 0 && way ? way.comfort.coldAt(low) : null;
  const lines = new Map(plan.lines.map((line) => [line.item, line]));
  // What is slept in is held against the nights; the rest, thing by thing, against the list that is advised.
  const toSleep = new Set([...plan.beds, ...(way ? [way.bed, ...way.extras] : [])]);
  const isRest = (item: FullItem) => !isBed(item.kind) && !toSleep.has(item);
  const listed = (items: readonly FullItem[]) =>
    items.filter(isRest).map((item): Listed => ({ item, grams: gramsOf(plan, item) }));
  const advised = plan.lines.filter(wouldGo).map(({ item }) => item);
  const { into, out, swapped } = compareLists(listed(things), listed(advised));
  const lineOf = ({ item }: Listed) => known(lines, item);
  const night =
    plan.next.nights > 0 && (way === null || isTooCold({ cold })) ? warmer(things, plan) : NOTHING;
  return {
    kit,
    things,
    gone,
    way,
    cold,
    isSeason: isOfSeason(kit, plan),
    putIn: [...night.putIn, ...into.map(lineOf)],
    takeOut: out.map(lineOf).filter(({ own }) => own === "leave"),
    swap: [
      ...night.swap,
      ...swapped
        .map(({ from, to }) => ({ from: lineOf(from), to: lineOf(to) }))
        .filter(({ from }) => from.advice.leaves !== null),
    ],
    grams: things.reduce((sum, item) => sum + (gramsOf(plan, item) ?? 0), 0),
  };
}

const NOTHING = { putIn: [], swap: [] } as const;

/** What the list that is advised sleeps in, in place of what a kit does. */
function warmer(things: readonly FullItem[], { beds, lines }: Plan): Pick<HeldKit, "putIn" | "swap"> {
  const lineOf = (item: FullItem) => lines.filter((line) => line.item === item);
  const into = beds.filter((item) => !things.includes(item)).flatMap(lineOf);
  const to = into.find(({ item }) => isBed(item.kind));
  const from = things.filter((item) => isBed(item.kind) && !beds.includes(item)).flatMap(lineOf);
  if (!to || from.length === 0) return { putIn: into, swap: [] };
  return { putIn: into.filter((line) => line !== to), swap: from.map((line) => ({ from: line, to })) };
}

/**
 * Would it go, were it not for what its owner moved: a kit that was taken is held against what a trip asks, not
 * against itself.
 */
const wouldGo = ({ own }: PlanLine) => isAlong(own);
const gramsOf = ({ kit }: Plan, { id }: FullItem) => kit.of(id)?.grams ?? null;

const isOfSeason = ({ months }: SavedKit, { next, kit }: Plan) =>
  months.length === 0 || months.includes(monthOf(next.starts ?? kit.book.today));

/** What goes, where a kit is taken and changed as it is said. */
export function listFrom({ things, putIn, takeOut, swap }: HeldKit): FullItem[] {
  const off = new Set([...takeOut, ...swap.map(({ from }) => from)].map(({ item }) => item));
  const on = [...putIn, ...swap.map(({ to }) => to)].map(({ item }) => item);
  return [...new Set([...things.filter((item) => !off.has(item)), ...on])];
}

/** What has to be moved on a trip's list to make it another: what stands right by itself is not moved. */
export function picksFor(list: readonly FullItem[], { lines }: Plan): Trip["picks"] {
  const goes = new Set(list);
  return Object.fromEntries(
    lines
      .filter((line) => goes.has(line.item) !== wouldGo(line))
      .map(({ item }): [ItemId, Moved] => [item.id, goes.has(item) ? "take" : "leave"]),
  );
}

/** Another kit's time has come. */
interface KitChange {
  readonly from: HeldKit;
  readonly to: HeldKit;
  /** The one in hand is too cold; or another, so much lighter, is warm enough. */
  readonly why: "too cold" | "lighter";
}

/** Lists so much alike, 0 to 1, by weight, are one kit with a thing more or less. */
const ALIKE = 0.6;
/** A change of kits for less than this, in grams, is not spoken of. */
const WORTH_CHANGING = 300;

/**
 * The change from one kit to another that the nights ahead ask for; null where the kit in hand is right, or there
 * is none.
 */
export function kitChange(kits: readonly HeldKit[], { plan }: Pick<Ahead, "plan">): KitChange | null {
  const { book } = plan.kit;
  const last = book.outings.at(-1);
  if (!last) return null;
  const went = new Set(book.tripOf(last).carries.map(({ item }) => item));
  const weigh = (items: readonly FullItem[]) =>
    items.reduce((sum, item) => sum + (gramsOf(plan, item) ?? 0), 0);
  const wentWith = weigh(book.items.filter(({ id }) => went.has(id)));
  const likeness = ({ things }: HeldKit) => {
    const both = weigh(things.filter(({ id }) => went.has(id)));
    return both / Math.max(1, weigh(things) + wentWith - both);
  };
  const [from] = kits.filter((kit) => likeness(kit) >= ALIKE).sort((a, b) => likeness(b) - likeness(a));
  const [to] = kits;
  if (!from || !to || from === to || to.cold === null || isTooCold(to)) return null;
  if (isTooCold(from)) return { from, to, why: "too cold" };
  return to.isSeason && from.grams - to.grams >= WORTH_CHANGING ? { from, to, why: "lighter" } : null;
}

/** No night out that this app is for is outside these, °C. */
const [COLDEST, WARMEST] = [-45, 30];

/** Down to how many whole degrees a cold night stays unlikely in a way to sleep, °C. */
export function warmTo({ comfort }: Pick<WayToSleep, "comfort">): number {
  let low = WARMEST;
  while (low > COLDEST && comfort.coldAt(low - 1) <= COLD_CHANCE) low -= 1;
  return low;
}

/** Nights that say how cold a time of year gets. */
const ENOUGH_NIGHTS = 5;
/** Of ten nights, the coldest is prepared for. */
const COLDEST_OF = 10;

/** How cold the nights out were at a time of year: the coldest of ten, °C; null where there were few. */
export function lowLike(days: readonly Day[], month: number): number | null {
  const lows = days
    .flatMap(({ on, night }) =>
      night?.low != null && !night.roof && areNear(monthOf(on), month) ? [night.low] : [],
    )
    .sort((a, b) => a - b);
  return lows.length < ENOUGH_NIGHTS ? null : nth(lows, Math.floor(lows.length / COLDEST_OF));
}

/** What a kit kept from a walk's list is for: its time of year, its coldest night, its weather. */
export function purposeOf(trip: Trip): Pick<SavedKit, "months" | "low" | "weather"> {
  const lows = trip.felt.flatMap(({ low, roof }) => (low !== null && !roof ? [low] : []));
  const slept = lows.length > 0 ? Math.min(...lows) : null;
  const [starts, ends] = [monthOf(trip.starts), monthOf(trip.ends)];
  return {
    months: MONTHS.filter(
      (month) => areNear(month, starts) || areNear(month, ends) || isBetween(month, starts, ends),
    ),
    low: trip.planned ? trip.foreseen.low : slept,
    weather: FORESEEN.filter((trigger) => (trip.conditions[trigger] ?? "none") !== "none"),
  };
}

/** Within a stretch of months, over the turn of the year where it begins later than it ends. */
const isBetween = (month: number, first: number, last: number) =>
  first <= last ? first <= month && month <= last : month >= first || month <= last;
