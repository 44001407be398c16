import { z } from "zod";
import { SUPPLY_SORTS, SURENESSES, URGENCIES } from "./lists";
import { Distance, Height, Mass } from "../units/measures";
import { Text } from "../units/text";
import { Amount, Celsius, Day, ItemId, LegId, LineText, MOST, Name, Note, RecordId, TripId } from "./basics";
import { HeardFact } from "./fact";
import { Carry } from "./mark";
import { Consequence, Felt, Job, Offer, Spoil, Strength, Terrain, Trigger, Verb } from "./words";

const Conditions = z.partialRecord(Trigger, Strength);
const Offers = z
  .partialRecord(Offer, Strength)
  .meta({ description: "What the way offers: beds, kitchens, tap water, sockets." });

/** Most questions that are kept as waved away after a trip. */
export const MOST_WAVED = 100;

/** Lines that are kept of a trip. */
export const MOST_LINES = 2000;

/** Legs that a trip can have. */
export const MOST_LEGS = 400;

/** A stretch of a trip with one load and one ground. What it leaves unsaid is as on the whole trip. */
export const Leg = z.object({
  id: LegId,
  name: Text.max(120).default(""),
  distance: Distance,
  ascent: Height.nullable().default(null),
  terrain: Terrain.default("mixed"),
  starts: Day.nullable().default(null),
  ends: Day.nullable().default(null),
  nights: z
    .int()
    .min(0)
    .max(1000)
    .nullable()
    .default(null)
    .meta({ description: "Nights on it; null: from its dates." }),
  conditions: Conditions.default({}).meta({ description: "Where they differ from the trip's." }),
  offers: Offers.default({}),
});
export type Leg = z.infer<typeof Leg>;

export const Missed = z.object({
  what: Name,
  job: Job.nullable().default(null),
  cost: Consequence.default("discomfort"),
});
export type Missed = z.infer<typeof Missed>;

export const FeltNight = z.object({
  on: Day.nullable().default(null).meta({ description: "The day that it began on, where that is known." }),
  low: Celsius.nullable().default(null).meta({ description: "Lowest air temperature, °C." }),
  felt: Felt.nullable().default(null),
  slept: z.array(ItemId).max(20).default([]).meta({ description: "What was slept in and on." }),
  roof: z.boolean().default(false).meta({ description: "true: in a hut or a house, not out." }),
  spoilt: Spoil.nullable().default(null).meta({
    description: "What else than the bed made it what it was: such a night tells nothing of the bed.",
  }),
});
export type FeltNight = z.infer<typeof FeltNight>;

/** What supplies are sized by; null where its name and unit tell. */
export const SupplySort = z.enum(SUPPLY_SORTS);
export type SupplySort = z.infer<typeof SupplySort>;

/** So much of something went out, what was bought on the way included, and so much came home. */
export const Supply = z.object({
  what: Name,
  unit: Text.max(20),
  out: Amount,
  back: Amount,
  sort: SupplySort.nullable().default(null).meta({ description: "null: as its name and unit tell." }),
  reserve: Amount.default(0).meta({
    description: "So much of it was meant as a reserve: cover, not waste, when it comes home.",
  }),
});
export type Supply = z.infer<typeof Supply>;

/** The packed bag on a scale, at the start. */
export const BagWeighing = z.object({
  weight: Mass,
  holds: z.enum(["everything", "no supplies"]).default("everything").meta({
    description: "Whether food, water and fuel were in it.",
  }),
});
export type BagWeighing = z.infer<typeof BagWeighing>;

/** What a planned trip will be like, beyond its days and its weather. */
const Foreseen = z.object({
  low: Celsius.nullable().default(null).meta({ description: "The coldest night expected, °C." }),
  dry: Distance.nullable().default(null).meta({ description: "The longest stretch without water." }),
  resupply: Amount.nullable().default(null).meta({ description: "Days from one shop to the next." }),
});

/** How far a walk that goes on had come, where it was unpacked half way. */
const SoFar = z.object({ on: Day, distance: Distance });
export type SoFar = z.infer<typeof SoFar>;

/** What had been planned of a trip that was then walked. */
const Intended = z.object({
  starts: Day,
  ends: Day,
  nights: z.int().min(0).max(1000),
  distance: Distance,
});

/** Where its owner moved a thing on the list of a trip to come: by their word, or to make a weight. */
export const Moved = z.enum(["take", "leave", "for the weight"]);
export type Moved = z.infer<typeof Moved>;

/** A line written on the way, as it was typed. */
export const Line = z.object({
  id: RecordId,
  at: z.iso.datetime({ offset: true, message: "When it was written can't be read." }),
  text: LineText,
  taken: z.boolean().default(false).meta({ description: "true: taken into the debrief, or put aside." }),
  told: z
    .array(HeardFact)
    .max(40)
    .nullable()
    .default(null)
    .meta({ description: "What it was taken as; null: not taken yet, or taken before this was kept." }),
});
export type Line = z.infer<typeof Line>;

