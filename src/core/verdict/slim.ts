import { isCalled } from "../kinds";
import type { Job } from "../model";
import { count, percent } from "../units/speak";
import type { Case } from "./case";
import { isTooLight } from "./drop";
import { backupsFor } from "./schools";
import type { Finding } from "./verdict";
import { aThing, onTrips } from "./words";

/** It earns its place, but there is too much of it; or a safety job is done three times over. */
export function slim(one: Case): Finding | null {
  if (one.state !== "active") return null;
  return (
    tooMuch(one) ??
    carriedHome(one) ??
    hardlyOpened(one) ??
    spareInTurn(one) ??
    secondForAJob(one) ??
    thirdOfAJob(one)
  );
}

/** Trips that are looked back on. */
const LATELY = 8;

function tooMuch(one: Case): Finding | null {
  const lately = one.marked.slice(-LATELY);
  const said = lately.filter(({ mark }) => mark.why === "too much of it").map(({ outing }) => outing.trip.id);
  if (said.length < 2) return null;
  return {
    verb: "slim",
    urgency: "before next trip",
    sureness: said.length > 2 ? "sure" : "likely",
    says: `Too much of it ${onTrips(said, one)}. Take less; it keeps its place.`,
    rule: `Slimmed when marked “too much of it” on two of its last ${LATELY} trips: ${said.length} of ${lately.length}.`,
    evidence: [{ text: "marked “too much of it”", trips: said }],
  };
}

/** Share of fuel, food or the like that may come home: enough nine times in ten leaves about a third on most trips. Common practice, no source. */
const HOME_SHARE = 0.4;

/** A consumable of which much was carried out and back: so it was told, or it was marked as never opened. */
function carriedHome(one: Case): Finding | null {
  const { item, use, marked } = one;
  if (item.load !== "consumable" || item.cover) return null;
  const lately = marked
    .flatMap(({ outing: { trip }, mark }) => {
      const told = trip.supplies
        .filter(({ what, out }) => out > 0 && isCalled(item, what))
        .map(({ unit, out, back }) => ({
          trip,
          share: back / out,
          words: `last time ${back} of ${out}\u00a0${unit}`,
        }));
      const unopened = mark.use === "unused" && use.calledUnused.includes(trip.id);
      return told.length || !unopened ? told : [{ trip, share: 1, words: "last time all of it" }];
    })
    .slice(-3);
  const last = lately.at(-1);
  // Shares, not sums: one trip may have been told in grams, the next in canisters.
  const share = lately.reduce((sum, each) => sum + each.share, 0) / lately.length;
  if (!last || lately.length < 2 || share < HOME_SHARE) return null;
  const trips = lately.map(({ trip }) => trip.id);
  return {
    verb: "slim",
    urgency: "before next trip",
    sureness: "likely",
    says: `${share > 0.995 ? "All" : percent(share)} of it came home ${onTrips(trips, one)}; ${last.words}. Take less.`,
    rule: `Slimmed when ${percent(HOME_SHARE)} of it or more came home over the last two or three trips that it was told of.`,
    evidence: [{ text: `${percent(share)} carried home`, trips }],
  };
}

/** A kit of parts, not for safety, that was little more than opened. */
function hardlyOpened(one: Case): Finding | null {
  const { item, kind, use, marked } = one;
  if (!kind.contents || item.cover || item.load === "consumable" || isTooLight(one)) return null;
  const lately = marked.filter(({ outing }) => use.calledTrips.includes(outing.trip.id)).slice(-4);
  const hardly = lately.filter(({ mark }) => mark.use !== "used").map(({ outing }) => outing.trip.id);
  if (hardly.length < 3) return null;
  return {
    verb: "slim",
    urgency: "when convenient",
    sureness: hardly.length > 3 ? "sure" : "likely",
    says: `Hardly opened on ${hardly.length} of its last ${count(lately.length, "trip")}. Take out what stayed shut; the rest keeps its place.`,
    rule: "A kit is slimmed, not dropped, when it was hardly used or unused on three of the last four trips that called for it.",
    evidence: [{ text: "hardly used or unused", trips: hardly }],
  };
}

