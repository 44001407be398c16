import type { Ruling } from "../model";
import type { Case } from "../decide/case";
import type { Finding } from "./finding";
import { isLaw } from "./law-reasons";

/**
 * Wear added since a ruling, as a share of the wear then, that is news about a thing wearing out. Common
 * practice, no source.
 */
const NEWLY_WORN = 0.25;

/**
 * The owner's ruling on a finding, if it still stands: it was on this verb for this reason, nothing new
 * speaks, and the trips after which to ask again have not gone by. New is a trouble since, or, of a thing
 * said to wear out, a quarter more wear. "Later" asks again after the next trip. A ruling on one reason
 * silences no other: an old "no" does not hide a frozen filter.
 */
export function standingRuling(one: Case, finding: Pick<Finding, "verb" | "reason">): Ruling | null {
  const { book, item, marked, history } = one;
  const ruling = book
    .rulingsOf(item.id)
    .findLast(
      ({ verb, ground }) =>
        verb === finding.verb && (ground === null ? !isLaw(finding) : ground === finding.reason),
    );
  if (!ruling || !stands(ruling, { trips: marked.length, troubles: history.troubles.length })) return null;
  return ruling.verb === "replace" && ruling.decision === "overrule" && wornSince(one, ruling.on)
    ? null
    : ruling;
}

/**
 * Whether a ruling holds by the counts that it was made at: no trouble since, and the trips after which to
 * ask again not gone by.
 */
export function stands(ruling: Ruling, { trips, troubles }: Pick<Ruling, "trips" | "troubles">): boolean {
  const again = ruling.decision === "later" ? 1 : ruling.again;
  return troubles <= ruling.troubles && (again === null || trips - ruling.trips < again);
}

function wornSince({ totals }: Case, on: string): boolean {
  const added = totals.steps.filter((step) => step.on > on).reduce((sum, step) => sum + step.wear, 0);
  return added > (totals.wear - added) * NEWLY_WORN;
}
