import { z } from "zod";
import { ENTRY_WHATS } from "./lists";
import { Distance } from "../units/measures";
import { Text } from "../units/text";
import { Amount, Condition, Day, ItemId, Money, Note, Reading, RecordId } from "./basics";
import { Frost, Symptom } from "./words";

/** `trial`: tried on purpose near home, in what matters; `own service`: one that its owner wants done, by its name. */
export const EntryWhat = z.enum(ENTRY_WHATS);
export type EntryWhat = z.infer<typeof EntryWhat>;

/** Something that happened to an item between trips. */
export const Entry = z.object({
  id: RecordId,
  item: ItemId,
  on: Day,
  what: EntryWhat,
  distance: Distance.nullable().default(null),
  nights: Amount.default(0),
  cost: Money.nullable().default(null),
  condition: Condition.nullable().default(null),
  reading: Reading.nullable().default(null),
  service: Text.trim()
    .max(80)
    .nullable()
    .default(null)
    .meta({ description: "The service of the owner's own that it was; null: none by name." }),
  symptoms: z.array(Symptom).max(6).default([]),
  frost: Frost.nullable().default(null),
  note: Note.default(""),
});
export type Entry = z.infer<typeof Entry>;
