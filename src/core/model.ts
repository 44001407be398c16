import { z } from "zod";
import { findKind } from "./kinds";
import { Distance, Height, Mass } from "./units/quantity";
import { Units } from "./units/speak";

/** The records that the trade keeps. One schema each; types follow from it, and so does the open file format. */

const Id = z
  .string()
  .max(80, "Keep the id under 80 characters.")
  .regex(/^\S+$/, "An id is one word, without spaces.");
export const ItemId = Id.brand<"ItemId">();
export type ItemId = z.infer<typeof ItemId>;
export const TripId = Id.brand<"TripId">();
export type TripId = z.infer<typeof TripId>;

const Day = z.iso.date("Write the date as year-month-day, like 2026-05-14.");
const Name = z.string().trim().min(1, "Give it a name.").max(120, "Keep the name under 120 characters.");
const Note = z.string().max(4000, "Keep the note under 4000 characters.");
const Money = z
  .number("Write the price as a number.")
  .nonnegative("A price can't be below zero.")
  .max(1e7, "That price is too large.");
const Amount = z
  .number("Write a number.")
  .nonnegative("It can't be below zero.")
  .max(1e6, "That is more than can be right.");

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

/** What an item's wear is counted in. Lengths are metres; `days` is the calendar. */
export const WearUnit = z.enum(["m", "nights", "wet days", "L", "burns", "cycles", "days", "none"]);
export type WearUnit = z.infer<typeof WearUnit>;

export const ItemState = z.enum([
  "active",
  "retired",
  "worn out",
  "lost",
  "given away",
  "sold",
  "thrown out",
]);
export type ItemState = z.infer<typeof ItemState>;

/** A kind by any of its names, kept as its first; the list is in `kinds.ts` and docs/kinds.md. */
const KindName = z.codec(z.string(), z.string(), {
  decode: (word, context) => {
    const found = findKind(word);
    if (found) return found.id;
    context.issues.push({
      code: "custom",
      message: `“${word}” is not a kind known here; “other” always is.`,
      input: word,
    });
    return z.NEVER;
  },
  encode: (id) => id,
});

/** An item says only what differs from its kind: `null` means "as the kind says". */
export const Item = z.object({
  id: ItemId,
  name: Name,
  kind: KindName,
  jobs: z
    .array(Job)
    .max(8)
    .nullable()
    .default(null)
    .meta({ description: "What it is there to do; null: as its kind." }),
  triggers: z
    .array(Trigger)
    .max(12)
    .nullable()
    .default(null)
    .meta({ description: "What calls it into use; null: as its kind." }),
  stow: Stow.nullable().default(null).meta({ description: "Where it rides; null: as its kind." }),
  bag: ItemId.nullable().default(null).meta({ description: "The item that it rides in, when stow is bag." }),
  weight: Mass.nullable().default(null),
  weighed: z.enum(["measured", "claimed"]).default("measured"),
  load: Load.nullable().default(null),
  cover: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: "Carried in the hope of not needing it; null: as its kind." }),
  consequence: Consequence.nullable()
    .default(null)
    .meta({ description: "What its absence would cost; null: as its kind." }),
  wears: WearUnit.nullable().default(null),
  pieces: z
    .int("Write a whole number.")
    .min(1, "At least one piece.")
    .max(200, "That is more pieces than can be right.")
    .default(1),
  past: z
    .enum(["new", "known", "unknown"])
    .default("new")
    .meta({ description: "Life before the log: none, as in `opening`, or unknown (second-hand, found)." }),
  opening: z
    .object({
      distance: Distance.nullable().default(null),
      nights: Amount.default(0),
      days: Amount.default(0),
    })
    .nullable()
    .default(null),
  acquired: Day.nullable().default(null),
  price: Money.nullable().default(null),
  warranty: Day.nullable().default(null).meta({ description: "Last day of the warranty." }),
  expires: Day.nullable()
    .default(null)
    .meta({ description: "Date on the label: expiry, battery, filter age." }),
  state: ItemState.default("active"),
  since: Day.nullable().default(null).meta({ description: "When it entered that state." }),
  slot: z
    .string()
    .trim()
    .max(60)
    .nullable()
    .default(null)
    .meta({ description: "Names a job filled by one thing after another: pair 1, pair 2." }),
  note: Note.default(""),
});
export type Item = z.infer<typeof Item>;

export const Terrain = z.enum(["soft", "mixed", "road", "mud", "sand", "rock"]);
export type Terrain = z.infer<typeof Terrain>;

export const Leg = z.object({
  name: z.string().max(120).default(""),
  distance: Distance,
  ascent: Height.nullable().default(null),
  terrain: Terrain.default("mixed"),
});
export type Leg = z.infer<typeof Leg>;

