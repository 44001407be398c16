import { revalidatePath } from "next/cache";
import { z } from "zod";
import { SentLine, TripId } from "@/core/model";
import { store } from "@/data/connection";
import { takeInLines } from "@/data/records/lines";
import { Refused } from "@/data/refused";
import { weighAdded } from "@/data/records/weight";
import { answering, jsonIn } from "../answering";

const Sent = z.object({ trip: TripId, lines: z.array(SentLine).min(1).max(500) });

/**
 * Keeps lines written on the way. One that is here already is not added again, so that a phone may send until
 * it hears; one that was rewritten or deleted on the phone since is so here too.
 */
export async function POST(request: Request): Promise<Response> {
  const text = await request.text();
  return answering(async () => {
    const { trip, lines } = Sent.parse(jsonIn(text));
    await (
      await store()
    ).transaction(async (tx) => {
      if (!(await takeInLines(tx, trip, lines))) throw new Refused("That trip is no longer here.");
      await weighAdded(tx, text.length);
    });
    revalidatePath("/", "layout");
    return { kept: lines.length };
  });
}
