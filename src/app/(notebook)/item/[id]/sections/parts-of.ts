import type { Advice } from "@/core/advice/advise";
import { partCounts } from "@/core/ledger/service-counts";
import { sayRule, sayServiceCount } from "@/core/say/wear";
import { sayDay } from "@/core/units/speak";

/** A part, with what there is to say of it. */
export interface PartTold {
  readonly name: string;
  readonly says: string;
  /** What renewing it is logged as; null: nothing is known of its life. */
  readonly renewal: { readonly what: "service" | "own service"; readonly service: string } | null;
  readonly isDue: boolean;
}

/** The parts of a thing, since when they are on it, and how far they have gone. */
export function partsOf({ case: { item, book } }: Advice): PartTold[] {
  const { units } = book.settings;
  const counts = new Map(partCounts(item, book).map((count) => [count.part, count]));
  return item.parts.map((part): PartTold => {
    const count = counts.get(part);
    const last = count ? count.last : part.renewed;
    return {
      name: part.name,
      renewal: count ? { what: count.isOfKind ? "service" : "own service", service: count.what } : null,
      isDue: count !== undefined && count.since >= count.every,
      says: [
        last ? `new on ${sayDay(last)}` : "",
        count
          ? `${sayServiceCount(count.since, count.unit, units)} on it, usually good for about ` +
            (count.isOfKind && count.unit === "m"
              ? sayRule(count.every, "m", units)
              : sayServiceCount(count.every, count.unit, units))
          : "",
        part.note,
      ]
        .filter(Boolean)
        .join("; "),
    };
  });
}
