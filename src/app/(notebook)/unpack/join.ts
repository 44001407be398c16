import { z } from "zod";
import { Item, ItemId, LegId, type TripHead } from "@/core/model";
import { HOW_COME } from "@/core/shelf/how-come";
import { newThing, takeOver } from "@/core/shelf/new-thing";
import { parseLine } from "@/core/shelf/parse-line";
import { Text } from "@/core/units/text";
import type { Db } from "@/data/db";
import { fullOf } from "@/data/limits";
import { saveCarries } from "@/data/records/carries";
import { allItems, saveItems } from "@/data/records/items";
import { readSettings } from "@/data/records/settings";
import { refuse, refuseAs, type Answer } from "@/ui/form/answer";

/**
 * A thing that joined on the way: carried from a leg on (null: all the way), and whose slot it took over
 * (null: nobody's).
 */
export const Joined = z.object({
  line: Text.max(200, "At most 200 letters."),
  how: z.enum(HOW_COME),
  owner: Item.shape.owner,
  from: LegId.nullable(),
  after: ItemId.nullable(),
});

/** Puts a thing on the shelf, and in the pack of the trip from its leg on. */
export async function join(
  tx: Db,
  trip: TripHead,
  { line, how, owner, from, after }: z.infer<typeof Joined>,
  /** The day that it came on; null: the first of its leg. */
  on: string | null = null,
): Promise<Answer<ItemId>> {
  const [{ units }, items] = [await readSettings(tx), await allItems(tx)];
  const parsed = parseLine(line, units.weight);
  if (parsed.name === "") return refuse({ line: "Give it a name, like: trail shoes, pair 2 620 g." });
  if (parsed.wrong) return refuse({ line: parsed.wrong });
  const at = from === null ? 0 : trip.legs.findIndex(({ id }) => id === from);
  if (at < 0) return refuse({ from: "That leg is no longer there." });
  const full = await fullOf(tx, "items");
  if (full) return refuse({ line: full });
  const made = Item.safeParse(
    newThing(parsed, new Set(items.map(({ id }) => id)), {
      how,
      owner,
      on: on ?? trip.legs[at]?.starts ?? trip.starts,
    }),
  );
  if (!made.success) return refuseAs("line", made.error);
  const older = items.find(({ id }) => id === after);
  await saveItems(tx, older ? takeOver(older, made.data) : [made.data]);
  await saveCarries(tx, trip.id, [
    {
      item: made.data.id,
      legs: at === 0 ? null : trip.legs.slice(at).map(({ id }) => id),
      shared: null,
      mark: null,
    },
  ]);
  return { ok: true, value: made.data.id };
}
