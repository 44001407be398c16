import {
  Mark,
  Settings,
  type Advised,
  type Entry,
  type Item,
  type ItemId,
  type Log,
  type Trip,
  type TripId,
} from "@/core/model";
import { Entry as EntrySchema, Item as ItemSchema, Trip as TripSchema } from "@/core/model";
import { CALLED_SHARE, TERRAIN_WEAR } from "@/core/trade/ground";
import { calledShare } from "@/core/ledger/totals";
import { randomFrom, seedOf, type Random } from "./random";
import { lifeOf, type Outing, type Slot, type Walker } from "./world";

/** The thing that fills a slot now, with what only the truth knows. */
export interface Holder {
  readonly slot: Slot;
  readonly id: ItemId;
  readonly nth: number;
  readonly life: number;
  /** True wear so far. */
  worn: number;
  /** Trips to come on which it goes along whatever is said, having been missed. */
  insisted: number;
}

/** What a policy may see before a trip: the log as the walker kept it, and the trip as it is foreseen. */
export interface Before {
  readonly log: Log;
  readonly outing: Outing;
  readonly today: string;
  readonly holders: readonly Holder[];
  readonly walker: Walker;
}

export interface Policy {
  /** Things to be replaced before the trip. */
  readonly replace: (before: Before) => ReadonlySet<ItemId>;
  /** Things that the owner is asked to look over and grade before it, if they answer at all. */
  readonly look?: (before: Before) => ReadonlySet<ItemId>;
  /** Things to be left at home, whole (1) or in part: the share of their weight that stays. */
  readonly leave: (before: Before) => ReadonlyMap<ItemId, number>;
  /** What its owner was shown as the list was made. */
  readonly says?: (before: Before) => readonly Advised[];
}

/** What following a policy came to. */
export interface Outcome {
  readonly histories: number;
  readonly failures: number;
  readonly early: number;
  /** Failures at what they cost, and the unused share of what was replaced early at its price, in euros. */
  failureCost: number;
  earlyCost: number;
  /** Gram-metres of what would not have been used, left at home. Not cover, nothing dangerous to lack, nothing carried for joy. */
  readonly savedGramMetres: number;
  /** Times that something left at home would have been used; and of these, cover. */
  readonly regrets: number;
  readonly regretsOfCover: number;
}

export interface Costs {
  readonly failure: (slot: Slot) => number;
}

const day = (date: Date) => date.toISOString().slice(0, 10);
export const NEVER: Policy = { replace: () => new Set(), leave: () => new Map() };

