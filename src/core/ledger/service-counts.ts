import type { OwnService, ServiceUnit } from "../model";
import type { FullItem } from "../trade/full-item";
import { partLife, renewalOf } from "../trade/parts";
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

/** The service of its kind that renews a part. */
const ofKind = ({ rules }: FullItem, what: string) => rules.services.find((service) => service.what === what);

/** The day a service was last done on a thing; null: none is logged. */
const lastDone = (item: FullItem, book: Pick<Book, "entriesOf">, what: string): string | null =>
  book
    .entriesOf(item.id)
    .findLast((entry) => entry.service === what || (entry.what === "service" && ofKind(item, what)))?.on ??
  null;

/** A part of a thing, and how far it has gone since it was new. */
export interface PartCount extends OwnServiceCount {
  readonly part: FullItem["parts"][number];
  /** Renewing it is a service of its kind, and not of its owner's own. */
  readonly isOfKind: boolean;
}

/** The parts of a thing that usually wear out before it does, each with its count since it was renewed. */
export const partCounts = (
  item: FullItem,
  book: Pick<Book, "carriedOf" | "entriesOf" | "today">,
): PartCount[] =>
  item.parts.flatMap((part): PartCount[] => {
    const what = renewalOf(part.name);
    const every = ofKind(item, what)?.every;
    const life =
      every !== undefined && item.wears === "m" ? ({ every, unit: "m" } as const) : partLife(part.name);
    if (!life) return [];
    const last = [part.renewed, lastDone(item, book, what)].reduce((a, b) => ((a ?? "") > (b ?? "") ? a : b));
    return [
      {
        part,
        isOfKind: every !== undefined,
        what,
        every: life.every,
        unit: life.unit,
        last,
        since: countSince(item, book, life.unit, last),
      },
    ];
  });

/**
 * The services that its owner wants done on a thing, its own and its kind's, and its parts' renewals, each with
 * its count.
 */
export const ownServiceCounts = (item: FullItem, book: Book): OwnServiceCount[] => [
  ...[...item.services, ...item.rules.ownServices].map((service) => {
    const last = lastDone(item, book, service.what);
    return { ...service, last, since: countSince(item, book, service.unit, last) };
  }),
  // What its kind has renewed is asked for by its kind.
  ...partCounts(item, book).filter(({ isOfKind }) => !isOfKind),
];
