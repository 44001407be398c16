import { z } from "zod";
import { Carry, ItemId, Mark, TripId } from "@/core/model";
import { changeCarry } from "@/data/carries";
import { store } from "@/data/connection";

const of = { trip: TripId, item: ItemId };
const Sent = z
  .array(
    z.union([
      z.object({ ...of, mark: Mark.nullable() }),
      z.object({ ...of, use: Mark.shape.use }),
      z.object({ ...of, out: z.literal(true) }),
    ]),
  )
  .min(1)
  .max(1000);

/**
 * Saves marks, or clears them, in the order given, all or none; the answer means that they are on disk, and tells what was
 * known of each before, null where it was not carried.
 */
export async function POST(request: Request): Promise<Response> {
  const sent = Sent.safeParse(await request.json().catch(() => null));
  if (!sent.success)
    return Response.json(
      { why: sent.error.issues.map(({ path, message }) => `${path.join(".")}: ${message}`).join("; ") },
      { status: 400 },
    );
  const db = await store();
  try {
    const before = await db.transaction(async (tx) => {
      const known: (Carry | null)[] = [];
      for (const change of sent.data) known.push(await changeCarry(tx, change));
      return known;
    });
    return Response.json(before.map((carry) => carry && Carry.encode(carry)));
  } catch (error) {
    // 23503: the trip or the item was removed meanwhile, perhaps in another tab.
    if ((error as { code?: string }).code === "23503")
      return Response.json(
        { why: "That trip or thing is no longer here. Reload the page." },
        { status: 409 },
      );
    throw error;
  }
}