export const Strength = z.enum(["none", "some", "strong"]);
export type Strength = z.infer<typeof Strength>;

export const Use = z.enum(["used", "hardly", "unused"]);
export type Use = z.infer<typeof Use>;

export const TROUBLES = [
  "nuisance",
  "damaged",
  "failed",
  "lost",
  "given away",
  "sent home",
  "worn out",
  "thrown out",
] as const;
export const Trouble = z.enum(TROUBLES);
export type Trouble = z.infer<typeof Trouble>;

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

export const OwnerCall = z.enum([
  "bring again",
  "bring when",
  "leave",
  "fix",
  "replace",
  "try something else",
]);
export type OwnerCall = z.infer<typeof OwnerCall>;

const Condition = z
  .int("Condition is a whole number.")
  .min(0, "Condition runs from 0 (gone) to 5 (as new).")
  .max(5, "Condition runs from 0 (gone) to 5 (as new).")
  .nullable()
  .default(null);
const Reading = z
  .object({
    what: z.string().min(1).max(40),
    value: z.number("Write the reading as a number.").min(-1e6).max(1e6),
  })
  .nullable()
  .default(null)
  .meta({
    description: "Something measured: tread in mm, flow in L a minute, loft or capacity in % of new.",
  });

/** What happened to one item on one trip: one use, at most one trouble, and a word of why. */
export const Mark = z.object({
  use: Use,
  trouble: Trouble.nullable().default(null),
  why: WhyUnused.nullable().default(null),
  cause: Cause.nullable().default(null),
  where: z.string().max(200).default("").meta({ description: "Where on the trip it failed." }),
  fix: z.enum(["patched", "swapped", "went without"]).nullable().default(null),
  cost: z.enum(["nothing", "discomfort", "a day", "the trip"]).nullable().default(null),
  condition: Condition,
  reading: Reading,
  days: Amount.nullable().default(null).meta({ description: "Days it was used, where that is known." }),
  pieces: z
    .int()
    .min(0)
    .max(200)
    .nullable()
    .default(null)
    .meta({ description: "Pieces lost or broken, for sets." }),
  froze: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: "May it have frozen wet? null: nobody said." }),
  call: OwnerCall.nullable().default(null),
  note: Note.default(""),
});
export type Mark = z.infer<typeof Mark>;

/** One item on one trip. `legs` null: all of them. `mark` null: not debriefed yet. */
export const Carry = z.object({
  item: ItemId,
  legs: z
    .array(z.int().min(1))
    .min(1)
    .max(400)
    .nullable()
    .default(null)
    .meta({ description: "Numbers of the legs it was carried on, from 1; null: all." }),
  mark: Mark.nullable().default(null),
});
export type Carry = z.infer<typeof Carry>;

export const Missed = z.object({
  what: Name,
  job: Job.nullable().default(null),
  cost: Consequence.default("discomfort"),
});
export type Missed = z.infer<typeof Missed>;

export const Felt = z.enum(["cold", "cool", "right", "warm", "hot"]);
export type Felt = z.infer<typeof Felt>;

export const FeltNight = z.object({
  low: z
    .number()
    .min(-60, "Below −60 °C nobody sleeps out.")
    .max(50, "Above 50 °C nobody sleeps.")
    .nullable()
    .default(null)
    .meta({ description: "Lowest air temperature, °C." }),
  felt: Felt.nullable().default(null),
  slept: z.array(ItemId).max(20).default([]).meta({ description: "What was slept in and on." }),
});
export type FeltNight = z.infer<typeof FeltNight>;

/** So much of something went out, what was bought on the way included, and so much came home. */
export const Supply = z.object({ what: Name, unit: z.string().max(20), out: Amount, back: Amount });
export type Supply = z.infer<typeof Supply>;

export const Trip = z.object({
  id: TripId,
  name: Name,
  starts: Day,
  ends: Day,
  nights: z.int().min(0).nullable().default(null).meta({ description: "Nights out; null: from the dates." }),
  planned: z.boolean().default(false).meta({ description: "true: not walked yet." }),
  cut: z.boolean().default(false).meta({ description: "Cut short before its time." }),
  legs: z.array(Leg).max(400),
  conditions: z.partialRecord(Trigger, Strength).default({}),
  felt: z.array(FeltNight).max(400).default([]),
  supplies: z.array(Supply).max(100).default([]),
  missed: z.array(Missed).max(20).default([]),
  made: z.array(ItemId).max(3).default([]).meta({ description: "Up to three things that made the trip." }),
  stay: z
    .array(ItemId)
    .max(3)
    .default([])
    .meta({ description: "Up to three things that could have stayed home." }),
  note: Note.default(""),
  carries: z.array(Carry).max(2000).default([]),
});
export type Trip = z.infer<typeof Trip>;

