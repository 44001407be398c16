import {
  aboveLabels,
  teachesOfLabels,
  comfortOf,
  worthOf,
  type Comfort,
  type TriedNight,
  type Worth,
} from "../belief/comfort";
import type { Book } from "../ledger/book";
import { tellsOfBed } from "../ledger/nights";
import { groupBy } from "../sums/group";
import type { Outing } from "../ledger/outing";
import type { Felt, FeltNight, ItemId } from "../model";
import type { FullItem } from "../trade/full-item";
import { DEGREES_PER_R, isBed, warmthOf } from "../trade/warmth";
import { known, nth } from "../sums/there";

/** One night out, with what was slept in and on. */
export interface SleptNight {
  readonly outing: Outing;
  readonly on: string | null;
  readonly low: number;
  readonly felt: Felt;
  readonly bed: FullItem;
  /** What else warmed: liner, clothes, a hot bottle, pads. */
  readonly extras: readonly FullItem[];
}

/** What something was worth in a bed, °C, and the nights with it and without. */
interface ExtraWorth {
  readonly item: FullItem;
  readonly worth: Worth & { readonly low: number; readonly high: number };
  readonly withIt: number;
  readonly without: number;
}

/** A bed with what is slept in along with it, and down to what the owner sleeps well in it. */
interface Setup {
  readonly bed: FullItem;
  readonly extras: readonly FullItem[];
  readonly nights: readonly SleptNight[];
  readonly comfort: Comfort;
}

/** How far above labels an owner sleeps, °C, by all beds slept in often enough. */
export interface Sleeper extends Worth {
  readonly beds: readonly FullItem[];
}

/** Everything that the nights tell of one bed. */
export interface BedNights {
  readonly bed: FullItem;
  /** Every night in it, oldest first. */
  readonly nights: readonly SleptNight[];
  readonly extras: readonly ExtraWorth[];
  /** Each set-up that was slept in; the one with the most nights first. None where it was never slept in. */
  readonly setups: readonly Setup[];
  /** In nothing but itself, on the pads that it was mostly slept on. */
  readonly plain: Comfort;
}

export const isPad = ({ jobs }: FullItem) => jobs.includes("pad");

/** Nights out whose low, feeling and bed were told, and that nothing else than the bed had spoilt. */
export function sleptNights({ outings, item }: Pick<Book, "outings" | "item">): SleptNight[] {
  return outings.flatMap((outing) =>
    outing.trip.felt.flatMap((night): SleptNight[] => {
      const { on, low, felt, slept } = night;
      const things = slept.flatMap((id) => item(id) ?? []);
      const bed = things.find(({ kind }) => isBed(kind));
      if (!bed || low === null || felt === null || !tellsOfBed(night)) return [];
      const extras = things.filter(
        (thing) => thing !== bed && (isPad(thing) || warmthOf(thing.kind) !== null),
      );
      return [{ outing, on, low, felt, bed, extras }];
    }),
  );
}

/** Nights told of in a bed that say nothing of it, and why. */
export function setAside({ outings }: Pick<Book, "outings">, bed: ItemId): FeltNight[] {
  return outings.flatMap(({ trip }) =>
    trip.felt.filter((night) => night.slept.includes(bed) && !tellsOfBed(night)),
  );
}

type OfBeds = Pick<Book, "outings" | "item" | "items" | "wishes">;

/** What every bed owned, slept in or wished for is worth to this owner, the coldest-rated last. */
export function sleepOf(book: OfBeds): BedNights[] {
  const beds = bedsOf(book);
  return beds
    .map((one) => {
      // What the other beds taught of the owner; its own nights speak for themselves.
      const above = aboveLabels(asTried(beds.filter((other) => other !== one)));
      return bedNights(one, above);
    })
    .sort((a, b) => b.plain.median - a.plain.median);
}

const asTried = (beds: readonly OwnNights[]) =>
  beds.map(({ bed, plain }) => ({ label: bed.ratings.label, comfort: plain }));