/** Walks all of a walker's trips, deciding by a policy before each; calls `look` then too. */
export function walk(
  walker: Walker,
  policy: Policy,
  { failure }: Costs,
  look?: (before: Before) => void,
): Outcome {
  const items: Item[] = [];
  const trips: Trip[] = [];
  const entries: Entry[] = [];
  const sum = {
    histories: 0,
    failures: 0,
    early: 0,
    failureCost: 0,
    earlyCost: 0,
    savedGramMetres: 0,
    regrets: 0,
    regretsOfCover: 0,
  };
  const newHolder = (slot: Slot, nth: number, acquired: string): Holder => {
    const id = `s${slot.n}-${nth}` as ItemId;
    items.push(
      ItemSchema.parse({
        id,
        name: `${slot.kind.id} ${nth}`,
        kind: slot.kind.id,
        weights: [{ weight: `${slot.grams} g` }],
        price: walker.nature.prices ? slot.price : null,
        acquired,
      }),
    );
    sum.histories += 1;
    return { slot, id, nth, life: lifeOf(walker, slot, nth), worn: 0, insisted: 0 };
  };
  const holders = walker.slots.map((slot) => {
    for (let n = 0; n < walker.nature.retired && slot.life; n++) items.push(retired(walker, slot, n));
    return newHolder(slot, 0, "2016-01-01");
  });
  for (const outing of walker.outings) {
    const today = day(new Date(outing.starts.getTime() - 86_400_000));
    const log: Log = {
      settings: Settings.parse({}),
      items,
      trips,
      entries,
      rulings: [],
      tasks: [],
      kits: [],
    };
    const before = (): Before => ({ log, outing, today, holders, walker });
    look?.(before());
    const asked = walker.answers && policy.look ? policy.look(before()) : new Set<ItemId>();
    for (const holder of holders.filter(({ id }) => asked.has(id)))
      entries.push(lookedOver(walker, holder, outing, today));
    const replaced = policy.replace(before());
    holders.forEach((holder, n) => {
      if (!replaced.has(holder.id)) return;
      sum.early += 1;
      sum.earlyCost += holder.slot.price * Math.max(0, 1 - holder.worn / holder.life);
      retire(items, holder.id, "retired", today);
      holders[n] = newHolder(holder.slot, holder.nth + 1, today);
    });
    const left = policy.leave(before());
    const said = policy.says?.(before());
    const carries: Trip["carries"] = [];
    const missed: { what: string }[] = [];
    holders.forEach((holder, n) => {
      const { slot } = holder;
      const luck = randomFrom(seedOf(walker.seed, 3, slot.n, outing.n));
      const called = isCalled(slot, outing);
      const used = luck.even() < (called ? tasteFor(slot, outing) : slot.otherwise);
      const share = holder.insisted === 0 ? (left.get(holder.id) ?? 0) : 0;
      holder.insisted = Math.max(0, holder.insisted - 1);
      if (!used && isBallast(slot)) sum.savedGramMetres += share * slot.grams * outing.metres;
      if (share === 1) {
        if (used) {
          sum.regrets += 1;
          sum.regretsOfCover += slot.kind.cover ? 1 : 0;
          // Having been missed, it goes along again for three trips, whatever is said of it.
          holder.insisted = 3;
          missed.push({ what: items.find((item) => item.id === holder.id)!.name });
        }
        return;
      }
      const hardly = used && luck.chance(0.07);
      if (used) holder.worn += wearOf(slot, outing) * (hardly ? 0.1 : 1) * Math.exp(0.1 * luck.normal());
      const over = used && holder.worn >= holder.life;
      carries.push({
        item: holder.id,
        legs: null,
        shared: null,
        mark: markOf(walker, holder, outing, { used, hardly, called, over, cover: slot.kind.cover }, luck),
      });
      if (!over) return;
      sum.failures += 1;
      sum.failureCost += failure(slot);
      retire(items, holder.id, "worn out", day(new Date(outing.starts.getTime() + outing.days * 86_400_000)));
      holders[n] = newHolder(
        slot,
        holder.nth + 1,
        day(new Date(outing.starts.getTime() + (outing.days + 1) * 86_400_000)),
      );
    });
    trips.push({
      ...tripOf(walker, outing, carries, missed),
      ...lookBack(walker, holders, outing, carries),
      advised: said ? { on: today, said: [...said], foretold: null } : null,
    });
  }
  return sum;
}

/** What is weight carried for nothing when it is not used. */
const isBallast = ({ kind: { cover, consequence, load } }: Slot) =>
  !cover && consequence !== "danger" && load !== "hobby";

const tasteFor = ({ whenCalled, changes }: Slot, { n }: Outing) =>
  changes && n >= changes.from ? changes.whenCalled : whenCalled;

const isCalled = ({ triggers }: Slot, { conditions, days }: Outing) =>
  triggers.some(
    (trigger) =>
      trigger === "always" ||
      ((trigger === "camp time" || trigger === "darkness") && days > 1) ||
      (conditions[trigger] ?? "none") !== "none",
  );

/** Wear of one trip's use, in the kind's unit: as the trade counts it. */
export function wearOf({ kind }: Slot, { metres, days, terrain, conditions }: Outing): number {
  const nights = days - 1;
  switch (kind.wears) {
    case "m":
      return metres * (kind.terrain ? TERRAIN_WEAR[terrain] : 1);
    case "nights":
      return nights;
    case "wet days":
      return days * CALLED_SHARE[conditions.rain ?? "some"];
    case "called days":
      return days * calledShare(kind.triggers, (trigger) => conditions[trigger]);
    default:
      return kind.perNight * Math.max(nights, days / 2);
  }
}

