import type { Ruling } from "../model";
import type { Case } from "./case";
import type { Finding } from "./verdict";

/**
 * The owner's ruling on a finding, if it still stands: nothing new has gone wrong since, and the trips after which to
 * ask again have not gone by. "Later" asks again after the next trip.
 */
export function standingRuling({ book, item, marked, history }: Case, finding: Finding): Ruling | null {
  const ruling = book.rulingsOf(item.id).findLast((each) => each.verb === finding.verb);
  if (!ruling) return null;
  const newTrips = marked.length - ruling.trips;
  const newTrouble = history.troubles.length > ruling.troubles;
  const again = ruling.decision === "later" ? 1 : ruling.again;
  return newTrouble || (again !== null && newTrips >= again) ? null : ruling;
}
