import type { OwnService, ServiceUnit } from "../model";
import type { FullItem } from "../trade/full-item";
import type { Book, Marked } from "./book";
import { marked } from "./book";
import { daysBetween } from "../sums/days";
import { shareUsed } from "./totals";

/**
 * Part of a trip's use, 0 to 1, that came after a day: what was washed half way through a long walk has the
 * rest of it to count.
 */
export function shareAfter({ outing }: Pick<Marked, "outing">, day: string | null): number {
  const { starts, ends } = outing.trip;
  if (day === null || starts > day) return 1;
  return ends <= day ? 0 : daysBetween(day, ends) / outing.days;
}

/**
 * Use of a thing since a day (null: since it came), in what a service of its owner's is counted by; metres
 * for lengths.
 */
function countSince(
  item: FullItem,
  book: Pick<Book, "carriedOf" | "entriesOf" | "today">,
  unit: ServiceUnit,
  day: string | null,
): number {
  const entries = book.entriesOf(item.id).filter(({ on }) => day === null || on > day);
  const marks = marked(book.carriedOf(item.id));
  const onTrips = (of: (one: Marked) => number) =>
    marks.reduce((sum, one) => sum + of(one) * shareAfter(one, day), 0);
  const opening = day === null ? item.opening : null;
  switch (unit) {
    case "m":
      return (
        (opening?.distance?.m ?? 0) +
        onTrips((one) => one.metres * shareUsed(one.mark, one.outing.days * one.part)) +
        entries.reduce((sum, { distance }) => sum + (distance?.m ?? 0), 0)
      );
    case "nights":
      return (
        (opening?.nights ?? 0) +
        onTrips((one) => one.outing.nights * one.part * shareUsed(one.mark, one.outing.days * one.part)) +
        entries.reduce((sum, { nights }) => sum + nights, 0)
      );
    case "trips":
      return marks.filter(({ mark, outing }) => mark.use !== "unused" && outing.trip.ends > (day ?? ""))
        .length;
    case "washes":
      return entries.filter(({ what }) => what === "wash").length;
    case "days": {
      const from = day ?? item.acquired ?? marks[0]?.outing.trip.starts;
      return from ? Math.max(0, daysBetween(from, book.today)) : 0;
    }
  }
}

/** A service of the owner's own with its count: how much since it was last done, or since the thing came. */
export interface OwnServiceCount extends OwnService {
  readonly since: number;
  readonly last: string | null;
}

/** The services that its owner wants done on a thing, its own and its kind's, each with its count. */
export const ownServiceCounts = (item: FullItem, book: Book): OwnServiceCount[] =>
  [...item.services, ...item.rules.ownServices].map((service) => {
    const last = book.entriesOf(item.id).findLast((entry) => entry.service === service.what)?.on ?? null;
    return { ...service, last, since: countSince(item, book, service.unit, last) };
  });
