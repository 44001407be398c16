import { z } from "zod";
import { BENCH_PLACES } from "./lists";
import { Day, ItemId, Name, Note, RecordId } from "./basics";

/** Where a job is done: at home, in a shop, by post, or out near home. */
export const BenchPlace = z.enum(BENCH_PLACES);
export type BenchPlace = z.infer<typeof BenchPlace>;

/** A job of the owner's own, for the bench: "sew on the hook". */
export const Task = z.object({
  id: RecordId,
  item: ItemId.nullable().default(null).meta({ description: "The thing it is on; null: none of the shelf." }),
  what: Name,
  place: BenchPlace.default("home"),
  due: Day.nullable().default(null),
  done: Day.nullable().default(null).meta({ description: "When it was done; null: it is open." }),
  note: Note.default(""),
});
export type Task = z.infer<typeof Task>;
