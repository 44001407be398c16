import type { Kit } from "@/core/advice/kit";
import { isPressing } from "@/core/advice/advise";
import { weightOn } from "@/core/compare/lists";
import { partOf } from "@/core/ledger/book";
import { outingOf } from "@/core/ledger/outing";
import type { Trip } from "@/core/model";
import { says } from "@/core/say/verdicts/says";
import { sayDays, sayDistance, sayHeight, sayMass } from "@/core/units/speak";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { keysOf } from "@/core/sums/keys";

/** A thing in the pack, as the way asks for it: what it weighs, and what is doubtful of it. */
interface Carried {
  readonly id: string;
  readonly name: string;
  readonly weighs: string;
  readonly doubt: string | null;
}

/** A pocket with what rides in it. */
export interface CarriedIn {
  readonly pocket: string;
  readonly things: readonly Carried[];
}

/** What is along on a trip, pocket by pocket. */
export function carriedOf(trip: Trip, { of, book }: Kit): CarriedIn[] {
  const { units } = book.settings;
  const things = trip.carries.flatMap((carry) => {
    const advice = of(carry.item);
    if (!advice || carry.mark?.exit) return [];
    const { item } = advice.case;
    const grams = weightOn(item, trip.ends);
    const [first] = advice.verdicts;
    const doubt = isPressing(first) && advice.asks.includes(first) ? says(advice.case, first) : null;
    return [
      {
        stow: item.stow,
        thing: {
          id: item.id,
          name: item.name,
          weighs: grams === null ? "not weighed" : sayMass(grams * partOf(carry), units),
          doubt,
        },
      },
    ];
  });
  return keysOf(STOW_NAMES).flatMap((stow): CarriedIn[] => {
    const here = things.filter((each) => each.stow === stow);
    return here.length ? [{ pocket: STOW_NAMES[stow], things: here.map(({ thing }) => thing) }] : [];
  });
}

/** A leg in numbers, and whether it is the one that today falls in. */
export interface LegAhead {
  readonly name: string;
  readonly numbers: string;
  readonly isToday: boolean;
}

/** The legs of a trip in numbers, each by its own days where they are told. */
export function legsAhead(trip: Trip, { book }: Kit): LegAhead[] {
  const { units } = book.settings;
  const { nights, shares } = outingOf(trip);
  return trip.legs.map((leg, n): LegAhead => {
    const itsNights = leg.nights ?? Math.round(nights * (shares.get(leg.id) ?? 0));
    return {
      name: leg.name || `Leg ${n + 1}`,
      numbers: [
        sayDistance(leg.distance.m, units),
        ...(leg.ascent ? [`↑ ${sayHeight(leg.ascent.m, units)}`] : []),
        ...(itsNights > 0 ? [`${itsNights} ${itsNights === 1 ? "night" : "nights"}`] : []),
        leg.terrain,
        ...(leg.starts && leg.ends ? [sayDays(leg.starts, leg.ends)] : []),
      ].join(" · "),
      isToday: leg.starts !== null && leg.ends !== null && leg.starts <= book.today && book.today <= leg.ends,
    };
  });
}
