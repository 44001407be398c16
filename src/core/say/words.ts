import type { Advice } from "../advice/advise";
import type { Caller } from "../belief/caller";
import type { Case } from "../decide/case";
import type { Left } from "../belief/life";
import type { Book } from "../ledger/book";
import { usedInAll } from "../ledger/totals";
import type { Departure } from "../ledger/history";
import type { Incident } from "../ledger/history";
import type { Complaint, Consequence, Job, Symptom, Trigger, TripId, WearUnit } from "../model";
import type { FullItem } from "../trade/full-item";
import type { ReadingRule } from "../trade/kind";
import { COMPLAINT_RULES, SYMPTOM_RULES } from "../trade/symptoms";
import { TRIGGER_RULES } from "../trade/triggers";
import {
  listWords,
  several,
  someOf,
  sayDay,
  sayDistance,
  sayLong,
  uncapital,
  type Units,
} from "../units/speak";
import { sayWear, wearNumber } from "./wear";

/**
 * How far a thing went in its life, of which before and between trips; and, where the ground counts, what that
 * comes to as wear: "589 km: 379 km on trips, 210 km before and between; as the ground counts, 715 km with what
 * is not unpacked yet".
 */
export function sayWay({ case: { item, totals, left } }: Pick<Advice, "case">, units: Units): string {
  const say = (metres: number) => sayDistance(metres, units);
  const { used, outside } = totals;
  const all = say(usedInAll(totals).metres);
  const parts =
    outside.metres > 0 ? `: ${say(used.metres)} on trips, ${say(outside.metres)} before and between` : "";
  const worn = say(left?.worn ?? totals.wear);
  const waits = totals.steps.some(({ carried, wear }) => carried && !carried.mark && wear > 0);
  const counts =
    item.rules.terrain && item.wears === "m" && worn !== all
      ? `; as the ground counts, ${worn}${waits ? " with what is not unpacked yet" : ""}`
      : "";
  return all + parts + counts;
}

/** A reading with its unit: "2.4 mm", "3 of 5". */
export const sayReading = ({ unit }: Pick<ReadingRule, "unit">, value: number) =>
  `${Math.round(value * 100) / 100}\u00a0${unit}`;

/** What is left, as a person would say it: "about 90 km left, 40 to 150 km". */
export function sayLeft(left: Left | null, unit: WearUnit, units: Units): string {
  if (!left) return "no life to count down";
  const say = (wear: number) => sayWear(wear, unit, units);
  if (Math.round(wearNumber(left.median, unit, units)) === 0)
    return `next to nothing left, ${say(left.high)} at most`;
  return `about ${say(left.median)} left, ${say(left.low)} to ${say(left.high)}`;
}

/** What it costs to lack or lose a thing, as the end of a sentence. */
export const sayCost: Readonly<Record<Consequence, string>> = {
  nuisance: "a nuisance",
  discomfort: "a discomfort",
  "trip-ending": "the end of a trip",
  danger: "a danger",
};

