import { nth } from "../sums/there";
import type { Carry, ItemId, LegId, TripHead } from "../model";
import { metresOf } from "./place";
import { endsOf } from "./stretches";

/** From where to where on the way a thing was along, in metres from its start. */
interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * Where a thing left the pack for good on this trip; null where it did not, or nobody said where. Part of a
 * set may go, and the set stay.
 */
const leftAt = (trip: Pick<TripHead, "legs">, { mark }: Pick<Carry, "mark">): number | null =>
  mark?.exit && mark.exit.how !== "posted ahead" && mark.pieces === null ? metresOf(trip, mark) : null;

/**
 * Where each thing joined that another was swapped for on the way: the one's carriage ends where the other's
 * begins.
 */
export function joinedAt(
  trip: Pick<TripHead, "legs">,
  carries: readonly Carry[],
): ReadonlyMap<ItemId, number> {
  return new Map(
    carries.flatMap(({ mark }) => {
      const by = mark?.exit?.how === "swapped" ? mark.exit.for : null;
      const at = by && metresOf(trip, mark);
      return by && at ? [[by, at] as const] : [];
    }),
  );
}

/**
 * What a thing was carried of each leg, 0 to 1, by leg: the legs it was set on, up to where it left and from
 * where it joined. Null: all of all of them.
 *
 * @param joined where it took another's place, in metres; only where nobody set its legs
 */
export function sharesCarried(
  trip: Pick<TripHead, "legs">,
  carry: Pick<Carry, "legs" | "mark">,
  joined: number | null = null,
): ReadonlyMap<LegId, number> | null {
  const left = leftAt(trip, carry);
  const from = carry.legs === null ? (joined ?? 0) : 0;
  if (carry.legs === null && left === null && from === 0) return null;
  const span: Span = { from, to: left ?? Infinity };
  const ends = endsOf(trip.legs);
  return new Map(
    trip.legs.flatMap(({ id }, n): [LegId, number][] => {
      if (carry.legs !== null && !carry.legs.includes(id)) return [];
      const share = overlap({ from: nth(ends, n), to: nth(ends, n + 1) }, span);
      return share > 0 ? [[id, share]] : [];
    }),
  );
}

/** Share of a leg, 0 to 1, that lies within a span; a leg of no length is within where it begins there. */
function overlap(leg: Span, span: Span): number {
  if (leg.to === leg.from) return leg.from >= span.from && leg.from < span.to ? 1 : 0;
  return Math.max(0, Math.min(leg.to, span.to) - Math.max(leg.from, span.from)) / (leg.to - leg.from);
}
