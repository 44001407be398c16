import { weightOn } from "../compare/lists";
import { partOf, partOn } from "../ledger/book";
import { joinedAt, sharesCarried } from "../ledger/carriage";
import { groupBy } from "../sums/group";
import { medianOf } from "../sums/median";
import { outingOf, type Outing } from "../ledger/outing";
import type { Carry, ItemId, Job, LegId, Load, Stow, SupplySort, Trip } from "../model";
import type { FullItem } from "../trade/full-item";
import { sortOf } from "../trade/supplies";
import { vesselsIn } from "./supplies-ahead";
import { inBaseUnit } from "../units/quantity";

/** A thing in the pack, with what its owner carried of its weight then. */
interface Packed {
  readonly item: FullItem;
  readonly carry: Carry;
  /** What it was carried of each leg, 0 to 1; null: all of it. */
  readonly shares: ReadonlyMap<LegId, number> | null;
  /** Null where it was never weighed. */
  readonly grams: number | null;
}

/** What is carried at the start of a leg, in grams, by what it is there for. */
export interface LegLoad {
  readonly leg: LegId;
  readonly base: number;
  readonly worn: number;
  readonly hobby: number;
  /** Things that are used up: sunscreen, a canister. */
  readonly consumable: number;
  /** Food, water and what else was told by weight or volume: this leg's share of what went out. */
  readonly supplies: number;
}

/** Base weight, consumables and supplies: what is on the back. */
export const packWeight = ({ base, hobby, consumable, supplies }: LegLoad) =>
  base + hobby + consumable + supplies;
export const fullLoad = (load: LegLoad) => packWeight(load) + load.worn;

/** The list against what the packed bag weighed. */
interface AgainstScale {
  /** Grams, on the scale and by the list. */
  readonly scale: number;
  readonly list: number;
  /** Scale less list. */
  readonly gap: number;
  /** More than scales and labels differ by. */
  readonly matters: boolean;
  readonly suspects: readonly Suspect[];
}

/** What may account for a gap, and how much of it, in grams. */
export interface Suspect {
  readonly why: "not weighed" | "claimed" | "pieces" | "supplies not weighed" | "heavier than packed";
  readonly items: readonly FullItem[];
  /** Grams that it could make, a guess; null where nobody can say. */
  readonly grams: number | null;
}

/** Room in the pack, in litres. */
export interface Room {
  readonly pack: FullItem;
  readonly volume: number;
  readonly packed: number;
  /** Things inside whose packed size is not told. */
  readonly unknown: readonly FullItem[];
  readonly outside: readonly FullItem[];
}

/** All that a list says of its weight. */
export interface WeighIn {
  readonly packed: readonly Packed[];
  readonly legs: readonly LegLoad[];
  readonly bigThree: { readonly grams: number; readonly share: number; readonly items: readonly Packed[] };
  readonly byJob: readonly (readonly [Job, number])[];
  readonly byPlace: readonly (readonly [Stow, number])[];
  /** Pouches with what rides in them: the pouch's own weight, and its contents'. */
  readonly pouches: readonly { readonly bag: FullItem; readonly own: number; readonly contents: number }[];
  readonly unweighed: readonly FullItem[];
  readonly claimed: readonly FullItem[];
  /** The heaviest start of a leg against what the pack carries well; null where no pack says. */
  readonly against: { readonly pack: FullItem; readonly limit: number; readonly heaviest: number } | null;
  readonly room: Room | null;
  readonly scale: AgainstScale | null;
}

/** A difference beyond either of these is worth a look. Common practice, no source. */
const GAP_GRAMS = 50;
const GAP_SHARE = 0.02;
/** Labels say less than scales by about this share. Common practice, no source. */
const CLAIMED_SHORT = 0.05;
/** A litre of water weighs a kilogram, and so, near enough, does a litre of anything carried. */
const GRAMS_PER_LITRE = 1000;

const BIG_THREE: readonly Job[] = ["carry", "shelter", "sleep warm", "pad"];
/**
 * Carried on the back: not on the body or in the hand. What is there to carry the rest hangs on the back, and
 * counts.
 */
const isOnTheBack = ({ stow, jobs }: FullItem) =>
  jobs.includes("carry") || (stow !== "worn" && stow !== "hand");

