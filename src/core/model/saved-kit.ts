import { z } from "zod";
import { Celsius, ItemId, MOST, Name, Note, RecordId } from "./basics";
import { Trigger } from "./words";

/** A month of the year, 1 to 12. */
const Month = z.int().min(1).max(12);

/** A list kept by name, with the season and the weather that it is for: "Winter", "Huts in August". */
export const SavedKit = z.object({
  id: RecordId,
  name: Name,
  months: z.array(Month).max(12).default([]).meta({ description: "Months it is for; none: any." }),
  low: Celsius.nullable().default(null).meta({
    description: "The coldest night that it is meant for, °C; null: nobody said.",
  }),
  weather: z.array(Trigger).max(20).default([]).meta({ description: "Weather and ground that it is for." }),
  items: z.array(ItemId).max(MOST.items),
  note: Note.default(""),
});
export type SavedKit = z.infer<typeof SavedKit>;