/** A line as a phone sends it: new, or changed there since. */
export const SentLine = Line.extend({ change: z.enum(["rewritten", "deleted"]).nullable().default(null) });
export type SentLine = z.infer<typeof SentLine>;

/** A chance, 0 to 1. */
const Chance = z.number().min(0).max(1);

/** What was advised of a thing as a list was made: it is never judged anew. */
export const Advised = z.object({
  item: ItemId,
  verb: Verb,
  reason: Text.max(60).meta({ description: "The rule that spoke, by its name." }),
  urgency: z.enum(URGENCIES),
  sureness: z.enum(SURENESSES),
  leave: z.boolean().default(false).meta({ description: "true: told to leave it at home for good." }),
  saves: Amount.nullable().default(null).meta({ description: "Grams that leaving it would save." }),
  givesOut: Chance.nullable()
    .default(null)
    .meta({ description: "The chance, 0 to 1, that it gives out on the trip; null: nothing of it wears." }),
});
export type Advised = z.infer<typeof Advised>;

/** What was foreseen of a trip as its list was made, to be held against what came. */
export const Foretold = z.object({
  used: z.record(ItemId, Chance).default({}).meta({ description: "By thing: the chance that it is used." }),
  cold: z
    .object({ low: Celsius, chance: Chance })
    .nullable()
    .default(null)
    .meta({ description: "The coldest night expected, °C, and the chance that it is too cold for the bed." }),
  gas: z
    .object({ likely: Amount, most: Amount })
    .nullable()
    .default(null)
    .meta({ description: "Grams of gas: as likely too little as too much, and enough nine times in ten." }),
});
export type Foretold = z.infer<typeof Foretold>;

/** The weather of one day as it was told; what is left out nobody told of that day. */
export const ToldDay = z.object({ on: Day, weather: Conditions });
export type ToldDay = z.infer<typeof ToldDay>;

export const Trip = z.object({
  id: TripId,
  name: Name,
  starts: Day,
  ends: Day,
  nights: z
    .int()
    .min(0)
    .max(1000)
    .nullable()
    .default(null)
    .meta({ description: "Nights out; null: from the dates." }),
  planned: z.boolean().default(false).meta({ description: "true: not walked yet." }),
  cut: z.boolean().default(false).meta({ description: "Cut short before its time." }),
  intended: Intended.nullable()
    .default(null)
    .meta({ description: "What had been planned, once it is walked; null: no more than was walked." }),
  sofar: SoFar.nullable().default(null).meta({
    description: "Of a walk that goes on: the day it was unpacked half way, and how far it had come.",
  }),
  legs: z.array(Leg).max(MOST_LEGS),
  conditions: Conditions.default({}),
  counted: z.partialRecord(Trigger, Amount).default({}).meta({
    description: "Days of it that had this weather, where they were counted.",
  }),
  offers: Offers.default({}),
  felt: z.array(FeltNight).max(400).default([]),
  supplies: z.array(Supply).max(100).default([]),
  boiled: Amount.nullable().default(null).meta({ description: "Litres of water brought to the boil." }),
  scale: BagWeighing.nullable()
    .default(null)
    .meta({ description: "What the packed bag weighed at the start." }),
  foreseen: Foreseen.prefault({}),
  picks: z
    .record(ItemId, Moved)
    .default({})
    .meta({ description: "By thing: what the owner moved on the list of a trip to come." }),
  missed: z.array(Missed).max(20).default([]),
  made: z.array(ItemId).max(3).default([]).meta({ description: "Up to three things that made the trip." }),
  stay: z
    .array(ItemId)
    .max(3)
    .default([])
    .meta({ description: "Up to three things that could have stayed home." }),
  waved: z
    .array(Text.max(200))
    .max(MOST_WAVED)
    .default([])
    .meta({ description: "Questions asked after it and waved away: they are not asked again." }),
  lines: z.array(Line).max(MOST_LINES).default([]).meta({ description: "Written on the way." }),
  advised: z
    .object({
      on: Day,
      said: z.array(Advised).max(MOST.items * 3),
      foretold: Foretold.nullable().default(null),
    })
    .nullable()
    .default(null)
    .meta({ description: "What stood there as its list was made; null: there was none, or nobody kept it." }),
  daily: z
    .array(ToldDay)
    .max(400)
    .default([])
    .meta({ description: "The weather of single days, where it was told." }),
  note: Note.default(""),
  carries: z.array(Carry).max(MOST.items).default([]),
});
export type Trip = z.infer<typeof Trip>;

/** A trip without what was carried on it. */
export const TripHead = Trip.omit({ carries: true });
export type TripHead = z.infer<typeof TripHead>;
