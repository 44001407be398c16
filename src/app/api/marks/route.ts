import { z } from "zod";
import { ItemId, Mark, TripId } from "@/core/model";
import { saveMark } from "@/data/carries";
import { store } from "@/data/connection";

const Sent = z
  .array(z.object({ trip: TripId, item: ItemId, mark: Mark.nullable() }))
  .min(1)
  .max(1000);

/** Saves marks, or clears them, in the order given, all or none; the answer means that they are on disk. */
export async function POST(request: Request): Promise<Response> {
  const sent = Sent.safeParse(await request.json().catch(() => null));
  if (!sent.success)
    return Response.json(
      { why: sent.error.issues.map(({ path, message }) => `${path.join(".")}: ${message}`).join("; ") },
      { status: 400 },
    );
  const db = await store();
  try {
    await db.transaction(async (tx) => {
      for (const mark of sent.data) await saveMark(tx, mark);
    });
  } catch (error) {
    // 23503: the trip or the item was removed meanwhile, perhaps in another tab.
    if ((error as { code?: string }).code === "23503")
      return Response.json(
        { why: "That trip or thing is no longer here. Reload the page." },
        { status: 409 },
      );
    throw error;
  }
  return Response.json(sent.data);
}
