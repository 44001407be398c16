import type { Gap, PlanLine, Short, WearingOut } from "./plan";
import { count, percent, sayDistance, type Units } from "../units/speak";
import { says } from "../say/says";
import { sayTriggers, theThing } from "../say/words";

/** Why a thing stands where it does, in a few words. */
export function sayWhy({ why, item, judgement, chance }: PlanLine): string {
  switch (why.is) {
    case "moved":
      return "Your word.";
    case "at home":
      return judgement.case.marked.length ? "Enough without it." : "Never taken along yet.";
    case "earns its place":
      // What is used on most trips needs no word, forty times down the page.
      return chance >= OFTEN ? "" : `Used ${oneIn(chance)}.`;
    case "cover":
      return "Cover: in the hope of not needing it.";
    case "essential":
      return "Goes whatever is expected.";
    case "wanted":
      return "Left at home last time, and missed.";
    case "verdict":
      return says(judgement.case, why.verdict);
    case "not called":
      return `No ${sayTriggers(why.triggers.slice(0, 2))} expected.`;
    case "might be called":
      return `If you expect ${sayTriggers(why.triggers)}; used ${oneIn(chance)}.`;
    case "called":
      return `For ${sayTriggers(why.triggers.slice(0, 2), "and")}; used ${oneIn(chance)}.`;
    case "for other nights":
      return `${why.other.name} is the one for these nights.`;
    case "another goes":
      return `${why.other.name} ${item.pieces > 1 ? "go" : "goes"} in its place.`;
    case "leans on it":
      return `${why.other.name} can’t do without it.`;
  }
}

const OFTEN = 0.75;

/** A chance in plain words: "on nearly every such trip", "on one such trip in three". */
function oneIn(chance: number): string {
  if (chance >= 0.9) return "on nearly every such trip";
  if (chance >= 0.6) return `on ${Math.round(chance * 10)} such trips in ten`;
  if (chance >= 0.42) return "on every other such trip";
  if (chance >= 0.05) return `on one such trip in ${Math.max(3, Math.round(1 / chance))}`;
  return "on next to no such trip";
}

const JOB_WORDS: Readonly<Partial<Record<Gap["job"], string>>> = {
  shelter: "shelter for the night",
  "sleep warm": "way to sleep warm",
  "stay warm": "way to stay warm",
  "stay dry": "way to stay dry",
  "treat water": "way to treat water",
  fire: "way to make fire",
  light: "light",
  "find the way": "way to find the way",
  "call for help": "way to call for help",
};

/** The sentence that stands first: "No trusted way to treat water: …". */
export function sayGap({ job, doubted }: Gap): string {
  const name = JOB_WORDS[job] ?? `thing for “${job}”`;
  return `No trusted ${name}: ${doubted
    .map((line) => `${theThing(line.item)} (${sayWhy(line).split(/\.(?: |$)/)[0]})`)
    .join("; ")}.`;
}

export function sayShort({ what, item, needs, pieces }: Short): string {
  if (what === "no fuel") return `${item.name} goes without anything to burn.`;
  if (what === "pieces") return `${item.name}: ${count(pieces, "piece")} short.`;
  return `${item.name} can’t do without ${needs ? theThing(needs) : "what is no longer on the shelf"}.`;
}

/** "Trail shoes, pair 3: 31 % to give out, most likely after about 40 km". */
export const sayWearingOut = ({ line, chance, metres }: WearingOut, units: Units) =>
  `${line.item.name}: ${percent(chance)} to give out on the way, if so most likely after about ${sayDistance(metres, units)}.`;
