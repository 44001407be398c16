import type { Book } from "@/core/ledger/book";
import { usedInAll } from "@/core/ledger/totals";
import type { ItemId, Trigger } from "@/core/model";
import { distanceNumber, sayMass } from "@/core/units/speak";
import type { Advice, Verdict } from "@/core/advice/advise";
import type { Kit } from "@/core/advice/kit";
import { sayEntry } from "@/core/say/walk/mark";
import { says } from "@/core/say/verdicts/says";
import { sayLeftOf } from "@/core/say/words";
import type { SheetData, SheetRow } from "@/ui/sheet/sheet-data";
import type { RulerFigures } from "@/ui/ruler";
import { strokeOf } from "@/ui/stroke/stroke-code";
import { known } from "@/core/sums/there";

/** Weather shown over a column, the weightier first. */
const SIGNS: readonly Trigger[] = ["snow or ice", "freezing", "rain", "heat", "bugs", "wind", "sun", "cold"];

/** The sheet of all that is not retired, from one advice each. */
export function sheetOf({ book, things }: Kit): SheetData {
  const { units } = book.settings;
  const column = new Map(book.outings.map(({ trip }, n) => [trip.id, n]));
  const blank = "-".repeat(book.outings.length);
  return {
    units,
    trips: book.outings.map(({ trip, metres, nights }) => ({
      id: trip.id,
      name: trip.name,
      metres,
      nights,
      cut: trip.cut,
      distance: distanceNumber(metres, units),
      signs: [
        ...SIGNS.filter((sign) => trip.conditions[sign] === "strong"),
        ...SIGNS.filter((sign) => trip.conditions[sign] === "some"),
      ].slice(0, 2),
    })),
    rows: things
      .filter(({ case: { item, marked } }) => item.state === "active" || marked.length > 0)
      .map((advice): SheetRow => {
        const {
          case: one,
          verdicts: [lead],
          left,
          grams,
        } = advice;
        const { item, state, totals, worth } = one;
        const strokes = [...blank];
        for (const carried of book.carriedOf(item.id))
          strokes[known(column, carried.outing.trip.id)] = strokeOf(carried, item);
        return {
          id: item.id,
          name: item.name,
          kind: item.kind,
          jobs: item.jobs,
          stow: item.stow,
          grams: state === "active" ? (grams ?? 0) : 0,
          weight: grams === null ? "–" : sayMass(grams, units),
          strokes: strokes.join(""),
          seams: seamsOf(book, item.id),
          metres: usedInAll(totals).metres,
          distance: distanceNumber(usedInAll(totals).metres, units),
          nights: Math.round(usedInAll(totals).nights),
          ruler: left && totals.used.trips > 0 ? rulerOf(left, lead) : null,
          left: sayLeftOf(advice, units),
          state,
          verb: lead.verb,
          urgency: lead.urgency,
          leaning: lead.sureness === "leaning",
          ruled: lead.ruling !== null,
          says: says(one, lead),
          dead: totals.deadGramMetres,
          worth: worth ?? Number.MAX_VALUE,
        };
      }),
  };
}

/** What was done to a thing between trips, by the column of the next trip. */
function seamsOf({ outings, entriesOf }: Book, item: ItemId): Record<number, string> {
  const seams: Record<number, string> = {};
  for (const entry of entriesOf(item)) {
    const next = outings.findIndex(({ trip }) => trip.starts >= entry.on);
    const column = next < 0 ? outings.length : next;
    seams[column] = [seams[column], sayEntry(entry)].filter(Boolean).join("; ");
  }
  return seams;
}

/** The ruler reddens where the verdict says so, not at a line of its own. */
const rulerOf = (
  { worn, low, median, high, nextTrip }: NonNullable<Advice["case"]["left"]>,
  { verb }: Verdict,
): RulerFigures => ({
  worn,
  low,
  median,
  high,
  nextTrip,
  pressing: verb === "replace",
});
