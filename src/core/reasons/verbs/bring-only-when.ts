import { known, nth } from "../../sums/there";
import { CALLER_ODDS, callerOf } from "../../belief/caller";
import { tripsOf } from "../../ledger/history";
import type { Marked } from "../../ledger/book";
import { isCritical, isHere, lastOuting, othersDoing, successorOf, type Case } from "../../decide/case";
import { isTooLight } from "../../decide/law";
import type { Trigger } from "../../model";
import { JOB_RULES, RANK, SEASON_JOBS } from "../../trade/jobs";
import { isForeseen, isWeatherToCome } from "../../trade/triggers";
import { callerAmong, hasSeason, isMildLayer, isOutOfSeason } from "./drop";
import type { Sureness } from "../../model";
import { findingOf, type Finding, type Rule } from "../finding";
import { lastTelling, said, speaks, surenessOf } from "../sureness";

export const foreseenOf = ({ item }: Case): Trigger[] => item.triggers.filter(isForeseen);

function only(one: Case, marks: readonly Marked[], sureness: Sureness) {
  return {
    verb: "bring only when" as const,
    urgency: "watch" as const,
    sureness,
    trips: tripsOf(marks),
    saves: one.item.weight?.g ?? 0,
    when: { triggers: foreseenOf(one), caller: null },
    ...(one.kind.id === "traction" && { caution: "ice" as const }),
    ...(one.item.jobs.includes("stay warm") && { caution: "insulation" as const }),
  };
}

/** Used, and then sent home: wanted for a part of the way. */
function sentAway(one: Case): Finding | null {
  const last = one.marked.at(-1);
  if (!last || last.mark.exit?.how !== "sent home" || last.mark.use === "unused") return null;
  // Complained of and sent home for another: that is a swap, done already.
  if (one.told("complaint").marks.at(-1) === last && successorOf(one)) return null;
  const facts = { days: last.mark.days, out: Math.round(last.outing.days * last.part) };
  return findingOf({
    ...only(one, [last], surenessOf(one.told("sent away").chances)),
    reason: "sent away after use",
    facts,
  });
}

/**
 * The only bag, filter or stove on a walk that did not need it: named as one that could have stayed, or
 * without a call.
 */
function notNeededThere(one: Case): Finding | null {
  const { item, use } = one;
  const stayed = one.told("could have stayed");
  const essential = item.jobs.some((job) => JOB_RULES[job]?.essential);
  if (essential && !item.cover && speaks(stayed, one))
    return findingOf({
      ...only(one, stayed.marks, surenessOf(stayed.chances)),
      reason: "not needed there",
      facts: said(stayed, one),
    });
  const told = one.told("no call for it");
  const offered = item.jobs.length > 0 && item.jobs.every((job) => JOB_RULES[job]?.doneBy !== undefined);
  if (!offered || item.cover || one.kind.noCall === "keep" || !speaks(told, one) || use.taken > use.idle)
    return null;
  return findingOf({
    ...only(one, told.marks, surenessOf(told.chances)),
    reason: "not needed there",
    facts: said(told, one),
  });
}

const COLD: readonly Trigger[] = ["cold", "freezing"];

const OF_SEASONS: readonly Trigger[] = ["snow or ice", "freezing", "cold", "heat"];

/** Of two owned for one job at different warmth or weight, each is for its season. */
function forItsSeason(one: Case): Finding | null {
  const { item, marked, survey } = one;
  const [job] = item.jobs;
  if (
    !job ||
    !SEASON_JOBS.has(job) ||
    marked.length === 0 ||
    marked.some(({ mark }) => mark.use === "unused")
  )
    return null;
  const out = new Set(marked.map(({ outing }) => outing.n));
  const first = nth(marked, 0).outing.n;
  const instead = (survey.byJob.get(job) ?? []).flatMap((other) => {
    // Layers for warmth are worn over each other: only jackets of one kind stand for each other.
    if (other.id === item.id || (job === "stay warm" && (other.kind !== item.kind || !isCritical(one))))
      return [];
    const its = known(survey.marks, other.id);
    if (!isHere(survey, other)) return [];
    // Before it came, nothing could have gone in its place.
    const without = its.filter(
      ({ outing, mark }) => outing.n > first && !out.has(outing.n) && mark.use === "used",
    );
    return without.length ? [{ other, without }] : [];
  });
  for (const { other, without } of instead) {
    // Who owns two for one job mostly owns them for two seasons.
    const caller = callerOf(item, marked, without, { among: OF_SEASONS, odds: CALLER_ODDS.reckoned });
    if (!caller) continue;
    return findingOf({
      ...only(one, marked, without.length > 1 ? "likely" : "perhaps"),
      reason: "each for its season",
      facts: { other, caller },
      when: { triggers: [caller.trigger], caller },
    });
  }
  return null;
}

/**
 * A complaint that names its weather is a "when", not a swap: sore on hard track, frozen in frost; where
 * another of its sort is there to go instead. The only pack is not left at home for rain.
 */
function failsOnlyWith(one: Case): Finding | null {
  const { item, marked, use, survey } = one;
  const alike = item.jobs.slice(0, 1).flatMap((job) => survey.byJob.get(job) ?? []);
  if (!alike.some((other) => other.id !== item.id && other.kind === item.kind && isHere(survey, other)))
    return null;
  const last = lastTelling(one);
  const on = last?.mark.complaints.map((complaint) => complaint.on).find((place) => place !== null);
  if (!last || !on || !isWeatherToCome(on) || marked.length < 2 || use.taken < 1) return null;
  const caller = { trigger: on, at: "some" as const, without: true };
  const idle = marked.filter(({ mark }) => mark.complaints.some((complaint) => complaint.on === on)).length;
  return findingOf({
    ...only(one, [last], surenessOf(idle)),
    reason: "used only with",
    facts: { caller, used: one.totals.used.trips, idle },
    when: { triggers: [on], caller },
  });
}

