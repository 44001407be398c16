import { openBook, type Book } from "@/core/ledger/book";
import { nextLike } from "@/core/ledger/next-outing";
import type { ItemId, Trigger } from "@/core/model";
import type { When } from "@/core/reasons/finding";
import type { Advice } from "@/core/advice/advise";
import { kitOf } from "@/core/advice/kit";
import { wearOf, type Before, type Costs, type Holder, type Policy } from "./walk";
import type { Outing, Slot } from "./world";

/** The engine's advice before a trip, with that trip as the next. */
export function judged({ log, today, outing }: Before): readonly Advice[] {
  const book: Book = {
    ...openBook(log, today),
    next: nextLike({ days: outing.days, nights: outing.days - 1, metres: outing.metres }),
  };
  return kitOf(book).things;
}

const ids = (advised: readonly Advice[], test: (advice: Advice) => boolean) =>
  new Set(
    advised
      .filter(({ case: { state } }) => state === "active")
      .filter(test)
      .map(({ case: { item } }) => item.id),
  );

/** Replaces what the engine says to replace. */
export const engineReplaces: Policy = {
  replace: (before) =>
    ids(
      judged(before),
      ({ verdicts, case: { left } }) => left !== null && verdicts.some(({ verb }) => verb === "replace"),
    ),
  look: (before) =>
    ids(judged(before), ({ verdicts }) => verdicts.some(({ reason }) => reason === "look it over")),
  leave: () => new Map(),
};

/** What a slimmed thing leaves at home of its weight. */
const SLIMMED = 0.5;

/** Leaves at home what the advice leaves there: for good, or where what calls for it is not foreseen; takes half of what it slims. Shows all advice to `look`. */
export const engineLeaves = (look: (advised: readonly Advice[]) => void): Policy => ({
  replace: () => new Set(),
  leave: (before) => {
    const advised = judged(before);
    look(advised);
    const shareOf = ({ verdicts, leaves, case: { state } }: Advice) => {
      if (state !== "active") return 0;
      if (leaves) return leaves.when && isExpected(leaves.when, before.outing) ? 0 : 1;
      return verdicts.some(({ verb }) => verb === "slim") ? SLIMMED : 0;
    };
    return new Map(advised.map((advice) => [advice.case.item.id, shareOf(advice)]));
  },
});

/** Is what calls for it foreseen: its weather, or, of a thing for mild days, that its weather stays away? */
export function isExpected({ triggers, caller }: When, { conditions, days }: Outing): boolean {
  const foreseen = (trigger: Trigger) =>
    trigger === "camp time" ? days > 1 : (conditions[trigger] ?? "none") !== "none";
  return triggers.length === 0 || triggers.some((trigger) => foreseen(trigger) !== Boolean(caller?.without));
}

const those = (holders: readonly Holder[], test: (holder: Holder) => boolean): ReadonlySet<ItemId> =>
  new Set(holders.filter(test).map(({ id }) => id));

/** Replaces at the kind's median, whatever the owner's own things have done. */
export const ageRule: Policy = {
  replace: ({ holders }) =>
    those(holders, ({ slot, worn }) => slot.kind.life !== null && worn >= slot.kind.life.median),
  leave: () => new Map(),
};

/** Leaves at home what was unused on its last three marks. */
export const threeTripsRule: Policy = {
  replace: () => new Set(),
  leave: ({ log, holders }) => {
    const last = new Map<ItemId, string[]>();
    for (const trip of log.trips)
      for (const { item, mark } of trip.carries)
        if (mark) last.set(item, [...(last.get(item) ?? []), mark.use].slice(-3));
    const tired = those(holders, ({ id }) => {
      const uses = last.get(id) ?? [];
      return uses.length === 3 && uses.every((use) => use === "unused");
    });
    return new Map([...tired].map((id) => [id, 1]));
  },
};

/**
 * Knows the truth: the distribution that each life is drawn from, and what everything costs, though not the draw. It goes on
 * for one more trip as long as the risk of that trip, and the unused share lost by it or kept, cost less than the best that
 * could be had for that much wear in the long run (one-stage look-ahead on the age-replacement problem).
 */
export function oracle(costs: Costs): Policy {
  const rates = new Map<Slot, number>();
  return {
    replace: ({ holders, outing }) =>
      those(holders, ({ slot, worn }) => {
        if (!slot.life || worn === 0) return false;
        const rate = rates.get(slot) ?? bestRate(slot, costs);
        rates.set(slot, rate);
        const more = wearOf(slot, outing);
        const dies = 1 - survives(slot, worn + more) / survives(slot, worn);
        return (
          dies * costs.failure(slot) + (1 - dies) * unused(slot, worn + more) - unused(slot, worn) >
          rate * more
        );
      }),
    leave: () => new Map(),
  };
}

/** Knows the draws themselves: replaces just before the trip that would end the life. No one can; a floor. */
export const clairvoyant: Policy = {
  replace: ({ holders, outing }) =>
    those(
      holders,
      ({ slot, worn, life }) => slot.life !== null && worn > 0 && worn + wearOf(slot, outing) * 1.1 >= life,
    ),
  leave: () => new Map(),
};

const survives = ({ life }: Slot, wear: number) => 0.5 ** ((wear / life!.median) ** life!.k);

/** Price of the share not yet used, expected, of one replaced at `wear`. */
function unused({ life, price }: Slot, wear: number): number {
  const { median, k } = life!;
  const from = (wear / median) ** k * Math.LN2;
  const steps = 40;
  let share = 0;
  // E[1 − wear/T | T > wear], over even quantiles of what is left.
  for (let n = 0; n < steps; n++)
    share += 1 - wear / (median * ((from - Math.log(1 - (n + 0.5) / steps)) / Math.LN2) ** (1 / k));
  return (price * share) / steps;
}

/** Least long-run cost for each unit of wear, over the wear at which to replace. */
function bestRate(slot: Slot, { failure }: Costs): number {
  const { median } = slot.life!;
  const steps = 300;
  let [best, length] = [Infinity, 0];
  for (let n = 1; n <= steps; n++) {
    const at = (3 * median * n) / steps;
    length += survives(slot, at) * ((3 * median) / steps);
    best = Math.min(
      best,
      ((1 - survives(slot, at)) * failure(slot) + survives(slot, at) * unused(slot, at)) / length,
    );
  }
  return best;
}
