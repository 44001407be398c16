import { z } from "zod";
import { ItemId } from "./basics";
import { Complaint, Mark } from "./mark";
import { ComplaintWhat, ExitHow, Felt, Frost, OwnerCall, Symptom, Trouble, Use, WhyUnused } from "./words";
import { Text } from "../units/text";

/** What was said of one thing: each field only where it was told. */
const ThingFact = z.object({
  about: z.literal("thing"),
  item: ItemId,
  use: Use.optional(),
  trouble: Trouble.optional(),
  symptoms: z.array(Symptom).max(20).optional(),
  complaints: z.array(ComplaintWhat).max(20).optional(),
  /** Ground or weather of the complaint. */
  on: Complaint.shape.on.unwrap().unwrap().optional(),
  exit: ExitHow.optional(),
  /** What it was swapped for. */
  for: ItemId.optional(),
  why: WhyUnused.optional(),
  call: OwnerCall.optional(),
  /** Pieces of a set that were lost or broken; and how many would have been enough. */
  pieces: z.int().min(0).max(200).optional(),
  enough: z.int().min(0).max(200).optional(),
  /** Share, 0 to 1, that is left of it. */
  left: z.number().min(0).max(1).optional(),
  condition: z.number().min(0).max(5).optional(),
  frost: Frost.optional(),
  fix: Mark.shape.fix.unwrap().unwrap().optional(),
  /** Metres from the start; the day of the trip, from 1. */
  metres: z.number().min(0).max(1e8).optional(),
  day: z.number().min(0).max(1e5).optional(),
  /** Days that it was used on. */
  days: z.number().min(0).max(1e5).optional(),
  /** Who carries or shares it. */
  with: Text.max(80).optional(),
  did: z.enum(["repair", "wash", "service", "restock"]).optional(),
  /** It made the trip; it could have stayed at home. */
  made: z.literal(true).optional(),
  stay: z.literal(true).optional(),
});
export type ThingFact = z.infer<typeof ThingFact>;

/** One fact of a text. */
export const HeardFact = z.discriminatedUnion("about", [
  ThingFact,
  z.object({
    about: z.literal("night"),
    /** In °C; null: no temperature was told. */
    low: z.number().min(-90).max(70).nullable(),
    felt: Felt.nullable(),
    slept: z.array(ItemId).max(20),
    nights: z.int().min(1).max(60),
  }),
  z.object({
    about: z.literal("amount"),
    what: z.enum(["gas", "spirit", "food", "battery", "boiled", "water drunk", "water carried"]),
    how: z.enum(["out", "left", "used"]),
    value: z.number().min(0).max(1e6),
    unit: z.enum(["g", "L", "%", "Wh"]),
  }),
  z.object({
    about: z.literal("joined"),
    how: z.enum(["bought", "found", "borrowed", "given"]),
    what: Text.max(200),
    /** What it came for. */
    for: ItemId.nullable(),
    from: Text.max(80).nullable(),
  }),
  z.object({ about: z.literal("missed"), what: Text.max(120) }),
]);
export type HeardFact = z.infer<typeof HeardFact>;
