import type { Book } from "@/core/ledger/book";
import type { Trigger } from "@/core/model";
import { distanceNumber, sayMass } from "@/core/units/speak";
import type { Judgement } from "@/core/verdict/judge";
import { sayLeft } from "@/core/verdict/words";
import type { SheetData, SheetRow } from "@/ui/sheet/sheet-data";
import { strokeOf } from "@/ui/stroke-code";

/** Weather shown over a column, the weightier first. */
const SIGNS: readonly Trigger[] = ["snow or ice", "freezing", "rain", "heat", "bugs", "wind", "sun", "cold"];

/** The sheet of all that is not retired, from one judgement each. */
export function sheetOf(book: Book, judgements: readonly Judgement[]): SheetData {
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
    rows: judgements
      .filter(
        ({
          case: {
            item,
            book: { carriedOf },
          },
        }) => item.state === "active" || carriedOf(item.id).length > 0,
      )
      .map(
        ({
          case: {
            item,
            state,
            totals,
            left,
            worth,
            book: { carriedOf },
          },
          verdicts: [lead],
        }): SheetRow => {
          const strokes = [...blank];
          for (const one of carriedOf(item.id))
            strokes[column.get(one.outing.trip.id)!] = strokeOf(one, item);
          return {
            id: item.id,
            name: item.name,
            kind: item.kind,
            jobs: item.jobs,
            stow: item.stow,
            grams: state === "active" ? (item.weight?.g ?? 0) : 0,
            weight: item.weight ? sayMass(item.weight.g, units) : "–",
            strokes: strokes.join(""),
            metres: totals.used.metres,
            distance: distanceNumber(totals.used.metres, units),
            nights: Math.round(totals.used.nights),
            ruler:
              left && state === "active" && totals.used.trips > 0
                ? {
                    worn: left.worn,
                    low: left.low,
                    median: left.median,
                    high: left.high,
                    nextTrip: left.nextTrip,
                    givesOut: left.givesOut,
                  }
                : null,
            left: sayLeft({ item, left, book }),
            state,
            verb: lead.verb,
            urgency: lead.urgency,
            ruled: lead.ruling !== null,
            says: lead.says,
            dead: totals.deadGramMetres,
            worth: worth ?? Number.MAX_VALUE,
          };
        },
      ),
  };
}
