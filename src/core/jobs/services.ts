import type { Case } from "../decide/case";
import type { Book } from "../ledger/book";
import { daysBetween } from "../sums/days";
import { ownServiceCounts } from "../ledger/service-counts";
import { wearAhead } from "../ledger/totals";
import type { ServiceUnit, WearUnit } from "../model";
import type { Kit } from "../advice/kit";
import { wearSinceService } from "../reasons/verbs/service";
import type { FullItem } from "../trade/full-item";

/** A service with its count: how much since the last, and after how much it is due; metres for lengths. */
export interface ServiceDue {
  readonly item: FullItem;
  readonly what: string;
  readonly since: number;
  readonly every: number;
  readonly unit:
    { readonly of: "wear"; readonly in: WearUnit } | { readonly of: "own"; readonly in: ServiceUnit };
  /** The day of the last; null: none is logged. */
  readonly last: string | null;
  readonly standing: "overdue" | "due" | "soon";
}

/** From so much of its count on it is overdue, or soon due. Common practice, no source. */
const OVERDUE = 1.25;
const SOON = 0.75;

/** Services that are overdue, due, or will be by the end of the next trip; the most overdue first. */
export function servicesAhead({ book, things }: Kit): ServiceDue[] {
  return things
    .flatMap(({ case: one }) => (one.standing === "active" ? countsOf(one, book) : []))
    .sort((a, b) => b.since / b.every - a.since / a.every);
}

function countsOf(one: Case, book: Book): ServiceDue[] {
  const { item, kind } = one;
  const { since, last } = wearSinceService(one);
  const ahead = wearAhead(item, book);
  return [
    ...kind.services.flatMap(({ what, every }): ServiceDue[] => {
      const standing = every === undefined ? null : standingOf(since, every, ahead);
      return standing
        ? [{ item, what, since, every: every!, unit: { of: "wear", in: item.wears }, last, standing }]
        : [];
    }),
    ...ownServiceCounts(item, book).flatMap((own): ServiceDue[] => {
      const standing = standingOf(own.since, own.every, ownAhead(own.unit, book));
      return standing ? [{ ...own, item, unit: { of: "own", in: own.unit }, standing }] : [];
    }),
  ];
}

function standingOf(since: number, every: number, ahead: number): ServiceDue["standing"] | null {
  if (since >= every * OVERDUE) return "overdue";
  if (since >= every) return "due";
  return since >= every * SOON || since + ahead >= every ? "soon" : null;
}

/** What the next trip adds to a count of the owner's own, where the thing is used on it. */
function ownAhead(unit: ServiceUnit, { next, today }: Book): number {
  switch (unit) {
    case "m":
      return next.metres;
    case "nights":
      return next.nights;
    case "trips":
      return 1;
    case "washes":
      return 0;
    case "days":
      return next.ends ? Math.max(0, daysBetween(today, next.ends)) : 0;
  }
}
