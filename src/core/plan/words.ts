import { isAlong } from "./columns";
import { lastOf, nth } from "../sums/there";
import { WORTH_NAMING, type PlanLine, type Short, type WearingOut } from "./plan";
import type { Fails, IfItFails, WayOut } from "./fails";
import type { OnSomeLegs } from "./stages";
import type { Gap } from "../advice/trust";
import {
  capital,
  count,
  inWords,
  listWords,
  percent,
  sayDay,
  sayDistance,
  sayMass,
  uncapital,
  type Units,
} from "../units/speak";
import { says } from "../say/verdicts/says";
import { nameOfJob, sayTriggers, theThing } from "../say/words";

/** Why a thing stands where it does, in a few words. */
export function sayWhy(line: PlanLine): string {
  const { left } = line.advice;
  const goes = isAlong(line.column);
  const weak =
    goes && left !== null && left.givesOut >= WORTH_NAMING
      ? `${capital(percent(left.givesOut))} to give out on the way.`
      : "";
  return [whyThere(line), weak].filter(Boolean).join(" ");
}

function whyThere({ why, item, advice, chance }: PlanLine): string {
  switch (why.is) {
    case "moved":
      return "Your word.";
    case "for the weight":
      return "Left to make the weight.";
    case "at home":
      return advice.case.marked.length ? "Enough without it." : "Never taken along yet.";
    case "earns its place":
      // What is used on most trips needs no word, forty times down the page.
      return chance >= OFTEN ? "" : `${capital(usedAs(advice, chance))}.`;
    case "cover":
      return "Cover: in the hope of not needing it.";
    case "essential":
      return "Goes whatever is expected.";
    case "wanted":
      return "Left at home last time, and missed.";
    case "lent":
      return `${why.to} has it: get it back.`;
    case "verdict":
      return says(advice.case, why.verdict);
    case "not called":
      return `No ${sayTriggers(why.triggers.slice(0, 2))} expected.`;
    case "might be called":
      return `If you expect ${sayTriggers(why.triggers)}; ${usedAs(advice, chance)}.`;
    case "called":
      return `For ${sayTriggers(why.triggers.slice(0, 2), "and")}; ${usedAs(advice, chance)}.`;
    case "for other nights":
      return `${why.other.name} is the one for these nights.`;
    case "another goes":
      return `${why.other.name} ${item.pieces > 1 ? "go" : "goes"} in its place.`;
    case "last of its job":
      return `Nothing else that goes is a ${nameOfJob(why.job)}.`;
    case "leans on it":
      return `${why.other.name} can’t do without it.`;
  }
}

const OFTEN = 0.75;

/** History is told as history, and a guess as a guess: what was never used is not told as used so often. */
const usedAs = ({ case: { totals } }: PlanLine["advice"], chance: number) =>
  totals.used.trips > 0 ? `used ${oneIn(chance)}` : `perhaps ${oneIn(chance)}, and not asked for yet`;

/** A chance in plain words: "on nearly every such trip", "on one such trip in three". */
function oneIn(chance: number): string {
  if (chance >= 0.9) return "on nearly every such trip";
  if (chance >= 0.6) return `on ${inWords(Math.round(chance * 10))} such trips in ten`;
  if (chance >= 0.42) return "on one such trip in two";
  if (chance >= 0.05) return `on one such trip in ${inWords(Math.max(3, Math.round(1 / chance)))}`;
  return "on next to no such trip";
}

/** The sentence that stands first: "No trusted way to treat water: …". */
export function sayGap({ job, doubted }: Gap): string {
  const why = ({ advice, first }: Gap["doubted"][number]) =>
    first
      ? uncapital(nth(says(advice.case, first).split(/\.(?: |$)/), 0))
      : `${advice.case.item.lentTo} has it`;
  return `No trusted ${nameOfJob(job)}: ${doubted
    .map((one) => `${theThing(one.advice.case.item)} (${why(one)})`)
    .join("; ")}.`;
}

/** All of it in one line, where what is wrong with each thing stands right below. */
export const sayGapsInShort = (gaps: readonly Gap[]) =>
  capital(
    listWords(
      gaps.map(
        ({ job, doubted }) =>
          `no trusted ${nameOfJob(job)} (${listWords(doubted.map(({ advice }) => theThing(advice.case.item)))})`,
      ),
    ),
  );

