import { z } from "zod";
import { Distance } from "../units/measures";
import { Text } from "../units/text";
import { COSTS, FIXES } from "./lists";
import { Amount, Condition, ItemId, LegId, Name, Note, Reading } from "./basics";
import {
  Cause,
  ComplaintWhat,
  ExitHow,
  Frost,
  OwnerCall,
  Symptom,
  Terrain,
  Trigger,
  Trouble,
  Use,
  WhyUnused,
} from "./words";

/** Something said against a thing that was used, and the ground or weather it was on, where it was only there. */
export const Complaint = z.object({
  what: ComplaintWhat,
  on: z.union([Terrain, Trigger]).nullable().default(null),
});
export type Complaint = z.infer<typeof Complaint>;

/** How it left the pack, if it did. */
export const Exit = z.object({
  how: ExitHow,
  for: ItemId.nullable().default(null).meta({ description: "What it was swapped for." }),
});
export type Exit = z.infer<typeof Exit>;

/** Where on a trip something happened. */
export const Place = z.object({
  leg: LegId.nullable().default(null),
  distance: Distance.nullable().default(null).meta({ description: "From the start of the trip." }),
});

/**
 * What happened to one item on one trip: one use, and what there is to say about it. Notes are quoted, never
 * judged by.
 */
export const Mark = z.object({
  use: Use,
  troubles: z.array(Trouble).max(3).default([]),
  symptoms: z.array(Symptom).max(6).default([]),
  complaints: z.array(Complaint).max(6).default([]),
  exit: Exit.nullable().default(null),
  why: WhyUnused.nullable().default(null),
  cause: Cause.nullable().default(null),
  at: Place.nullable().default(null).meta({ description: "Where it failed or left." }),
  where: Text.max(200).default("").meta({ description: "The place, in the owner's words." }),
  fix: z.enum(FIXES).nullable().default(null),
  cost: z.enum(COSTS).nullable().default(null),
  condition: Condition.nullable().default(null),
  reading: Reading.nullable().default(null),
  days: Amount.nullable().default(null).meta({ description: "Days it was used, where that is known." }),
  pieces: z
    .int()
    .min(0)
    .max(200)
    .nullable()
    .default(null)
    .meta({ description: "Pieces lost or broken, for sets." }),
  enough: z
    .int()
    .min(0)
    .max(200)
    .nullable()
    .default(null)
    .meta({ description: "How many of its pieces would have been enough." }),
  left: z
    .number()
    .min(0, "Between 0 and 100 %.")
    .max(1, "Between 0 and 100 %.")
    .nullable()
    .default(null)
    .meta({ description: "Share, 0 to 1, of what is used up or opened that is left now." }),
  frost: Frost.nullable()
    .default(null)
    .meta({ description: "Was it kept from freezing? null: nobody was asked." }),
  call: OwnerCall.nullable().default(null),
  note: Note.default(""),
});
export type Mark = z.infer<typeof Mark>;

/** Carried in turn with a companion, or split: who, and which part of its weight or way was the owner's. */
export const Shared = z.object({
  with: Name,
  part: z
    .number("Write the part as a number.")
    .min(0, "The part runs from 0 (none of it) to 1 (all of it).")
    .max(1, "The part runs from 0 (none of it) to 1 (all of it)."),
  legs: z
    .array(LegId)
    .min(1)
    .max(400)
    .nullable()
    .default(null)
    .meta({ description: "The legs that this was so on; null: all that it was carried on." }),
});
export type Shared = z.infer<typeof Shared>;

/** One item on one trip. `mark` null: not debriefed yet. */
export const Carry = z.object({
  item: ItemId,
  legs: z
    .array(LegId)
    .min(1)
    .max(400)
    .nullable()
    .default(null)
    .meta({ description: "The legs it was carried on; null: all." }),
  shared: Shared.nullable()
    .default(null)
    .meta({ description: "Carried with a companion; null: by the owner alone." }),
  mark: Mark.nullable().default(null),
});
export type Carry = z.infer<typeof Carry>;
