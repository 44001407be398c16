import { z } from "zod";
import { AIR } from "./lists";
import { Text } from "../units/text";

/** What the records share: ids, days, names, notes, money, amounts. */

const Id = Text.max(80, "Keep the id under 80 characters.")
  .regex(/^\S+$/, "An id is one word, without spaces.")
  // A record can't have a field of that name.
  .refine((id) => id !== "__proto__", "That can't be an id.");
export const ItemId = Id.brand<"ItemId">();
export type ItemId = z.infer<typeof ItemId>;
export const TripId = Id.brand<"TripId">();
export type TripId = z.infer<typeof TripId>;
/** A leg keeps its id when legs are added, taken out or put in another order; unique within its trip. */
export const LegId = Id.brand<"LegId">();
export type LegId = z.infer<typeof LegId>;
/** Most of each sort that one log holds: in the app, and in a file. */
export const MOST = {
  items: 5000,
  trips: 5000,
  entries: 50_000,
  rulings: 50_000,
  tasks: 5000,
  kits: 200,
} as const;
/** Most that a log may weigh, in bytes, and the largest file that is read: thrice that, as a file is laid out wider. */
export const LOG_LIMIT = 64 * 1024 * 1024;
export const FILE_LIMIT = 3 * LOG_LIMIT;

export const RecordId = Text.min(1).max(80);

export const Day = z.iso
  .date("Write the date as year-month-day, like 2026-05-14.")
  .refine((day) => day >= "1900" && day < "2200", "Look at the year: 1900 to 2199 are accepted.");
export const Name = Text.trim().min(1, "Give it a name.").max(120, "Keep the name under 120 characters.");
export const LineText = Text.min(1, "Write something.").max(300, "Keep a line under 300 characters.");
export const Note = Text.max(4000, "Keep the note under 4000 characters.");
export const Money = z
  .number("Write the price as a number.")
  .nonnegative("A price can't be below zero.")
  .max(1e7, "That price is too large.");
export const Amount = z
  .number("Write a number.")
  .nonnegative("It can't be below zero.")
  .max(1e6, "That is more than can be right.");
export const Celsius = z
  .number("Write the temperature as a number.")
  .min(AIR.coldest, AIR.why)
  .max(AIR.hottest, AIR.why);

/** The owner's grade of a thing: 5 as new, 0 gone. */
export const Condition = z
  .int("Condition is a whole number.")
  .min(0, "Condition runs from 0 (gone) to 5 (as new).")
  .max(5, "Condition runs from 0 (gone) to 5 (as new).");

export const Reading = z
  .object({
    what: Text.min(1).max(40),
    value: z.number("Write the reading as a number.").min(-1e6).max(1e6),
  })
  .meta({
    description: "Something measured: tread in mm, flow in L a minute, loft or capacity in % of new.",
  });
