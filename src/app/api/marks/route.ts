import { z } from "zod";
import { Carry, ItemId, Mark, TripId } from "@/core/model";
import { changeCarry, type CarryChange } from "@/data/records/carries";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { refuseAfterExit } from "@/data/records/exits";
import { findItem } from "@/data/records/items";
import { Refused } from "@/data/refused";
import { findTrip } from "@/data/records/trips";
import { weighAdded } from "@/data/records/weight";
import { answering, jsonIn } from "../answering";

const of = { trip: TripId, item: ItemId };
const Sent = z
  .array(
    z.union([
      z.object({ ...of, mark: Mark.nullable(), from: Mark.nullable().optional() }),
      z.object({ ...of, use: Mark.shape.use }),
      z.object({ ...of, out: z.literal(true) }),
    ]),
  )
  .min(1)
  .max(1000);

/**
 * Saves marks, or clears them, in the order given, all or none; the answer means that they are on disk, and
 * tells what was known of each before, null where it was not carried. Where `from` tells what the screen was
 * shown, only what it changed is: what another said meanwhile stays.
 */
export async function POST(request: Request): Promise<Response> {
  const text = await request.text();
  return answering(async () => {
    const changes = Sent.parse(jsonIn(text));
    const before = await (
      await store()
    ).transaction(async (tx) => {
      const known: (Carry | null)[] = [];
      for (const change of changes) {
        await refuseStray(tx, change);
        known.push(await changeCarry(tx, change));
      }
      await refuseAfterExit(
        tx,
        changes.map(({ item }) => item),
      );
      await weighAdded(tx, text.length);
      return known;
    });
    return before.map((carry) => carry && Carry.encode(carry));
  });
}

/** A mark names only what is there: its leg, what took its place; and a thing that is owned. */
async function refuseStray(db: Db, change: CarryChange): Promise<void> {
  const item = await findItem(db, change.item);
  if (item?.state === "wished") throw new Refused(`${item.name} is only wished for, and was not along.`);
  const mark = "mark" in change ? change.mark : null;
  const leg = mark?.at?.leg;
  if (leg && !(await findTrip(db, change.trip))?.legs.some(({ id }) => id === leg))
    throw new Refused("That leg is no longer there. Say again where it was.");
  if (mark?.exit?.for && !(await findItem(db, mark.exit.for)))
    throw new Refused("What took its place is no longer on the shelf.");
}
