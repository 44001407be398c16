import { TripId } from "@/core/model";
import { reviewOf } from "@/core/say/walk/review";
import { reviewAsMarkdown } from "@/formats/review";
import { readBook } from "../../../book";
import { idIn } from "../../../id-in";

/** How a trip was, as Markdown to hand on. */
export async function GET(_: Request, { params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const { log, book, kit } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) return Response.json({ why: "There is no such trip." }, { status: 404 });
  return new Response(reviewAsMarkdown(reviewOf(trip, book, kit)), {
    headers: {
      "content-type": "text/markdown; charset=utf-8",
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${trip.name}, how it was`)}.md`,
    },
  });
}
