import { lastOf, nth } from "../../sums/there";
import type { Entry, ItemId, Leg, LegId, Mark } from "../../model";
import { count, percent, sayDay, sayDistance, type Units } from "../../units/speak";

/** Names that a mark speaks of by id. */
export interface Names {
  readonly item: (id: ItemId) => string;
  readonly leg: (id: LegId) => string;
}

/** All that a mark says beyond its use, a phrase each; the owner's note last, as written. */
export function sayMark(mark: Mark, units: Units, names: Names): string[] {
  const { exit, at, reading } = mark;
  const place = [
    at?.leg ? names.leg(at.leg) : "",
    at?.distance ? `after ${sayDistance(at.distance.m, units)}` : "",
    mark.where,
  ];
  return [
    ...mark.troubles,
    ...mark.symptoms,
    ...mark.complaints.map(({ what, on }) => (on ? `${what} on ${on}` : what)),
    exit && (exit.for ? `${exit.how} for ${names.item(exit.for)}` : exit.how),
    ...place,
    mark.why,
    mark.cause,
    mark.fix,
    mark.cost && mark.cost !== "nothing" && `it cost ${mark.cost}`,
    mark.condition !== null && `condition ${mark.condition} of 5`,
    reading && `${reading.what} ${reading.value}`,
    mark.days !== null && `used on ${count(mark.days, "day")}`,
    mark.pieces !== null && `${count(mark.pieces, "piece")} lost or broken`,
    mark.enough !== null && `${mark.enough} would have been enough`,
    mark.left !== null && `${percent(mark.left)} left`,
    mark.frost && `frost: ${mark.frost}`,
    mark.call && `your call: ${mark.call}`,
    mark.note,
  ].filter((phrase): phrase is string => Boolean(phrase));
}

/** What was done to a thing between trips, in a phrase: "seam seal, 3 May 2026". */
export const sayEntry = ({ what, on, note }: Entry) => [what, sayDay(on), note].filter(Boolean).join(", ");

/** What a leg is called: its name, or its number. */
export function legName(legs: readonly Pick<Leg, "id" | "name">[], id: string): string {
  const n = legs.findIndex((leg) => leg.id === id);
  return legs[n]?.name || `leg ${n + 1}`;
}

/** Where on the way something failed or left, and what; null where it did neither, or nobody said where. */
export function happenedOn(
  mark: Mark | null,
  legs: readonly Pick<Leg, "id">[],
  ends: readonly number[],
): { readonly metres: number; readonly words: string } | null {
  const at = mark?.at;
  const leg = legs.findIndex(({ id }) => id === at?.leg);
  const metres = at?.distance?.m ?? (leg < 0 ? null : (nth(ends, leg) + nth(ends, leg + 1)) / 2);
  if (!mark || metres === null) return null;
  return {
    metres: Math.min(metres, lastOf(ends)),
    words: mark.exit?.how ?? mark.troubles.at(-1) ?? mark.use,
  };
}
