import { nth } from "../sums/there";
import { groupBy } from "../sums/group";
import type { Advice } from "../advice/advise";
import { usedInAll } from "../ledger/totals";
import type { State } from "../ledger/history";
import type { FullItem } from "../trade/full-item";

/** What was spent in one currency. */
export interface Purse {
  readonly currency: string;
  /** Prices of everything owned or once owned. */
  readonly bought: number;
  /** Repairs, washes, services; in the owner's currency. */
  readonly spent: number;
  /** Prices of what was lost or thrown out before it was worn out. */
  readonly lost: number;
  /** Prices of what was mended and used again, less what mending cost. */
  readonly mendingSaved: number;
}

/** A slot, or a thing that has none, and what it has cost for what it did. */
export interface Kept {
  readonly name: string;
  readonly currency: string;
  readonly holders: readonly FullItem[];
  readonly cost: number;
  readonly nights: number;
  readonly metres: number;
  /** Since the first of them was got; null where no day is told. */
  readonly since: string | null;
}

const GONE_BEFORE_TIME: readonly State[] = ["lost", "thrown out"];
const currencyOf = (item: FullItem, own: string) => item.currency ?? own;

/** What is borrowed was paid for by somebody else. */
const isPaidFor = ({ case: { item } }: Advice) => item.owner === null;

/** What was spent, each currency by itself: they are never added. */
export function pursesOf(all: readonly Advice[], own: string): Purse[] {
  const advised = all.filter(isPaidFor);
  const byCurrency = groupBy(advised, ({ case: { item } }) => currencyOf(item, own));
  // Entries are told in the owner's currency, whatever the thing was bought in.
  const spentOn = (some: readonly Advice[]) =>
    some.reduce((sum, { case: { totals } }) => sum + totals.spent, 0);
  const prices = (some: readonly Advice[]) =>
    some.reduce((sum, { case: { item } }) => sum + (item.price ?? 0), 0);
  return [...new Set([own, ...byCurrency.keys()])].map((currency) => {
    const these = byCurrency.get(currency) ?? [];
    const mended = these.filter(isMendedAndUsed);
    return {
      currency,
      bought: prices(these),
      spent: currency === own ? spentOn(advised) : 0,
      lost: prices(these.filter(({ case: { state } }) => GONE_BEFORE_TIME.includes(state))),
      mendingSaved: currency === own ? Math.max(0, prices(mended) - spentOn(mended)) : prices(mended),
    };
  });
}

/** It was repaired, and went on being used: nothing was bought in its place. */
const isMendedAndUsed = ({ case: { history, marked } }: Advice) => {
  const mended = history.repairs.find(({ cost }) => cost > 0);
  return (
    mended !== undefined &&
    marked.some(({ outing, mark }) => mark.use === "used" && outing.trip.starts > mended.on)
  );
};

/**
 * What each slot, or thing without one, has cost for its nights and its way; the dearest first. Those without
 * a price are left out.
 */
export function keptOf(advised: readonly Advice[], own: string): Kept[] {
  const priced = advised.filter((one) => isPaidFor(one) && one.case.item.price !== null);
  return [
    ...groupBy(
      priced,
      ({ case: { item } }) => `${currencyOf(item, own)} ${item.slot ?? `${item.id} alone`}`,
    ).values(),
  ]
    .map((these): Kept => {
      const items = these.map(({ case: { item } }) => item);
      const currency = currencyOf(nth(items, 0), own);
      const sum = (of: (one: Advice) => number) => these.reduce((all, one) => all + of(one), 0);
      return {
        name: nth(items, 0).slot ?? nth(items, 0).name,
        currency,
        holders: items,
        cost: sum(({ case: { item, totals } }) => item.price! + (currency === own ? totals.spent : 0)),
        nights: sum(({ case: { totals } }) => usedInAll(totals).nights),
        metres: sum(({ case: { totals } }) => usedInAll(totals).metres),
        since:
          items
            .flatMap(({ acquired }) => acquired ?? [])
            .sort()
            .at(0) ?? null,
      };
    })
    .sort((a, b) => b.cost - a.cost);
}

/**
 * What one thing has cost for what it did, all its life: a night, and a metre; null where it did too little to
 * tell.
 */
export function costPer(
  { case: { item, totals } }: Advice,
  own: string,
): { readonly night: number | null; readonly metre: number | null } {
  // Entries are told in the owner's currency, whatever the thing was bought in.
  const cost = (item.price ?? 0) + (currencyOf(item, own) === own ? totals.spent : 0);
  const { nights, metres } = usedInAll(totals);
  return {
    night: cost > 0 && nights >= 1 ? cost / nights : null,
    metre: cost > 0 && metres > 0 ? cost / metres : null,
  };
}