/** What a trip's list weighed, leg by leg, and what it leaves out. */
export function weighIn(
  trip: Trip,
  itemOf: (id: ItemId) => FullItem | undefined,
  allItems: readonly FullItem[],
): WeighIn {
  const outing = outingOf(trip);
  const joined = joinedAt(trip, trip.carries);
  const packed = trip.carries.flatMap((carry): Packed[] => {
    const item = itemOf(carry.item);
    if (!item) return [];
    const grams = weightOn(item, trip.ends);
    const shares = sharesCarried(trip, carry, joined.get(carry.item) ?? null);
    return [{ item, carry, shares, grams: grams === null ? null : grams * partOf(carry) }];
  });
  const legs = trip.legs.map(({ id }) => legLoad(id, packed, outing));
  // Of three pairs of shoes in turn one was on at a time: what counts is what set out.
  const setOut = alongOn(trip.legs[0]?.id, packed);
  const big = setOut.filter(
    ({ item }) => item.load === "base" && item.jobs.some((job) => BIG_THREE.includes(job)),
  );
  const bigGrams = sumOf(big);
  const base = sumOf(setOut.filter(({ item }) => countsAs(item) === "base"));
  const onTheBack = packed.filter(({ item }) => isOnTheBack(item));
  return {
    packed,
    legs,
    bigThree: { grams: bigGrams, share: base > 0 ? bigGrams / base : 0, items: big },
    byJob: totals(packed, ({ jobs }) => jobs[0] ?? "other"),
    byPlace: totals(packed, ({ stow }) => stow),
    pouches: pouchesOf(packed),
    unweighed: packed.filter(({ grams }) => grams === null).map(({ item }) => item),
    claimed: packed.filter(({ item }) => item.weights.at(-1)?.how === "claimed").map(({ item }) => item),
    against: againstLimit(packed, legs),
    room: roomIn(packed),
    scale: trip.scale && againstScale(trip.scale, onTheBack, legs, outing, allItems),
  };
}

const sumOf = (things: readonly Packed[]) => things.reduce((sum, { grams }) => sum + (grams ?? 0), 0);

/** What a thing counts as: what is worn or in the hand is worn weight, but for the pack itself. */
export const countsAs = (item: FullItem): Load =>
  item.load === "base" && !isOnTheBack(item) ? "worn" : item.load;

/** What was along as a leg began; all of it where there is none. */
const alongOn = (leg: LegId | undefined, packed: readonly Packed[]) =>
  packed.filter(({ carry, shares }) => {
    const share = leg === undefined || shares === null ? 1 : (shares.get(leg) ?? 0);
    // What joined in mid-leg took the place of what left in it: it counts from the next leg on.
    return share > 0 && (share === 1 || carry.mark?.exit != null || carry.legs !== null);
  });

function legLoad(leg: LegId, packed: readonly Packed[], outing: Outing): LegLoad {
  const along = alongOn(leg, packed);
  const load = (sort: Load) =>
    along
      .filter(({ item }) => countsAs(item) === sort)
      .reduce((sum, { grams, carry }) => sum + (grams ?? 0) * (partOn(carry, leg) / partOf(carry) || 0), 0);
  return {
    leg,
    base: load("base"),
    worn: load("worn"),
    hobby: load("hobby"),
    consumable: load("consumable"),
    supplies: suppliesOn(outing.shares.get(leg) ?? 0, along, outing),
  };
}

/**
 * Grams of what goes out on a leg: its share of the food; of the water what the vessels hold, since it is filled
 * on the way, or a day's where none says what it holds.
 */
function suppliesOn(share: number, along: readonly Packed[], outing: Outing): number {
  const water = suppliesOut(outing, (sort) => sort === "water") * share;
  const food = suppliesOut(outing, (sort) => sort !== "water") * share;
  const holds = vesselsIn(along.map(({ item }) => item)).reduce(
    (sum, { ratings }) => sum + (ratings.litres ?? 0),
    0,
  );
  const most =
    holds > 0 ? holds * GRAMS_PER_LITRE : Math.max(USUAL_WATER, water / Math.max(1, outing.days * share));
  return food + Math.min(water, most);
}

/** Grams of water that are carried at a time, where nothing tells. Common practice, no source. */
const USUAL_WATER = 2000;

/** Grams of what went out of some sorts, but for fuel, which is weighed with its canister. */
const suppliesOut = ({ trip }: Outing, isOf: (sort: SupplySort) => boolean = () => true) =>
  trip.supplies.reduce((sum, supply) => {
    const sort = sortOf(supply);
    if (sort === "fuel" || sort === "power" || !isOf(sort)) return sum;
    const { value, unit } = inBaseUnit(supply.out, supply.unit);
    if (unit === "L") return sum + value * GRAMS_PER_LITRE;
    return unit === "g" ? sum + value : sum;
  }, 0);

const totals = <K>(packed: readonly Packed[], keyOf: (item: FullItem) => K): (readonly [K, number])[] =>
  [...groupBy(packed, ({ item }) => keyOf(item))]
    .map(([key, things]) => [key, sumOf(things)] as const)
    .filter(([, grams]) => grams > 0)
    .sort(([, a], [, b]) => b - a);

function pouchesOf(packed: readonly Packed[]): WeighIn["pouches"] {
  const inside = groupBy(
    packed.filter(({ item }) => item.stow === "bag" && item.bag !== null),
    ({ item }) => item.bag!,
  );
  return packed.flatMap(({ item, grams }) => {
    const contents = inside.get(item.id);
    return contents ? [{ bag: item, own: grams ?? 0, contents: sumOf(contents) }] : [];
  });
}

