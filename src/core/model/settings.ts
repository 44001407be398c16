import { z } from "zod";
import { Mass } from "../units/measures";
import { Text } from "../units/text";
import { Units } from "../units/units";
import { OwnService } from "./item";
import { MOST_SERVICES } from "./lists";
import { Day } from "./basics";
import { AdviceFamily, ComplaintWhat, Consequence, SchoolName, Terrain } from "./words";

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
    dropChances: Above("The chances asked for", 0, 50).meta({
      description: "Unused chances that a drop for want of use takes.",
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
      .record(Text.max(40), z.number("Write a number."))
      .meta({ description: "By reading: the value at which it is done." }),
    services: z
      .record(Text.max(80), Above("The count", 0, 1e9))
      .meta({ description: "By service: the wear after which it is due." }),
    own: z
      .array(OwnService)
      .max(MOST_SERVICES, "Twelve services at most.")
      .meta({ description: "Services that the owner wants done on everything of the kind." }),
  })
  .partial();
export type KindNumbers = z.infer<typeof KindNumbers>;

/** Of a walker, in grams: it is divided by. */
const LIGHTEST = 20_000;
const HEAVIEST = 300_000;

/** A list that is looked through at the door. */
const MOST_NEVER = 30;

export const Settings = z.object({
  units: Units.prefault({}),
  school: SchoolName.default("even"),
  currency: Text.max(4).default("€"),
  body: Mass.refine(({ g }) => g >= LIGHTEST && g <= HEAVIEST, "Between 20 and 300 kg (44 and 660 lb).")
    .nullable()
    .default(null)
    .meta({ description: "Body weight, for what a load costs in kilocalories; null: 75 kg." }),
  wholeList: z.boolean().default(false).meta({
    description: "The shelf holds everything the owner takes: a job that nothing does is then lacking.",
  }),
  demo: z.boolean().default(false).meta({
    description: "true: all that is here is the demo's, to look around in, and is left in one press.",
  }),
  never: z
    .array(Text.trim().min(1, "Write what it is.").max(60))
    .max(MOST_NEVER, `${MOST_NEVER} at most.`)
    .default([])
    .meta({ description: "What the owner never leaves without, and looks for each time." }),
  forgotten: z
    .partialRecord(z.enum([...AdviceFamily.options, ...ComplaintWhat.options]), Day)
    .default({})
    .meta({
      description:
        "By sort of advice, or complaint: what was learned of the owner's taste up to that day is forgotten.",
    }),
  schools: z.partialRecord(SchoolName, SchoolLines).default({}),
  giveOut: z.partialRecord(Consequence, Share).default({}).meta({
    description: "Chance of giving out on the next trip that is too much, by consequence.",
  }),
  terrain: z.partialRecord(Terrain, Above("The wear of a ground", 0, 10)).default({}),
  kinds: z.record(Text, KindNumbers).default({}).meta({ description: "By kind: the owner's own numbers." }),
});
export type Settings = z.infer<typeof Settings>;
