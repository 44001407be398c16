import { gramsOf, wentAlong } from "../ledger/along";
import { marked, type Book, type Marked } from "../ledger/book";
import type { ItemId, Job, Trigger } from "../model";
import type { FullItem } from "../trade/full-item";
import { isUnavoidable } from "../trade/triggers";
import { isBed } from "../trade/warmth";
import { isOffered, RANK } from "../trade/jobs";
import { sleepOf, warmestWith, type WayToSleep } from "../weighin/sleep";
import { supplyUses } from "../weighin/supplies";
import { suppliesAhead, vesselsIn } from "../weighin/supplies-ahead";
import { daysOf, type Day } from "./days";
import { nth } from "../sums/there";

/** Something that the walk asked for and nothing on the list does. */
interface Lack {
  /** What was used then. */
  readonly thing: FullItem;
  /** What it did that nothing else does; null: it is missed for its own sake. */
  readonly job: Job | null;
  readonly days: readonly Day[];
}

/** A night that the list's bed is likely too cold for. */
export interface ColdNight {
  readonly day: Day;
  /** °C; null where nobody knows. */
  readonly low: number | null;
  /** What would have been slept in; none: no bed is on the list. */
  readonly way: Pick<WayToSleep, "bed" | "extras"> | null;
  /** Chance, 0 to 1, that it would have been cold. */
  readonly chance: number;
}

/** A dry stretch that what holds water is too small for. */
interface WaterShort {
  readonly day: Day;
  /** Litres. */
  readonly by: number;
}

/** A list walked over the owner's own past days. */
export interface Replayed {
  readonly days: readonly Day[];
  readonly trips: number;
  /** Grams of the list, in all. */
  readonly grams: number;
  /** Grams less than what was carried, on the average day, but for what is used up. */
  readonly less: number;
  readonly cold: readonly ColdNight[];
  readonly lacks: readonly Lack[];
  readonly water: readonly WaterShort[];
  /** What was missed then, and is on the list. */
  readonly there: readonly { readonly what: string; readonly day: Day }[];
  /** On the list, and not owned yet on the first of the days. */
  readonly since: readonly FullItem[];
}

/** Chance of a cold night from which it is told. */
const LIKELY_COLD = 0.5;

/** What a walk asked of a kit, worked out once: every list is held against it. */
interface AskedWalk {
  readonly days: readonly Day[];
  /** What was used, what it did, and on which days of the walk that was asked. */
  readonly used: readonly {
    readonly thing: FullItem;
    readonly jobs: readonly Job[];
    readonly days: readonly Day[];
  }[];
  /** How many things did a job there. */
  readonly many: ReadonlyMap<Job, number>;
  readonly missed: readonly string[];
  /** Litres of the longest dry stretch; 0 where none was told. */
  readonly litres: number;
  /** Grams of what was carried, but for what is used up. */
  readonly grams: number;
}

/** Lists are walked over the days of a book. */
export interface Replayer {
  readonly days: readonly Day[];
  /**
   * @param list what goes along
   * @param over which of the days; a walk is asked of as far as its days are
   */
  readonly replay: (list: readonly FullItem[], over?: (day: Day) => boolean) => Replayed;
}

/** What is used up weighs otherwise each day: lists are held against each other without it. */
const isKept = ({ load }: Pick<FullItem, "load">) => load !== "consumable";

/**
 * Opens the owner's past for lists to be walked over.
 *
 * @param gramsNow what a thing weighs as it is now, in grams; 0 where nobody knows
 */
export function replayer(book: Book, gramsNow: (thing: FullItem) => number): Replayer {
  const walks = book.outings.map((outing): AskedWalk => askedOn(book, daysOf(outing), outing.n));
  const beds = sleepOf(book);
  return {
    days: walks.flatMap(({ days }) => days),
    replay: (list, over = () => true) => {
      const listed = new Set(list.map(({ id }) => id));
      const warmest = warmestWith(listed, beds);
      const doing = new Map<Job, number>();
      for (const { jobs } of list) for (const job of jobs) doing.set(job, (doing.get(job) ?? 0) + 1);
      const bedless = !list.some(({ kind }) => isBed(kind));
      const litres = vesselsIn(list).reduce((sum, { ratings }) => sum + (ratings.litres ?? 0), 0);
      const gramsIn = (things: readonly FullItem[]) =>
        things.reduce((sum, thing) => sum + gramsNow(thing), 0);
      const kept = gramsIn(list.filter(isKept));
      const sum: { days: Day[]; trips: number; less: number } = { days: [], trips: 0, less: 0 };
      const [cold, lacks, water, there]: [ColdNight[], Lack[], WaterShort[], Replayed["there"][number][]] = [
        [],
        [],
        [],
        [],
      ];
      for (const walk of walks) {
        const days = walk.days.filter(over);
        if (days.length === 0) continue;
        sum.trips += 1;
        sum.days.push(...days);
        sum.less += (walk.grams - kept) * days.length;
        for (const day of days) cold.push(...coldNight(day, warmest, bedless));
        for (const asked of walk.used) lacks.push(...lackOf(asked, walk, over, { listed, doing }));
        const dry = days.find(({ weather }) => weather.has("dry stretch")) ?? nth(days, 0);
        if (walk.litres > litres && litres > 0) water.push({ day: dry, by: walk.litres - litres });
        for (const what of walk.missed)
          if (list.some(({ name }) => name === what)) there.push({ what, day: nth(days, 0) });
      }
      const first = sum.days[0]?.on ?? book.today;
      return {
        ...sum,
        grams: gramsIn(list),
        less: sum.days.length === 0 ? 0 : sum.less / sum.days.length,
        cold,
        lacks,
        water,
        there,
        since: list.filter(({ acquired }) => acquired !== null && acquired > first),
      };
    },
  };
}

