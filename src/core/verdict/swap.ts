import type { FullItem } from "../kinds";
import { count, sayMass } from "../units/speak";
import { isCritical, type Case } from "./case";
import { clogged } from "./service";
import type { Finding } from "./verdict";
import { aThing, onTrips } from "./words";

/** It works and is used, but it annoys, is wrong for its nights, or another that is owned does its job for far less weight. */
export function swap(one: Case): Finding | null {
  if (one.state !== "active") return null;
  return annoys(one) ?? wrongForNights(one) ?? lighterOwned(one);
}

/** Uses that are looked back on: what annoyed long ago and has not since is forgiven. */
const LATELY = 8;

function annoys(one: Case): Finding | null {
  const since = one.history.lastService ?? "";
  const lately = one.marked
    .filter(({ outing, mark }) => outing.trip.ends > since && mark.use !== "unused")
    .slice(-LATELY);
  const annoyed = lately.filter(
    ({ mark }) => mark.trouble === "nuisance" || mark.why === "awkward" || mark.why === "uncomfortable",
  );
  const wants = one.marked.at(-1)?.mark.call === "try something else";
  // What a cleaning may cure is cleaned first.
  if (clogged(one)) return null;
  if (annoyed.length < 2 && !wants) return null;
  const trips = annoyed.map(({ outing }) => outing.trip.id);
  const told = annoyed.findLast(({ mark }) => mark.note)?.mark.note.replace(/\.$/, "");
  return {
    verb: "swap",
    urgency: "when convenient",
    sureness: annoyed.length >= 3 ? "likely" : "perhaps",
    says: annoyed.length
      ? `It works, and it annoyed ${onTrips(trips, one)}${told ? `: ${told.charAt(0).toLowerCase()}${told.slice(1)}` : ""}. Look for another sort.`
      : "You said you'd try something else. It still does its job until then.",
    rule: annoyed.length
      ? `Swapped when it was used and a nuisance, awkward or uncomfortable on two of its last ${LATELY} uses${since ? " since it was last seen to" : ""}: ${annoyed.length} of ${lately.length}.`
      : "Your own call after the last trip.",
    evidence: [
      {
        text: annoyed.length
          ? `a nuisance on ${count(annoyed.length, "trip")}`
          : "your call after the last trip",
        trips,
      },
    ],
  };
}

/** What is slept in, too cold or too hot on two nights or more and on at least a third of those noted. */
function wrongForNights(one: Case): Finding | null {
  const { item, book } = one;
  if (!item.jobs.includes("sleep warm")) return null;
  const nights = book.outings.flatMap(({ trip }) =>
    trip.felt
      .filter(({ slept, felt }) => felt !== null && slept.includes(item.id))
      .map((night) => ({ ...night, trip: trip.id })),
  );
  for (const felt of ["cold", "hot"] as const) {
    const such = nights.filter((night) => night.felt === felt);
    if (such.length < 2 || such.length < nights.length / 3) continue;
    const trips = [...new Set(such.map(({ trip }) => trip))];
    return {
      verb: "swap",
      urgency: felt === "cold" ? "before next trip" : "when convenient",
      sureness: such.length > 2 ? "likely" : "perhaps",
      says: `Too ${felt} on ${such.length} of ${count(nights.length, "night")} noted. ${felt === "cold" ? "For nights like those, a warmer one, or more under and over it." : "A lighter one would do for nights like those."}`,
      rule: `Swapped when too cold or too hot on two nights and a third of those noted: ${such.length} of ${nights.length}.`,
      evidence: [{ text: `slept ${felt} in it ${onTrips(trips, one)}`, trips }],
      ...(felt === "cold"
        ? { caution: "A cold night can be dangerous: take the warmer one where you are not sure." }
        : {}),
    };
  }
  return null;
}

/** Far less weight for the same job: at most this share of it, and at least so many grams less. Common practice, no source. */
const LIGHTER_SHARE = 0.7;
const LIGHTER_GRAMS = 100;

/** Another that stayed on the shelf does the same job, has been used and liked when called, and weighs far less. */
function lighterOwned(one: Case): Finding | null {
  const { item, book, marked, school } = one;
  const grams = item.weight?.g;
  // Of trips that were walked: on a supposed one nobody has said what else went along.
  const last = marked.findLast(({ outing }) => book.outings[outing.n] === outing)?.outing;
  if (
    !grams ||
    !last ||
    isCritical(one) ||
    item.load === "hobby" ||
    item.load === "worn" ||
    one.totals.used.trips === 0
  )
    return null;
  const other = one.alike.find(
    (each) =>
      isFarLighter(each, grams) &&
      book.carriedOf(each.id).length > 0 &&
      !book.carriedOf(each.id).some(({ outing }) => outing === last) &&
      isLiked(each, one),
  );
  if (!other) return null;
  return {
    verb: "swap",
    urgency: "when convenient",
    sureness: "perhaps",
    saves: grams - other.weight!.g,
    says: `The ${aThing(other)} on your shelf does the same for ${sayMass(other.weight!.g, book.settings.units)}, and has been used. Take that one, if it is enough for the conditions.`,
    rule: `Swapped where another owned thing for the same job weighs under ${Math.round(LIGHTER_SHARE * 100)} % and ${LIGHTER_GRAMS} g less. Weight alone condemns nothing that is liked: overrule if you like this one better (${school.name} school).`,
    evidence: [
      {
        text: `${other.name}: ${sayMass(other.weight!.g, book.settings.units)} against ${sayMass(grams, book.settings.units)}`,
        trips: [],
      },
    ],
  };
}

const isFarLighter = ({ state, weight }: FullItem, grams: number) =>
  state === "active" &&
  weight !== null &&
  weight.g <= grams * LIGHTER_SHARE &&
  weight.g <= grams - LIGHTER_GRAMS;

/** Used at least twice, and no trouble the last time. */
const isLiked = (other: FullItem, { book }: Case) => {
  const uses = book.carriedOf(other.id).filter(({ mark }) => mark?.use === "used");
  return uses.length >= 2 && uses.at(-1)!.mark!.trouble === null;
};
