import type { ItemId, Ruling, Verb } from "../model";
import type { Case } from "./case";
import type { Finding } from "./verdict";

/** What is ruled on: a verdict on a thing, or something to add. */
export type RuledOn = { readonly item: ItemId; readonly verb: Verb } | { readonly what: string };

/** Wear added since a ruling, as a share of the wear then, that is news about a thing wearing out. Common practice, no source. */
const NEWLY_WORN = 0.25;

/**
 * The owner's ruling on a finding, if it still stands: nothing new speaks, and the trips after which to ask again have not
 * gone by. New is a trouble since, or, of a thing said to wear out, a quarter more wear. "Later" asks again after the next trip.
 */
export function standingRuling(one: Case, finding: Pick<Finding, "verb">): Ruling | null {
  const { book, item, marked, history } = one;
  const ruling = book.rulingsOf(item.id).findLast((each) => each.verb === finding.verb);
  if (!ruling || !stands(ruling, { trips: marked.length, troubles: history.troubles.length })) return null;
  return ruling.verb === "replace" && ruling.decision === "overrule" && wornSince(one, ruling.trips)
    ? null
    : ruling;
}

/** Whether a ruling holds by the counts that it was made at: no trouble since, and the trips after which to ask again not gone by. */
export function stands(ruling: Ruling, { trips, troubles }: Pick<Ruling, "trips" | "troubles">): boolean {
  const again = ruling.decision === "later" ? 1 : ruling.again;
  return troubles <= ruling.troubles && (again === null || trips - ruling.trips < again);
}

function wornSince({ totals }: Case, trips: number): boolean {
  const added = totals.wearByTrip.slice(trips).reduce((sum, trip) => sum + trip.wear, 0);
  return added > (totals.wear - added) * NEWLY_WORN;
}