/** The mark as this walker keeps it: sometimes missing, sometimes wrong, seldom with a word of why. */
function markOf(
  walker: Walker,
  holder: Holder,
  { n }: Outing,
  {
    used,
    hardly,
    called,
    over,
    cover,
  }: { used: boolean; hardly: boolean; called: boolean; over: boolean; cover: boolean },
  luck: ReturnType<typeof randomFrom>,
): Mark | null {
  const { missing, wrong } = walker.nature;
  const { slot } = holder;
  if (over) return Mark.parse({ use: "used", exit: { how: "worn out" }, cause: "worn", condition: 0 });
  if (luck.chance(missing)) return null;
  const use = luck.chance(wrong) ? !used : used;
  const annoyed =
    walker.nature.tells && used && randomFrom(seedOf(walker.seed, 12, slot.n, n)).chance(slot.annoys);
  const graded = walker.grades && slot.life !== null && used && luck.chance(0.6);
  return Mark.parse({
    use: use ? (hardly ? "hardly" : "used") : "unused",
    why:
      !use && !called && luck.chance(0.25)
        ? "no call for it"
        : !use && cover && luck.chance(0.2)
          ? "cover"
          : null,
    complaints: use && annoyed ? [{ what: "fiddly or awkward" }] : [],
    // Their filters sleep with them: frost is no part of this.
    frost: slot.kind.freezes ? "kept" : null,
    condition: graded ? gradeOf(holder, luck) : null,
  });
}

/** Three things that could have stayed, and three that made the trip, as far as this walker says so: the heaviest first. */
function lookBack(
  { nature, seed }: Walker,
  holders: readonly Holder[],
  { n }: Outing,
  carries: Trip["carries"],
): Pick<Trip, "made" | "stay"> {
  const luck = randomFrom(seedOf(seed, 13, n));
  if (!nature.tells || !luck.chance(0.6)) return { made: [], stay: [] };
  const marked = new Map(carries.map(({ item, mark }) => [item, mark?.use]));
  const three = (use: Mark["use"]) =>
    holders
      .filter(({ id, slot }) => marked.get(id) === use && isBallast(slot) && luck.chance(0.5))
      .sort((a, b) => b.slot.grams - a.slot.grams)
      .slice(0, 3)
      .map(({ id }) => id);
  return { made: three("used"), stay: three("unused") };
}

/** A grade falls from 5 to 1 over the life, give or take half a grade. */
const gradeOf = ({ worn, life }: Holder, luck: Random) =>
  Math.max(1, Math.min(5, Math.round(5 - 4 * (worn / life) + 0.5 * luck.normal())));

/** Asked to look a thing over, its owner grades it. */
const lookedOver = ({ seed }: Walker, holder: Holder, { n }: Outing, on: string): Entry =>
  EntrySchema.parse({
    id: `look-${holder.id}-${n}`,
    item: holder.id,
    on,
    what: "check",
    condition: gradeOf(holder, randomFrom(seedOf(seed, 10, holder.slot.n, n))),
  });

function tripOf(
  walker: Walker,
  outing: Outing,
  carries: Trip["carries"],
  missed: readonly { what: string }[],
): Trip {
  const luck = randomFrom(seedOf(walker.seed, 4, outing.n));
  const ends = new Date(outing.starts.getTime() + (outing.days - 1) * 86_400_000);
  // One condition in twelve goes unnoted.
  const conditions = Object.fromEntries(Object.entries(outing.conditions).filter(() => !luck.chance(0.08)));
  const trip = TripSchema.parse({
    id: `t${outing.n}`,
    name: `Trip ${outing.n}`,
    starts: day(outing.starts),
    ends: day(ends),
    cut: outing.cut,
    conditions,
    missed,
    legs: [{ id: "leg-1", distance: `${outing.metres / 1000} km`, terrain: outing.terrain }],
  });
  return { ...trip, id: trip.id as TripId, carries };
}

function retire(items: Item[], id: ItemId, state: Item["state"], since: string): void {
  const n = items.findIndex((item) => item.id === id);
  items[n] = { ...items[n]!, state, since };
}

/** One worn out before the log began, its whole life an opening balance. */
function retired(walker: Walker, slot: Slot, n: number): Item {
  const life = lifeOf(walker, slot, -1 - n);
  const opening =
    slot.kind.wears === "m"
      ? { distance: `${life / 1000} km` }
      : {
          nights: ["nights", "wet days", "called days"].includes(slot.kind.wears)
            ? life
            : life / slot.kind.perNight,
        };
  return ItemSchema.parse({
    id: `s${slot.n}-old${n}`,
    name: `${slot.kind.id} old ${n}`,
    kind: slot.kind.id,
    past: "known",
    opening,
    state: "worn out",
    since: "2015-12-01",
  });
}