export const EntryWhat = z.enum(["wear", "damage", "wash", "repair", "service", "restock", "check", "loan"]);
export type EntryWhat = z.infer<typeof EntryWhat>;

/** Something that happened to an item between trips. */
export const Entry = z.object({
  id: z.string().min(1).max(80),
  item: ItemId,
  on: Day,
  what: EntryWhat,
  distance: Distance.nullable().default(null),
  nights: Amount.default(0),
  cost: Money.nullable().default(null),
  condition: Condition,
  reading: Reading,
  note: Note.default(""),
});
export type Entry = z.infer<typeof Entry>;

/** The verbs, in the order of precedence among equals. */
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

/** What the owner decided about a verdict, and when to ask again. */
export const Ruling = z.object({
  id: z.string().min(1).max(80),
  item: ItemId.nullable().default(null).meta({
    description: "The thing that the verdict is on; null: it is on something to add, named in `what`.",
  }),
  what: Name.nullable().default(null).meta({ description: "What was to be added." }),
  verb: Verb,
  decision: z.enum(["agree", "overrule", "later"]),
  reason: z.string().max(1000).default(""),
  again: z.int().min(1).max(50).nullable().default(null).meta({
    description:
      "Ask again after so many more trips with it (without it, of something to add); null: only when something new speaks.",
  }),
  on: Day,
  trips: z.int().min(0).default(0).meta({
    description:
      "Trips that the item had been on when this was decided; of something to add, all trips walked.",
  }),
  troubles: z.int().min(0).default(0).meta({
    description: "Troubles that it had had by then; of something to add, times it had been missed.",
  }),
});
export type Ruling = z.infer<typeof Ruling>;

export const SchoolName = z.enum(["lean", "even", "roomy", "wary"]);
export type SchoolName = z.infer<typeof SchoolName>;

const Above = (what: string, min: number, max: number) =>
  z
    .number("Write a number.")
    .gt(min, `${what} must be above ${min}.`)
    .max(max, `${what} may be ${max} at most.`);
const Share = z.number("Write a number.").min(0.01, "Between 1 and 99 %.").max(0.99, "Between 1 and 99 %.");

/** What an owner has changed of a school; the rest stays as the school has it. */
const SchoolLines = z
  .object({
    dropLine: Share.meta({
      description: "Drop where the 80th percentile of P(use | called) lies below this.",
    }),
    backups: z.int("Write a whole number.").min(0).max(5, "Five backups at most."),
    backupsLightWater: z.int("Write a whole number.").min(0).max(5, "Five backups at most."),
    worthNeeded: Above("The worth asked for", 0, 100).meta({
      description: "Worth ÷ weight that a thing needs.",
    }),
    tooLight: z
      .number("Write a number.")
      .min(0)
      .max(5000)
      .meta({ description: "Grams below which disuse is not worth an argument." }),
  })
  .partial();

/** What an owner has changed of a kind; lengths in metres, as in the wear unit. */
export const KindNumbers = z
  .object({
    median: Above("The median life", 0, 1e9).meta({
      description: "Median life in the kind's wear unit; metres for lengths.",
    }),
    shape: Above("The shape", 0.3, 10).meta({ description: "Weibull shape k." }),
    ageDays: z.int("Write a whole number of days.").min(1).max(36_500),
    limits: z
      .record(z.string().max(40), z.number("Write a number."))
      .meta({ description: "By reading: the value at which it is done." }),
    services: z
      .record(z.string().max(80), Above("The count", 0, 1e9))
      .meta({ description: "By service: the wear after which it is due." }),
  })
  .partial();
export type KindNumbers = z.infer<typeof KindNumbers>;

export const Settings = z.object({
  units: Units.prefault({}),
  school: SchoolName.default("even"),
  currency: z.string().max(4).default("€"),
  body: Mass.nullable()
    .default(null)
    .meta({ description: "Body weight, for what a load costs in kilocalories; null: 75 kg." }),
  schools: z.partialRecord(SchoolName, SchoolLines).default({}),
  giveOut: z
    .partialRecord(Consequence, Share)
    .default({})
    .meta({ description: "Chance of giving out on the next trip that is too much, by consequence." }),
  terrain: z.partialRecord(Terrain, Above("The wear of a ground", 0, 10)).default({}),
  kinds: z
    .record(z.string(), KindNumbers)
    .default({})
    .meta({ description: "By kind: the owner's own numbers." }),
});
export type Settings = z.infer<typeof Settings>;

/** Everything an owner has put in: what the open file holds and what the judgement reads. */
export interface Log {
  readonly settings: Settings;
  readonly items: readonly Item[];
  readonly trips: readonly Trip[];
  readonly entries: readonly Entry[];
  readonly rulings: readonly Ruling[];
}