/** Not called for: a season, a place or bugs that can be seen coming. */
function noCall(one: Case): Finding | null {
  const { item, kind, use, told } = one;
  if (!hasSeason(item) || (use.idle === 0 && told("no call for it").marks.length === 0)) return null;
  // Grip for ice that nobody will meet is no cover.
  if (item.cover && !kind.seasonal && told("no call for it").marks.length === 0) return null;
  if (!idleEnough(one)) return null;
  const marks = one.marked.filter(
    ({ outing, mark }) => mark.use === "unused" && use.uncalledTrips.includes(outing.trip.id),
  );
  if (marks.length === 0 || (kind.noCall === "keep" && !anotherWarm(one))) return null;
  return findingOf({
    ...only(one, marks, surenessOf(use.idle, use.taken)),
    reason: "no call for it",
    facts: { trips: marks.length },
  });
}

/**
 * Chances without a call, more than those used, after which even what the weather may ask for any day is
 * brought only when. Common practice, no source.
 */
const IDLE_CHANCES = 3;

/** A day more on the one trip than on the other does not tell idle from used. */
const ABOUT_AS_OFTEN = 1.25;

/**
 * What is for a season goes at the first idle trip, unless used more often; the rest of what weather calls
 * for, when the idle chances are many.
 */
function idleEnough(one: Case): boolean {
  const { item, kind, use } = one;
  if (item.ownTriggers) return use.idle > 0 && use.idle * 3 >= use.taken;
  if (kind.seasonal) return use.idle * ABOUT_AS_OFTEN >= use.taken;
  if (kind.noCall === "keep") return use.idle > use.taken;
  return use.idle >= IDLE_CHANCES && use.idle > use.taken && !isTooLight(one);
}

/** A second layer that another did the job of while it was mild is for the cold, not for the drawer. */
function anotherInMildWeather(one: Case): Finding | null {
  const told = one.told("another did the job");
  if (!speaks(told, one) || !isMildLayer(one)) return null;
  return findingOf({
    ...only(one, told.marks, surenessOf(told.chances, one.use.taken)),
    reason: "no call for it",
    facts: { trips: told.marks.length },
    when: { triggers: one.item.triggers.filter((trigger) => COLD.includes(trigger)), caller: null },
  });
}

/** The main insulation stays; a second warm layer need not. */
function anotherWarm(one: Case): boolean {
  const outing = lastOuting(one);
  if (!outing || !one.item.jobs.includes("stay warm") || RANK[one.item.consequence] > RANK["trip-ending"])
    return false;
  return othersDoing(one, "stay warm", outing).some((other) =>
    known(one.survey.marks, other.id).some((mark) => mark.outing === outing && mark.mark.use === "used"),
  );
}

/** Refused on some trips, as its owner said, and used on others, and the weather tells them apart. */
function usedOnlyWith(one: Case): Finding | null {
  const refused = (["another did the job", "disliked", "too much of it"] as const).some(
    (telling) => one.told(telling).marks.length > 0,
  );
  if (!refused || one.item.cover || isOutOfSeason(one) || isTooLight(one)) return null;
  const { wanted, unwanted, caller } = callerAmong(one);
  // A few refusals among many uses are no pattern.
  if (!caller || unwanted.length * 2 < wanted.length) return null;
  return findingOf({
    ...only(one, [...wanted, ...unwanted], surenessOf(Math.min(wanted.length, unwanted.length) + 1)),
    reason: "used only with",
    facts: { caller, used: wanted.length, idle: unwanted.length },
    when: { triggers: [caller.trigger], caller },
  });
}

/** A trip of at least so many days is long: things can be sent on, or home. */
const LONG_DAYS = 14;
/** Used on at most this share of a long trip's days, it was dead weight for the rest. */
const SMALL_PART = 1 / 3;

/** A thing for dry country, carried all the way. */
function partOfLongWalk(one: Case): Finding | null {
  const last = one.marked.at(-1);
  if (!last || !one.kind.seasonal || isTooLight(one) || last.mark.use === "unused" || last.mark.days === null)
    return null;
  const out = Math.round(last.outing.days * last.part);
  if (out < LONG_DAYS || last.mark.days > out * SMALL_PART || one.item.weight === null) return null;
  if (one.item.jobs.some((job) => LIGHT_USE.has(job))) return null;
  return findingOf({
    ...only(one, [last], surenessOf(out / 7 - 1)),
    reason: "part of a long walk",
    facts: { days: last.mark.days, out },
  });
}

/** Worn or put on for a moment, not carried for a stretch. */
const LIGHT_USE: ReadonlySet<string> = new Set(["head shaded", "sun protection", "bug protection"]);

const unlessHobby =
  (rule: Rule): Rule =>
  (one) =>
    one.item.load === "hobby" ? null : rule(one);

/** Used when called, not otherwise: a thing for a season or a place, not a dead one. */
export const BRING_ONLY_WHEN: readonly Rule[] = [
  anotherInMildWeather,
  sentAway,
  notNeededThere,
  forItsSeason,
  failsOnlyWith,
  noCall,
  usedOnlyWith,
  partOfLongWalk,
].map(unlessHobby);
