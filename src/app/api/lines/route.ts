import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Line, TripId } from "@/core/model";
import { store } from "@/data/connection";
import { addLines } from "@/data/records/lines";
import { Refused } from "@/data/refused";
import { weighAdded } from "@/data/records/weight";
import { answering, jsonIn } from "../answering";

const Sent = z.object({ trip: TripId, lines: z.array(Line).min(1).max(500) });

/**
 * Keeps lines written on the way. One that is here already is not added again, so that a phone may send until
 * it hears.
 */
export async function POST(request: Request): Promise<Response> {
  const text = await request.text();
  return answering(async () => {
    const { trip, lines } = Sent.parse(jsonIn(text));
    await (
      await store()
    ).transaction(async (tx) => {
      if (!(await addLines(tx, trip, lines))) throw new Refused("That trip is no longer here.");
      await weighAdded(tx, text.length);
    });
    revalidatePath("/", "layout");
    return { kept: lines.length };
  });
}