/** How far above labels the owner sleeps, learnt over all their beds; null while none was slept in often enough. */
export function sleeperOf(book: OfBeds): Sleeper | null {
  // Each bed by its own nights alone: what one tells is not counted again in another.
  const tried = bedsOf(book).filter(({ bed, plain }) => teachesOfLabels(bed.ratings.label, plain));
  return tried.length ? { ...aboveLabels(asTried(tried)), beds: tried.map(({ bed }) => bed) } : null;
}

/** What a bed's own nights tell of it, whatever the others taught of its owner. */
interface OwnNights {
  readonly bed: FullItem;
  readonly nights: readonly SleptNight[];
  readonly extras: readonly ExtraWorth[];
  readonly worths: ReadonlyMap<FullItem, Worth>;
  /** Each night as it would have been in the bed alone. */
  readonly inIt: readonly TriedNight[];
  readonly plain: Comfort;
}

/** Every bed by its own nights alone. */
function bedsOf(book: OfBeds): OwnNights[] {
  const byBed = groupBy(sleptNights(book), ({ bed }) => bed.id);
  return [...book.items, ...book.wishes]
    .filter(
      ({ kind, state, id }) => isBed(kind) && (state === "active" || state === "wished" || byBed.has(id)),
    )
    .map((bed) => ownNights(bed, byBed.get(bed.id) ?? []));
}

function ownNights(bed: FullItem, nights: readonly SleptNight[]): OwnNights {
  const { label } = bed.ratings;
  const things = [...new Set(nights.flatMap((night) => night.extras.filter((extra) => !isPad(extra))))];
  const before = new Map<FullItem, Worth>(things.map((thing) => [thing, warmthOf(thing.kind)!]));
  const extras = things.map((item): ExtraWorth => {
    // What else was slept in counts as it is believed beforehand, so that one thing is asked at a time.
    const tried = nights.map((night) => ({
      ...inPlain(night, nights, before, item),
      withIt: night.extras.includes(item),
    }));
    const withIt = tried.filter((night) => night.withIt).length;
    return {
      item,
      worth: worthOf(tried, label, known(before, item)),
      withIt,
      without: tried.length - withIt,
    };
  });
  const worths = new Map<FullItem, Worth>(extras.map(({ item, worth }) => [item, worth]));
  const inIt = nights.map((night) => inPlain(night, nights, worths));
  return { bed, nights, extras, worths, inIt, plain: comfortOf(inIt, label) };
}

function bedNights({ bed, nights, extras, worths, inIt }: OwnNights, above: Worth): BedNights {
  const setups = [...groupBy(nights, ({ extras: these }) => setupKey(these)).values()].map((same): Setup => ({
    bed,
    extras: nth(same, 0).extras,
    nights: same,
    comfort: comfortIn(nth(same, 0), nights, worths, above),
  }));
  return {
    bed,
    nights,
    extras: extras.toSorted((a, b) => b.worth.mean - a.worth.mean),
    setups: setups.toSorted((a, b) => b.nights.length - a.nights.length),
    plain: comfortOf(inIt, bed.ratings.label, { above }),
  };
}

const setupKey = (extras: readonly FullItem[]) =>
  extras
    .map(({ id }) => id)
    .sort()
    .join(" ");

/** R-value under a sleeper, pads stacked added up; null where a pad's is not told, or there was none. */
export function rUnder(extras: readonly FullItem[]): number | null {
  const pads = extras.filter(isPad).map(({ ratings }) => ratings.rValue);
  return pads.length && pads.every((r) => r !== undefined) ? pads.reduce((sum, r) => sum + r!, 0) : null;
}

/** °C that pads make of one another: nothing where an R-value is not known. */
function fromPads(extras: readonly FullItem[], usual: readonly FullItem[]): number {
  const [here, there] = [rUnder(extras), rUnder(usual)];
  return here === null || there === null ? 0 : DEGREES_PER_R * (here - there);
}

/** The pads that a bed was mostly slept on. */
export function usualPads(nights: readonly SleptNight[]): FullItem[] {
  const byPads = [...groupBy(nights, ({ extras }) => setupKey(extras.filter(isPad))).values()];
  const most = byPads.toSorted((a, b) => b.length - a.length)[0];
  return most?.[0]!.extras.filter(isPad) ?? [];
}

