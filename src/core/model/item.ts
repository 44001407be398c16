import { z } from "zod";
import { ITEM_STATES, MOST_PARTS, MOST_SERVICES, SERVICE_UNITS } from "./lists";
import { Distance, Mass } from "../units/measures";
import { Text } from "../units/text";
import { Amount, Celsius, Day, ItemId, Money, Name, Note } from "./basics";
import { Consequence, Job, Load, Stow, Trigger, WearUnit } from "./words";

export const ItemState = z.enum(ITEM_STATES);
export type ItemState = z.infer<typeof ItemState>;

/** One weight of a thing, as claimed by its maker or read off the owner's scale. */
export const Weighing = z.object({
  weight: Mass,
  how: z.enum(["measured", "claimed"]).default("measured"),
  on: Day.nullable().default(null),
});
export type Weighing = z.infer<typeof Weighing>;

/** What a label temperature means: three results of one test (ISO 23537-1), or a number that its maker chose. */
export const LabelMeans = z.enum(["comfort", "limit", "extreme", "plain"]);
export type LabelMeans = z.infer<typeof LabelMeans>;

/** What its kind is rated by; what is not known is left out. */
const Ratings = z
  .object({
    label: z.object({ celsius: Celsius, means: LabelMeans }).meta({
      description:
        "Label temperature, and what it means: " +
        "comfort, limit or extreme by test (ISO 23537-1), or a plain number of its maker.",
    }),
    rValue: z
      .number("Write the R-value as a number.")
      .min(0)
      .max(100, "No pad has an R-value over 100.")
      .meta({ description: "Thermal resistance, m²·K/W times the usual R." }),
    wattHours: z.number().min(0).max(1000),
    litres: z.number().min(0).max(200).meta({ description: "What it holds." }),
    packed: z.number().min(0).max(200).meta({ description: "Room that it takes when packed, in litres." }),
    empty: Mass.meta({ description: "Weight of it with nothing in it: a gas canister, a bottle." }),
    volume: z.number().min(0).max(200).meta({ description: "Volume of a pack, in litres." }),
    comfortableLoad: Mass.meta({ description: "Load up to which a pack carries well." }),
    lumens: z.number().min(0).max(10_000),
  })
  .partial();
export type Ratings = z.infer<typeof Ratings>;

/** What a service's count runs over. */
export const ServiceUnit = z.enum(SERVICE_UNITS);
export type ServiceUnit = z.infer<typeof ServiceUnit>;

/** A service that its owner wants done, on a thing or on all of a kind. */
export const OwnService = z.object({
  what: Text.trim().min(1, "Say what is to be done.").max(80, "Keep it under 80 characters."),
  every: z
    .number("Write how often, as a number.")
    .gt(0, "It must be above nothing.")
    .max(1e9, "That is more than can be right.")
    .meta({ description: "How much of `unit` from one to the next; metres for lengths." }),
  unit: ServiceUnit,
});
export type OwnService = z.infer<typeof OwnService>;

/** Most weights that are kept of one thing. */
export const MOST_WEIGHTS = 50;

/** A part with a life of its own: insoles, tips, element, igniter, washer. */
const Part = z.object({
  name: Name,
  renewed: Day.nullable().default(null).meta({ description: "When it was last renewed." }),
  note: Note.default(""),
});

/** One physical thing. It says only what differs from its kind: `null` means "as the kind says". */
export const Item = z.object({
  id: ItemId,
  name: Name,
  kind: Text.min(1).max(60),
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
  weights: z
    .array(Weighing)
    .max(MOST_WEIGHTS)
    .default([])
    .meta({ description: "Every weight it has been given, the latest last; that one counts." }),
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
  past: z.enum(["new", "known", "unknown"]).default("known").meta({
    description:
      "Life before the log: none, none to speak of or as in `opening`, or unknown (second-hand, found).",
  }),
  opening: z
    .object({
      distance: Distance.nullable().default(null),
      nights: Amount.default(0),
      days: Amount.default(0),
    })
    .nullable()
    .default(null),
  acquired: Day.nullable().default(null),
  altered: z
    .object({ on: Day, what: Name })
    .nullable()
    .default(null)
    .meta({ description: "The last change made to it, which leaves it to be proved." }),
  price: Money.nullable().default(null),
  currency: Text.trim()
    .max(4)
    .nullable()
    .default(null)
    .meta({ description: "What its price is in; null: the owner's currency." }),
  warranty: z
    .union([Day, z.literal("life")])
    .nullable()
    .default(null)
    .meta({ description: "Last day of the warranty, or for life." }),
  warrantyCovers: z.enum(["defects", "wear"]).default("defects"),
  expires: Day.nullable()
    .default(null)
    .meta({ description: "Date on the label: expiry, battery, filter age." }),
  state: ItemState.default("active"),
  since: Day.nullable().default(null).meta({ description: "When it entered that state." }),
  instead: ItemId.nullable()
    .default(null)
    .meta({ description: "Of a thing wished for: what it would take the place of." }),
  owner: Text.trim()
    .max(60, "Keep the name under 60 characters.")
    .nullable()
    .default(null)
    .meta({ description: "Whose it is, of a thing borrowed; null: the keeper's own." }),
  lentTo: Text.trim()
    .max(60, "Keep the name under 60 characters.")
    .nullable()
    .default(null)
    .meta({ description: "Who has it, or where it is; null: it is at home." }),
  delivery: z
    .int("Write whole days.")
    .min(0, "Days can't be below zero.")
    .max(365, "A year at most.")
    .nullable()
    .default(null)
    .meta({ description: "Of a thing wished for: days that it takes to come." }),
  slot: Text.trim()
    .max(60)
    .nullable()
    .default(null)
    .meta({ description: "Names a job filled by one thing after another: pair 1, pair 2." }),
  model: Text.trim()
    .max(120)
    .nullable()
    .default(null)
    .meta({ description: "Two of the same model are two items of one model." }),
  set: Text.trim()
    .max(60)
    .nullable()
    .default(null)
    .meta({ description: "Names things that go together and move as one." }),
  needs: z
    .array(ItemId)
    .max(10)
    .default([])
    .meta({ description: "What it can't do without: the poles that hold up a shelter." }),
  parts: z.array(Part).max(MOST_PARTS).default([]),
  services: z
    .array(OwnService)
    .max(MOST_SERVICES, "Twelve services at most.")
    .default([])
    .meta({ description: "Services that the owner wants done on it, beside those of its kind." }),
  ratings: Ratings.default({}),
  note: Note.default(""),
});
export type Item = z.infer<typeof Item>;
