import { listOf, totalOf } from "@/core/compare/lists";
import { STOWS, TripId } from "@/core/model";
import { count, sayDays, sayMass } from "@/core/units/speak";
import { listAsCsv, listAsMarkdown, type ListLine } from "@/formats/packing-list";
import { STOW_NAMES } from "@/ui/sheet/arrange";
import { readBook } from "../../../book";
import { idIn } from "../../../id-in";

/** A trip's or a plan's list to hand on, by where things ride: Markdown, or CSV with `?as=csv`. */
export async function GET(request: Request, { params }: { params: Promise<{ trip: string }> }) {
  const id = idIn(TripId, (await params).trip);
  const { log, book } = await readBook();
  const trip = log.trips.find((each) => each.id === id);
  if (!trip) return Response.json({ why: "There is no such trip." }, { status: 404 });
  const { units } = book.settings;
  const list = listOf(trip, book.item);
  const lines = list.map(({ item, grams }): ListLine => ({
    name: item.name,
    stow: item.stow,
    weight: grams === null ? "" : sayMass(grams, units),
    grams,
    pieces: item.pieces,
  }));
  const byPlace = STOWS.map((stow) => lines.filter((line) => line.stow === stow));
  const isCsv = new URL(request.url).searchParams.get("as") === "csv";
  const text = isCsv
    ? listAsCsv(byPlace.flat())
    : listAsMarkdown(
        trip.name,
        `${sayDays(trip.starts, trip.ends)}: ${count(list.length, "thing")}, ${sayMass(totalOf(list), units)}`,
        [
          ...byPlace.flatMap((things) => (things[0] ? [[STOW_NAMES[things[0].stow], things] as const] : [])),
          ...neverOf(book.settings.never),
        ],
      );
  return new Response(text, {
    headers: {
      "content-type": `${isCsv ? "text/csv" : "text/markdown"}; charset=utf-8`,
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(trip.name)}.${isCsv ? "csv" : "md"}`,
    },
  });
}

/** What the owner looks for at the door, as a part of the list. */
const neverOf = (never: readonly string[]) =>
  never.length === 0
    ? []
    : [
        [
          "Never without",
          never.map((name): ListLine => ({ name, stow: "main", weight: "", grams: null, pieces: 1 })),
        ] as const,
      ];