/** A night as it would have been in the bed alone: as much warmer outside as what else was slept in was worth. */
function inPlain(
  night: SleptNight,
  nights: readonly SleptNight[],
  worths: ReadonlyMap<FullItem, Worth>,
  but?: FullItem,
): TriedNight {
  const others = night.extras
    .filter((extra) => extra !== but && worths.has(extra))
    .map((extra) => known(worths, extra));
  return {
    low:
      night.low + others.reduce((sum, { mean }) => sum + mean, 0) + fromPads(night.extras, usualPads(nights)),
    felt: night.felt,
    doubt: Math.hypot(...others.map(({ spread }) => spread)),
  };
}

/**
 * Down to what an owner sleeps well in a bed with these extras: nights in other company count too, moved by
 * what the difference is worth, and the more doubtfully the more it differs.
 */
function comfortIn(
  { bed, extras }: Pick<SleptNight, "bed" | "extras">,
  nights: readonly SleptNight[],
  worths: ReadonlyMap<FullItem, Worth>,
  above: Worth,
): Comfort {
  const worthOfAll = (things: readonly FullItem[]) =>
    things.reduce((sum, thing) => sum + (worths.get(thing)?.mean ?? 0), 0);
  const tried = nights.map((night): TriedNight => {
    const apart = [
      ...night.extras.filter((extra) => !extras.includes(extra)),
      ...extras.filter((extra) => !night.extras.includes(extra)),
    ];
    return {
      low: night.low + worthOfAll(night.extras) - worthOfAll(extras) + fromPads(night.extras, extras),
      felt: night.felt,
      doubt: Math.hypot(...apart.map((thing) => worths.get(thing)?.spread ?? 0)),
    };
  });
  return comfortOf(tried, bed.ratings.label, { shift: worthOfAll(extras), above });
}

/** Of some nights, those that another bed would have been warm enough on, by what may be relied on of it. */
export const wouldHaveDone = (nights: readonly SleptNight[], { plain }: BedNights): SleptNight[] =>
  nights.filter(({ low }) => low >= plain.relyOn);

/** A bed is warm enough where a cold night is no likelier than this. Common practice, no source. */
export const COLD_CHANCE = 0.2;

/** A way to sleep: a bed by itself, or with the liner and layers that it was slept in with. */
export interface WayToSleep {
  readonly bed: FullItem;
  /** What is slept in along with it, but for pads. */
  readonly extras: readonly FullItem[];
  readonly grams: number;
  readonly comfort: Comfort;
}

/** Every way to sleep in some beds, the lightest first; each once. */
export function waysToSleep(beds: readonly BedNights[]): WayToSleep[] {
  const ways = beds.flatMap(({ bed, setups, plain }): WayToSleep[] => [
    wayOf(bed, [], plain),
    ...setups
      .map(({ extras, comfort }) =>
        wayOf(
          bed,
          extras.filter((extra) => !isPad(extra)),
          comfort,
        ),
      )
      .filter(({ extras }) => extras.length > 0),
  ]);
  return [...groupBy(ways, ({ bed, extras }) => `${bed.id} ${setupKey(extras)}`).values()]
    .map(([way]) => way!)
    .sort((a, b) => a.grams - b.grams);
}

const wayOf = (bed: FullItem, extras: readonly FullItem[], comfort: Comfort): WayToSleep => ({
  bed,
  extras,
  grams: [bed, ...extras].reduce((sum, { weight }) => sum + (weight?.g ?? 0), 0),
  comfort,
});

/** The lightest way to sleep that keeps a cold night unlikely at a low; null where nothing does. */
export const lightestWarm = (ways: readonly WayToSleep[], low: number): WayToSleep | null =>
  ways.find(({ comfort }) => comfort.coldAt(low) <= COLD_CHANCE) ?? null;

/** The warmest way to sleep with some things and no others; null: no bed is among them. */
export const warmestWith = (things: ReadonlySet<ItemId>, beds: readonly BedNights[]): WayToSleep | null =>
  waysToSleep(beds)
    .filter(({ bed, extras }) => [bed, ...extras].every(({ id }) => things.has(id)))
    .sort((a, b) => a.comfort.median - b.comfort.median)[0] ?? null;