export function sayShort({ what, item, needs, pieces }: Short): string {
  if (what === "no fuel") return `${item.name} goes without anything to burn.`;
  if (what === "no cable") return `${item.name} goes without a cable to fill it.`;
  if (what === "fewer")
    return `${capital(item.kind)}: ${inWords(pieces)} fewer than were in use on each of your last two trips with any.`;
  if (what === "pieces") return `${item.name}: ${count(pieces, "piece")} short.`;
  return `${item.name} can’t do without ${needs ? theThing(needs) : "what is no longer on the shelf"}.`;
}

/** "Trail shoes, pair 3: 31 % to give out, most likely after about 40 km". */
export const sayWearingOut = ({ line, chance, metres, instead }: WearingOut, units: Units) =>
  `${line.item.name}: ${percent(chance)} to give out on the way, if so most likely after about ${sayDistance(metres, units)}.${instead ? ` ${capital(theThing(instead))} at home would be sounder.` : ""}`;

/** "Spikes: wanted on leg 2 only. Posted ahead and sent home after it, 358 g is off your back for 69 km." */
export function sayOnSomeLegs(
  { line: { item }, legs, without, postedAhead, sentHome }: OnSomeLegs,
  units: Units,
): string {
  const where =
    legs.length === 1 ? `leg ${nth(legs, 0) + 1}` : `legs ${nth(legs, 0) + 1} to ${lastOf(legs) + 1}`;
  const how = listWords([postedAhead && "posted ahead", sentHome && "sent home after"].filter(isWord), "and");
  return (
    `${item.name}: wanted on ${where} only. ${capital(how)}, ` +
    `${sayMass(item.weight?.g ?? 0, units)} is off your back for ${sayDistance(without, units)}.`
  );
}
const isWord = (word: string | false): word is string => word !== false;

/** How many are named of what goes with it, and of what stands in. */
const NAMED = 2;
const named = (things: readonly { readonly name: string }[]) =>
  listWords(
    things.length > NAMED
      ? [...things.slice(0, NAMED).map(({ name }) => name), count(things.length - NAMED, "more", "more")]
      : things.map(({ name }) => name),
    "and",
  );

const sayOut = ({ name, is }: WayOut) => (is === "end" ? "the end" : `the ${is} at the end of ${name}`);

/** "Two-pole tent: with it Quilt. Nothing stands in. To the shop at the end of Vask it is up to 32 km." */
export function sayIfItFails(
  { line: { item }, chance, takes, standsIn, at, out, orderBy, isTooLate }: IfItFails,
  units: Units,
): string {
  const odds = chance !== null && chance >= WORTH_NAMING ? ` (${percent(chance)} to give out)` : "";
  const likely =
    at === null
      ? []
      : [
          `Most likely after ${sayDistance(at, units)}: ${sayDistance(out.at - at, units)} before ${sayOut(out)}.`,
        ];
  return [
    `${item.name}${odds}: ${takes.length > 0 ? `${named(takes)} ${takes.length === 1 ? "goes" : "go"} with it. ` : ""}${standsIn.length > 0 ? `${named(standsIn)} would stand in.` : "Nothing along stands in."}`,
    ...likely,
    ...(orderBy ? [sayOrder(orderBy, isTooLate)] : []),
  ].join(" ");
}

const sayOrder = (by: string, isTooLate: boolean) =>
  isTooLate
    ? `Too late to order another: ${sayDay(by)} was the last day.`
    : `Another has to be ordered by ${sayDay(by)}.`;

/** What is worth a line of its own: it takes something with it, may well give out, or has to be ordered. */
export const saysMore = ({ chance, takes, orderBy }: IfItFails) =>
  takes.length > 0 || orderBy !== null || (chance ?? 0) >= WORTH_NAMING;

/** The others that nothing stands in for, in one sentence; null where there are none. */
export function sayAlone(things: readonly IfItFails[]): string | null {
  const alone = things.filter((each) => !saysMore(each) && each.standsIn.length === 0);
  return alone.length === 0
    ? null
    : `Nothing along stands in for ${listWords(
        alone.map(({ line }) => line.item.name),
        "or",
      )} either.`;
}

/** The longest stretch without a way out. */
export const sayLongest = ({ longest }: Fails, units: Units) =>
  longest
    ? `The longest stretch without a shop or a town: ${sayDistance(longest.metres, units)}, up to ${sayOut(longest.to)}.`
    : null;
