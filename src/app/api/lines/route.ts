import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Line, Trip, TripId } from "@/core/model";
import { store } from "@/data/connection";
import { addLines } from "@/data/lines";
import { findTrip } from "@/data/trips";

const Sent = z.object({ trip: TripId, lines: z.array(Line).min(1).max(500) });

/** Keeps lines written on the way. One that is here already is not added again, so that a phone may send until it hears. */
export async function POST(request: Request): Promise<Response> {
  const sent = Sent.safeParse(await request.json().catch(() => null));
  if (!sent.success)
    return Response.json({ why: sent.error.issues[0]?.message ?? "It can't be read." }, { status: 400 });
  const { trip, lines } = sent.data;
  const db = await store();
  const known = await findTrip(db, trip);
  if (known && !Trip.shape.lines.safeParse([...known.lines, ...lines]).success)
    return Response.json({ why: "That trip has as many lines as it can hold." }, { status: 409 });
  const isKept = await db.transaction((tx) => addLines(tx, trip, lines));
  if (!isKept) return Response.json({ why: "That trip is no longer here." }, { status: 409 });
  revalidatePath("/", "layout");
  return Response.json({ kept: lines.length });
}