/** What one walk asked: of what was carried on it and used. */
function askedOn(book: Book, days: readonly Day[], n: number): AskedWalk {
  const outing = nth(book.outings, n);
  const carries = book.tripOf(outing).carries;
  const carried = carries.flatMap(({ item: id }) => {
    const item = book.item(id);
    const one = item && marked(book.carriedOf(id)).find((each) => each.outing === outing);
    return item && one ? [{ item, one }] : [];
  });
  const used = carried
    .filter(({ one }) => one.mark.use !== "unused")
    .map(({ item, one }) => ({
      thing: item,
      jobs: item.jobs.filter((job) => job !== "other" && !isOffered(job, outing.trip.offers)),
      days: daysFor(item, one, days),
    }));
  const many = new Map<Job, number>();
  for (const { jobs } of used) for (const job of jobs) many.set(job, (many.get(job) ?? 0) + 1);
  const dryKm = (outing.trip.foreseen.dry?.m ?? 0) / 1000;
  const stretch = { nights: outing.nights, days: outing.days, shopDays: outing.days, dryKm };
  return {
    days,
    used,
    many,
    missed: outing.trip.missed.map(({ what }) => what),
    litres: dryKm > 0 ? suppliesAhead(supplyUses(book), [], stretch, 0.5).water.need : 0,
    grams: gramsOf(wentAlong(book.tripOf(outing), book).filter(({ item }) => isKept(item))),
  };
}

/**
 * The days on which it was asked for: those with what calls for it, where that is a weather; as many as its
 * owner told.
 */
function daysFor(item: FullItem, { mark, legs }: Marked, days: readonly Day[]): readonly Day[] {
  const along = legs === null ? days : days.filter(({ leg }) => leg !== null && legs.includes(leg.id));
  const always = item.triggers.some(isUnavoidable);
  const called = always
    ? along
    : along.filter(({ weather }) => item.triggers.some((each) => weather.has(each)));
  const those = called.length > 0 ? called : along;
  return mark.days === null ? those : those.slice(0, Math.max(1, Math.round(mark.days)));
}

/** Cold enough that one layer more than another was no luxury. */
const HARD: readonly Trigger[] = ["freezing", "cold"];
const isHard = ({ weather }: Day) =>
  HARD.some((trigger) => weather.get(trigger) === "strong") || weather.has("freezing");

/** What of a used thing nothing on the list does, and on which days. */
function lackOf(
  { thing, jobs, days }: AskedWalk["used"][number],
  { many }: AskedWalk,
  over: (day: Day) => boolean,
  { listed, doing }: { readonly listed: ReadonlySet<ItemId>; readonly doing: ReadonlyMap<Job, number> },
): Lack[] {
  if (listed.has(thing.id) || isBed(thing.kind) || thing.load === "consumable") return [];
  const there = days.filter(over);
  if (there.length === 0) return [];
  if (jobs.length === 0)
    return RANK[thing.consequence] === 0 && thing.load !== "hobby" ? [] : [{ thing, job: null, days: there }];
  for (const job of jobs) {
    const does = doing.get(job) ?? 0;
    const lacking = there.filter(
      (day) => does < (isHard(day) && job === "stay warm" ? (many.get(job) ?? 1) : 1),
    );
    if (lacking.length > 0) return [{ thing, job, days: lacking }];
  }
  return [];
}

/** A night that the warmest way to sleep on the list is likely too cold for. */
function coldNight(day: Day, warmest: WayToSleep | null, bedless: boolean): ColdNight[] {
  const { night } = day;
  if (!night || night.roof) return [];
  if (bedless || !warmest) return [{ day, low: night.low, way: null, chance: 1 }];
  if (night.low === null) return [];
  const chance = warmest.comfort.coldAt(night.low);
  return chance >= LIKELY_COLD ? [{ day, low: night.low, way: warmest, chance }] : [];
}
