import { z } from "zod";

/**
 * The closed lists of the trade's words that records are made of. What each of them means to the engine
 * stands in `trade/`.
 */

export const TRIGGERS = [
  "rain",
  "cold",
  "freezing",
  "heat",
  "sun",
  "bugs",
  "ticks",
  "snow or ice",
  "crossings",
  "dry stretch",
  "darkness",
  "no signal",
  "wind",
  "condensation",
  "injury",
  "breakage",
  "town",
  "camp time",
  "always",
] as const;
export const Trigger = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof Trigger>;

/** What the way offers, which takes jobs off the list. */
export const Offer = z.enum(["beds", "kitchens", "toilets", "tap water", "shops", "sockets", "signal"]);
export type Offer = z.infer<typeof Offer>;

export const JOBS = [
  "shelter",
  "sleep warm",
  "pad",
  "pillow",
  "stay warm",
  "stay dry",
  "legs dry",
  "keep wind off",
  "base clothing",
  "spare clothing",
  "hands warm",
  "head warm",
  "walk",
  "camp shoes",
  "socks",
  "balance",
  "keep grit out",
  "traction",
  "carry",
  "keep kit dry",
  "treat water",
  "carry water",
  "cook",
  "eat",
  "fire",
  "light",
  "find the way",
  "call for help",
  "first aid",
  "mend",
  "power",
  "sun protection",
  "head shaded",
  "bug protection",
  "hygiene",
  "food",
  "food storage",
  "fuel",
  "sit",
  "photograph",
  "read",
  "other",
] as const;
export const Job = z.enum(JOBS);
export type Job = z.infer<typeof Job>;

/** Where a thing rides, in the order it comes out at the debrief. */
export const STOWS = [
  "outside",
  "side",
  "hip",
  "shoulder",
  "lid",
  "main",
  "bag",
  "food",
  "hand",
  "worn",
] as const;
export const Stow = z.enum(STOWS);
export type Stow = z.infer<typeof Stow>;

export const Consequence = z.enum(["nuisance", "discomfort", "trip-ending", "danger"]);
export type Consequence = z.infer<typeof Consequence>;

export const Load = z.enum(["base", "worn", "consumable", "hobby"]);
export type Load = z.infer<typeof Load>;

/**
 * What an item's wear is counted in. Lengths are metres; `days` is the calendar; `called days` those with its
 * weather.
 */
export const WearUnit = z.enum([
  "m",
  "nights",
  "wet days",
  "called days",
  "L",
  "burns",
  "cycles",
  "days",
  "none",
]);
export type WearUnit = z.infer<typeof WearUnit>;

export const Terrain = z.enum(["soft", "mixed", "road", "mud", "sand", "rock"]);
export type Terrain = z.infer<typeof Terrain>;

export const Strength = z.enum(["none", "some", "strong"]);
export type Strength = z.infer<typeof Strength>;

export const Use = z.enum(["used", "hardly", "unused"]);
export type Use = z.infer<typeof Use>;

/** Nuisance annoys; damaged still does its job; failed stopped doing it. */
export const Trouble = z.enum(["nuisance", "damaged", "failed"]);
export type Trouble = z.infer<typeof Trouble>;

/** How a thing left the pack on the way, apart from any trouble with it. */
export const ExitHow = z.enum([
  "lost",
  "given away",
  "sent home",
  "posted ahead",
  "worn out",
  "thrown out",
  "swapped",
]);
export type ExitHow = z.infer<typeof ExitHow>;

/** What is to be seen, felt or smelt on a thing that is not right. */
export const Symptom = z.enum([
  "leaks air",
  "leaks gas",
  "lets water in",
  "wets out",
  "clogged or slow",
  "lost loft",
  "no charge",
  "dim or weak",
  "loose",
  "torn",
  "holed",
  "sole or tread",
  "worn thin",
  "bent",
  "broken",
  "zip or buckle",
  "mould",
  "smell",
  "noise",
  "dirty",
]);
export type Symptom = z.infer<typeof Symptom>;

/** What was wrong with a thing that was used. */
export const ComplaintWhat = z.enum([
  "too heavy",
  "too bulky",
  "too big",
  "too small",
  "too cold",
  "too hot",
  "slow",
  "weak",
  "noisy",
  "leaks",
  "rubs or hurts",
  "slides",
  "fiddly or awkward",
  "stiff",
  "clammy",
  "fragile",
  "smells",
]);
export type ComplaintWhat = z.infer<typeof ComplaintWhat>;

export const WhyUnused = z.enum([
  "no call for it",
  "another did the job",
  "awkward",
  "uncomfortable",
  "too much of it",
  "cover",
  "trip cut short",
  "forgot it",
]);
export type WhyUnused = z.infer<typeof WhyUnused>;

export const Cause = z.enum(["worn", "defect", "weather", "misuse", "poor design", "flat or empty"]);
export type Cause = z.infer<typeof Cause>;

/** Was it kept from freezing? `unknown`: asked, and nobody knows. */
export const Frost = z.enum(["kept", "froze", "unknown"]);
export type Frost = z.infer<typeof Frost>;

export const OwnerCall = z.enum([
  "bring again",
  "bring when",
  "leave",
  "fix",
  "replace",
  "try something else",
]);
export type OwnerCall = z.infer<typeof OwnerCall>;

export const Felt = z.enum(["cold", "cool", "right", "warm", "hot"]);
export type Felt = z.infer<typeof Felt>;

export const SchoolName = z.enum(["lean", "even", "roomy", "wary"]);
export type SchoolName = z.infer<typeof SchoolName>;

/** What the engine advises. The order, urgency and colour of each stand in `trade/verbs.ts`. */
export const Verb = z.enum([
  "replace",
  "repair",
  "service",
  "prove",
  "drop",
  "bring only when",
  "slim",
  "swap",
  "add",
  "keep as cover",
  "keep",
]);
export type Verb = z.infer<typeof Verb>;

/** How soon a verdict wants something done, the soonest first. */
export const URGENCIES = ["now", "before next trip", "when convenient", "watch"] as const;
export type Urgency = (typeof URGENCIES)[number];

/** How sure a verdict is. One telling of the owner's is a leaning; it grows as chances add up. */
export type Sureness = "leaning" | "perhaps" | "likely" | "sure";
