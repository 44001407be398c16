import { z } from "zod";
import { Text } from "../units/text";
import { Day, ItemId, Name, RecordId } from "./basics";
import { Verb } from "./words";

/** What the owner decided about a verdict, and when to ask again. */
export const Ruling = z.object({
  id: RecordId,
  item: ItemId.nullable().default(null).meta({
    description: "The thing that the verdict is on; null: it is on something to add, named in `what`.",
  }),
  what: Name.nullable().default(null).meta({ description: "What was to be added." }),
  verb: Verb,
  ground: Text.max(80).nullable().default(null).meta({
    description:
      "The reason that the verdict gave, by its code; a ruling on one reason silences no other. null: any.",
  }),
  decision: z.enum(["agree", "overrule", "later"]),
  reason: Text.max(1000).default("").meta({ description: "The owner's words." }),
  again: z
    .int()
    .min(1)
    .max(50)
    .nullable()
    .default(null)
    .meta({
      description:
        "Ask again after so many more trips with it (without it, of something to add); " +
        "null: only when something new speaks.",
    }),
  on: Day,
  trips: z.int().min(0).max(1e6).default(0).meta({
    description:
      "Trips that the item had been on when this was decided; of something to add, all trips walked.",
  }),
  troubles: z.int().min(0).max(1e6).default(0).meta({
    description: "Troubles that it had had by then; of something to add, times it had been missed.",
  }),
});
export type Ruling = z.infer<typeof Ruling>;

/** What is ruled on: a verdict on a thing, by the reason it gave, or something to add. */
export type RuledOn =
  { readonly item: ItemId; readonly verb: Verb; readonly ground: string } | { readonly what: string };
