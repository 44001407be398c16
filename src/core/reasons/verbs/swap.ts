import { known, lastOf } from "../../sums/there";
import { comfortOf } from "../../belief/comfort";
import { comesBack } from "../../belief/fault";
import type { Told } from "../../belief/telling";
import { tripsOf } from "../../ledger/history";
import { tellsOfBed } from "../../ledger/nights";
import { isCritical, isHere, lastOuting, successorOf, type Case } from "../../decide/case";
import { TRIGGERS, type Complaint } from "../../model";
import type { FullItem } from "../../trade/full-item";
import { tripsBorne } from "../borne";
import { findingOf, type Finding, type Rule } from "../finding";
import { said, surenessOf, urgencyBy } from "../sureness";
import { isOneOf } from "../../sums/keys";

/** Chance that a complaint comes back from which it is no longer only repeated. Common practice, no source. */
const COMES_BACK = 0.4;
/** Told again, it takes less. Common practice, no source. */
const COMES_BACK_TOLD_AGAIN = 0.2;

function complaint(one: Case): Finding | null {
  const told = one.told("complaint");
  const { use } = one;
  if (told.marks.length === 0 || one.told("made the trip").marks.at(-1) === told.marks.at(-1)) return null;
  const better = lighterOf(one);
  const again = comesBack({ times: told.chances, chances: Math.max(told.chances, use.taken) });
  const enough = told.marks.length > 1 ? COMES_BACK_TOLD_AGAIN : COMES_BACK;
  if (again < enough && !better) return null;
  // What the weather made of it once, and the weight of what its owner goes for, is no reason for another.
  const complaints = told.marks.flatMap(({ mark }) => mark.complaints);
  if (complaints.length > 0 && told.marks.length === 1 && complaints.every(isOfWeather)) return null;
  if (one.item.load === "hobby" && complaints.length > 0 && complaints.every(isOfWeight)) return null;
  // Taken along again and again all the same, it is lived with.
  if (tripsBorne(one) !== null && lastOf(told.marks).mark.exit === null) return null;
  if (isLongWithout(told, one)) return null;
  const sent = lastOf(told.marks).mark.exit?.how === "sent home" ? successorOf(one) : null;
  const sureness = sent ? "sure" : surenessOf(told.chances);
  const facts = {
    ...said(told, one),
    complaints,
    better: sent ?? better,
  };
  return findingOf({
    verb: "swap",
    reason: "complaint",
    facts,
    urgency: sent ? "watch" : urgencyBy(sureness),
    sureness,
    trips: tripsOf(told.marks),
    ...(sent && { done: true }),
  });
}

/** Used again and again without it, a complaint is let go of. */
export function isLongWithout({ marks }: Told, { marked }: Case): boolean {
  const { n } = lastOf(marks).outing;
  const since = marked.filter(({ outing, mark }) => mark.use === "used" && outing.n > n);
  return since.length > marks.length * 3;
}

const isOfWeather = ({ on }: Complaint) => isOneOf(TRIGGERS, on);
const isOfWeight = ({ what }: Complaint) => what === "too heavy" || what === "too bulky";

/** Nights too cold or too hot from which the bed, and not the night, is at fault. Common practice, no source. */
const WRONG_NIGHTS = 2;
const WRONG_SHARE = 1 / 3;

function wrongForNights(one: Case): Finding | null {
  const { item, book } = one;
  if (!item.jobs.includes("sleep warm")) return null;
  const nights = book.outings.flatMap(({ trip }) =>
    trip.felt
      .filter((night) => night.felt !== null && night.slept.includes(item.id) && tellsOfBed(night))
      .map((night) => ({ ...night, trip: trip.id })),
  );
  for (const felt of ["cold", "hot"] as const) {
    const such = nights.filter((night) => night.felt === felt);
    if (such.length < WRONG_NIGHTS || such.length < nights.length * WRONG_SHARE) continue;
    const lows = such.flatMap(({ low }) => low ?? []);
    const tried = nights.flatMap(({ low, felt: how }) => (low === null ? [] : [{ low, felt: how! }]));
    const sureness = surenessOf(such.length / 2);
    return findingOf({
      verb: "swap",
      reason: "wrong for its nights",
      facts: {
        felt,
        nights: such.length,
        of: nights.length,
        low: lows.length ? Math.max(...lows) : null,
        comfort: tried.length ? comfortOf(tried, item.ratings.label) : null,
      },
      urgency: urgencyBy(sureness),
      sureness,
      trips: [...new Set(such.map(({ trip }) => trip))],
      ...(felt === "cold" && { caution: "cold night" as const }),
    });
  }
  return null;
}

/**
 * Far less weight for the same job: at most this share of it, and at least so many grams less. Common
 * practice, no source.
 */
const LIGHTER_SHARE = 0.7;
const LIGHTER_GRAMS = 100;

/** Another of its kind that has been used and liked, and weighs far less. */
function lighterOf({ item, survey }: Case): FullItem | null {
  const { byKind, marks } = survey;
  const grams = item.weight?.g;
  if (!grams || item.kind === "other") return null;
  return (
    (byKind.get(item.kind) ?? []).find(
      (other) =>
        other.id !== item.id &&
        other.weight !== null &&
        other.weight.g <= grams * LIGHTER_SHARE &&
        other.weight.g <= grams - LIGHTER_GRAMS &&
        isHere(survey, other) &&
        isLiked(other, marks),
    ) ?? null
  );
}

/** Used at least twice, and no trouble the last time. */
function isLiked(other: FullItem, marks: Case["survey"]["marks"]): boolean {
  const uses = known(marks, other.id).filter(({ mark }) => mark.use === "used");
  return uses.length >= 2 && lastOf(uses).mark.troubles.length === 0;
}

/** It stayed on the shelf while this one went, for nothing that the weather asked. */
function lighterOwned(one: Case): Finding | null {
  const { item, totals, survey } = one;
  const last = lastOuting(one);
  if (!last || isCritical(one) || item.load === "hobby" || item.load === "worn" || totals.used.trips === 0)
    return null;
  const other = lighterOf(one);
  if (!other || item.jobs[0] === "stay warm") return null;
  if (known(survey.marks, other.id).some(({ outing }) => outing === last)) return null;
  const grams = item.weight!.g - other.weight!.g;
  return findingOf({
    verb: "swap",
    reason: "lighter one owned",
    facts: { other, grams },
    urgency: "when convenient",
    sureness: "perhaps",
    trips: [last.trip.id],
    saves: grams,
  });
}

const unlessCover =
  (rule: Rule): Rule =>
  (one) =>
    one.item.cover ? null : rule(one);

/** It works and is used, but keeps annoying, is wrong for its nights, or weighs far more than another owned one. */
export const SWAP: readonly Rule[] = [complaint, wrongForNights, lighterOwned].map(unlessCover);