/** The name with its article: "the air mat"; what has a name of its own has none: "Ole's boots", "Shoes, pair 3". */
export const theThing = (item: Pick<FullItem, "name">) =>
  /['’]s |,/.test(item.name) ? item.name : `the ${uncapital(item.name)}`;

/** "on Long Quill", "in five weeks on Long Quill", "on 3 trips". */
export function onTrips(trips: readonly TripId[], { outings }: Book): string {
  if (trips.length !== 1) return `on ${several(trips.length, "trip")}`;
  const outing = outings.find(({ trip }) => trip.id === trips[0]);
  if (!outing) return "on one trip";
  return outing.days >= 14 ? `in ${sayLong(outing.days)} on ${outing.trip.name}` : `on ${outing.trip.name}`;
}

/** What an owner wrote, quoted. */
export const quoted = (note: string | undefined) => {
  const text = note?.trim().replace(/\.$/, "") ?? "";
  return text ? ` (“${text}”)` : "";
};

/** What happened, where, in the owner's words where there are any. */
export function sayTrouble({ mark, entry, failed, outing, symptoms, on }: Incident): string {
  const harm = failed ? "failed" : "damaged";
  const what = symptoms.length ? symptomWords(symptoms) : harm;
  const where = outing ? `on ${outing.trip.name}` : `between trips, on ${sayDay(on)}`;
  const led = failed && symptoms.length ? `failed: ${what}` : what;
  return `${led} ${where}${quoted(mark?.note || entry?.note)}`;
}

export const symptomWords = (symptoms: readonly Symptom[]) =>
  listWords(
    symptoms.map((symptom) => SYMPTOM_RULES[symptom].words),
    "and",
  );

/** What was said against it: "too cold and stiff". */
export const complaintWords = (complaints: readonly Complaint[]) =>
  listWords([...new Set(complaints.map(({ what }) => COMPLAINT_RULES[what].words))], "and");

/** What would do better than what was complained of. */
export const betterThan = ([first]: readonly Complaint[]) => first && COMPLAINT_RULES[first.what].better;

/** How it left: "lost on Slate way". */
export function sayDeparture({ how, outing, on }: Departure): string {
  const when = outing?.trip.name ?? (on && sayDay(on));
  return when ? `${how} on ${when}` : how;
}

/** A trigger as the end of "when you expect …". */
export const sayTrigger = (trigger: Trigger) => TRIGGER_RULES[trigger].words;

/** What calls for it: "strong sun", "no frost". */
export function sayCaller({ trigger, at, without }: Caller): string {
  const much = trigger === "freezing" || trigger === "cold" ? "hard " : "strong ";
  return (without ? "no " : "") + (at === "strong" ? much : "") + sayTrigger(trigger);
}

/** "rain or wind"; null where nothing calls. */
/** How far a thing was carried and not used, as far as it was on its owner's own back: "321 km". */
export const sayIdleWay = (
  { item: { weight }, totals: { deadGramMetres } }: Pick<Case, "item" | "totals">,
  units: Units,
): string => sayDistance(weight && weight.g > 0 ? deadGramMetres / weight.g : 0, units);

export const sayTriggers = (triggers: readonly Trigger[], last: "or" | "and" = "or") =>
  listWords(triggers.slice(0, 3).map(sayTrigger), last);

const JOB_WORDS: Readonly<Partial<Record<Job, string>>> = {
  shelter: "shelter for the night",
  pad: "pad to lie on",
  traction: "grip for ice",
  "first aid": "first-aid kit",
  "sleep warm": "way to sleep warm",
  "stay warm": "way to stay warm",
  "stay dry": "way to stay dry",
  "treat water": "way to treat water",
  fire: "way to make fire",
  light: "light",
  "find the way": "way to find the way",
  "call for help": "way to call for help",
};

/** What does a job, as a noun: "a way to stay warm". */
export const nameOfJob = (job: Job) => JOB_WORDS[job] ?? `thing for “${job}”`;

/** What calls for a thing, and how often it did. */
export function sayCalls({ case: { item, use } }: Advice): string {
  const calling = item.triggers.filter((trigger) => trigger !== "always");
  const by = calling.length === 0 ? "Every trip calls for it" : `Called for by ${sayTriggers(calling)}`;
  const trips = use.calledTrips.length + use.uncalledTrips.length;
  return trips === 0 || calling.length === 0
    ? `${by}.`
    : `${by}: on ${someOf(use.calledTrips.length, trips)} trips so far.`;
}

/** What is left of a thing; of what is to be replaced for another reason than its wear, nothing is counted down. */
export function sayLeftOf({ case: { item }, left, asks }: Advice, units: Units): string {
  return left === null && asks.some(({ verb }) => verb === "replace")
    ? "to be replaced"
    : sayLeft(left, item.wears, units);
}