/** The pack that the rest rides in: the heaviest thing there to carry. */
const packOf = (packed: readonly Packed[]) =>
  packed.filter(({ item }) => item.kind === "pack").toSorted((a, b) => (b.grams ?? 0) - (a.grams ?? 0))[0]
    ?.item;

function againstLimit(packed: readonly Packed[], legs: readonly LegLoad[]): WeighIn["against"] {
  const pack = packOf(packed);
  const limit = pack?.ratings.comfortableLoad?.g;
  return pack && limit ? { pack, limit, heaviest: Math.max(0, ...legs.map(packWeight)) } : null;
}

function roomIn(packed: readonly Packed[]): Room | null {
  const pack = packOf(packed);
  const volume = pack?.ratings.volume;
  if (!pack || !volume) return null;
  const inside = packed.filter(({ item }) => item !== pack && isOnTheBack(item) && item.stow !== "outside");
  return {
    pack,
    volume,
    packed: inside.reduce((sum, { item, carry }) => sum + (item.ratings.packed ?? 0) * partOf(carry), 0),
    unknown: inside.filter(({ item }) => item.ratings.packed === undefined).map(({ item }) => item),
    outside: packed.filter(({ item }) => item.stow === "outside").map(({ item }) => item),
  };
}

function againstScale(
  { weight, holds }: NonNullable<Outing["trip"]["scale"]>,
  onTheBack: readonly Packed[],
  legs: readonly LegLoad[],
  outing: Outing,
  all: readonly FullItem[],
): AgainstScale {
  const first = outing.trip.legs[0]?.id;
  const atStart = onTheBack.filter(({ item, carry: { legs: on } }) => {
    if (holds === "no supplies" && item.load === "consumable") return false;
    return on === null || (first !== undefined && on.includes(first));
  });
  const list = sumOf(atStart) + (holds === "everything" ? (legs[0]?.supplies ?? 0) : 0);
  const gap = weight.g - list;
  return {
    scale: weight.g,
    list,
    gap,
    matters: Math.abs(gap) > Math.min(GAP_GRAMS, list * GAP_SHARE),
    suspects: suspectsOf(gap, atStart, holds === "everything" && suppliesOut(outing) === 0, all),
  };
}

/** What may account for a gap, the likeliest first: what nobody weighed, then what comes nearest to it. */
function suspectsOf(
  gap: number,
  packed: readonly Packed[],
  noSupplies: boolean,
  all: readonly FullItem[],
): Suspect[] {
  const unweighed = packed.filter(({ grams }) => grams === null).map(({ item }) => item);
  const claimed = packed.filter(({ item }) => item.weights.at(-1)?.how === "claimed");
  const pieces = packed.filter(({ item, grams }) => item.pieces > 1 && grams !== null);
  const heavy = packed
    .filter(({ grams }) => grams !== null)
    .toSorted((a, b) => Math.abs((a.grams ?? 0) + gap) - Math.abs((b.grams ?? 0) + gap))[0];
  const more: Suspect[] = [
    ...(unweighed.length
      ? [{ why: "not weighed" as const, items: unweighed, grams: usualOf(unweighed, all) }]
      : []),
    ...(noSupplies ? [{ why: "supplies not weighed" as const, items: [], grams: null }] : []),
    ...(claimed.length
      ? [
          {
            why: "claimed" as const,
            items: claimed.map(({ item }) => item),
            grams: sumOf(claimed) * CLAIMED_SHORT,
          },
        ]
      : []),
    ...pieces.map(({ item, grams }) => ({
      why: "pieces" as const,
      items: [item],
      grams: (item.pieces - 1) * grams!,
    })),
  ];
  const distance = ({ grams }: Suspect) => (grams === null ? 0 : Math.abs(grams - gap));
  if (gap >= 0)
    return more
      .filter(({ grams }) => grams === null || grams <= Math.max(2 * gap, GAP_GRAMS))
      .sort(
        (a, b) =>
          Number(b.why === "not weighed") - Number(a.why === "not weighed") || distance(a) - distance(b),
      );
  return heavy ? [{ why: "heavier than packed", items: [heavy.item], grams: heavy.grams }] : [];
}

/** What things weigh that nobody weighed: the median of the owner's others of their kind; null where one has none. */
function usualOf(unweighed: readonly FullItem[], all: readonly FullItem[]): number | null {
  const usual = unweighed.map(({ kind }) => {
    const others = all.flatMap((other) => (other.kind === kind && other.weight ? [other.weight.g] : []));
    return others.length ? medianOf(others) : null;
  });
  return usual.every((each) => each !== null) ? usual.reduce((sum, each) => sum + each, 0) : null;
}
