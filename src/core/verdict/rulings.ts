import type { Ruling } from "../model";
import type { Case } from "./case";
import type { Finding } from "./verdict";

/** Wear added since a ruling, as a share of the wear then, that is news about a thing wearing out. Common practice, no source. */
const NEWLY_WORN = 0.25;

/**
 * The owner's ruling on a finding, if it still stands: nothing new speaks, and the trips after which to ask again have not
 * gone by. New is a trouble since, or, of a thing said to wear out, a quarter more wear. "Later" asks again after the next trip.
 */
export function standingRuling(one: Case, finding: Pick<Finding, "verb">): Ruling | null {
  const { book, item, marked, history } = one;
  const ruling = book.rulingsOf(item.id).findLast((each) => each.verb === finding.verb);
  if (!ruling) return null;
  const newTrips = marked.length - ruling.trips;
  const newTrouble = history.troubles.length > ruling.troubles;
  const again = ruling.decision === "later" ? 1 : ruling.again;
  if (newTrouble || (again !== null && newTrips >= again)) return null;
  return ruling.verb === "replace" && ruling.decision === "overrule" && wornSince(one, ruling.trips) ? null : ruling;
}

function wornSince({ totals }: Case, trips: number): boolean {
  const added = totals.wearByTrip.slice(trips).reduce((sum, trip) => sum + trip.wear, 0);
  return added > (totals.wear - added) * NEWLY_WORN;
}