/** Of things worn in turn, the one that had no turn while two others had theirs. */
function spareInTurn(one: Case): Finding | null {
  const { item, kind, book, marked } = one;
  if (!kind.inTurn || isTooLight(one)) return null;
  const others = one.alike.filter((other) => other.kind === item.kind);
  const used = new Map(
    others.map((other) => [
      other,
      new Set(
        book
          .carriedOf(other.id)
          .filter(({ mark }) => mark?.use === "used")
          .map(({ outing }) => outing.trip.id),
      ),
    ]),
  );
  const spare = marked
    .filter(
      ({ outing, mark }) =>
        mark.use === "unused" && others.filter((other) => used.get(other)!.has(outing.trip.id)).length >= 2,
    )
    .map(({ outing }) => outing.trip.id);
  const turns = marked.filter(({ mark }) => mark.use === "used").length;
  if (spare.length < 3 || spare.length <= turns) return null;
  const names = others.filter((other) => used.get(other)!.has(spare.at(-1)!)).map(aThing);
  return {
    verb: "slim",
    urgency: "before next trip",
    sureness: "likely",
    saves: item.weight?.g ?? 0,
    says: `${count(names.length + 1, "such thing")} went along and ${names.length} took turns; this one had none ${onTrips(spare, one)}. Leave this one: ${names.join(" and ")} were enough.`,
    rule: `Of three worn in turn where two were used, one stays home: unused on ${spare.length} such trips (three are asked for), used on ${turns}.`,
    evidence: [{ text: `unused while two others were used ${onTrips(spare, one)}`, trips: spare }],
  };
}

/** Warm and dry clothes seldom fail at once: the second of a kind is hardly a backup. */
const WORN_JOBS: readonly Job[] = ["stay warm", "stay dry"];
/** Comforts of which one is enough, of whatever kind. */
const COMFORT_JOBS: readonly Job[] = ["pad", "pillow", "sit", "camp shoes", "head warm", "hands warm"];

/** Two for one job, of which one was enough each time: if one stays home, it is this one. */
function secondForAJob(one: Case): Finding | null {
  const { item, use, marked, book } = one;
  const other = one.rivals.find(
    (rival) =>
      (COMFORT_JOBS.includes(rival.job) ||
        (WORN_JOBS.includes(rival.job) && rival.item.kind === item.kind)) &&
      rival.usedTrips >= one.totals.used.trips,
  );
  if (!other) return null;
  const used = new Set(
    book
      .carriedOf(other.item.id)
      .filter(({ mark }) => mark?.use === "used")
      .map(({ outing }) => outing),
  );
  const trips = marked
    .filter(
      ({ outing, mark }) =>
        used.has(outing) && (mark.use === "hardly" || use.calledUnused.includes(outing.trip.id)),
    )
    .map(({ outing }) => outing.trip.id);
  const needed = marked.filter(({ mark }) => mark.use === "used").length;
  if (trips.length < 3 || trips.length <= needed) return null;
  return {
    verb: "slim",
    urgency: "before next trip",
    sureness: "likely",
    saves: item.weight?.g ?? 0,
    says: `Two for one job went along, and the ${aThing(other.item)} was enough ${onTrips(trips, one)}. If one stays home, it is this one.`,
    rule: `Of two for one job, the one used less stays home when the other was enough on three trips that called for it, and on more than it was used itself: ${trips.length} against ${needed}.`,
    evidence: [
      {
        text: `hardly used or unused while the ${aThing(other.item)} was used ${onTrips(trips, one)}`,
        trips,
      },
    ],
    ...(WORN_JOBS.includes(other.job)
      ? { caution: "Where a wet or torn layer would be dangerous, take both." }
      : {}),
  };
}

/** Jobs whose tools are alike enough that a third is one too many. A beacon, a whistle and a phone are not. */
const TRIPLED_JOBS: readonly Job[] = ["treat water", "light", "fire"];

/** Cover and dangerous things are never dropped, but a critical job done by more than its backups can be trimmed. */
function thirdOfAJob(one: Case): Finding | null {
  const { item, totals, school } = one;
  if (!item.cover && item.consequence !== "danger") return null;
  for (const job of item.jobs.filter((each) => TRIPLED_JOBS.includes(each))) {
    const ahead = one.rivals.filter(
      (rival) =>
        rival.job === job &&
        (rival.usedTrips > totals.used.trips ||
          (rival.usedTrips === totals.used.trips && (rival.item.weight?.g ?? 0) < (item.weight?.g ?? 0))),
    );
    const allowed = Math.max(1, backupsFor(school, job));
    if (ahead.length <= allowed) continue;
    return {
      verb: "slim",
      urgency: "when convenient",
      sureness: "perhaps",
      saves: item.weight?.g ?? 0,
      says: `${count(ahead.length + 1, "thing")} in the pack to ${job === "light" ? "give light" : job === "fire" ? "make fire" : job}; this one is used least. One and ${allowed === 1 ? "a backup" : `${allowed} backups`} are enough: this is the one to leave, if any.`,
      rule: `The ${school.name} school allows ${count(allowed, "backup")} for this job, and ${count(ahead.length, "other thing")} that ${ahead.length === 1 ? "does" : "do"} it ${ahead.length === 1 ? "is" : "are"} used more, or as much and lighter.`,
      evidence: [{ text: `also for this: ${ahead.map((rival) => rival.item.name).join(", ")}`, trips: [] }],
      caution: "Keep two ways, of different sorts, for anything you can't do without.",
    };
  }
  return null;
}
